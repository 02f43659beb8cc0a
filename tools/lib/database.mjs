import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { Stop, say } from './say.mjs'
import { quiet, where } from './shell.mjs'

const sbin = (command) => where(command) ?? `/usr/sbin/${command}`
const isRoot = process.getuid?.() === 0

/** Stops the database when whoever started it is gone, even by kill -9: the shell waits on a pipe that dies with the parent. */
const leash = '"$0" "$@" & p=$!; (cat >/dev/null; kill -TERM $p) <&3 & wait $p'

/** Whether nothing listens on a loopback port. */
export function portFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })
}

/** A free loopback port. */
export function anyPort() {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}

/**
 * Starts a private MariaDB on loopback with its data in a folder, or goes on with the one that still runs there.
 * @param password its root's; without one it is for a demo or tests, and whoever is on this machine gets in
 * @param more of the database's own options, as those of a cluster
 * @param wanted the port it had before: whoever is connected finds it again
 * @returns its port, its URL without a database, whether it was found running, and how to stop it
 */
export async function startDatabase(folder, { password = '', wanted, more = [] } = {}) {
  mkdirSync(folder, { recursive: true })
  const data = join(folder, 'mariadb')
  const note = join(folder, 'mariadb.json')
  const stale = existsSync(note) ? JSON.parse(readFileSync(note, 'utf8')) : null
  if (stale && (await stillAlive(stale, password))) {
    say('Going on with the database that runs already.')
    return handle(stale.port, null, note, password)
  }
  if (!existsSync(join(data, 'mysql'))) {
    rmSync(data, { recursive: true, force: true })
    const { code, output } = quiet(where('mariadb-install-db') ?? '/usr/bin/mariadb-install-db', [
      '--no-defaults',
      `--datadir=${data}`,
      ...(isRoot ? ['--user=root'] : []),
      '--auth-root-authentication-method=normal',
      '--skip-test-db',
      '--innodb-log-file-size=8M',
    ])
    if (code !== 0)
      throw new Stop(`The database could not be set up in ${data}:\n${output.trim().split('\n').slice(-5).join('\n')}`)
  }
  const port = wanted !== undefined && (await portFree(wanted)) ? wanted : await anyPort()
  const short = mkdtempSync(join(tmpdir(), 'spool-'))
  const pidFile = join(folder, 'mariadb.pid')
  const log = openSync(join(folder, 'mariadb.log'), 'a')
  const child = spawn(
    'sh',
    [
      '-c',
      leash,
      sbin('mariadbd'),
      '--no-defaults',
      `--datadir=${data}`,
      ...(isRoot ? ['--user=root'] : []),
      `--socket=${join(short, 's')}`,
      `--pid-file=${pidFile}`,
      `--tmpdir=${short}`,
      '--skip-networking=0',
      '--bind-address=127.0.0.1',
      `--port=${port}`,
      '--skip-name-resolve',
      '--character-set-server=utf8mb4',
      '--default-time-zone=+00:00',
      '--max-allowed-packet=64M',
      ...(password === '' ? [] : [`--init-file=${rootPassword(folder, password)}`]),
      ...more,
    ],
    { detached: true, stdio: ['ignore', log, log, 'pipe'] },
  )
  child.unref()
  writeFileSync(note, JSON.stringify({ port, pidFile, data }))
  const ready = await answersWithin(port, password, child, 60_000)
  if (!ready) throw new Stop(`The database did not start; ${join(folder, 'mariadb.log')} says why.`)
  return handle(port, child, note, password, short)
}

/** Sets root's password whenever the database starts, before it lets anybody in. */
function rootPassword(folder, password) {
  const file = join(folder, 'root.sql')
  const hosts = ['localhost', '127.0.0.1', '::1']
  const lines = hosts.map((host) => `ALTER USER IF EXISTS 'root'@'${host}' IDENTIFIED BY '${password}';`)
  writeFileSync(
    file,
    `${lines.join('\n')}\nDELETE FROM mysql.global_priv WHERE User = '' OR (User = 'root' AND Host NOT IN ('localhost', '127.0.0.1', '::1'));\nFLUSH PRIVILEGES;\n`,
    {
      mode: 0o600,
    },
  )
  return file
}

function handle(port, child, note, password, short) {
  return {
    port,
    url: `mysql://root${password === '' ? '' : `:${password}`}@127.0.0.1:${port}`,
    child,
    found: child === null,
    stop: async () => {
      admin(port, password, 'shutdown')
      if (child)
        await Promise.race([
          new Promise((resolve) => (child.exitCode === null ? child.once('exit', resolve) : resolve())),
          pause(15_000, undefined, { ref: false }),
        ])
      // The open end of the leash would keep this process from ending.
      child?.stdio[3]?.destroy()
      rmSync(note, { force: true })
      if (short) rmSync(short, { recursive: true, force: true })
    },
  }
}

/** Asks the database's own program something, as root. */
const admin = (port, password, ...what) =>
  quiet('mariadb-admin', ['--no-defaults', '-uroot', '-h127.0.0.1', `-P${port}`, '--connect-timeout=2', ...what], {
    env: { ...process.env, MYSQL_PWD: password },
  }).code

const answers = (port, password) => admin(port, password, 'ping') === 0

async function answersWithin(port, password, child, ms) {
  for (const end = Date.now() + ms; Date.now() < end; await pause(100)) {
    if (child.exitCode !== null) return false
    if (answers(port, password)) return true
  }
  return false
}

/** A database left by a start that was killed goes down by itself within seconds; one that stays is ours to go on with. */
async function stillAlive({ port, pidFile, data }, password) {
  const pid = existsSync(pidFile) ? Number(readFileSync(pidFile, 'utf8')) : 0
  const ours = () => {
    try {
      return pid > 0 && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(data)
    } catch {
      return false
    }
  }
  for (const end = Date.now() + 8000; ours() && Date.now() < end; await pause(200));
  return ours() && answers(port, password)
}
