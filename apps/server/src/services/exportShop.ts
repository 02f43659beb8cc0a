import type { ShopRewind, ShopRun } from '@sure-spool/contract'
import type { Instrument } from '@sure-spool/core'
import { canonical } from '../canonical'
import type { Queries } from '../database/connect'
import { revisionsPage } from '../repositories/revisions'
import { entriesOf, runsPage, type RunRow } from '../repositories/runs'
import { entriesOfRewind, rewindsPage, type RewindRow } from '../repositories/rewinds'
import { allPeople } from '../repositories/people'
import { allInstruments, readSettings } from '../repositories/shop'
import { unitsPage } from '../repositories/units'
import { inPages, jsonList } from './jsonText'

const pageOf = { cards: 100, units: 500, runs: 100, rewinds: 100 }

/**
 * Everything of this shop as one document, a piece of its text at a time: a shop of any size is given out in little memory, and other
 * requests have their turn between pages. The pieces joined are the JSON of a `sure-spool/shop`.
 * @param queries of one transaction, so that what is given out is one state of the shop
 */
export async function* exportShop(queries: Queries): AsyncGenerator<string> {
  const [settings, people, instruments] = await Promise.all([
    readSettings(queries),
    allPeople(queries),
    allInstruments(queries),
  ])
  yield `{"format":"sure-spool/shop","version":1,"settings":${JSON.stringify(settings)}`
  yield `,"people":${JSON.stringify(people)},"instruments":${JSON.stringify(instruments)},"cards":`
  const cards = inPages((after: { id: string; revision: number } | undefined) =>
    revisionsPage(queries, after, pageOf.cards),
  )
  yield* jsonList(cards)
  yield ',"units":'
  yield* jsonList(inPages((after: { id: string } | undefined) => unitsPage(queries, after?.id, pageOf.units)))
  yield ',"runs":'
  const runs = inPages((after: { id: string } | undefined) => runsPage(queries, after?.id, pageOf.runs))
  yield* jsonList(runs, async (row) => ({ ...asShopRun(row, instruments), entries: await entriesOf(queries, row.id) }))
  yield ',"rewinds":'
  const rewinds = inPages((after: { id: string } | undefined) => rewindsPage(queries, after?.id, pageOf.rewinds))
  yield* jsonList(rewinds, async (row) => ({
    ...asShopRewind(row, instruments),
    entries: await entriesOfRewind(queries, row.id),
  }))
  yield '}'
}

/** A run's own row as a shop file carries it; a meter that is still the same goes by its id. */
const asShopRun = (row: RunRow, instruments: Instrument[]): Omit<ShopRun, 'entries'> => ({
  id: row.id,
  unit: row.unit,
  card: { id: row.card, revision: row.revision },
  history: row.history as ShopRun['history'],
  rule: row.rule as ShopRun['rule'],
  instruments: byIds(row.instruments, instruments),
  startedAt: row.startedAt,
  startedBy: row.startedBy,
  ...(row.limits === null ? {} : { limits: row.limits }),
  ...(row.compare === null ? {} : { compare: row.compare }),
})

const asShopRewind = (row: RewindRow, instruments: Instrument[]): Omit<ShopRewind, 'entries'> => ({
  id: row.id,
  unit: row.unit,
  ...(row.before === null ? {} : { before: row.before }),
  startedAt: row.startedAt,
  startedBy: row.startedBy,
  instruments: byIds(row.instruments, instruments),
  coils: row.coils,
})

const byIds = (used: Instrument[], now: Instrument[]): (Instrument | string)[] =>
  used.map((one) => {
    const today = now.find(({ id }) => id === one.id)
    return today && canonical(today) === canonical(one) ? one.id : one
  })
