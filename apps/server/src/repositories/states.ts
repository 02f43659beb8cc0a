import type { Standing } from '@sure-spool/contract'
import { entriesThatStand, summarise, type RunState, type Summary } from '@sure-spool/core'
import { sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { checkStates, runStates } from '../database/schema'

/** Keeps what core computed of a run, for lists and searches, in place of what was kept before. */
export async function keepState(queries: Queries, state: RunState, standing: Standing): Promise<Summary> {
  const { run } = state
  const summary = summarise(state)
  const row = {
    card: run.card.id,
    startedAt: run.startedAt,
    entryCount: run.entries.length,
    finding: summary.finding,
    closed: state.closed,
    cameBack: lastOutcome(state) === 'came-back',
    cured:
      summary.finding === 'no-fault-found' && standing.decision === 'exchange' && lastOutcome(state) === 'ran-well',
    core: state.core,
    summary,
    standing,
  }
  await queries
    .insert(runStates)
    .values({ run: run.id, ...row })
    .onDuplicateKeyUpdate({ set: row })
  const rows = state.checks.map(({ check, verdict, reason, points }) => {
    const worst = points.find((point) => point.verdict === verdict)?.evaluation
    return {
      run: run.id,
      check: check.id,
      verdict,
      reason: reason ?? null,
      judged: worst?.judged ?? worst?.net ?? null,
      judgedU: (worst?.judged === undefined ? worst?.netU : worst.u) ?? null,
      open: worst?.reason === 'open-circuit' || worst?.reason === 'open-as-expected',
    }
  })
  if (rows.length > 0)
    await queries
      .insert(checkStates)
      .values(rows)
      .onDuplicateKeyUpdate({
        set: {
          verdict: sql`values(verdict)`,
          reason: sql`values(reason)`,
          judged: sql`values(judged)`,
          judgedU: sql`values(judged_u)`,
          open: sql`values(open)`,
        },
      })
  return summary
}

/** What became of the unit, as it was said last. */
const lastOutcome = ({ tape }: RunState): 'ran-well' | 'came-back' | undefined =>
  entriesThatStand(tape, 'outcome').at(-1)?.what
