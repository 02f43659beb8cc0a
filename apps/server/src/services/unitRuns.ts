import type { RunView, UnitRun, UnitRuns } from '@sure-spool/contract'
import {
  comparisonOf,
  entriesThatStand,
  runState,
  summarise,
  type Comparison,
  type History,
  type RunState,
} from '@sure-spool/core'
import type { Queries } from '../database/connect'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { notFound } from '../http/problem'
import { publishedRevision } from '../repositories/cards'
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
  const after =
    query.cursor === undefined
      ? undefined
      : decodeCursor<{ startedAt: string; id: string }>(query.cursor, ['startedAt', 'id'])
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
  return { runs: shown, ...(more ? { next: encodeCursor({ startedAt: last.startedAt, id: last.id }) } : {}) }
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

/** What the last run of a unit leaves to the next one; nothing where there was none. */
export async function lastRunOf(
  queries: Queries,
  unit: string,
): Promise<{ comparison: Comparison; history: History } | undefined> {
  const row = await lastRunRow(queries, unit)
  const run = row && (await readRun(queries, row))
  if (!run) return undefined
  const state = runState(run)
  return { comparison: comparisonOf(state, 'earlier'), history: historyAfter(state) }
}

/** The card revision a unit's next run is judged by: the newest published one, or the sketch it was taken in on. */
export async function revisionNow(queries: Queries, card: { id: string; revision: number }): Promise<number> {
  return (await publishedRevision(queries, card.id)) ?? card.revision
}

/** The run of a unit that nobody has closed yet; nothing where there is none. */
export async function openRunOf(queries: Queries, unit: string): Promise<RunView | undefined> {
  const row = await lastRunRow(queries, unit)
  const run = row && (await readRun(queries, row))
  if (!run) return undefined
  const state = runState(run)
  return state.closed ? undefined : { run, state: summarise(state) }
}
