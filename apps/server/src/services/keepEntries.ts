import type { Access, Kept } from '@sure-spool/contract'
import { isClosed, runState, type Entry, type Run, type RunState, type Summary } from '@sure-spool/core'
import { inOneTrip, inTransaction, type Database, type Queries } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import { note } from '../repositories/audit'
import { countedRun, recount } from '../repositories/cardTallies'
import { allPeople } from '../repositories/people'
import { changedAsRemembered, rememberedRun, rememberRun, runById, type Held } from '../repositories/rememberedRuns'
import { appending, type Proof, type RunRow } from '../repositories/runs'
import { keepFinding } from '../repositories/findings'
import { moveUnit } from '../repositories/units'
import { accept, sameEntry } from './accept'
import { keepingJudged } from './keepJudged'

/** Entries that are sent to a run's tape, and when. */
interface Sent {
  entries: Entry[]
  now: string
  /** by the entries' ids: the seat that each was made in, and its seal */
  proofs?: ReadonlyMap<string, Proof> | undefined
}

/**
 * Puts entries on a run's tape, all or none, and judges the run again. The same entry again is the same entry, once.
 * @returns what was kept and the run's verdicts
 * @throws ProblemError 404 (no such run), 409 (another body under a known id; a closed run), 422 (cannot belong to the run)
 */
export async function keepEntries(database: Database, runId: string, sent: Sent): Promise<Kept> {
  const { row, run, state, summary, fresh } =
    (await inOneGo(database, runId, sent)) ??
    (await inTransaction(database, (queries) => withAllThatFollows(queries, runId, sent)))
  rememberRun({ row, run, state })
  const received = new Map(run.entries.map(({ id, receivedAt }) => [id, receivedAt]))
  return {
    kept: sent.entries.map(({ id }) => ({
      id,
      receivedAt: received.get(id) ?? sent.now,
      repeated: !fresh.some((entry) => entry.id === id),
    })),
    count: run.entries.length,
    state: summary,
  }
}

/**
 * What a bench sends most, a reading of somebody who works on a run that is remembered and undecided: judged as it is remembered, and kept in
 * one trip. Nothing where there is more to it, or where it would be refused: that is for the run as the database has it.
 */
async function inOneGo(database: Database, runId: string, sent: Sent): Promise<Grown | undefined> {
  const held = rememberedRun(runId)
  if (!held) return undefined
  const people = workingOn(held)
  const simple = [...held.run.entries, ...sent.entries].every(({ kind, by }) => kind !== 'decision' && people.has(by))
  if (!simple) return undefined
  try {
    const grown = grow(held, people, sent)
    return (await changedAsRemembered(database, held.run, grown.changes)) ? grown : undefined
  } catch (error) {
    if (error instanceof ProblemError) return undefined
    throw error
  }
}

/** The same for any entries, with what a decision brings along: the card's counts, the finding, the audit, the unit's place. */
async function withAllThatFollows(queries: Queries, runId: string, sent: Sent): Promise<Grown> {
  const held = await runById(queries, runId, true)
  if (!held) throw notFound('This run')
  const grown = grow(held, await knownPeople(queries, held, sent.entries), sent)
  const { row, run, state, added } = grown
  // a run counts for its card while a decision stands
  const decided = run.entries.some(({ kind }) => kind === 'decision')
  const before = decided ? await countedRun(queries, runId, row.unit) : {}
  await inOneTrip(queries, grown.changes)
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
  return grown
}

/** A run with what was sent, judged, and what keeps that. */
interface Grown {
  row: RunRow
  run: Run
  state: RunState
  summary: Summary
  /** of what was sent, what is new */
  fresh: Entry[]
  added: (Entry & { receivedAt: string })[]
  changes: string[]
}

/** @throws ProblemError 409, 422 */
function grow(held: Held, people: ReadonlyMap<string, Access>, sent: Sent): Grown {
  const fresh = withoutRepeats(held.run.entries, sent.entries)
  const added = fresh.map((entry) => ({ ...entry, receivedAt: sent.now }))
  const run = acceptAll(held.run, added, people, sent.entries)
  const state = runState(run, held.state)
  const { summary, changes } = keepingJudged(state, held.state)
  return {
    row: held.row,
    run,
    state,
    summary,
    fresh,
    added,
    changes: [...appending(added, sent.proofs), ...changes],
  }
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

/** Those who work on a run already: what they enter in it needs nobody's leave. */
const workingOn = ({ row, run }: Held): ReadonlyMap<string, Access> =>
  new Map([row.startedBy, ...run.entries.map(({ by }) => by)].map((id) => [id, 'learner']))

/**
 * Who may stand on this tape, and what they may do: those who do already; only where somebody new comes up, or something is decided, the
 * shop's people are asked for.
 */
async function knownPeople(queries: Queries, held: Held, sent: Entry[]): Promise<ReadonlyMap<string, Access>> {
  const known = workingOn(held)
  if (sent.every((entry) => known.has(entry.by) && entry.kind !== 'decision')) return known
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
