import { tagsInBlock, type TagBlock } from '@sure-spool/contract'
import { databaseCode } from '../database/codes'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { readSettings } from '../repositories/shop'
import { insertTagBlock, lastReserved } from '../repositories/tagBlocks'
import { lastTagNumber } from '../repositories/units'
import { allowed } from './access'

/**
 * The number behind every tag of a prefix that a unit has, or that a bench may give.
 * @example
 * ```ts
 * await nextNumber(queries, 'SQ-') // 461 where SQ-0447 is the last there is, and 448 to 460 are benches' own
 * ```
 */
export const nextNumber = async (queries: Queries, prefix: string): Promise<number> =>
  Math.max(await lastTagNumber(queries, prefix), await lastReserved(queries, prefix)) + 1

/** Numbers for one bench alone: with them it names parts also while the server is away. @throws ProblemError 403 for who only reads, 422 for a stranger */
export async function reserveTags(database: Database, by: string): Promise<TagBlock> {
  for (let meetings = 0; ; meetings++) {
    try {
      return await reserveOnce(database, by)
    } catch (error) {
      // two benches that asked at once for the same numbers: the one that lost takes those behind
      if (meetings === mostMeetings || databaseCode(error) !== 'ER_DUP_ENTRY') throw error
    }
  }
}
const mostMeetings = 60

const reserveOnce = (database: Database, by: string): Promise<TagBlock> =>
  inTransaction(database, async (queries) => {
    await allowed(queries, by, 'learner')
    const { tagPrefix: prefix } = await readSettings(queries)
    const from = await nextNumber(queries, prefix)
    const block = { prefix, from, to: from + tagsInBlock - 1 }
    await insertTagBlock(queries, { ...block, by, at: new Date().toISOString() })
    return block
  })
