import { createHash } from 'node:crypto'
import { spawn } from 'node:child_process'
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { basename, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { createConnection } from 'mysql2/promise'
import { Stop } from './say.mjs'

const ending = '.sql.gz'
const days = 14
const months = 12

/** What the database's own programs need to reach it; the password stands in no list of processes. */
function access(url) {
  const { username, password, hostname, port, pathname } = new URL(url)
  return {
    args: ['--no-defaults', `-u${decodeURIComponent(username)}`, `-h${hostname}`, `-P${port || 3306}`],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
    name: decodeURIComponent(pathname.slice(1)),
  }
}

/** Ends when the program has, with its own words where it failed. */
function ended(child, what) {
  let words = ''
  child.stderr.on('data', (data) => (words += data))
  return new Promise((resolve, reject) => {
    child.on('error', reject)
    child.on('close', (code) => (code === 0 ? resolve() : reject(new Stop(`${what} failed: ${words.trim() || code}`))))
  })
}

async function hashOf(file) {
  const hash = createHash('sha256')
  await pipeline(createReadStream(file), hash)
  return hash.digest('hex')
}

/**
 * Writes the whole database as of one moment into a file of its own, with its hash beside it; a file that is not whole never has its
 * name.
 * @returns the file
 */
export async function backUp(url, folder, now = new Date()) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const { args, env, name } = access(url)
  const file = join(folder, `${name}-${now.toISOString().replace(/[:.]/g, '-')}${ending}`)
  const unfinished = `${file}.unfinished`
  const whole = ['--single-transaction', '--quick', '--routines', '--triggers', '--events', '--hex-blob']
  const dump = spawn('mariadb-dump', [...args, ...whole, '--default-character-set=utf8mb4', name], { env })
  try {
    await Promise.all([
      pipeline(dump.stdout, createGzip(), createWriteStream(unfinished, { mode: 0o600 })),
      ended(dump, 'The backup'),
    ])
    writeFileSync(`${file}.sha256`, `${await hashOf(unfinished)}  ${basename(file)}\n`, { mode: 0o600 })
    renameSync(unfinished, file)
  } finally {
    rmSync(unfinished, { force: true })
  }
  return file
}

/** The backups of a folder, the oldest first. */
export const backupsIn = (folder) =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => name.endsWith(ending))
        .sort()
        .map((name) => join(folder, name))
    : []

const dayOf = (file) => /-(\d{4}-\d{2}-\d{2})T/.exec(basename(file))?.[1] ?? ''

/**
 * Which backups go by the rule: the last one of each of the last fourteen days, and of each of the last twelve months, stays.
 * @param files the oldest first
 */
export function outdated(files) {
  const lastOf = (key) => [...new Map(files.map((file) => [key(file), file])).values()]
  const kept = new Set([...lastOf(dayOf).slice(-days), ...lastOf((file) => dayOf(file).slice(0, 7)).slice(-months)])
  return files.filter((file) => !kept.has(file))
}

/** Throws away what the rule keeps no longer. */
export function tidy(folder) {
  const gone = outdated(backupsIn(folder))
  for (const file of gone) for (const one of [file, `${file}.sha256`]) rmSync(one, { force: true })
  return gone.length
}

/** @throws Stop where the file is not whole, or is not the one that was written */
async function checked(file) {
  if (!existsSync(file)) throw new Stop(`${file} is not there.`)
  if (!existsSync(`${file}.sha256`)) throw new Stop(`${file}.sha256 is missing: nothing says that the file is whole.`)
  const [said] = readFileSync(`${file}.sha256`, 'utf8').split(' ')
  if (said !== (await hashOf(file)))
    throw new Stop(`${file} is not what was written: its hash is another. Take another.`)
}

const withoutName = (url) => {
  const at = new URL(url)
  at.pathname = '/'
  return at.href
}

async function fill(url, file) {
  const { args, env, name } = access(url)
  const child = spawn('mariadb', [...args, '--default-character-set=utf8mb4', name], { env })
  await Promise.all([pipeline(createReadStream(file), createGunzip(), child.stdin), ended(child, 'The restore')])
}

async function tablesOf(connection, name) {
  const [rows] = await connection.query(
    'SELECT table_name AS one FROM information_schema.tables WHERE table_schema = ?',
    [name],
  )
  return rows.map(({ one }) => one).sort()
}

/** How much there is in each table of a database, and a sum over all of it. */
async function counted(connection, name) {
  const counts = {}
  for (const table of await tablesOf(connection, name)) {
    const place = `\`${name}\`.\`${table}\``
    const [[{ n }]] = await connection.query(`SELECT COUNT(*) AS n FROM ${place}`)
    const [[{ Checksum: sum }]] = await connection.query(`CHECKSUM TABLE ${place}`)
    counts[table] = `${n} rows, ${sum}`
  }
  return counts
}

/**
 * Brings a backup back into an empty database.
 * @throws Stop where the file is not whole, or where there is anything in the database
 */
export async function restore(url, file) {
  await checked(file)
  const { name } = access(url)
  const connection = await createConnection(withoutName(url))
  try {
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${name}\` CHARACTER SET utf8mb4`)
    if ((await tablesOf(connection, name)).length > 0)
      throw new Stop(`There is a shop in ${name} already, and nothing is overwritten. Restore into another database.`)
    await fill(url, file)
    return await counted(connection, name)
  } finally {
    await connection.end()
  }
}

/**
 * Brings a backup back on trial, into a database beside the shop's that goes again, and holds it against the shop as it is.
 * @returns the tables that differ from the shop's, as they do where work went on since
 */
export async function rehearse(url, file) {
  const trial = new URL(url)
  const { name } = access(url)
  trial.pathname = `/${name}_trial`
  const connection = await createConnection(withoutName(url))
  try {
    await connection.query(`DROP DATABASE IF EXISTS \`${name}_trial\``)
    const restored = await restore(trial.href, file)
    const here = await counted(connection, name)
    const differ = Object.keys(here).filter((table) => here[table] !== restored[table])
    writeFileSync(
      `${file}.tried`,
      JSON.stringify({ at: new Date().toISOString(), tables: Object.keys(restored).length, differ }),
    )
    return { tables: restored, differ }
  } finally {
    await connection.query(`DROP DATABASE IF EXISTS \`${name}_trial\``)
    await connection.end()
  }
}

const dayMs = 86_400_000

/** Backs up once a day, brings it back on trial, and keeps by the rule. @returns the file; nothing where today's is there */
export async function backUpDaily(url, folder, now = new Date()) {
  const last = backupsIn(folder).at(-1)
  if (last && now.getTime() - statSync(last).mtimeMs < dayMs) return undefined
  const file = await backUp(url, folder, now)
  await rehearse(url, file)
  tidy(folder)
  return file
}
