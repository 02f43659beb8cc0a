import { type RunState, type Summary } from '@sure-spool/core'
import type { Queries } from '../database/connect'
import { keepState } from '../repositories/states'
import { queueStanding } from './queueStanding'

/** Keeps what core made of a run, for lists and searches, with where it stands for the queue. */
export const keepJudged = (queries: Queries, state: RunState): Promise<Summary> =>
  keepState(queries, state, queueStanding(state))
