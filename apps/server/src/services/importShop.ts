import type { Imported, Shop } from '@sure-spool/contract'
import { runState, type Card, type Comparison, type Run } from '@sure-spool/core'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { ProblemError } from '../http/problem'
import { keepFinding } from '../repositories/findings'
import { readRevision } from '../repositories/revisions'
import { appendEntries, insertRun, readRun, readRunRow } from '../repositories/runs'
import { allInstruments, allPeople, insertShop, note } from '../repositories/shop'
import { insertUnit, moveUnit, readUnit } from '../repositories/units'
import { unwatched, type Watched } from '../heavy/watched'
import { keepCards } from './importCards'
import { keepJudged } from './keepJudged'

/**
 * Takes a shop document in, all or nothing. What is there already under the same id is left as it is; a card revision with
 * another body is a conflict, never an overwrite.
 * @param watched is told how far it is, and may call it off; then nothing is kept
 * @throws ProblemError 409 for a conflict, 422 for a reference to something that is in neither the document nor the shop
 */
export async function importShop(database: Database, shop: Shop, watched: Watched = unwatched): Promise<Imported> {
  return inTransaction(database, async (queries) => {
    const knownPeople = new Set((await allPeople(queries)).map((one) => one.id))
    const knownInstruments = new Set((await allInstruments(queries)).map((one) => one.id))
    const first = knownPeople.size === 0
    const people = shop.people.filter((one) => !knownPeople.has(one.id))
    const instruments = shop.instruments.filter((one) => !knownInstruments.has(one.id))
    await insertShop(queries, { people, instruments, ...(first ? { settings: shop.settings } : {}) })
    const counts: Imported = {
      people: people.length,
      instruments: instruments.length,
      cards: 0,
      units: 0,
      runs: 0,
      entries: 0,
    }
    const of = shop.cards.length + shop.units.length + shop.runs.length
    counts.cards = await keepCards(queries, shop.cards as Card[])
    for (const [i, unit] of shop.units.entries()) {
      if (await readUnit(queries, unit.id)) continue
      if (!(await readRevision(queries, unit.card.id, unit.card.revision)))
        throw missing(`units[${i}].card`, 'a card revision')
      await insertUnit(queries, unit)
      counts.units++
    }
    for (const [i, run] of shop.runs.entries()) {
      await watched(shop.cards.length + shop.units.length + i, of)
      const added = await importRun(queries, shop, run, i)
      if (added === undefined) continue
      counts.runs++
      counts.entries += added
    }
    await note(queries, 'imported', shop.settings.name, null, { ...counts })
    return counts
  })
}

const missing = (path: string, what: string) =>
  new ProblemError(
    422,
    'refused',
    `Nothing was taken in: ${path} names ${what} that is neither in this file nor in this shop.`,
    [{ path, detail: `names ${what} that is not there` }],
  )

async function importRun(
  queries: Queries,
  shop: Shop,
  source: Shop['runs'][number],
  i: number,
): Promise<number | undefined> {
  if (await readRunRow(queries, source.id)) return undefined
  const unit = await readUnit(queries, source.unit)
  if (!unit) throw missing(`runs[${i}].unit`, 'a unit')
  const kit = [...shop.instruments, ...(await allInstruments(queries))]
  const instruments = source.instruments.flatMap((one) =>
    typeof one === 'string' ? (kit.find(({ id }) => id === one) ?? []) : one,
  )
  const row = {
    id: source.id,
    unit: unit.id,
    card: source.card.id,
    revision: source.card.revision,
    history: source.history,
    rule: source.rule,
    instruments,
    startedAt: source.startedAt,
    startedBy: source.startedBy,
    compare: (source.compare as Comparison[] | undefined) ?? null,
  }
  await insertRun(queries, row)
  const added = (source.entries as Run['entries']).map((entry) => ({
    ...entry,
    receivedAt: entry.receivedAt ?? entry.at,
  }))
  await appendEntries(queries, added)
  const run = await readRun(queries, row)
  if (!run) throw missing(`runs[${i}].card`, 'a card revision')
  const state = runState(run)
  await keepJudged(queries, state)
  for (const entry of added)
    if (entry.kind === 'decision' && entry.what !== 'more-tests') await keepFinding(queries, state, entry)
  await moveUnit(queries, unit.id, unit.place, unit.blockedBy ?? null, row.id)
  return added.length
}
