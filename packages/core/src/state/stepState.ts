import type { PointState } from '../judgement'
import type { Step } from '../plan'

export type StepStatus = 'to-do' | 'done' | 'flagged' | 'skipped' | 'held' | 'again'

export interface StepState {
  step: Step
  status: StepStatus
  point?: PointState
  entry?: string
}
