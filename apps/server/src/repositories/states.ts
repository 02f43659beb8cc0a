import type { Standing } from '@sure-spool/contract'
import { entriesThatStand, summarise, type RunState, type Summary } from '@sure-spool/core'
import { insertText } from '../database/insertText'
import { checkStates, runStates } from '../database/schema'

/**
 * What keeps, for lists and searches, what core computed of a run, in place of what was kept before.
 * @param before what of this run stands there already, where that is known: of its checks only those that changed are written
 */
export function keepingState(
  state: RunState,
  standing: Standing,
  before?: RunState,
): { summary: Summary; changes: string[] } {
  const { run } = state
  const summary = summarise(state)
  const row = {
    run: run.id,
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
  const whole = insertText(runStates, [row], true)
  const stand = new Set(before && checkRows(before).map((one) => JSON.stringify(one)))
  const rows = checkRows(state).filter((one) => !stand.has(JSON.stringify(one)))
  return { summary, changes: rows.length === 0 ? [whole] : [whole, insertText(checkStates, rows, true)] }
}

const checkRows = ({ run, checks }: RunState): (typeof checkStates.$inferInsert)[] =>
  checks.map(({ check, verdict, reason, points }) => {
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

/** What became of the unit, as it was said last. */
const lastOutcome = ({ tape }: RunState): 'ran-well' | 'came-back' | undefined =>
  entriesThatStand(tape, 'outcome').at(-1)?.what
