import type { RunView, UnitRun, UnitRuns } from '@sure-spool/contract'
import {
  comparisonOf,
  entriesThatStand,
  limitsOfPlan,
  rewindState,
  runState,
  sketchGrown,
  summarise,
  type Comparison,
  type History,
  type RunState,
  type UnitLimit,
} from '@sure-spool/core'
import type { Queries } from '../database/connect'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { notFound } from '../http/problem'
import { publishedRevision } from '../repositories/cards'
import { keepRevision, readRevision, revisionsOf, type Written } from '../repositories/revisions'
import { asRewind, entriesOfRewind, listRewinds } from '../repositories/rewinds'
import { hashOf } from '../canonical'
import { findingsOf } from '../repositories/findings'
import { lastRunRow, readRun, runRowsOfUnit } from '../repositories/runs'
import { readUnit } from '../repositories/units'

/** A unit's runs are few; a page of its screen holds them side by side. */
const mostAtOnce = 12

/** A page of a unit's runs, the newest first, each judged by the card it was judged by. */
export async function runsOfUnit(
  queries: Queries,
  unit: string,
  query: { cursor?: string | undefined; limit: number },
): Promise<UnitRuns> {
  if (!(await readUnit(queries, unit))) throw notFound('This unit')
  const limit = Math.min(query.limit, mostAtOnce)
  const after = decodeCursor('runs', query.cursor)
  const rows = await runRowsOfUnit(queries, unit, after, limit + 1)
  const page = rows.slice(0, limit)
  const kept = await findingsOf(
    queries,
    page.map((row) => row.id),
  )
  const shown: UnitRun[] = []
  for (const row of page) {
    const run = await readRun(queries, row)
    if (run) shown.push({ ...asUnitRun(runState(run), row.startedBy), findings: kept.get(row.id) ?? [] })
  }
  const last = page.at(-1)
  const more = rows.length > limit && last !== undefined
  return { runs: shown, ...(more ? { next: encodeCursor('runs', { startedAt: last.startedAt, id: last.id }) } : {}) }
}

function asUnitRun(state: RunState, by: string): Omit<UnitRun, 'findings'> {
  const { run, tape } = state
  const decision = entriesThatStand(tape, 'decision').at(-1)
  const outcome = entriesThatStand(tape, 'outcome').at(-1)
  return {
    run: run.id,
    startedAt: run.startedAt,
    by,
    revision: run.card.revision,
    history: run.unit.history,
    finding: state.finding.word,
    closed: state.closed,
    ...(decision ? { decision: { what: decision.what, why: decision.why } } : {}),
    ...(outcome ? { outcome: { what: outcome.what, words: outcome.words, at: outcome.at } } : {}),
    comparison: comparisonOf(state, 'earlier'),
    verdicts: summarise(state).verdicts,
  }
}

/** The condition a run leaves its unit in: rewound once it was rewound, or was closed to be. */
const historyAfter = ({ run, tape }: RunState): History => {
  const rewound = [...entriesThatStand(tape, 'work'), ...entriesThatStand(tape, 'decision')].some(
    ({ what }) => what === 'rewind',
  )
  return rewound ? 'rewound' : run.unit.history
}

/** What a unit's last run leaves to its next one. */
export interface PastRun {
  comparison: Comparison
  history: History
  /** of the card it was judged by */
  revision: number
  state: RunState
}

/** What the last run of a unit leaves to the next one; nothing where there was none. */
export async function lastRunOf(queries: Queries, unit: string): Promise<PastRun | undefined> {
  const row = await lastRunRow(queries, unit)
  const run = row && (await readRun(queries, row))
  if (!run) return undefined
  const state = runState(run)
  return { comparison: comparisonOf(state, 'earlier'), history: historyAfter(state), revision: row.revision, state }
}

/**
 * The card revision a unit's next run is judged by: the newest published one; else the sketch its last run was on, grown by what that run was
 * told and asked besides.
 */
export async function revisionNow(queries: Queries, card: string, past: PastRun, written: Written): Promise<number> {
  const published = await publishedRevision(queries, card)
  if (published !== undefined) return published
  const { entries, card: known } = past.state.run
  if (!entries.some(({ kind }) => kind === 'ask' || kind === 'point')) return past.revision
  const revision = ((await revisionsOf(queries, card)).at(-1)?.revision ?? past.revision) + 1
  const grown = sketchGrown(known, revision)
  await keepRevision(queries, grown, hashOf(grown), written)
  return revision
}

/** What a unit is to read by the plan of the rewind that followed its last run; null where none did. */
export async function limitsSince(
  queries: Queries,
  unit: string,
  card: string,
  revision: number,
  past: PastRun,
): Promise<UnitLimit[] | null> {
  const [latest] = await listRewinds(queries, { unit })
  if (!latest || latest.rewinds.startedAt < past.state.run.startedAt) return null
  const { rewinds: row } = latest
  const body = await readRevision(queries, card, revision)
  if (!body) return null
  const limits = limitsOfPlan(rewindState(asRewind(row, await entriesOfRewind(queries, row.id))), body)
  return limits.length > 0 ? limits : null
}

/** The run of a unit that nobody has closed yet; nothing where there is none. */
export async function openRunOf(queries: Queries, unit: string): Promise<RunView | undefined> {
  const row = await lastRunRow(queries, unit)
  const run = row && (await readRun(queries, row))
  if (!run) return undefined
  const state = runState(run)
  return state.closed ? undefined : { run, state: summarise(state) }
}
