import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { build } from './build.mjs'
import { startDatabase } from './lib/database.mjs'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { dataFolder, root } from './lib/paths.mjs'
import { run, say } from './lib/say.mjs'
import { show } from './lib/shell.mjs'

/** Types, lint, unit, vector, server and browser tests, in this order; all are run, and counted together at the end. */
const only = process.argv.slice(2)
const reports = join(dataFolder, 'reports')
const bin = (name) => join(root, 'node_modules/.bin', name)
const jestEnv = { NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning' }

// the longest first
const lint = [
  [bin('eslint'), '.', '--max-warnings', '0'],
  [bin('prettier'), '--check', '--log-level', 'warn', '.'],
]
const types = [
  [bin('vue-tsc'), '-p', 'apps/web/tsconfig.json'],
  [bin('vue-tsc'), '-p', 'apps/web/tsconfig.test.json'],
  [bin('tsc'), '-p', 'tsconfig.json'],
  [bin('tsc'), '-p', 'packages/core/tsconfig.json'],
  [bin('tsc'), '-p', 'e2e/tsconfig.json'],
  [bin('tsc'), '-p', 'tools/tsconfig.json'],
]

await run(async () => {
  checkMachine()
  await ensureCommands('mariadbd', 'chromium', 'pdftotext', 'nginx')
  await ensurePackages()
  rmSync(reports, { recursive: true, force: true })
  mkdirSync(reports, { recursive: true })
  const tally = { passed: 0, failed: 0 }
  const wanted = (name) => only.length === 0 || only.includes(name)
  const apart = [...(wanted('lint') ? lint : []), ...(wanted('types') ? types : [])]
  if (apart.length > 0) await counted(tally, apart)
  if (wanted('unit')) await jest(tally, 'unit', ['core', 'vectors', 'contract', 'web'], {})
  if (wanted('server') || wanted('e2e')) await withDatabase(tally, wanted)
  process.stdout.write(`${tally.passed} passed, ${tally.failed} failed\n`)
  if (tally.failed > 0 || tally.passed === 0) process.exitCode = 1
})

/** Each command counts as one test; two go side by side, for each uses one processor. */
async function counted(tally, commands) {
  say('\ntypes and lint …')
  const waiting = [...commands]
  const next = async () => {
    for (let one = waiting.shift(); one; one = waiting.shift())
      tally[(await show(one[0], one.slice(1))) === 0 ? 'passed' : 'failed']++
  }
  await Promise.all([next(), next()])
}

async function jest(tally, name, projects, env) {
  say(`\n${name} tests …`)
  const report = join(reports, `${name}.json`)
  const args = [
    '--selectProjects',
    ...projects,
    '--json',
    `--outputFile=${report}`,
    '--silent=false',
    // each file of server tests has a database of its own, on one MariaDB that two of them keep busy
    `--maxWorkers=${name === 'server' ? 2 : '100%'}`,
  ]
  const code = await show(bin('jest'), args, {
    env: { ...process.env, ...jestEnv, ...env },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const result = existsSync(report)
    ? JSON.parse(readFileSync(report, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0 }
  tally.passed += result.numPassedTests
  tally.failed += Math.max(result.numFailedTests, code === 0 ? 0 : 1)
}

/** A MariaDB of their own for the server and browser tests, or the one that DATABASE_URL names: there they touch only spool_test_*. */
async function withDatabase(tally, wanted) {
  const database = process.env.DATABASE_URL ? null : await startDatabase(join(dataFolder, 'test'))
  const url = database?.url ?? process.env.DATABASE_URL.replace(/\/[^/]*$/, '')
  const env = { TEST_DATABASE_URL: url }
  try {
    if (wanted('server')) await jest(tally, 'server', ['server'], env)
    if (wanted('e2e')) await browser(tally, env)
  } finally {
    await database?.stop()
  }
}

async function browser(tally, env) {
  await build()
  say('\nbrowser tests …')
  const report = join(reports, 'browser.json')
  const code = await show(bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts'], {
    env: { ...process.env, ...env, SPOOL_REPORT: report, NODE_OPTIONS: '' },
  })
  const stats = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')).stats : { expected: 0, unexpected: 0 }
  tally.passed += stats.expected
  tally.failed += Math.max(stats.unexpected, code === 0 ? 0 : 1)
}
