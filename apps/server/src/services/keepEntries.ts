import type { Kept } from '@sure-spool/contract'
import { isClosed, runState, type Entry, type Run } from '@sure-spool/core'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import { allPeople } from '../repositories/shop'
import { appendEntries, entriesById, readRun, readRunRow } from '../repositories/runs'
import { keepFinding, keepState } from '../repositories/states'
import { moveUnit } from '../repositories/units'
import { accept, sameEntry } from './accept'

/**
 * Puts entries on a run's tape, all or none, and judges the run again. The same entry again is the same entry, once.
 * @returns what was kept and the run's verdicts
 * @throws ProblemError 404 (no such run), 409 (another body under a known id; a closed run), 422 (cannot belong to the run)
 */
export async function keepEntries(database: Database, runId: string, sent: Entry[], now: string): Promise<Kept> {
  return inTransaction(database, async (queries) => {
    const row = await readRunRow(queries, runId, true)
    const run = row && (await readRun(queries, row))
    if (!row || !run) throw notFound('This run')
    const fresh = await withoutRepeats(queries, sent)
    const added = fresh.map((entry) => ({ ...entry, receivedAt: now }))
    const people = new Set((await allPeople(queries)).map((person) => person.id))
    let grown: Run = run
    let closed = isClosed(run)
    for (const entry of added) {
      accept(grown, closed, people, entry, `entries[${sent.findIndex((one) => one.id === entry.id)}]`)
      grown = { ...grown, entries: [...grown.entries, entry] }
      closed = isClosed(grown)
    }
    const state = runState(grown)
    await appendEntries(queries, added)
    const summary = await keepState(queries, state)
    for (const entry of added)
      if (entry.kind === 'decision' && entry.what !== 'more-tests') await keepFinding(queries, state, entry)
    if (added.length > 0 && state.closed) await moveUnit(queries, row.unit, 'done', null)
    return {
      kept: sent.map(({ id }) => ({
        id,
        receivedAt: grown.entries.find((entry) => entry.id === id)?.receivedAt ?? now,
        repeated: !added.some((entry) => entry.id === id),
      })),
      count: grown.entries.length,
      state: summary,
    }
  })
}

async function withoutRepeats(queries: Queries, sent: Entry[]): Promise<Entry[]> {
  const known = new Map(
    (
      await entriesById(
        queries,
        sent.map((entry) => entry.id),
      )
    ).map((entry) => [entry.id, entry]),
  )
  const fresh: Entry[] = []
  for (const [i, entry] of sent.entries()) {
    const before = known.get(entry.id)
    if (before && !sameEntry(before, entry))
      throw new ProblemError(
        409,
        'conflict',
        `Nothing of this request was kept: entries[${i}].id "${entry.id}" is on the tape already with another body. What is kept stays; enter this one again under a new id.`,
        [{ path: `entries[${i}].id`, detail: 'is on the tape already with another body' }],
      )
    if (!before) fresh.push(entry)
    known.set(entry.id, entry)
  }
  return fresh
}
