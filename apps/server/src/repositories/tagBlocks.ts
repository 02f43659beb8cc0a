import type { TagBlock } from '@sure-spool/contract'
import { eq, max } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { tagBlocks } from '../database/schema'

/** The last number that is some bench's own, of those with a prefix; 0 where there is none. */
export async function lastReserved(queries: Queries, prefix: string): Promise<number> {
  const [row] = await queries
    .select({ last: max(tagBlocks.to) })
    .from(tagBlocks)
    .where(eq(tagBlocks.prefix, prefix))
  return row?.last ?? 0
}

export async function insertTagBlock(queries: Queries, block: TagBlock & { by: string; at: string }): Promise<void> {
  await queries.insert(tagBlocks).values(block)
}
