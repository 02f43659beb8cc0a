import type { Access, Shop } from '@sure-spool/contract'
import {
  isClosed,
  runState,
  type Comparison,
  type Entry,
  type Instrument,
  type Run,
  type UnitLimit,
} from '@sure-spool/core'
import { inOneTrip, type Queries } from '../database/connect'
import { keepFinding } from '../repositories/findings'
import { appending, insertRun, readRun, readRunRow } from '../repositories/runs'
import { moveUnit, readUnit } from '../repositories/units'
import { accept } from './accept'
import { conflict, missing } from './importProblems'
import { keepingJudged } from './keepJudged'

/**
 * Takes one run of a shop's file in, by the rules of the bench, and judges it.
 * @param kit the meters of the file and of the shop
 * @returns how many entries it had; nothing where it is here already
 * @throws ProblemError 409, 422
 */
export async function importRun(
  queries: Queries,
  source: Shop['runs'][number],
  { kit, people, path }: { kit: Instrument[]; people: ReadonlyMap<string, Access>; path: string },
): Promise<number | undefined> {
  const before = await readRunRow(queries, source.id)
  if (before && (before.unit !== source.unit || before.startedAt !== source.startedAt))
    throw conflict(`${path}.id`, 'is another run here, of another unit or another day')
  if (before) return undefined
  const unit = await readUnit(queries, source.unit)
  if (!unit) throw missing(`${path}.unit`, 'a unit')
  const instruments = source.instruments.map((one, j) => {
    const found = typeof one === 'string' ? kit.find(({ id }) => id === one) : one
    if (!found) throw missing(`${path}.instruments[${j}]`, 'a meter')
    return found
  })
  if (!people.has(source.startedBy)) throw missing(`${path}.startedBy`, 'a person')
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
  if (!empty) throw missing(`${path}.card`, 'a card revision')
  const added = accepted(empty, source.entries as Entry[], people, path)
  const state = runState({ ...empty, entries: added })
  await inOneTrip(queries, [...appending(added), ...keepingJudged(state).changes])
  for (const entry of added)
    if (entry.kind === 'decision' && entry.what !== 'more-tests') await keepFinding(queries, state, entry)
  await moveUnit(queries, unit.id, unit.place, unit.blockedBy ?? null, row.id)
  return added.length
}

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
