import type { Card } from '@sure-spool/core'
import type { CardRecord, CardRow } from '@sure-spool/contract'
import { and, asc, eq, gt, isNotNull, like, or, sql } from 'drizzle-orm'
import { LRUCache } from 'lru-cache'
import type { Queries } from '../database/connect'
import { cardRevisions, cards, checkStates, runStates, runs, units } from '../database/schema'

export interface CardPage {
  find?: string | undefined
  after?: { maker: string; model: string; id: string } | undefined
  limit: number
}

/** Published cards by maker and model; `find` is matched against both. */
export async function listCards(queries: Queries, { find, after, limit }: CardPage): Promise<CardRow[]> {
  const words = (find ?? '')
    .trim()
    .split(/\s+/)
    .filter((word) => word !== '')
    .slice(0, 8)
  const rows = await queries
    .select({
      id: cards.id,
      maker: cards.maker,
      model: cards.model,
      family: cards.family,
      revision: cardRevisions.revision,
      body: cardRevisions.body,
      units: sql<number>`(select count(*) from ${units} where ${units.card} = ${cards.id})`,
    })
    .from(cards)
    .innerJoin(cardRevisions, and(eq(cardRevisions.card, cards.id), eq(cardRevisions.revision, cards.published)))
    .where(
      and(
        isNotNull(cards.published),
        ...words.map((word) => {
          const pattern = `%${word.replace(/[\\%_]/g, '\\$&')}%`
          return or(like(cards.maker, pattern), like(cards.model, pattern), like(cards.family, pattern))
        }),
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
  return rows.map(({ body, ...row }) => ({ ...row, units: Number(row.units), partNumbers: body.name.partNumbers }))
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
    .select({ revision: cardRevisions.revision, state: cardRevisions.state, hash: cardRevisions.hash })
    .from(cardRevisions)
    .where(eq(cardRevisions.card, card))
    .orderBy(asc(cardRevisions.revision))
}

export async function insertRevision(queries: Queries, card: Card, hash: string): Promise<void> {
  const published = card.state === 'published' ? card.revision : null
  const head = { maker: card.name.maker, model: card.name.model, family: card.family }
  await queries
    .insert(cards)
    .values({ id: card.id, ...head, published })
    .onDuplicateKeyUpdate({
      set: { ...head, published: sql`greatest(coalesce(${cards.published}, 0), coalesce(values(published), 0))` },
    })
  await queries
    .insert(cardRevisions)
    .values({ card: card.id, revision: card.revision, state: card.state, hash, body: card })
}

/** Every closed run's judged figures of a card, newest runs first, at most `limit` readings. */
export async function recordOf(queries: Queries, card: string, limit: number): Promise<CardRecord> {
  const rows = await queries
    .select({
      check: checkStates.check,
      run: checkStates.run,
      tag: units.tag,
      value: checkStates.judged,
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
    readings: rows.flatMap((row) =>
      row.value === null && !row.open
        ? []
        : [{ ...row, value: row.value ?? 0, finding: row.finding as CardRecord['readings'][number]['finding'] }],
    ),
  }
}
