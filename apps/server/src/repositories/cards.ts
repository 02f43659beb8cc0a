import { figuresOf, wordsOf, type Card } from '@sure-spool/core'
import type { CardRecord, CardRow } from '@sure-spool/contract'
import { and, asc, desc, eq, gt, inArray, isNotNull, or, sql } from 'drizzle-orm'
import { LRUCache } from 'lru-cache'
import { hashOf } from '../canonical'
import type { Queries } from '../database/connect'
import { cardRevisions, cards, checkStates, runStates, runs, units, type CardSearch } from '../database/schema'

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
  if (rows.length === 0) return []
  const counts = await queries
    .select({ card: units.card, count: sql<number>`count(*)`.mapWith(Number) })
    .from(units)
    .where(
      inArray(
        units.card,
        rows.map((row) => row.id),
      ),
    )
    .groupBy(units.card)
  const countOf = new Map(counts.map(({ card, count }) => [card, count]))
  return rows.map((row) => ({ ...row, units: countOf.get(row.id) ?? 0 }))
}

const known = new LRUCache<string, Card>({ max: 500 })

/**
 * One revision of a card. A published revision never changes, so the parsed object is kept and shared by its hash.
 * @param hash where it is known already, the question for it is saved
 */
export async function readRevision(
  queries: Queries,
  card: string,
  revision: number,
  hash?: string,
): Promise<Card | undefined> {
  const remembered = hash === undefined ? undefined : known.get(hash)
  if (remembered) return remembered
  const [row] = await queries
    .select()
    .from(cardRevisions)
    .where(and(eq(cardRevisions.card, card), eq(cardRevisions.revision, revision)))
  if (!row) return undefined
  if (row.state === 'published') known.set(row.hash, row.body)
  return row.body
}

export async function revisionsOf(queries: Queries, card: string) {
  return queries
    .select({
      revision: cardRevisions.revision,
      state: cardRevisions.state,
      hash: cardRevisions.hash,
      by: cardRevisions.by,
      at: cardRevisions.at,
    })
    .from(cardRevisions)
    .where(eq(cardRevisions.card, card))
    .orderBy(asc(cardRevisions.revision))
}

/** Who wrote a revision, and when. */
export type Written = { by: string; at: string }

/** Keeps a revision: a new one, or the draft that stood under its number. The caller has seen to it that nothing published goes. */
export async function keepRevision(queries: Queries, card: Card, hash: string, written?: Written): Promise<void> {
  const row = { state: card.state, hash, body: card, ...(written ?? {}) }
  await queries
    .insert(cardRevisions)
    .values({ card: card.id, revision: card.revision, ...row })
    .onDuplicateKeyUpdate({ set: row })
  const head = { maker: card.name.maker, model: card.name.model, family: card.family }
  const changedAt = sql`utc_timestamp(3)`
  const [before] = await queries.select({ published: cards.published }).from(cards).where(eq(cards.id, card.id))
  if (!before) await queries.insert(cards).values({ id: card.id, ...head, published: null, search: null, changedAt })
  else if (before.published === null) await queries.update(cards).set(head).where(eq(cards.id, card.id))
  if (card.state !== 'published' || (before?.published ?? 0) >= card.revision) return
  await queries
    .update(cards)
    .set({ ...head, published: card.revision, search: searchOf(card), changedAt })
    .where(eq(cards.id, card.id))
}

const rowsAtOnce = 100

/** Keeps the first revisions of cards that are not here yet, many at a time: the next ones are hashed while the last are written. */
export async function insertCards(queries: Queries, many: Card[], written?: Written): Promise<void> {
  let writing: Promise<unknown> = Promise.resolve()
  for (let from = 0; from < many.length; from += rowsAtOnce) {
    const some = many.slice(from, from + rowsAtOnce)
    const revisions = some.map((card) => ({
      card: card.id,
      revision: card.revision,
      state: card.state,
      hash: hashOf(card),
      body: card,
      ...(written ?? {}),
    }))
    const heads = some.map((card) => ({
      id: card.id,
      maker: card.name.maker,
      model: card.name.model,
      family: card.family,
      published: card.state === 'published' ? card.revision : null,
      search: card.state === 'published' ? searchOf(card) : null,
      changedAt: sql`utc_timestamp(3)`,
    }))
    await writing
    writing = Promise.all([queries.insert(cardRevisions).values(revisions), queries.insert(cards).values(heads)])
  }
  await writing
}

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

/** Every closed run's judged figures of a card, newest runs first, at most `limit` readings. */
export async function recordOf(queries: Queries, card: string, limit: number): Promise<CardRecord> {
  const rows = await queries
    .select({
      check: checkStates.check,
      run: checkStates.run,
      tag: units.tag,
      value: checkStates.judged,
      u: checkStates.judgedU,
      open: checkStates.open,
      finding: runStates.finding,
      cameBack: runStates.cameBack,
    })
    .from(checkStates)
    .innerJoin(runStates, and(eq(runStates.run, checkStates.run), eq(runStates.closed, true)))
    .innerJoin(runs, eq(runs.id, checkStates.run))
    .innerJoin(units, eq(units.id, runs.unit))
    .where(eq(checkStates.card, card))
    .limit(limit)
  const counts = await queries
    .select({
      finding: runStates.finding,
      count: sql<number>`count(*)`,
      units: sql<number>`count(distinct ${runs.unit})`,
      back: sql<number>`sum(${runStates.cameBack})`,
    })
    .from(runStates)
    .innerJoin(runs, eq(runs.id, runStates.run))
    .where(and(eq(runs.card, card), eq(runStates.closed, true)))
    .groupBy(runStates.finding)
  const countOf = (word: string) => Number(counts.find((row) => row.finding === word)?.count ?? 0)
  return {
    units: counts.reduce((total, row) => total + Number(row.units), 0),
    findings: {
      'fault-found': countOf('fault-found'),
      undecided: countOf('undecided'),
      'no-fault-found': countOf('no-fault-found'),
    },
    cameBackAfterPass: Number(counts.find((row) => row.finding === 'no-fault-found')?.back ?? 0),
    readings: rows.flatMap((row) =>
      row.value === null && !row.open
        ? []
        : [
            {
              ...row,
              value: row.value ?? 0,
              u: row.u ?? 0,
              finding: row.finding as CardRecord['readings'][number]['finding'],
            },
          ],
    ),
  }
}

/** The newest published revision of each card, by name; of some by their ids. */
export async function publishedCards(queries: Queries, ids?: string[]): Promise<Card[]> {
  const rows = await queries
    .select({ body: cardRevisions.body })
    .from(cards)
    .innerJoin(cardRevisions, and(eq(cardRevisions.card, cards.id), eq(cardRevisions.revision, cards.published)))
    .where(ids === undefined ? undefined : inArray(cards.id, ids))
    .orderBy(asc(cards.maker), asc(cards.model), asc(cards.id))
  return rows.map(({ body }) => body)
}
