import type { CardRecord } from '@sure-spool/contract'
import { and, asc, desc, eq, inArray, lt, or } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { checkStates, runStates, runs, units } from '../database/schema'

/** Where a page of a card's closed runs ended. */
export interface RecordPlace {
  startedAt: string
  run: string
}

/** A card's closed runs, the newest first, from behind a place on. */
export const closedRunsOf = (
  queries: Queries,
  card: string,
  { after, limit }: { after?: RecordPlace | undefined; limit: number },
): Promise<RecordPlace[]> =>
  queries
    .select({ run: runStates.run, startedAt: runStates.startedAt })
    .from(runStates)
    .where(
      and(
        eq(runStates.card, card),
        eq(runStates.closed, true),
        after === undefined
          ? undefined
          : or(
              lt(runStates.startedAt, after.startedAt),
              and(eq(runStates.startedAt, after.startedAt), lt(runStates.run, after.run)),
            ),
      ),
    )
    .orderBy(desc(runStates.startedAt), desc(runStates.run))
    .limit(limit)

/** What some runs' checks read, the newest run first. A check without a figure and not open says nothing. */
export async function readingsOf(queries: Queries, of: string[]): Promise<CardRecord['readings']> {
  if (of.length === 0) return []
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
    .innerJoin(runStates, eq(runStates.run, checkStates.run))
    .innerJoin(runs, eq(runs.id, checkStates.run))
    .innerJoin(units, eq(units.id, runs.unit))
    .where(inArray(checkStates.run, of))
    .orderBy(desc(runs.startedAt), desc(runs.id), asc(checkStates.check))
  return rows
    .filter(({ value, open }) => value !== null || open)
    .map((row) => ({
      ...row,
      history: row.history as CardRecord['readings'][number]['history'],
      value: row.value ?? 0,
      u: row.u ?? 0,
      finding: row.finding as CardRecord['readings'][number]['finding'],
    }))
}
