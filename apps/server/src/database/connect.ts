import { sql } from 'drizzle-orm'
import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2'
import { createConnection, createPool, type Pool } from 'mysql2/promise'
import { databaseCode } from './codes'
import { grant } from './grants'
import { bringUpToDate } from './migrations'
import * as schema from './schema'

export type Database = MySql2Database<typeof schema>
/** The database or a transaction of it: what a repository takes. */
export type Queries = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'execute'>

export interface Connection {
  database: Database
  pool: Pool
  close: () => Promise<void>
}

/**
 * Opens a pool on a MariaDB URL, makes the database if it is missing, and brings its tables up to date.
 * @throws NewerSchema where a later program has worked with it
 * @param adminUrl where the server's own user may not do that: who may, and gives that user its rights; without it nobody else is needed
 */
export async function connect(url: string, migrationsFolder: string, adminUrl?: string): Promise<Connection> {
  await makeDatabase(adminUrl ?? url)
  const admin = openDatabase(adminUrl ?? url, 2)
  try {
    await bringUpToDate(admin.pool, migrationsFolder)
    const connection = adminUrl === undefined ? undefined : await admin.pool.getConnection()
    if (connection) await grant(connection, url).finally(() => connection.release())
  } finally {
    await admin.close()
  }
  return openDatabase(url, 10)
}

/** Opens a pool of at most so many connections on a database that is up to date. */
export function openDatabase(url: string, connectionLimit: number): Connection {
  const pool = createPool({
    uri: url,
    connectionLimit,
    timezone: 'Z',
    jsonStrings: true,
    dateStrings: true,
    connectTimeout: 5000,
    enableKeepAlive: true,
  })
  return { database: drizzle(pool, { schema, mode: 'default' }), pool, close: () => pool.end() }
}

/** Whether the database answers. @throws the driver's error where it does not */
export async function ping(database: Database): Promise<void> {
  await database.execute(sql`select 1`)
}

/** Sends several statements in one round trip, in their order. The first that fails ends them, and fails as it would have alone. */
export async function inOneTrip(queries: Queries, statements: string[]): Promise<void> {
  if (statements.length > 0) await queries.execute(sql.raw(`begin not atomic ${statements.join('; ')}; end`))
}

/** Reads as of one moment, whatever is written meanwhile. */
export const inSnapshot = <T>(database: Database, work: (queries: Queries) => Promise<T>): Promise<T> =>
  database.transaction(work, { isolationLevel: 'repeatable read', withConsistentSnapshot: true })

async function makeDatabase(url: string): Promise<void> {
  const { pathname } = new URL(url)
  const name = decodeURIComponent(pathname.slice(1))
  if (!/^[A-Za-z0-9_]{1,64}$/.test(name))
    throw new Error(`The database name "${name}" may hold letters, digits and _ only.`)
  const connection = await createConnection({ uri: url.replace(pathname, '/'), connectTimeout: 5000 })
  await connection.query(`CREATE DATABASE IF NOT EXISTS \`${name}\` CHARACTER SET utf8mb4`)
  await connection.end()
}

const again = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'])

/** Whether two met on one row, so that the same may go well another time; a cluster's certification failure is one of these. */
export const metAnother = (error: unknown): boolean => again.has(databaseCode(error) ?? '')

/** Runs a transaction, and again (up to five times) where two met on one row. */
export async function inTransaction<T>(database: Database, work: (transaction: Queries) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await database.transaction(work)
    } catch (error) {
      if (attempt === 5 || !metAnother(error)) throw error
    }
  }
}
