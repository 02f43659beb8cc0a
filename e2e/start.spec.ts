import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { appendFileSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import type { Seated } from '@sure-spool/contract'
import { outdated } from '../tools/lib/backup.mjs'
import { anyPort } from '../tools/lib/database.mjs'

/** The real shop, by the commands that run it: on a private database of its own, in a folder of its own. */
test.describe.configure({ mode: 'serial' })
test.setTimeout(300_000)

const shop = mkdtempSync(join(tmpdir(), 'spool-shop-'))
const another = mkdtempSync(join(tmpdir(), 'spool-another-'))
let running: ChildProcess
let said = ''
let address = ''
let cookie = ''
let seat = ''

const env = (folder: string, port: number) => ({
  ...process.env,
  SHOP_DATA: folder,
  PORT: String(port),
  DATABASE_URL: '',
  DATABASE_ADMIN_URL: '',
})
const hears = (words: RegExp) => expect.poll(() => said, { timeout: 60_000 }).toMatch(words)

function command(name: string, folder: string, ...args: string[]): { code: number | null; words: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`tools/${name}.mjs`, ...args], {
    env: env(folder, 0),
    encoding: 'utf8',
  })
  return { code: status, words: stdout + stderr }
}
const door = async (): Promise<unknown> =>
  fetch(`${address}/api/v1/door`, { headers: { cookie } }).then(
    (response) => response.json(),
    () => 'away',
  )
const ownerComesIn = (code: string): Promise<Response> =>
  fetch(`${address}/api/v1/door/first`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      code,
      shop: 'Sallow Quay Bench',
      name: 'Ines Okafor-Lind',
      pin: '4711',
      password: 'a long winter on the quay',
      bench: 'window bench',
    }),
  })

test.beforeAll(async () => {
  const port = await anyPort()
  address = `http://127.0.0.1:${port}`
  running = spawn(process.execPath, ['tools/start.mjs'], { env: env(shop, port) })
  running.stdout?.on('data', (data: Buffer) => (said += data.toString()))
  running.stderr?.on('data', (data: Buffer) => (said += data.toString()))
})
test.afterAll(async () => {
  const gone = new Promise((resolve) => running.once('exit', resolve))
  running.kill('SIGTERM')
  await gone
  for (const folder of [shop, another]) rmSync(folder, { recursive: true, force: true })
})

test('an empty shop prints the code for its owner; its secrets are readable by whoever runs it alone', async () => {
  await hears(/comes in with the code [A-Z2-9]{4}-[A-Z2-9]{4}\./)
  expect(statSync(join(shop, 'secrets.json')).mode & 0o777).toBe(0o600)
  expect(await door()).toEqual({ house: 'empty' })
  const code = /the code ([A-Z2-9-]{9})/.exec(said)?.[1] ?? ''
  const answer = await ownerComesIn(code)
  expect(answer.status).toBe(201)
  cookie = (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? ''
  seat = ((await answer.json()) as Seated).seat?.id ?? ''
  expect(await door()).toMatchObject({ house: 'shut', bench: { name: 'window bench' } })
})

test('server and database are started again when they are killed, and nothing is forgotten', async () => {
  const note = JSON.parse(readFileSync(join(shop, 'mariadb.json'), 'utf8')) as { pidFile: string }
  process.kill(Number(readFileSync(note.pidFile, 'utf8')), 'SIGKILL')
  await hears(/The database is back\./)
  await expect.poll(door, { timeout: 60_000 }).toMatchObject({ house: 'shut', bench: { name: 'window bench' } })
  const servers = spawnSync('pgrep', ['-P', String(running.pid), '-f', 'dist/main.js'], { encoding: 'utf8' }).stdout
  process.kill(Number(servers.trim().split('\n')[0]), 'SIGKILL')
  await hears(/The server is back\./)
  await expect.poll(door, { timeout: 60_000 }).toMatchObject({ house: 'shut', bench: { name: 'window bench' } })
})

test('its owner sees the backups, and what each trial found', async () => {
  expect(command('backup', shop).code).toBe(0)
  const shown = (): Promise<unknown> =>
    fetch(`${address}/api/v1/shop/backups`, { headers: { cookie, 'Sure-Spool-Seat': seat } }).then(
      (response) => response.json(),
      () => 'away',
    )
  const tried = expect.objectContaining({ differ: [] })
  await expect
    .poll(shown)
    .toEqual({ kept: true, backups: expect.arrayContaining([expect.objectContaining({ tried })]) })
})

test('an owner who cannot come in is let in from this machine', () => {
  const { code, words } = command('owner', shop, 'Tam', 'Reyes-Holt')
  expect([code, words]).toEqual([0, expect.stringMatching(/Tam Reyes-Holt owns this shop\. PIN \d{6}, password \S+/)])
})

test('a backup is tried at once, comes back into an empty shop alone, and only whole', () => {
  const backup = command('backup', shop)
  expect([backup.code, backup.words]).toEqual([
    0,
    expect.stringMatching(/Brought back on trial: \d+ tables, every one the same\./),
  ])
  const folder = join(shop, 'backups')
  const file = join(folder, readdirSync(folder).find((name) => name.endsWith('.sql.gz')) ?? '')
  const over = command('restore', shop, file)
  expect([over.code, over.words]).toEqual([1, expect.stringContaining('nothing is overwritten')])
  const back = command('restore', another, file)
  expect([back.code, back.words]).toEqual([0, expect.stringMatching(/people: 2 rows[\s\S]*Brought back\./)])
  appendFileSync(file, 'x')
  const spoilt = command('restore', another, file)
  expect([spoilt.code, spoilt.words]).toEqual([1, expect.stringContaining('its hash is another')])
  expect(command('restore', another).words).toContain('Say which')
})

test('an open house is refused anywhere but on its own machine, by the demo and by the server', () => {
  const open = { ...process.env, OPEN_HOUSE: '1' }
  for (const more of [{ HOST: '0.0.0.0' }, { ALLOWED_HOSTS: 'bench.example' }, { BEHIND_PROXY: '1' }]) {
    const { status, stdout } = spawnSync(process.execPath, ['apps/server/dist/main.js'], {
      env: { ...open, ...more },
      encoding: 'utf8',
      timeout: 60_000,
    })
    expect([more, status, stdout]).toEqual([more, 1, expect.stringContaining('listens on this machine alone')])
  }
  const demo = spawnSync(process.execPath, ['tools/demo.mjs'], {
    env: { ...process.env, HOST: '0.0.0.0' },
    encoding: 'utf8',
    timeout: 60_000,
  })
  expect([demo.status, demo.stderr]).toEqual([1, expect.stringContaining('For a network: npm start')])
})

test('the last backup of each of fourteen days is kept, and of each of twelve months', () => {
  const begin = Date.UTC(2025, 0, 1)
  const files = Array.from({ length: 2 * 600 }, (_, half) => {
    const at = new Date(begin + half * 43_200_000).toISOString().replace(/[:.]/g, '-')
    return `shop-${at}.sql.gz`
  })
  const gone = new Set(outdated(files))
  const kept = files.filter((file) => !gone.has(file))
  const days = kept.map((file) => /-(\d{4}-\d{2}-\d{2})T12/.exec(file)?.[1])
  expect(kept).toHaveLength(14 + 11)
  expect(days.slice(-14)).toEqual(
    files
      .slice(-28)
      .filter((_, i) => i % 2 === 1)
      .map((file) => file.slice(5, 15)),
  )
  expect(days.slice(0, 3)).toEqual(['2025-09-30', '2025-10-31', '2025-11-30'])
  expect(outdated(files.slice(0, 2))).toEqual([files[0]])
})
