import { eq, lt, sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { heldFiles } from '../database/schema'

export type HeldFile = typeof heldFiles.$inferSelect

/** Holds a file that was shown until somebody keeps it; what was held for more than a day goes. */
export async function holdFile(queries: Queries, file: HeldFile): Promise<void> {
  await queries.delete(heldFiles).where(lt(heldFiles.at, sql`utc_timestamp(3) - interval 1 day`))
  await queries.insert(heldFiles).values(file)
}

export async function heldFile(queries: Queries, id: string): Promise<HeldFile | undefined> {
  const [row] = await queries.select().from(heldFiles).where(eq(heldFiles.id, id)).for('update')
  return row
}

export async function letGo(queries: Queries, id: string): Promise<void> {
  await queries.delete(heldFiles).where(eq(heldFiles.id, id))
}
