import type { PointState } from '../judgement'
import type { Step } from '../plan'

export type StepStatus = 'to-do' | 'done' | 'flagged' | 'skipped' | 'held' | 'again'

export interface StepState {
  step: Step
  status: StepStatus
  /** wanted again, and not at once: what it reads proves nothing on that range, and a higher one serves its whole set-up */
  later?: true
  /** its length is wanted, by which it is judged; it comes last, when nothing else is open */
  length?: true
  /** what is read here next stands beside what was: under other conditions, or after work */
  anew?: true
  point?: PointState
  entry?: string
}
