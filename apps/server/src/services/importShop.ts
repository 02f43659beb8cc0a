import type { Access, Imported, Person, Photo, Shop, ShopHead, ShopRewind, ShopRun, Unit } from '@sure-spool/contract'
import type { Card, Instrument } from '@sure-spool/core'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { tallyAll } from '../repositories/cardTallies'
import { readRevision } from '../repositories/revisions'
import { note } from '../repositories/audit'
import { allPeople, insertPeople, type Known } from '../repositories/people'
import { allInstruments, insertKit } from '../repositories/shop'
import { insertUnit, readUnit } from '../repositories/units'
import { unwatched, type Watched } from '../heavy/watched'
import { keepCards } from './importCards'
import { conflict, missing } from './importProblems'
import { importRewind } from './importRewinds'
import { importRun } from './importRun'
import { importPhoto } from './keepPhoto'

/** One record of a shop's file, valid by itself, with its place in the file and how much of the file is read with it. */
export type ShopRecord = { path: string; done: number; of: number } & (
  | { record: 'card'; value: Card }
  | { record: 'unit'; value: Unit }
  | { record: 'run'; value: ShopRun }
  | { record: 'rewind'; value: ShopRewind }
  | { record: 'photo'; value: Photo }
)

/** Cards are written so many at a time; of small records progress is told so seldom. */
const cardsAtOnce = 100
const toldEvery = 50

/**
 * Takes a shop document in, all or nothing. What is there already under the same id is left as it is; a card revision with
 * another body is a conflict, never an overwrite.
 * @param by who takes it in; nobody where an open house is filled
 * @param watched is told how far it is, and may call it off; then nothing is kept
 * @throws ProblemError 409 for a conflict, 422 for a reference to something that is in neither the document nor the shop
 */
export const importShop = (
  database: Database,
  shop: Shop,
  by: string | null,
  watched: Watched = unwatched,
): Promise<Imported> => importRecords(database, shop, recordsOf(shop), by, watched)

function* recordsOf(shop: Shop): Generator<ShopRecord> {
  const all = [
    ...shop.cards.map((value, i) => ({ record: 'card', value, path: `cards[${i}]` })),
    ...shop.units.map((value, i) => ({ record: 'unit', value, path: `units[${i}]` })),
    ...shop.runs.map((value, i) => ({ record: 'run', value, path: `runs[${i}]` })),
    ...(shop.rewinds ?? []).map((value, i) => ({ record: 'rewind', value, path: `rewinds[${i}]` })),
    ...(shop.photos ?? []).map((value, i) => ({ record: 'photo', value, path: `photos[${i}]` })),
  ]
  for (const [i, one] of all.entries()) yield { ...one, done: i + 1, of: all.length } as ShopRecord
}

/**
 * Takes a shop's file in record by record, in one transaction and little memory. Whatever a record refers to stands before it, or is here.
 * @throws as `importShop` does, and whatever reading the records throws; then nothing is kept
 */
export async function importRecords(
  database: Database,
  head: Pick<ShopHead, 'settings' | 'people' | 'instruments'>,
  records: Iterable<ShopRecord> | AsyncIterable<ShopRecord>,
  by: string | null,
  watched: Watched,
): Promise<Imported> {
  return inTransaction(database, async (queries) => {
    const counts = await takeHead(queries, head, by)
    const kit = [...(head.instruments as Instrument[]), ...(await allInstruments(queries))]
    const people = new Map((await allPeople(queries)).map(({ id, access }) => [id, access]))
    const cards: Card[] = []
    const writeCards = async () => void (counts.cards += await keepCards(queries, cards.splice(0)))
    let seen = 0
    for await (const one of records) {
      if (one.record === 'card') cards.push(one.value)
      if (cards.length > 0 && (one.record !== 'card' || cards.length >= cardsAtOnce)) await writeCards()
      await takeRecord(queries, one, { kit, people, counts })
      if (one.record === 'run' || ++seen % toldEvery === 0) await watched(one.done, one.of)
    }
    if (cards.length > 0) await writeCards()
    await tallyAll(queries)
    await note(queries, 'imported', head.settings.name, by, { ...counts })
    return counts
  })
}

async function takeHead(
  queries: Queries,
  { settings, people: sent, instruments }: Pick<ShopHead, 'settings' | 'people' | 'instruments'>,
  by: string | null,
): Promise<Imported> {
  const knownPeople = await allPeople(queries)
  const knownInstruments = await allInstruments(queries)
  const first = knownPeople.length === 0
  const mayOwn = by === null || knownPeople.some(({ id, access }) => id === by && access === 'owner')
  const people = newPeople(sent, knownPeople).map((one) => (mayOwn ? one : withoutOwning(one)))
  const fresh = (instruments as Instrument[]).filter((one) => !knownInstruments.some(({ id }) => id === one.id))
  await insertPeople(queries, people)
  await insertKit(queries, { instruments: fresh, ...(first ? { settings } : {}) })
  return { people: people.length, instruments: fresh.length, cards: 0, units: 0, runs: 0, entries: 0 }
}

interface Taking {
  kit: Instrument[]
  people: ReadonlyMap<string, Access>
  counts: Imported
}

async function takeRecord(queries: Queries, one: ShopRecord, { kit, people, counts }: Taking): Promise<void> {
  const { path } = one
  if (one.record === 'unit' && (await importUnit(queries, one.value, people, path))) counts.units++
  if (one.record === 'rewind') await importRewind(queries, one.value, { kit, people, path })
  if (one.record === 'photo') await importPhoto(queries, one.value, people, path)
  if (one.record !== 'run') return
  const entries = await importRun(queries, one.value as Shop['runs'][number], { kit, people, path })
  if (entries === undefined) return
  counts.runs++
  counts.entries += entries
}

async function importUnit(
  queries: Queries,
  unit: Unit,
  people: ReadonlyMap<string, Access>,
  path: string,
): Promise<boolean> {
  const before = await readUnit(queries, unit.id)
  if (before && (before.card.id !== unit.card.id || before.takenInAt !== unit.takenInAt))
    throw conflict(`${path}.id`, 'is another unit here, of another card or another day')
  if (before) return false
  if (!people.has(unit.takenInBy)) throw missing(`${path}.takenInBy`, 'a person')
  if (!(await readRevision(queries, unit.card.id, unit.card.revision))) throw missing(`${path}.card`, 'a card revision')
  await insertUnit(queries, unit)
  return true
}

/** @throws ProblemError 409 where an id is somebody else's here: nobody's work becomes another's */
function newPeople(sent: Person[], known: Known[]): Person[] {
  const here = new Map(known.map((one) => [one.id, one]))
  return sent.filter(({ id, name }, i) => {
    const before = here.get(id)
    if (before && before.name !== name) throw conflict(`people[${i}].id`, `is ${before.name} here, not ${name}`)
    return !before
  })
}

/** A file that is taken in by somebody who is no owner makes nobody one. */
const withoutOwning = (person: Person): Person =>
  person.access === 'owner' ? { ...person, access: 'technician' } : person
