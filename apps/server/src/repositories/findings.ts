import type { UnitRun } from '@sure-spool/contract'
import { summarise, type RunState } from '@sure-spool/core'
import { asc, inArray } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { findings } from '../database/schema'

/** Keeps the finding a run was closed with; a later one stands beside it. */
export async function keepFinding(
  queries: Queries,
  state: RunState,
  entry: { id: string; at: string; what: string },
): Promise<void> {
  const { run } = state
  await queries.insert(findings).values({
    entry: entry.id,
    run: run.id,
    card: run.card.id,
    revision: run.card.revision,
    core: state.core,
    finding: state.finding.word,
    decision: entry.what,
    summary: summarise(state),
    at: entry.at,
  })
}

/** What some runs were closed with, the earliest first, by run. */
export async function findingsOf(queries: Queries, runs: string[]): Promise<Map<string, UnitRun['findings']>> {
  if (runs.length === 0) return new Map()
  const rows = await queries.select().from(findings).where(inArray(findings.run, runs)).orderBy(asc(findings.at))
  const byRun = new Map<string, UnitRun['findings']>()
  for (const { run, at, core, revision, finding, decision } of rows) {
    const one = { at, core, revision, finding: finding as UnitRun['finding'], decision }
    byRun.set(run, [...(byRun.get(run) ?? []), one])
  }
  return byRun
}
