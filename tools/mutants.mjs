import { Stryker } from '@stryker-mutator/core'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { build, bundle, ours } from './build.mjs'
import { startDatabase } from './lib/database.mjs'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { dataFolder, root } from './lib/paths.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { fileOf, rooms } from './mutants/rooms.mjs'
import { drawLines, sourcesOf } from './mutants/sample.mjs'

/**
 * Plants faults in the sources, one at a time, and says which of them no test finds. A seeded sample of lines for each room, or
 * `--all`; rooms by their names. What was tried stays in .data/mutants, and an unchanged line is not tried again.
 */
const { values: options, positionals: only } = parseArgs({
  allowPositionals: true,
  options: {
    all: { type: 'boolean', default: false },
    seed: { type: 'string', default: '8' },
    lines: { type: 'string', default: '360' },
    workers: { type: 'string', default: '2' },
  },
})
const folder = join(dataFolder, 'mutants')
const found = new Set(['Killed', 'Timeout'])
const missed = new Set(['Survived', 'NoCoverage'])

await run(async () => {
  checkMachine()
  await ensurePackages()
  const unknown = only.filter((name) => !rooms.some((room) => room.name === name))
  if (unknown.length > 0)
    throw new Stop(`No room is called ${unknown.join(', ')}. There are ${rooms.map(({ name }) => name).join(', ')}.`)
  mkdirSync(folder, { recursive: true })
  const wanted = rooms.filter(({ name }) => only.length === 0 || only.includes(name))
  const lines = []
  for (const room of wanted) {
    const drawn = options.all ? null : drawLines(sourcesOf(room), Number(options.lines), Number(options.seed))
    lines.push(scoreOf(room, drawn, await plantIn(room, drawn)))
  }
  say(['', 'room        faults  found  share  target', ...lines].join('\n'))
})

async function plantIn(room, drawn) {
  const database = room.tests === 'server' ? await databaseForTests() : null
  try {
    process.env.MUTANTS_OF = room.name
    const stryker = new Stryker({
      mutate: drawn ?? sourcesOf(room),
      testRunner: 'jest',
      testRunnerNodeArgs: ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'],
      jest: { projectType: 'custom', configFile: 'tools/mutants/jest.config.mjs', enableFindRelatedTests: false },
      coverageAnalysis: 'perTest',
      // what is worked out once, when a file is loaded, would want every test each time
      ignoreStatic: room.tests !== 'contract',
      incremental: true,
      incrementalFile: join(folder, `${room.name}.json`),
      tempDirName: join(dataFolder, 'mutants/house'),
      ignorePatterns: ['.data', 'test-results', 'docs/screenshots', 'e2e', '**/dist'],
      // what loads its files one by one waits for them too, and a fault that was only slow to try is not found
      timeoutMS: room.together ? 30_000 : 240_000,
      dryRunTimeoutMinutes: 30,
      concurrency: Number(options.workers),
      // what loads its files one by one never gives their room back, and soon does little else than look for some
      maxTestRunnerReuse: room.together ? 0 : 6,
      reporters: ['progress'],
      logLevel: 'warn',
    })
    return await stryker.runMutationTest()
  } finally {
    await database?.stop()
  }
}

/** What the server's tests stand on: a database, and the packages in which no fault is planted, each in one file. */
async function databaseForTests() {
  await ensureCommands('mariadbd')
  await build()
  const packages = join(folder, 'packages')
  const entries = Object.entries(ours).map(([name, path]) => `${fileOf(name)}=packages/${path}`)
  const { code, output } = bundle(entries, packages, ['--splitting'])
  if (code !== 0) throw new Stop(`The packages do not build:\n${output}`)
  process.env.MUTANTS_PACKAGES = packages
  const database = await startDatabase(join(folder, 'database'))
  process.env.TEST_DATABASE_URL = database.url
  return database
}

/** Writes down which faults no test found, and the room's share. */
function scoreOf({ name, target }, drawn, all) {
  // what an earlier draw left in the file of what was tried is not of this one
  const results = drawn ? all.filter((one) => drawn.some((range) => liesIn(one, range))) : all
  const survivors = results.filter(({ status }) => missed.has(status))
  const caught = results.filter(({ status }) => found.has(status)).length
  const written = survivors.map(describe).sort().join('\n')
  writeFileSync(join(folder, `${name}.survivors.txt`), `${written}\n`)
  const planted = caught + survivors.length
  const share = planted === 0 ? '–' : `${((100 * caught) / planted).toFixed(1)} %`
  return `${name.padEnd(11)} ${String(planted).padStart(6)} ${String(caught).padStart(6)} ${share.padStart(7)} ${target} %`
}

function liesIn({ fileName, location }, range) {
  const [, file = '', first, last] = /^(.*):(\d+)-(\d+)$/.exec(range) ?? []
  return fileName.endsWith(file) && location.start.line >= Number(first) && location.end.line <= Number(last)
}

function describe({ fileName, location, status, mutatorName, replacement }) {
  const file = fileName.replace(`${root}/`, '')
  const source = existsSync(fileName) ? readFileSync(fileName, 'utf8').split('\n') : []
  const line = source[location.start.line - 1]?.trim() ?? ''
  const { start, end } = location
  return [
    `${file}:${start.line}:${start.column}-${end.line}:${end.column} ${mutatorName}${status === 'NoCoverage' ? ', never run' : ''}`,
    `    ${line}`,
    `    → ${replacement.replace(/\s+/g, ' ').slice(0, 200)}`,
  ].join('\n')
}
