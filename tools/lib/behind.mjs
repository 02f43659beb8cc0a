import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import { root } from './paths.mjs'

/** Whether there is a shop in a database whose tables this program will change as it starts. */
export async function isBehind(url, journal = join(root, 'apps/server/drizzle/meta/_journal.json')) {
  const last = JSON.parse(readFileSync(journal, 'utf8')).entries.at(-1)?.when ?? 0
  const connection = await createConnection(url).catch((error) => {
    if (error.code === 'ER_BAD_DB_ERROR') return undefined
    throw error
  })
  if (!connection) return false
  try {
    const [[{ at }]] = await connection.query('SELECT MAX(created_at) AS at FROM __drizzle_migrations')
    return at !== null && Number(at) < last
  } catch (error) {
    if (error.code === 'ER_NO_SUCH_TABLE') return false
    throw error
  } finally {
    await connection.end()
  }
}
