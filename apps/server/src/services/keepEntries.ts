import type { Access, Kept } from '@sure-spool/contract'
import { isClosed, runState, type Entry, type Run } from '@sure-spool/core'
import { inOneTrip, inTransaction, type Database, type Queries } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import { note } from '../repositories/audit'
import { countedRun, recount } from '../repositories/cardTallies'
import { allPeople } from '../repositories/people'
import { appending, rememberRun, runById, type Proof } from '../repositories/runs'
import { keepFinding } from '../repositories/findings'
import { moveUnit } from '../repositories/units'
import { accept, sameEntry } from './accept'
import { keepingJudged } from './keepJudged'

/**
 * Puts entries on a run's tape, all or none, and judges the run again. The same entry again is the same entry, once.
 * @param proofs by the entries' ids: the seat that each was made in, and its seal
 * @returns what was kept and the run's verdicts
 * @throws ProblemError 404 (no such run), 409 (another body under a known id; a closed run), 422 (cannot belong to the run)
 */
export async function keepEntries(
  database: Database,
  runId: string,
  sent: Entry[],
  now: string,
  proofs?: ReadonlyMap<string, Proof>,
): Promise<Kept> {
  const { held, kept } = await inTransaction(database, async (queries) => {
    const held = await runById(queries, runId, true)
    if (!held) throw notFound('This run')
    const { row, run } = held
    const fresh = withoutRepeats(run.entries, sent)
    const added = fresh.map((entry) => ({ ...entry, receivedAt: now }))
    const people = await knownPeople(queries, run, row.startedBy, fresh)
    const grown = acceptAll(run, added, people, sent)
    // a run counts for its card while a decision stands
    const decided = grown.entries.some(({ kind }) => kind === 'decision')
    const before = decided ? await countedRun(queries, runId, row.unit) : {}
    const state = runState(grown, held.state)
    const { summary, changes } = keepingJudged(queries, state, held.state)
    await inOneTrip(queries, [...appending(queries, added, proofs), ...changes])
    if (decided) await recount(queries, row.card, before, await countedRun(queries, runId, row.unit))
    for (const entry of added)
      if (entry.kind === 'decision') {
        if (entry.what !== 'more-tests') await keepFinding(queries, state, entry)
        await note(queries, 'decided', run.unit.tag, entry.by, {
          run: runId,
          what: entry.what,
          finding: state.finding.word,
          ...(entry.second === undefined ? {} : { second: entry.second }),
        })
      }
    if (added.length > 0 && state.closed) await moveUnit(queries, row.unit, 'done', null)
    const received = new Map(grown.entries.map(({ id, receivedAt }) => [id, receivedAt]))
    const kept: Kept = {
      kept: sent.map(({ id }) => ({
        id,
        receivedAt: received.get(id) ?? now,
        repeated: !fresh.some((entry) => entry.id === id),
      })),
      count: grown.entries.length,
      state: summary,
    }
    return { held: { row, run: grown, state }, kept }
  })
  rememberRun(held)
  return kept
}

/** The run with what was added, each by the rules of the tape in front of it. */
function acceptAll(run: Run, added: Entry[], people: ReadonlyMap<string, Access>, sent: Entry[]): Run {
  const entries = [...run.entries]
  const grown: Run = { ...run, entries }
  let closed = isClosed(run)
  for (const entry of added) {
    accept(grown, closed, people, entry, `entries[${sent.findIndex(({ id }) => id === entry.id)}]`)
    entries.push(entry)
    if (entry.kind === 'decision' || entry.kind === 'take-back') closed = isClosed(grown)
  }
  return grown
}

/**
 * Who may stand on this tape, and what they may do: those who do already work here; only where somebody new comes up, or something is
 * decided, the shop's people are asked for.
 */
async function knownPeople(
  queries: Queries,
  run: Run,
  startedBy: string,
  fresh: Entry[],
): Promise<ReadonlyMap<string, Access>> {
  const working = [startedBy, ...run.entries.map((entry) => entry.by)]
  const known = new Map(working.map((id): [string, Access] => [id, 'learner']))
  if (fresh.every((entry) => known.has(entry.by) && entry.kind !== 'decision')) return known
  return new Map((await allPeople(queries)).map(({ id, access }) => [id, access]))
}

function withoutRepeats(kept: Entry[], sent: Entry[]): Entry[] {
  const known = new Map(kept.map((entry) => [entry.id, entry]))
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
