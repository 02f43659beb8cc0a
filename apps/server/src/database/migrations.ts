import { readMigrationFiles, type MigrationMeta } from 'drizzle-orm/migrator'
import type { Pool, RowDataPacket } from 'mysql2/promise'
import { databaseCode } from './codes'
import { alone } from './migrationLock'

/** The database is further on than this program knows. */
export class NewerSchema extends Error {
  constructor() {
    super(
      'A newer Sure Spool has worked with this database, and this older one would not keep all that stands in it. Start the newer one, or bring a backup from before it back into an empty shop (npm run restore).',
    )
  }
}

/** Where the schema's own table of what was done is kept, by the name its generator gives it. */
const done = '__drizzle_migrations'

/** A statement that was begun and not noted as done may have been done: the database then says one of these. */
const doneBefore = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_TRG_ALREADY_EXISTS',
  'ER_BAD_TABLE_ERROR',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_TRG_DOES_NOT_EXIST',
])

/**
 * Brings the tables of a database up to date: one server at a time, each statement noted before and after, so that what was killed at any
 * of them goes on from there. A statement that changes rows is noted in its own transaction, and never done twice.
 * @param folder of the migrations as drizzle-kit writes them
 * @throws NewerSchema where a later program was here
 */
export async function bringUpToDate(pool: Pool, folder: string): Promise<void> {
  const known = readMigrationFiles({ migrationsFolder: folder })
  const last = known.at(-1)?.folderMillis ?? 0
  if ((await reached(pool)) === last) return
  await alone(pool, async () => {
    await pool.query(
      `CREATE TABLE IF NOT EXISTS ${done} (id serial PRIMARY KEY, hash text NOT NULL, created_at bigint)`,
    )
    await pool.query(
      'CREATE TABLE IF NOT EXISTS migration_steps (migration bigint, step int, done tinyint NOT NULL, PRIMARY KEY (migration, step))',
    )
    const at = await reached(pool)
    if (at > last) throw new NewerSchema()
    for (const migration of known.filter(({ folderMillis }) => folderMillis > at)) await apply(pool, migration)
  })
}

/** The last migration that was done, by when it was written (milliseconds); 0 in an empty database. */
async function reached(pool: Pool): Promise<number> {
  try {
    const [rows] = await pool.query<RowDataPacket[]>(`SELECT MAX(created_at) AS at FROM ${done}`)
    return Number(rows[0]?.['at'] ?? 0)
  } catch (error) {
    if (databaseCode(error) === 'ER_NO_SUCH_TABLE') return 0
    throw error
  }
}

async function apply(pool: Pool, { sql, folderMillis, hash }: MigrationMeta): Promise<void> {
  const [rows] = await pool.query<RowDataPacket[]>('SELECT step, done FROM migration_steps WHERE migration = ?', [
    folderMillis,
  ])
  const noted = new Map(rows.map((row) => [Number(row['step']), Number(row['done']) === 1]))
  for (const [step, statement] of sql.entries()) {
    if (noted.get(step) === true) continue
    if (/^\s*(update|insert|delete|replace)\b/i.test(statement)) await changeRows(pool, statement, [folderMillis, step])
    else await changeTables(pool, statement, [folderMillis, step], noted.has(step))
  }
  await pool.query(`INSERT INTO ${done} (hash, created_at) VALUES (?, ?)`, [hash, folderMillis])
}

type Place = [migration: number, step: number]

async function changeTables(pool: Pool, statement: string, place: Place, begun: boolean): Promise<void> {
  if (!begun) await pool.query('INSERT INTO migration_steps VALUES (?, ?, 0)', place)
  try {
    await pool.query(statement)
  } catch (error) {
    const code = databaseCode(error) ?? ''
    // what the database itself refused was not done: the next start may not take it for done
    if (!begun && code.startsWith('ER_'))
      await pool.query('DELETE FROM migration_steps WHERE migration = ? AND step = ?', place)
    if (!begun || !doneBefore.has(code)) throw error
  }
  await pool.query('UPDATE migration_steps SET done = 1 WHERE migration = ? AND step = ?', place)
}

async function changeRows(pool: Pool, statement: string, place: Place): Promise<void> {
  const connection = await pool.getConnection()
  try {
    await connection.beginTransaction()
    await connection.query(statement)
    await connection.query('INSERT INTO migration_steps VALUES (?, ?, 1)', place)
    await connection.commit()
  } catch (error) {
    await connection.rollback()
    throw error
  } finally {
    connection.release()
  }
}
