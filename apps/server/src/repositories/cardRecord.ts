import type { CardRecord } from '@sure-spool/contract'
import { and, asc, desc, eq, sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { checkStates, runStates, runs, units } from '../database/schema'

/** Every closed run's judged figures of a card, newest runs first, at most `limit` readings. */
export async function recordOf(queries: Queries, card: string, limit: number): Promise<CardRecord> {
  const rows = await queries
    .select({
      check: checkStates.check,
      run: checkStates.run,
      tag: units.tag,
      value: checkStates.judged,
      u: checkStates.judgedU,
      open: checkStates.open,
      finding: runStates.finding,
      cameBack: runStates.cameBack,
      history: runs.history,
    })
    .from(checkStates)
    .innerJoin(runStates, and(eq(runStates.run, checkStates.run), eq(runStates.closed, true)))
    .innerJoin(runs, eq(runs.id, checkStates.run))
    .innerJoin(units, eq(units.id, runs.unit))
    .where(eq(checkStates.card, card))
    .orderBy(desc(runs.startedAt), desc(runs.id), asc(checkStates.check))
    .limit(limit)
  const counts = await queries
    .select({
      finding: runStates.finding,
      count: sql<number>`count(*)`,
      units: sql<number>`count(distinct ${runs.unit})`,
      back: sql<number>`sum(${runStates.cameBack})`,
      cured: sql<number>`sum(json_value(${runStates.standing}, '$.decision') <=> 'exchange' and json_value(${runStates.standing}, '$.outcome') <=> 'ran-well')`,
    })
    .from(runStates)
    .innerJoin(runs, eq(runs.id, runStates.run))
    .where(and(eq(runs.card, card), eq(runStates.closed, true)))
    .groupBy(runStates.finding)
  const passed = counts.find((row) => row.finding === 'no-fault-found')
  const countOf = (word: string) => Number(counts.find((row) => row.finding === word)?.count ?? 0)
  return {
    units: counts.reduce((total, row) => total + Number(row.units), 0),
    findings: {
      'fault-found': countOf('fault-found'),
      undecided: countOf('undecided'),
      'no-fault-found': countOf('no-fault-found'),
    },
    cameBackAfterPass: Number(passed?.back ?? 0),
    curedByExchange: Number(passed?.cured ?? 0),
    readings: rows.flatMap((row) =>
      row.value === null && !row.open
        ? []
        : [
            {
              ...row,
              history: row.history as CardRecord['readings'][number]['history'],
              value: row.value ?? 0,
              u: row.u ?? 0,
              finding: row.finding as CardRecord['readings'][number]['finding'],
            },
          ],
    ),
  }
}
