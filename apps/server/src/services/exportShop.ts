import { listOf, type ShopRewind, type ShopRun } from '@sure-spool/contract'
import type { Instrument } from '@sure-spool/core'
import { canonical } from '../canonical'
import type { Queries } from '../database/connect'
import { revisionsPage } from '../repositories/revisions'
import { entriesOf, runsPage, type RunRow } from '../repositories/runs'
import { entriesOfRewind, rewindsPage, type RewindRow } from '../repositories/rewinds'
import { allPeople } from '../repositories/people'
import { allInstruments, readSettings } from '../repositories/shop'
import { photosPage } from '../repositories/photos'
import { unitsPage } from '../repositories/units'
import { inPages, jsonList } from './jsonText'
import { asShopPhoto } from './keepPhoto'

type ListOfShop = (typeof listOf)[keyof typeof listOf]
const recordNames = Object.keys(listOf) as (keyof typeof listOf)[]

const pageOf = { cards: 100, units: 500, runs: 100, rewinds: 100, photos: 5 }

type Rows = AsyncIterable<unknown>

/** What a shop holds, list by list, each read a page at a time and only when its turn comes. */
function listsOf(queries: Queries, instruments: Instrument[]): Record<ListOfShop, () => Rows> {
  return {
    cards: () =>
      inPages((after: { id: string; revision: number } | undefined) => revisionsPage(queries, after, pageOf.cards)),
    units: () => inPages((after: { id: string } | undefined) => unitsPage(queries, after?.id, pageOf.units)),
    runs: () =>
      each(
        inPages((after: { id: string } | undefined) => runsPage(queries, after?.id, pageOf.runs)),
        async (row) => ({ ...asShopRun(row, instruments), entries: await entriesOf(queries, row.id) }),
      ),
    rewinds: () =>
      each(
        inPages((after: { id: string } | undefined) => rewindsPage(queries, after?.id, pageOf.rewinds)),
        async (row) => ({ ...asShopRewind(row, instruments), entries: await entriesOfRewind(queries, row.id) }),
      ),
    photos: () =>
      each(
        inPages((after: { id: string } | undefined) => photosPage(queries, after?.id, pageOf.photos)),
        asShopPhoto,
      ),
  }
}

async function* each<Row, As>(rows: AsyncIterable<Row>, as: (row: Row) => As | Promise<As>): AsyncGenerator<As> {
  for await (const row of rows) yield await as(row)
}

async function headOf(queries: Queries) {
  const [settings, people, instruments] = await Promise.all([
    readSettings(queries),
    allPeople(queries),
    allInstruments(queries),
  ])
  return { format: 'sure-spool/shop', version: 1, settings, people, instruments }
}

/**
 * Everything of this shop as one document, a piece of its text at a time: a shop of any size is given out in little memory, and other
 * requests have their turn between pages. The pieces joined are the JSON of a `sure-spool/shop`.
 * @param queries of one transaction, so that what is given out is one state of the shop
 */
export async function* exportShop(queries: Queries): AsyncGenerator<string> {
  const head = await headOf(queries)
  const lists = listsOf(queries, head.instruments)
  yield JSON.stringify(head).slice(0, -1)
  for (const record of recordNames) {
    yield `,"${listOf[record]}":`
    yield* jsonList(lists[listOf[record]]())
  }
  yield '}'
}

/** The same line by line, so that it can be taken in again however large it is: the head, then each record under its name. */
export async function* exportShopLines(queries: Queries): AsyncGenerator<string> {
  const head = await headOf(queries)
  const lists = listsOf(queries, head.instruments)
  yield `${JSON.stringify(head)}\n`
  for (const record of recordNames)
    for await (const row of lists[listOf[record]]()) yield `${JSON.stringify({ [record]: row })}\n`
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
