import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './lib/paths.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { quiet } from './lib/shell.mjs'

/** Lines that are not blank, of the code and of the tests, folder by folder; data, vectors and what is generated are neither. */
const [least, most] = [25, 33]
const source = /\.(ts|vue|mjs|css)$/
const test = /\.test\.ts$|^e2e\/|^apps\/server\/test\/|\/testing\/|\/vectors\//

await run(async () => {
  const { code, output } = quiet('git', ['ls-files', '--cached', '--others', '--exclude-standard'])
  if (code !== 0) throw new Stop('The lines of a copy without git cannot be counted.')
  const rows = new Map()
  const all = { code: 0, tests: 0 }
  for (const file of output.split('\n').filter((one) => source.test(one))) {
    const lines = readFileSync(join(root, file), 'utf8')
      .split('\n')
      .filter((line) => line.trim() !== '').length
    const folder = /^(packages|apps)\//.test(file) ? file.split('/').slice(0, 2).join('/') : file.split('/')[0]
    const row = rows.get(folder) ?? { code: 0, tests: 0 }
    for (const one of [row, all]) one[test.test(file) ? 'tests' : 'code'] += lines
    rows.set(folder, row)
  }
  for (const [folder, row] of rows) say(line(folder, row))
  say(line('all', all))
  if (share(all) < least || share(all) > most) say(`The tests should be between ${least} and ${most} % of it.`)
})

function share({ code, tests }) {
  return Math.round((1000 * tests) / (code + tests)) / 10
}
function line(name, row) {
  return `${name.padEnd(20)} code ${String(row.code).padStart(6)}  tests ${String(row.tests).padStart(6)}  share ${share(row).toFixed(1)} %`
}
