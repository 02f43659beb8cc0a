import type { CardRow } from '@sure-spool/contract'
import { and, asc, desc, eq, gt, inArray, isNotNull, or } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { cardRevisions, cards } from '../database/schema'
import { talliesOf } from './cardTallies'

export interface CardPage {
  after?: { maker: string; model: string; id: string } | undefined
  limit: number
}

/** Published cards by maker and model, a page at a time. */
export async function listCards(queries: Queries, { after, limit }: CardPage): Promise<CardRow[]> {
  const rows = await queries
    .select({ id: cards.id, maker: cards.maker, model: cards.model, family: cards.family, body: cardRevisions.body })
    .from(cards)
    .innerJoin(cardRevisions, and(eq(cardRevisions.card, cards.id), eq(cardRevisions.revision, cards.published)))
    .where(
      and(
        isNotNull(cards.published),
        after === undefined
          ? undefined
          : or(
              gt(cards.maker, after.maker),
              and(
                eq(cards.maker, after.maker),
                or(gt(cards.model, after.model), and(eq(cards.model, after.model), gt(cards.id, after.id))),
              ),
            ),
      ),
    )
    .orderBy(asc(cards.maker), asc(cards.model), asc(cards.id))
    .limit(limit)
  return withUnits(
    queries,
    rows.map(({ body, ...row }) => ({ ...row, revision: body.revision, partNumbers: body.name.partNumbers })),
  )
}

/** Cards somebody is still writing, the last one touched first. */
export async function listDrafts(queries: Queries, limit: number): Promise<CardRow[]> {
  const rows = await queries
    .select({ body: cardRevisions.body })
    .from(cardRevisions)
    .where(eq(cardRevisions.state, 'draft'))
    .orderBy(desc(cardRevisions.at), desc(cardRevisions.card))
    .limit(limit)
  return withUnits(
    queries,
    rows.map(({ body: { id, revision, family, name } }) => ({
      id,
      revision,
      family,
      maker: name.maker,
      model: name.model,
      partNumbers: name.partNumbers,
      draft: true as const,
    })),
  )
}

/** Rows of a list with how many units of each card were ever taken in. */
export async function withUnits<R extends { id: string }>(
  queries: Queries,
  rows: R[],
): Promise<(R & { units: number })[]> {
  const tallies = await talliesOf(
    queries,
    rows.map((row) => row.id),
  )
  return rows.map((row) => ({ ...row, units: tallies(row.id).takenIn }))
}

/** The id of the card of this very maker and model, if one is here. */
export async function cardIdByName(
  queries: Queries,
  { maker, model }: { maker: string; model: string },
): Promise<string | undefined> {
  const [row] = await queries
    .select({ id: cards.id })
    .from(cards)
    .where(and(eq(cards.maker, maker), eq(cards.model, model)))
  return row?.id
}

/** Those of some ids that are cards here. */
export async function cardsHere(queries: Queries, ids: string[]): Promise<Set<string>> {
  if (ids.length === 0) return new Set()
  const rows = await queries.select({ id: cards.id }).from(cards).where(inArray(cards.id, ids))
  return new Set(rows.map(({ id }) => id))
}

/** The newest published revision of a card, as it is measured against; undefined for a sketch or a card of drafts. */
export async function publishedRevision(queries: Queries, id: string): Promise<number | undefined> {
  const [row] = await queries.select({ published: cards.published }).from(cards).where(eq(cards.id, id))
  return row?.published ?? undefined
}

/** What a card's model is called, with its maker; empty where the card is not here. */
export async function modelOf(queries: Queries, id: string): Promise<string> {
  const [card] = await queries.select({ maker: cards.maker, model: cards.model }).from(cards).where(eq(cards.id, id))
  return card ? `${card.maker} ${card.model}`.trim() : ''
}
