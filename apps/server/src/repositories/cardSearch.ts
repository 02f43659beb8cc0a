import { figuresOf, wordsOf, type Card } from '@sure-spool/core'
import { and, gte, inArray, isNotNull, sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { cards, type CardSearch } from '../database/schema'

export type { CardSearch } from '../database/schema'

/** What a published card can be found by. */
export const searchOf = (card: Card): CardSearch => ({
  revision: card.revision,
  partNumbers: card.name.partNumbers,
  words: wordsOf(card),
  figures: figuresOf(card),
})

/** Stamps cards again at the end of a long transaction, so that an index that looked in the meantime looks again. */
export async function stampChanged(queries: Queries, ids: string[]): Promise<void> {
  for (let from = 0; from < ids.length; from += 1000)
    await queries
      .update(cards)
      .set({ changedAt: sql`utc_timestamp(3)` })
      .where(inArray(cards.id, ids.slice(from, from + 1000)))
}

/** A moment as the database writes it, and the card that was changed then. */
export interface Changed {
  id: string
  changedAt: string
}

/**
 * Published cards changed since a moment. A transaction may have stamped its cards a moment before it was committed: the five seconds
 * before it are looked at again.
 * @param since as the database wrote it; empty for all
 */
export async function changedSince(queries: Queries, since: string): Promise<Changed[]> {
  const later =
    since === ''
      ? undefined
      : sql`${cards.changedAt} > least(cast(${since} as datetime(3)), utc_timestamp(3) - interval 5 second)`
  return queries
    .select({ id: cards.id, changedAt: sql<string>`cast(${cards.changedAt} as char)` })
    .from(cards)
    .where(and(isNotNull(cards.published), later))
    .orderBy(cards.id)
}

/** What some published cards can be found by. */
export const searchRows = (queries: Queries, ids: string[]) =>
  queries
    .select({
      id: cards.id,
      maker: cards.maker,
      model: cards.model,
      family: cards.family,
      published: cards.published,
      search: cards.search,
    })
    .from(cards)
    .where(and(inArray(cards.id, ids), gte(cards.published, 1)))
