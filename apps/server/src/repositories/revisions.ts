import type { Card } from '@sure-spool/core'
import { and, asc, eq, gt, inArray, or, sql } from 'drizzle-orm'
import { LRUCache } from 'lru-cache'
import { hashOf } from '../canonical'
import type { Queries } from '../database/connect'
import { cardRevisions, cards } from '../database/schema'
import { searchOf, type CardSearch } from './cardSearch'

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

/**
 * Keeps a revision: a new one, or in place of the draft that stood under its number. Of two that write at once one wins.
 * @param replaces the hash of the draft whose place it takes
 * @returns whether it was kept: not where that draft has changed meanwhile, was published or is gone
 * @throws ER_DUP_ENTRY where a new one meets another under its number
 */
export async function keepRevision(
  queries: Queries,
  card: Card,
  hash: string,
  written?: Written,
  replaces?: string,
): Promise<boolean> {
  const row = { state: card.state, hash, body: card, ...(written ?? {}) }
  if (replaces === undefined)
    await queries.insert(cardRevisions).values({ card: card.id, revision: card.revision, ...row })
  else if (!(await takesPlace(queries, card, row, replaces))) return false
  const head = { maker: card.name.maker, model: card.name.model, family: card.family }
  const changedAt = sql`utc_timestamp(3)`
  const [before] = await queries.select({ published: cards.published }).from(cards).where(eq(cards.id, card.id))
  if (!before) await queries.insert(cards).values({ id: card.id, ...head, published: null, search: null, changedAt })
  else if (before.published === null) await queries.update(cards).set(head).where(eq(cards.id, card.id))
  if (card.state !== 'published' || (before?.published ?? 0) >= card.revision) return true
  await queries
    .update(cards)
    .set({ ...head, published: card.revision, search: searchOf(card), changedAt })
    .where(eq(cards.id, card.id))
  return true
}

async function takesPlace(
  queries: Queries,
  { id, revision }: Card,
  row: Partial<typeof cardRevisions.$inferInsert>,
  replaces: string,
): Promise<boolean> {
  const draft = and(draftAt(id, revision), eq(cardRevisions.hash, replaces))
  const [{ affectedRows }] = await queries.update(cardRevisions).set(row).where(draft)
  return affectedRows === 1
}

const draftAt = (card: string, revision: number) =>
  and(eq(cardRevisions.card, card), eq(cardRevisions.revision, revision), eq(cardRevisions.state, 'draft'))

/** A card worked out as far as it can be before the database is asked: its hash, and what it is found by once it is published. */
export interface WorkedOut {
  card: Card
  hash: string
  search: CardSearch | null
}

export const workedOut = (card: Card): WorkedOut => ({
  card,
  hash: hashOf(card),
  search: card.state === 'published' ? searchOf(card) : null,
})

/** Keeps the first revisions of cards that are not here yet, in one statement a table. */
export async function insertCards(queries: Queries, many: WorkedOut[], written?: Written): Promise<void> {
  if (many.length === 0) return
  const revisions = many.map(({ card, hash }) => ({
    card: card.id,
    revision: card.revision,
    state: card.state,
    hash,
    body: card,
    ...(written ?? {}),
  }))
  const heads = many.map(({ card, search }) => ({
    id: card.id,
    maker: card.name.maker,
    model: card.name.model,
    family: card.family,
    published: card.state === 'published' ? card.revision : null,
    search,
    changedAt: sql`utc_timestamp(3)`,
  }))
  await Promise.all([queries.insert(cardRevisions).values(revisions), queries.insert(cards).values(heads)])
}

/** The revisions that are here of some cards: card id → revision → the hash of its body. */
export async function hashesOf(queries: Queries, ids: string[]): Promise<Map<string, Map<number, string>>> {
  const known = new Map<string, Map<number, string>>()
  if (ids.length === 0) return known
  const rows = await queries
    .select({ card: cardRevisions.card, revision: cardRevisions.revision, hash: cardRevisions.hash })
    .from(cardRevisions)
    .where(inArray(cardRevisions.card, ids))
  for (const { card, revision, hash } of rows) known.set(card, (known.get(card) ?? new Map()).set(revision, hash))
  return known
}

/**
 * Takes a draft out, and the card with its last revision.
 * @returns whether there was one: not where it was published meanwhile
 */
export async function dropRevision(queries: Queries, card: string, revision: number): Promise<boolean> {
  const [{ affectedRows }] = await queries.delete(cardRevisions).where(draftAt(card, revision))
  if (affectedRows === 0) return false
  if ((await revisionsOf(queries, card)).length === 0) await queries.delete(cards).where(eq(cards.id, card))
  return true
}

/** Every revision of every card in the order of their ids, a page at a time. */
export async function revisionsPage(
  queries: Queries,
  after: { id: string; revision: number } | undefined,
  limit: number,
): Promise<Card[]> {
  const rows = await queries
    .select({ body: cardRevisions.body })
    .from(cardRevisions)
    .where(
      after === undefined
        ? undefined
        : or(
            gt(cardRevisions.card, after.id),
            and(eq(cardRevisions.card, after.id), gt(cardRevisions.revision, after.revision)),
          ),
    )
    .orderBy(asc(cardRevisions.card), asc(cardRevisions.revision))
    .limit(limit)
  return rows.map(({ body }) => body)
}

/** The newest published revision of some cards, by name. */
export async function publishedCards(queries: Queries, ids: string[]): Promise<Card[]> {
  const rows = await queries
    .select({ body: cardRevisions.body })
    .from(cards)
    .innerJoin(cardRevisions, and(eq(cardRevisions.card, cards.id), eq(cardRevisions.revision, cards.published)))
    .where(inArray(cards.id, ids))
    .orderBy(asc(cards.maker), asc(cards.model), asc(cards.id))
  return rows.map(({ body }) => body)
}

/** Ids of all cards with a published revision, by name: what an export without a choice gives out, in its order. */
export async function publishedIds(queries: Queries): Promise<string[]> {
  const rows = await queries
    .select({ id: cards.id })
    .from(cards)
    .where(gt(cards.published, 0))
    .orderBy(asc(cards.maker), asc(cards.model), asc(cards.id))
  return rows.map(({ id }) => id)
}
