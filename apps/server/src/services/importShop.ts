import type { Access, Imported, Person, Shop } from '@sure-spool/contract'
import { isClosed, runState, type Card, type Comparison, type Entry, type Run, type UnitLimit } from '@sure-spool/core'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { ProblemError } from '../http/problem'
import { keepFinding } from '../repositories/findings'
import { readRevision } from '../repositories/revisions'
import { appendEntries, insertRun, readRun, readRunRow } from '../repositories/runs'
import { note } from '../repositories/audit'
import { allPeople, insertPeople, type Known } from '../repositories/people'
import { allInstruments, insertKit } from '../repositories/shop'
import { insertUnit, moveUnit, readUnit } from '../repositories/units'
import { unwatched, type Watched } from '../heavy/watched'
import { accept } from './accept'
import { importRewinds } from './importRewinds'
import { keepCards } from './importCards'
import { keepJudged } from './keepJudged'

/**
 * Takes a shop document in, all or nothing. What is there already under the same id is left as it is; a card revision with
 * another body is a conflict, never an overwrite.
 * @param by who takes it in; nobody where an open house is filled
 * @param watched is told how far it is, and may call it off; then nothing is kept
 * @throws ProblemError 409 for a conflict, 422 for a reference to something that is in neither the document nor the shop
 */
export async function importShop(
  database: Database,
  shop: Shop,
  by: string | null,
  watched: Watched = unwatched,
): Promise<Imported> {
  return inTransaction(database, async (queries) => {
    const knownPeople = await allPeople(queries)
    const knownInstruments = await allInstruments(queries)
    const first = knownPeople.length === 0
    const mayOwn = by === null || knownPeople.some(({ id, access }) => id === by && access === 'owner')
    const people = newPeople(shop.people, knownPeople).map((one) => (mayOwn ? one : withoutOwning(one)))
    const instruments = shop.instruments.filter((one) => !knownInstruments.some(({ id }) => id === one.id))
    await insertPeople(queries, people)
    await insertKit(queries, { instruments, ...(first ? { settings: shop.settings } : {}) })
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
    const everybody = new Map((await allPeople(queries)).map(({ id, access }) => [id, access]))
    for (const [i, unit] of shop.units.entries()) {
      const before = await readUnit(queries, unit.id)
      if (before && (before.card.id !== unit.card.id || before.takenInAt !== unit.takenInAt))
        throw conflict(`units[${i}].id`, 'is another unit here, of another card or another day')
      if (before) continue
      if (!everybody.has(unit.takenInBy)) throw missing(`units[${i}].takenInBy`, 'a person')
      if (!(await readRevision(queries, unit.card.id, unit.card.revision)))
        throw missing(`units[${i}].card`, 'a card revision')
      await insertUnit(queries, unit)
      counts.units++
    }
    for (const [i, run] of shop.runs.entries()) {
      await watched(shop.cards.length + shop.units.length + i, of)
      const added = await importRun(queries, shop, run, i, everybody)
      if (added === undefined) continue
      counts.runs++
      counts.entries += added
    }
    await importRewinds(queries, shop, everybody)
    await note(queries, 'imported', shop.settings.name, by, { ...counts })
    return counts
  })
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

const missing = (path: string, what: string) =>
  new ProblemError(
    422,
    'refused',
    `Nothing was taken in: ${path} names ${what} that is neither in this file nor in this shop.`,
    [{ path, detail: `names ${what} that is not there` }],
  )

/** A file's entries by the rules of the bench: each on its own run, by somebody known, what its text says, nothing behind a decision. */
function accepted(
  empty: Run,
  sent: Entry[],
  people: ReadonlyMap<string, Access>,
  path: string,
): (Entry & { receivedAt: string })[] {
  const taken: (Entry & { receivedAt: string })[] = []
  const run: Run = { ...empty, entries: taken }
  const known = new Set<string>()
  let closed = false
  for (const entry of sent.toSorted((a, b) => a.n - b.n)) {
    const where = `${path}.entries[${sent.indexOf(entry)}]`
    if (known.has(entry.id)) throw conflict(where, 'has the id of another entry of this file')
    known.add(entry.id)
    accept(run, closed, people, entry, where)
    taken.push({ ...entry, receivedAt: entry.receivedAt ?? entry.at })
    if (entry.kind === 'decision' || entry.kind === 'take-back') closed = isClosed(run)
  }
  return taken
}

const conflict = (path: string, detail: string) =>
  new ProblemError(409, 'conflict', `Nothing was taken in: ${path} ${detail}.`, [{ path, detail }])

async function importRun(
  queries: Queries,
  shop: Shop,
  source: Shop['runs'][number],
  i: number,
  people: ReadonlyMap<string, Access>,
): Promise<number | undefined> {
  const before = await readRunRow(queries, source.id)
  if (before && (before.unit !== source.unit || before.startedAt !== source.startedAt))
    throw conflict(`runs[${i}].id`, 'is another run here, of another unit or another day')
  if (before) return undefined
  const unit = await readUnit(queries, source.unit)
  if (!unit) throw missing(`runs[${i}].unit`, 'a unit')
  const kit = [...shop.instruments, ...(await allInstruments(queries))]
  const instruments = source.instruments.map((one, j) => {
    const found = typeof one === 'string' ? kit.find(({ id }) => id === one) : one
    if (!found) throw missing(`runs[${i}].instruments[${j}]`, 'a meter')
    return found
  })
  if (!people.has(source.startedBy)) throw missing(`runs[${i}].startedBy`, 'a person')
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
    limits: (source.limits as UnitLimit[] | undefined) ?? null,
    compare: (source.compare as Comparison[] | undefined) ?? null,
  }
  await insertRun(queries, row)
  const empty = await readRun(queries, row)
  if (!empty) throw missing(`runs[${i}].card`, 'a card revision')
  const added = accepted(empty, source.entries as Entry[], people, `runs[${i}]`)
  await appendEntries(queries, added)
  const state = runState({ ...empty, entries: added })
  await keepJudged(queries, state)
  for (const entry of added)
    if (entry.kind === 'decision' && entry.what !== 'more-tests') await keepFinding(queries, state, entry)
  await moveUnit(queries, unit.id, unit.place, unit.blockedBy ?? null, row.id)
  return added.length
}
