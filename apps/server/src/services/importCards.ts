import type { ImportedCards } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { inArray } from 'drizzle-orm'
import { hashOf } from '../canonical'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { cardRevisions, cards as cardTable } from '../database/schema'
import { ProblemError } from '../http/problem'
import { insertCards, keepRevision, stampChanged, type Written } from '../repositories/cards'
import { knownPerson } from './knownPerson'

type Row = ImportedCards['rows'][number]
type Resolution = Record<string, 'keep' | 'next'>
const keyOf = ({ id, revision }: { id: string; revision: number }) => `${id}@${revision}`

/**
 * Takes cards in, all or none, and says of each what becomes of it. What is here under the same revision is never overwritten:
 * another body is a conflict until `resolve` says to keep what is here, or to take theirs as the card's next draft.
 * @param preview says what would happen and changes nothing
 * @throws ProblemError 409 for an unresolved conflict
 */
export async function importCards(
  database: Database,
  { cards, by, preview, resolve }: { cards: Card[]; by: string; preview: boolean; resolve: Resolution },
): Promise<ImportedCards> {
  return inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    const written = { by, at: new Date().toISOString() }
    const { rows, fresh } = await classify(queries, cards, resolve)
    if (preview) return { rows, kept: 0 }
    const open = rows.filter((row) => row.what === 'conflict')
    const [first] = open
    if (first)
      throw new ProblemError(
        409,
        'conflict',
        `Nothing was taken in: ${first.maker} ${first.model}, revision ${first.revision}, is here already with another body. Keep yours, or take theirs as the next draft.`,
        open.slice(0, 20).map((row) => ({ path: keyOf(row), detail: 'is here with another body' })),
      )
    await keepAll(queries, fresh, written)
    return { rows, kept: fresh.length }
  })
}

/** Takes cards in that must not be in conflict, as a shop file brings them. @returns how many were new */
export async function keepCards(queries: Queries, cards: Card[]): Promise<number> {
  const { rows, fresh } = await classify(queries, cards, {})
  const conflict = rows.find((row) => row.what === 'conflict')
  if (conflict)
    throw new ProblemError(
      409,
      'conflict',
      `Nothing was taken in: ${conflict.maker} ${conflict.model}, revision ${conflict.revision}, is here already with another body. Take the cards in alone, where each conflict can be resolved.`,
    )
  await keepAll(queries, fresh)
  return fresh.length
}

async function classify(queries: Queries, cards: Card[], resolve: Resolution): Promise<{ rows: Row[]; fresh: Card[] }> {
  const known = await knownRevisions(queries, [...new Set(cards.map((card) => card.id))])
  const fresh: Card[] = []
  const rows = cards.map((card): Row => {
    const row = {
      id: card.id,
      revision: card.revision,
      maker: card.name.maker,
      model: card.name.model,
      state: card.state,
    }
    const revisions: Revisions = known.get(card.id) ?? new Map()
    known.set(card.id, revisions)
    const before = revisions.get(card.revision)
    if (before === undefined) {
      const what = revisions.size === 0 ? 'new' : 'revision'
      revisions.set(card.revision, card)
      fresh.push(card)
      return { ...row, what }
    }
    if (hashOf(card) === (typeof before === 'string' ? before : hashOf(before))) return { ...row, what: 'same' }
    const word = resolve[keyOf(card)]
    if (word === undefined) return { ...row, what: 'conflict' }
    if (word === 'keep') return { ...row, what: 'kept' }
    const next: Card = { ...card, revision: Math.max(...revisions.keys()) + 1, state: 'draft' }
    revisions.set(next.revision, next)
    fresh.push(next)
    return { ...row, what: 'next', as: next.revision }
  })
  return { rows, fresh }
}

/** A card's revisions: by the hash of what is here, or as the file has them. */
type Revisions = Map<number, string | Card>

async function knownRevisions(queries: Queries, ids: string[]): Promise<Map<string, Revisions>> {
  const known = new Map<string, Revisions>()
  for (let from = 0; from < ids.length; from += 1000) {
    const rows = await queries
      .select({ card: cardRevisions.card, revision: cardRevisions.revision, hash: cardRevisions.hash })
      .from(cardRevisions)
      .where(inArray(cardRevisions.card, ids.slice(from, from + 1000)))
    for (const { card, revision, hash } of rows) known.set(card, (known.get(card) ?? new Map()).set(revision, hash))
  }
  return known
}

/** Milliseconds after which a card's stamp is too old for an index that looked in the meantime (`cardIndex`). */
const quick = 2000

/** Cards that are here already go one by one; all others together. */
async function keepAll(queries: Queries, cards: Card[], written?: Written): Promise<void> {
  const begun = Date.now()
  const ids = [...new Set(cards.map(({ id }) => id))]
  const here = new Set<string>()
  for (let from = 0; from < ids.length; from += 1000) {
    const rows = await queries
      .select({ id: cardTable.id })
      .from(cardTable)
      .where(inArray(cardTable.id, ids.slice(from, from + 1000)))
    for (const { id } of rows) here.add(id)
  }
  const times = new Map<string, number>()
  for (const { id } of cards) times.set(id, (times.get(id) ?? 0) + 1)
  const several = new Set(ids.filter((id) => here.has(id) || (times.get(id) ?? 0) > 1))
  for (const card of cards) if (several.has(card.id)) await keepRevision(queries, card, hashOf(card), written)
  await insertCards(
    queries,
    cards.filter(({ id }) => !several.has(id)),
    written,
  )
  if (Date.now() - begun > quick) await stampChanged(queries, ids)
}
