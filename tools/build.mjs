import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './lib/paths.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { quiet } from './lib/shell.mjs'

const sources = ['packages', 'apps/server/src', 'apps/web', 'package-lock.json', 'tools/build.mjs']
const stamp = join(root, 'apps/server/dist/stamp')

/** Builds the web app, the server and the thread of its heavy work, unless both are of these very sources. */
export async function build() {
  const now = hashOfSources()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now && existsSync(join(root, 'apps/web/dist/index.html')))
    return
  say('Building …')
  const bin = (name) => join(root, 'node_modules/.bin', name)
  const web = quiet(bin('vite'), ['build', 'apps/web', '--logLevel', 'warn'])
  if (web.code !== 0) throw new Stop(`The web app does not build:\n${web.output}`)
  const server = quiet(bin('esbuild'), [
    'apps/server/src/main.ts',
    'apps/server/src/heavy/heavyWork.worker.ts',
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--packages=external',
    `--alias:@sure-spool/core=${join(root, 'packages/core/src/index.ts')}`,
    `--alias:@sure-spool/contract/canonical=${join(root, 'packages/contract/src/hash/canonical.ts')}`,
    `--alias:@sure-spool/contract/openapi=${join(root, 'packages/contract/src/api/openapi.ts')}`,
    `--alias:@sure-spool/contract=${join(root, 'packages/contract/src/index.ts')}`,
    '--outdir=apps/server/dist',
    '--entry-names=[name]',
    '--log-level=warning',
  ])
  if (server.code !== 0) throw new Stop(`The server does not build:\n${server.output}`)
  writeFileSync(stamp, now)
}

function hashOfSources() {
  const hash = createHash('sha256')
  const walk = (path) => {
    const full = join(root, path)
    let names
    try {
      names = readdirSync(full, { withFileTypes: true })
    } catch {
      hash.update(path).update(readFileSync(full))
      return
    }
    for (const one of names.sort((a, b) => (a.name < b.name ? -1 : 1)))
      if (!['dist', 'node_modules'].includes(one.name) && !one.name.endsWith('.test.ts')) walk(join(path, one.name))
  }
  sources.forEach(walk)
  return hash.digest('hex')
}

if (process.argv[1]?.endsWith('build.mjs')) await run(build)
