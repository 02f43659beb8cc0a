import type { UnitRun, UnitRuns } from '@sure-spool/contract'
import { comparisonOf, runState, summarise, type Comparison, type History, type RunState } from '@sure-spool/core'
import { and, asc, desc, eq, inArray, lt, or } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { cards, findings, runs } from '../database/schema'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { notFound } from '../http/problem'
import { readRun } from '../repositories/runs'
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
  const rows = await queries
    .select()
    .from(runs)
    .where(
      and(
        eq(runs.unit, unit),
        after === undefined
          ? undefined
          : or(lt(runs.startedAt, after.startedAt), and(eq(runs.startedAt, after.startedAt), lt(runs.id, after.id))),
      ),
    )
    .orderBy(desc(runs.startedAt), desc(runs.id))
    .limit(limit + 1)
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

async function findingsOf(queries: Queries, ids: string[]): Promise<Map<string, UnitRun['findings']>> {
  if (ids.length === 0) return new Map()
  const rows = await queries.select().from(findings).where(inArray(findings.run, ids)).orderBy(asc(findings.at))
  const byRun = new Map<string, UnitRun['findings']>()
  for (const { run, at, core, revision, finding, decision } of rows) {
    const one = { at, core, revision, finding: finding as UnitRun['finding'], decision }
    byRun.set(run, [...(byRun.get(run) ?? []), one])
  }
  return byRun
}

function asUnitRun(state: RunState, by: string): Omit<UnitRun, 'findings'> {
  const { run, tape } = state
  const standing = tape.entries.filter((entry) => !tape.takenBack.has(entry.id))
  const decision = standing.findLast((entry) => entry.kind === 'decision')
  const outcome = standing.findLast((entry) => entry.kind === 'outcome')
  return {
    run: run.id,
    startedAt: run.startedAt,
    by,
    revision: run.card.revision,
    history: run.unit.history,
    finding: state.finding.word,
    closed: state.closed,
    ...(decision?.kind === 'decision' ? { decision: { what: decision.what, why: decision.why } } : {}),
    ...(outcome?.kind === 'outcome' ? { outcome: { what: outcome.what, words: outcome.words, at: outcome.at } } : {}),
    comparison: comparisonOf(state, 'earlier'),
    verdicts: summarise(state).verdicts,
  }
}

/** The condition a run leaves its unit in: rewound once it was rewound, or was closed to be. */
const historyAfter = ({ run, tape }: RunState): History => {
  const rewound = tape.entries.some(
    (entry) =>
      (entry.kind === 'work' || entry.kind === 'decision') && entry.what === 'rewind' && !tape.takenBack.has(entry.id),
  )
  return rewound ? 'rewound' : run.unit.history
}

/** What the last run of a unit leaves to the next one; nothing where there was none. */
export async function lastRunOf(
  queries: Queries,
  unit: string,
): Promise<{ comparison: Comparison; history: History } | undefined> {
  const [row] = await queries
    .select()
    .from(runs)
    .where(eq(runs.unit, unit))
    .orderBy(desc(runs.startedAt), desc(runs.id))
    .limit(1)
  const run = row && (await readRun(queries, row))
  if (!run) return undefined
  const state = runState(run)
  return { comparison: comparisonOf(state, 'earlier'), history: historyAfter(state) }
}

/** The card revision a unit's next run is judged by: the newest published one, or the sketch it was taken in on. */
export async function revisionNow(queries: Queries, card: { id: string; revision: number }): Promise<number> {
  const [row] = await queries.select({ published: cards.published }).from(cards).where(eq(cards.id, card.id))
  return row?.published ?? card.revision
}
