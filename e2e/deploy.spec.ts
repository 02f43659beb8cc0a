import { spawn, type ChildProcess } from 'node:child_process'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import { isBehind } from '../tools/lib/behind.mjs'
import { anyPort } from '../tools/lib/database.mjs'
import { startServer, type RunningServer } from '../tools/lib/server.mjs'
import { BenchPage } from './benchPage'
import { certificateIn } from './certificate'
import { firstRun, furnish, gone, setupCode, sit } from './doorSteps'
import { expect, test } from './world'

/** The shop as deploy/nginx.conf runs it: TLS in front of two servers on one database. */
test.use({
  ignoreHTTPSErrors: true,
  // the certificate is this test's own, so no browser keeps a program by it
  tolerated: /status of (401|502)|ERR_CONNECTION|SSL certificate error|ServiceWorker/,
})
test.setTimeout(300_000)

const folder = mkdtempSync(join(tmpdir(), 'spool-nginx-'))
const servers: RunningServer[] = []
let nginx: ChildProcess
let address = ''

const databaseUrl = `${process.env['TEST_DATABASE_URL']?.replace(/\/$/, '')}/spool_test_e2e_two`
const begin = (port: number): Promise<RunningServer> =>
  startServer({
    port,
    databaseUrl,
    setupCode,
    logFile: '.data/spool_test_two.log',
    env: { BEHIND_PROXY: '1', ALLOWED_HOSTS: 'bench.example' },
  })

test.beforeAll(async () => {
  const connection = await createConnection(process.env['TEST_DATABASE_URL'] ?? '')
  await connection.query('DROP DATABASE IF EXISTS spool_test_e2e_two')
  await connection.end()
  const [front, one, two] = [await anyPort(), await anyPort(), await anyPort()]
  // both at once: one of them makes the tables, the other waits for it
  servers.push(...(await Promise.all([begin(one), begin(two)])))
  const { cert, key } = certificateIn(folder)
  const site = readFileSync('deploy/nginx.conf', 'utf8')
    .replace('listen 443', `listen 127.0.0.1:${front}`)
    .replace('server_name bench.example', 'server_name bench.example 127.0.0.1')
    .replace('127.0.0.1:4180', `127.0.0.1:${one}`)
    .replace('# server 127.0.0.1:4181', `server 127.0.0.1:${two}`)
    .replace('/etc/ssl/bench.example.pem', cert)
    .replace('/etc/ssl/private/bench.example.key', key)
  mkdirSync(join(folder, 'logs'))
  const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi']
  writeFileSync(
    join(folder, 'nginx.conf'),
    `daemon off; pid ${folder}/pid; error_log ${folder}/logs/error.log; events {} http { access_log off; ${temporary
      .map((name) => `${name}_temp_path ${folder}/${name};`)
      .join(' ')} ${site} }`,
  )
  const user = process.getuid?.() === 0 ? ['-g', 'user root;'] : []
  nginx = spawn('nginx', ['-p', folder, '-c', join(folder, 'nginx.conf'), ...user], { stdio: 'ignore' })
  address = `https://127.0.0.1:${front}`
})
test.afterAll(async () => {
  nginx.kill()
  await Promise.all(servers.map((server) => server.stop()))
  rmSync(folder, { recursive: true, force: true })
})

test('behind nginx two servers are one: a bench is joined over TLS, and each is shot in the middle of a run', async ({
  page,
  context,
}) => {
  await firstRun(page, address)
  const cookies = await context.cookies()
  expect(cookies.find(({ name }) => name.startsWith('__Host-'))).toMatchObject({
    secure: true,
    httpOnly: true,
    sameSite: 'Strict',
  })
  const answer = await page.request.get(`${address}/healthz`)
  expect(answer.headers()['strict-transport-security']).toContain('max-age=31536000')

  await furnish(page, address)
  await page.goto(address)
  const bench = new BenchPage(page, address)
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.allSent()
  const shoot = async (which: number) => {
    const server = servers[which]
    if (!server) throw new Error('no such server')
    server.child.kill('SIGKILL')
    return async () => {
      servers[which] = await begin(Number(new URL(server.address).port))
    }
  }
  const back = await shoot(0)
  await bench.type('322')
  await bench.allSent()
  await back()
  await shoot(1)
  await bench.type('36.9')
  await bench.allSent()
  await page.getByRole('button', { name: /At the bench/ }).click()
  await sit(page, 'Wil Dace', '1357')
  await gone(page)
  await page.reload()
  await expect(bench.tape).toContainText('322')
  await expect(bench.tape).toContainText('36.9')
})

test('a program that will change the tables of a shop is told from one that will not, so that the shop is backed up first', async () => {
  const journal = join(folder, 'journal.json')
  writeFileSync(journal, JSON.stringify({ entries: [{ when: 1 }, { when: 4_000_000_000_000 }] }))
  expect(await isBehind(databaseUrl)).toBe(false)
  expect(await isBehind(databaseUrl, journal)).toBe(true)
  const url = new URL(databaseUrl)
  expect(await isBehind(url.href.replace(url.pathname, '/spool_test_nowhere'), journal)).toBe(false)
  expect(await isBehind(url.href.replace(url.pathname, '/mysql'), journal)).toBe(false)
})
