import { setTimeout as pause } from 'node:timers/promises'
import type { Pool, ResultSetHeader } from 'mysql2/promise'
import { v7 } from 'uuid'
import { databaseCode } from './codes'

/** How long a server that says nothing more is taken for one at work, seconds. */
const holdsS = 30
const asksMs = 250

/**
 * Does work that one server at a time may do. A row, not a lock of the database's own: in a cluster those hold on one node alone.
 * What a killed server held lapses after half a minute.
 * @param pool with a connection to spare beside those that the work takes
 */
export async function alone<T>(pool: Pool, work: () => Promise<T>): Promise<T> {
  const holder = v7()
  await pool.query(
    'CREATE TABLE IF NOT EXISTS migration_lock (one tinyint PRIMARY KEY, holder char(36) NOT NULL, until datetime(3) NOT NULL)',
  )
  await pool.query("INSERT IGNORE INTO migration_lock VALUES (1, '', '2000-01-01')")
  // two nodes of a cluster that took it at one moment: the one that is told so asks again
  const met = (error: unknown): false => {
    if (databaseCode(error) === 'ER_LOCK_DEADLOCK') return false
    throw error
  }
  const take = async (): Promise<boolean> => {
    const [{ affectedRows }] = await pool.query<ResultSetHeader>(
      `UPDATE migration_lock SET holder = ?, until = UTC_TIMESTAMP(3) + INTERVAL ${holdsS} SECOND
       WHERE one = 1 AND (holder = ? OR until < UTC_TIMESTAMP(3))`,
      [holder, holder],
    )
    return affectedRows === 1
  }
  while (!(await take().catch(met))) await pause(asksMs)
  // one renewal that does not get through is made up for by the next
  const renew = setInterval(() => void take().catch(() => false), (holdsS * 1000) / 3)
  try {
    return await work()
  } finally {
    clearInterval(renew)
    await pool.query("UPDATE migration_lock SET until = '2000-01-01' WHERE holder = ?", [holder])
  }
}
