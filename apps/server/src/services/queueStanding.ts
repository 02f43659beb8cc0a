import type { Mark, Standing } from '@sure-spool/contract'
import { entriesThatStand, type RunState, type StepState } from '@sure-spool/core'

/** Where a run stands, for the queue: its step, how many are done, and a mark for each one taken. */
export function queueStanding(state: RunState): Standing {
  const { run, steps } = state
  const decision = entriesThatStand(state.tape, 'decision').at(-1)
  const outcome = entriesThatStand(state.tape, 'outcome').at(-1)
  const last = state.tape.entries.at(-1)
  const counted = steps.filter(({ step }) => step.kind !== 'finding')
  return {
    run: run.id,
    startedAt: run.startedAt,
    finding: state.finding.word,
    step: state.step,
    closed: state.closed,
    ...(decision ? { decision: decision.what } : {}),
    ...(outcome ? { outcome: outcome.what } : {}),
    done: counted.filter(({ status }) => status === 'done' || status === 'flagged' || status === 'skipped').length,
    steps: counted.length,
    marks: counted.flatMap((one) => {
      const mark = markOf(one)
      return mark === undefined ? [] : [{ step: one.step.id, mark }]
    }),
    ...(last ? { lastAt: last.at } : {}),
  }
}

function markOf({ step, status, point }: StepState): Mark | undefined {
  if (status === 'to-do') return undefined
  if (status === 'skipped') return 'skipped'
  if (step.kind === 'reading' || step.kind === 'answer') return point?.held ? 'none' : (point?.verdict ?? 'none')
  return status === 'flagged' ? 'flagged' : 'done'
}
