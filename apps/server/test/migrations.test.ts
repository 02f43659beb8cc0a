import { afterAll, beforeEach, describe, expect, test } from '@jest/globals'
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection, createPool, type Connection, type Pool, type RowDataPacket } from 'mysql2/promise'
import { bringUpToDate, NewerSchema } from '../src/database/migrations'

const root = process.env['TEST_DATABASE_URL']?.replace(/\/$/, '')
if (!root) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test.')
const folder = 'apps/server/drizzle'
const name = `spool_test_migrations${process.env['STRYKER_MUTATOR_WORKER'] ?? ''}`
const url = `${root}/${name}`
const pools: Pool[] = []

const open = (): Pool => {
  const pool = createPool({ uri: url, connectionLimit: 3, timezone: 'Z' })
  pools.push(pool)
  return pool
}
const asRoot = async <T>(work: (connection: Connection) => Promise<T>): Promise<T> => {
  const connection = await createConnection(root)
  return work(connection).finally(() => connection.end())
}
const empty = () =>
  asRoot(async (connection) => {
    await connection.query(`DROP DATABASE IF EXISTS ${name}`)
    await connection.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`)
  })

/** What the tables, indexes and triggers of the database are. */
async function shape(): Promise<RowDataPacket[][]> {
  return asRoot(async (connection) => {
    const asked = [
      'SELECT table_name, column_name, column_type, is_nullable, column_default FROM information_schema.columns WHERE table_schema = ? ORDER BY 1, 2',
      'SELECT table_name, index_name, seq_in_index, column_name, non_unique FROM information_schema.statistics WHERE table_schema = ? ORDER BY 1, 2, 3',
      'SELECT trigger_name, action_statement FROM information_schema.triggers WHERE trigger_schema = ? ORDER BY 1',
    ]
    const found: RowDataPacket[][] = []
    for (const one of asked) found.push((await connection.query<RowDataPacket[]>(one, [name]))[0])
    return found
  })
}
const applied = async (): Promise<number[]> =>
  (await open().query<RowDataPacket[]>('SELECT created_at FROM __drizzle_migrations ORDER BY created_at'))[0].map(
    (row) => Number(row['created_at']),
  )
const known = (
  JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as { entries: { when: number }[] }
).entries.map(({ when }) => when)

class Killed extends Error {}
/** A server that is killed at its so-manieth statement that changes tables: before it is sent, or when it was done and not yet noted. */
function killedAt(nth: number, moment: 'before' | 'after'): Pool {
  const pool = open()
  let seen = 0
  const query = pool.query.bind(pool)
  pool.query = (async (sql: string, values?: number[]) => {
    const changes = /^\s*(create (table `|index|unique|trigger)|alter)/i.test(sql)
    const dies = changes && ++seen === nth
    if (dies && moment === 'before') throw new Killed()
    const answer = await query(sql, values)
    if (dies) throw new Killed()
    return answer
  }) as Pool['query']
  return pool
}

beforeEach(empty)
afterAll(async () => {
  await Promise.all(pools.map((pool) => pool.end()))
  await asRoot((connection) => connection.query(`DROP DATABASE IF EXISTS ${name}`))
})

describe('tables are brought up to date', () => {
  test('killed at every single statement, they end as if nothing had been', async () => {
    await bringUpToDate(open(), folder)
    const whole = await shape()
    await empty()
    // the first goes through where it was left, the second kills again: every one is met in either way or the other
    let kills = 0
    for (let done = false; !done; kills++)
      await bringUpToDate(killedAt(2, kills % 2 ? 'before' : 'after'), folder).then(
        () => (done = true),
        (error: unknown) => {
          if (!(error instanceof Killed)) throw error
        },
      )
    expect(kills).toBeGreaterThan(20)
    expect(await shape()).toEqual(whole)
    expect(await applied()).toEqual(known)
  }, 120_000)

  test('by one of four servers that start at once; the others wait and find it done', async () => {
    await Promise.all([open(), open(), open(), open()].map((pool) => bringUpToDate(pool, folder)))
    expect(await applied()).toEqual(known)
  }, 60_000)

  test('when what a killed server held has lapsed', async () => {
    const pool = open()
    await bringUpToDate(pool, folder)
    await pool.query('DELETE FROM __drizzle_migrations WHERE created_at = ?', [known.at(-1)])
    await pool.query(
      "UPDATE migration_lock SET holder = 'gone', until = UTC_TIMESTAMP(3) + INTERVAL 700000 MICROSECOND",
    )
    const lapses = Date.now() + 650
    await bringUpToDate(pool, folder)
    expect(Date.now()).toBeGreaterThanOrEqual(lapses)
    expect(await applied()).toEqual(known)
  })

  test('rows are changed once, whatever happens behind it', async () => {
    const more = mkdtempSync(join(tmpdir(), 'spool-migrations-'))
    cpSync(folder, more, { recursive: true })
    const journal = JSON.parse(readFileSync(join(more, 'meta/_journal.json'), 'utf8')) as { entries: unknown[] }
    journal.entries.push({ idx: 99, version: '5', when: 4_000_000_000_000, tag: 'more', breakpoints: true })
    writeFileSync(join(more, 'meta/_journal.json'), JSON.stringify(journal))
    writeFileSync(
      join(more, 'more.sql'),
      'UPDATE `settings` SET `id` = id + 1;--> statement-breakpoint\nCREATE INDEX `more` ON `settings` (`id`);',
    )
    const pool = open()
    await bringUpToDate(pool, folder)
    await pool.query('DELETE FROM settings')
    await pool.query("INSERT INTO settings (id, body) VALUES (1, '{}')")
    await expect(bringUpToDate(killedAt(1, 'after'), more)).rejects.toThrow(Killed)
    await bringUpToDate(pool, more)
    const [rows] = await pool.query<RowDataPacket[]>('SELECT id FROM settings')
    expect(rows.map((row) => Number(row['id']))).toEqual([2])

    await expect(bringUpToDate(pool, folder)).rejects.toThrow(NewerSchema)
    rmSync(more, { recursive: true })
  })

  test('a statement that fails for a reason of its own is not passed over', async () => {
    const pool = open()
    await pool.query('CREATE TABLE units (id int)')
    for (let starts = 0; starts < 2; starts++) await expect(bringUpToDate(pool, folder)).rejects.toThrow(/units/)
    await expect(applied()).resolves.toEqual([])
  })
})
