import type { NewRewind, RewindKept, RewindView } from '@sure-spool/contract'
import { rewindRefusal, type Rewind, type RewindEntry } from '@sure-spool/core'
import { canonical } from '../canonical'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import { modelOf } from '../repositories/cards'
import {
  appendRewindEntries,
  asRewind,
  entriesOfRewind,
  insertRewind,
  readRewindRow,
  type RewindRow,
} from '../repositories/rewinds'
import type { Proof } from '../repositories/runs'
import { allInstruments } from '../repositories/shop'
import { readUnit } from '../repositories/units'
import { allowed } from './access'

const nothing = (status: number, kind: string, path: string, detail: string) =>
  new ProblemError(status, kind, `Nothing of this request was kept: ${path} ${detail}.`, [{ path, detail }])

/** Begins a rewind of a unit; the same rewind again is the same rewind. @throws ProblemError 404, 409, 422 */
export async function startRewind(database: Database, body: NewRewind): Promise<RewindView> {
  return inTransaction(database, async (queries) => {
    const unit = await readUnit(queries, body.unit, true)
    if (!unit) throw nothing(422, 'refused', 'unit', 'names a unit that is not here; take it in first')
    await allowed(queries, body.by, 'learner')
    const known = await readRewindRow(queries, body.id)
    if (known && (known.unit !== body.unit || canonical(known.coils) !== canonical(body.coils)))
      throw nothing(409, 'conflict', 'id', 'is there already with another body')
    const row: RewindRow = known ?? {
      id: body.id,
      unit: unit.id,
      card: unit.card.id,
      before: body.before ?? null,
      startedAt: body.startedAt,
      startedBy: body.by,
      instruments: await allInstruments(queries),
      coils: body.coils,
    }
    if (!known) await insertRewind(queries, row)
    return viewOf(queries, row)
  })
}

/** A rewind with what is to be known of its unit. @throws ProblemError 404 */
export async function viewRewind(queries: Queries, id: string): Promise<RewindView> {
  const row = await readRewindRow(queries, id)
  if (!row) throw notFound('This rewind')
  return viewOf(queries, row)
}

async function viewOf(queries: Queries, row: RewindRow): Promise<RewindView> {
  const [unit, model, entries] = await Promise.all([
    readUnit(queries, row.unit),
    modelOf(queries, row.card),
    entriesOfRewind(queries, row.id),
  ])
  if (!unit) throw notFound('The unit of this rewind')
  return { rewind: asRewind(row, entries), unit: { id: unit.id, tag: unit.tag, card: unit.card.id, model } }
}

/**
 * Puts entries on a rewind's tape, all or none. The same entry again is the same entry, once.
 * @throws ProblemError 404 (no such rewind), 409 (another body under a known id), 422 (cannot belong to it)
 */
export async function keepRewindEntries(
  database: Database,
  id: string,
  sent: RewindEntry[],
  now: string,
  proofs?: ReadonlyMap<string, Proof>,
): Promise<RewindKept> {
  return inTransaction(database, async (queries) => {
    const row = await readRewindRow(queries, id, true)
    if (!row) throw notFound('This rewind')
    for (const by of new Set(sent.map((entry) => entry.by))) await allowed(queries, by, 'learner')
    const before = asRewind(row, await entriesOfRewind(queries, id))
    const added = takenUp(before, sent).map((entry) => ({ ...entry, receivedAt: now }))
    await appendRewindEntries(queries, added, proofs)
    const all = [...before.entries, ...added]
    return {
      kept: sent.map((entry) => ({
        id: entry.id,
        receivedAt: all.find((one) => one.id === entry.id)?.receivedAt ?? now,
        repeated: !added.some((one) => one.id === entry.id),
      })),
      count: all.length,
    }
  })
}

/** Those that are new, each held to what stands before it. @throws ProblemError 409, 422 */
export function takenUp(before: Rewind, sent: RewindEntry[], path = 'entries'): RewindEntry[] {
  const bare = ({ receivedAt: _receivedAt, ...entry }: RewindEntry) => canonical(entry)
  const known = new Map(before.entries.map((entry) => [entry.id, entry]))
  const fresh: RewindEntry[] = []
  for (const [i, entry] of sent.entries()) {
    const same = known.get(entry.id)
    if (same && bare(same) !== bare(entry))
      throw nothing(409, 'conflict', `${path}[${i}].id`, 'is on the tape already with another body')
    if (same) continue
    const refusal = rewindRefusal({ ...before, entries: [...known.values()] }, entry)
    if (refusal) throw nothing(422, 'entry-refused', `${path}[${i}].${refusal.field}`, refusal.sentence)
    fresh.push(entry)
    known.set(entry.id, entry)
  }
  return fresh
}
