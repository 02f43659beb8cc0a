import type { CardsPreview, ImportCardsHead, ImportedCards, PreviewCards } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { setImmediate as breathe } from 'node:timers/promises'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { unwatched, type Watched } from '../heavy/watched'
import { ProblemError } from '../http/problem'
import { cardsHere } from '../repositories/cards'
import { stampChanged } from '../repositories/cardSearch'
import { insertCards, keepRevision, workedOut, type WorkedOut, type Written } from '../repositories/revisions'
import { CardArrivals, revisionKey } from './cardArrivals'
import { allowed } from './access'

type Row = ImportedCards['rows'][number]

/** Cards written while the next ones are read. */
const atOnce = 100
const heardEvery = 10
/** Milliseconds after which a card's stamp is too old for an index that looked in the meantime (`cardIndex`). */
const quick = 2000
const mostNamed = 20

const conflict = (detail: string, errors: { path: string; detail: string }[] = []) =>
  new ProblemError(409, 'conflict', `Nothing was taken in: ${detail}`, errors)

/** Says of each card of a file what would become of it, from its head and hash alone. */
export async function previewCards(queries: Queries, { by, cards }: PreviewCards): Promise<CardsPreview> {
  await allowed(queries, by, 'technician')
  const arrivals = new CardArrivals(queries, {})
  const rows = await arrivals.decide(cards)
  return { rows, preview: arrivals.preview() }
}

/**
 * Takes cards in, all or none, and says of each what became of it. The next cards are read and hashed while the last are written.
 * @param head who takes them in, what is to happen to conflicts, and the preview it was decided on, if there was one
 * @param cards valid cards in the file's order; `of` how many there are
 * @throws ProblemError 409 for an unresolved conflict, or where what is here has changed since the preview
 */
export async function importCards(
  database: Database,
  { by, resolve, preview }: ImportCardsHead,
  cards: AsyncIterable<Card>,
  of: number,
  watched: Watched = unwatched,
): Promise<ImportedCards> {
  return inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    const arrivals = new CardArrivals(queries, resolve)
    const { rows, kept } = await takeIn(queries, arrivals, cards, { by, at: new Date().toISOString() }, (done) =>
      watched(done, of),
    )
    if (preview !== undefined && preview !== arrivals.preview())
      throw conflict('what is here has changed since you looked. Take the file in again and look at it.')
    const open = rows.filter((row) => row.what === 'conflict')
    const [first] = open
    if (first)
      throw conflict(
        `${named(first)} is here already with another body. Keep yours, or take theirs as the next draft.`,
        open.slice(0, mostNamed).map((row) => ({ path: revisionKey(row), detail: 'is here with another body' })),
      )
    return { rows, kept }
  })
}

/** Takes cards in that must not be in conflict, as a shop file brings them. @returns how many were new */
export async function keepCards(queries: Queries, cards: Card[]): Promise<number> {
  const { rows, kept } = await takeIn(queries, new CardArrivals(queries, {}), cards, undefined, () => Promise.resolve())
  const first = rows.find((row) => row.what === 'conflict')
  if (first)
    throw conflict(
      `${named(first)} is here already with another body. Take the cards in alone, where each conflict can be resolved.`,
    )
  return kept
}

const named = ({ maker, model, revision }: Row) => `${maker} ${model}, revision ${revision},`

async function takeIn(
  queries: Queries,
  arrivals: CardArrivals,
  cards: AsyncIterable<Card> | Iterable<Card>,
  written: Written | undefined,
  told: (done: number) => Promise<void>,
): Promise<{ rows: Row[]; kept: number }> {
  const begun = Date.now()
  const rows: Row[] = []
  const seen = new Set<string>()
  let kept = 0
  let writing: Promise<void> = Promise.resolve()
  for await (const next of workedOutInChunks(cards)) {
    await writing
    const decided = await arrivals.decide(next.map(headOf))
    rows.push(...decided)
    const fresh = next.flatMap((one, i) => arrivingAs(one, decided[i]))
    kept += fresh.length
    writing = write(queries, fresh, seen, written)
    // looked at when the next ones are decided or at the end; until then it is nobody's loose end
    writing.catch(() => undefined)
    await told(rows.length)
  }
  await writing
  if (Date.now() - begun > quick) await stampChanged(queries, [...seen])
  return { rows, kept }
}

/** Cards worked out while the database is busy with those before; its answers are heard in between, so that it is never idle. */
async function* workedOutInChunks(cards: AsyncIterable<Card> | Iterable<Card>): AsyncGenerator<WorkedOut[]> {
  let some: WorkedOut[] = []
  for await (const card of cards) {
    some.push(workedOut(card))
    if (some.length % heardEvery === 0) await breathe()
    if (some.length < atOnce) continue
    yield some
    some = []
  }
  if (some.length > 0) yield some
}

const headOf = ({ card: { id, revision, name, state }, hash }: WorkedOut) => ({
  id,
  revision,
  hash,
  maker: name.maker,
  model: name.model,
  state,
})

/** The revision that is to be written of a card that was decided on; none where nothing changes. */
function arrivingAs(one: WorkedOut, row: Row | undefined): WorkedOut[] {
  if (row?.what === 'new' || row?.what === 'revision') return [one]
  return row?.what === 'next' && row.as !== undefined
    ? [workedOut({ ...one.card, revision: row.as, state: 'draft' })]
    : []
}

/** Cards that are here already, or came before in this file, go one by one; all others together. */
async function write(
  queries: Queries,
  fresh: WorkedOut[],
  seen: Set<string>,
  written: Written | undefined,
): Promise<void> {
  const ids = fresh.map(({ card }) => card.id)
  const here = await cardsHere(queries, [...new Set(ids)])
  const several = new Set(ids.filter((id, i) => here.has(id) || seen.has(id) || ids.indexOf(id) !== i))
  ids.forEach((id) => seen.add(id))
  await insertCards(
    queries,
    fresh.filter(({ card }) => !several.has(card.id)),
    written,
  )
  for (const { card, hash } of fresh) if (several.has(card.id)) await keepRevision(queries, card, hash, written)
}
