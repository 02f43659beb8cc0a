import { type RunState, type Summary } from '@sure-spool/core'
import { inOneTrip, type Queries } from '../database/connect'
import { keepingState } from '../repositories/states'
import { queueStanding } from './queueStanding'

/** What keeps what core made of a run, for lists and searches, with where it stands for the queue. */
export const keepingJudged = (state: RunState, before?: RunState): ReturnType<typeof keepingState> =>
  keepingState(state, queueStanding(state), before)

/** Keeps it by itself. */
export async function keepJudged(queries: Queries, state: RunState): Promise<Summary> {
  const { summary, changes } = keepingJudged(state)
  await inOneTrip(queries, changes)
  return summary
}
