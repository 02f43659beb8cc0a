import type { Bench, CheckState, Evaluation } from '../judgement'
import type { Remark } from './rule'

/** What is known when the tape is looked at as a whole. */
export interface Closing {
  bench: Bench
  checks: CheckState[]
  /** every reading evaluated, in tape order */
  all: Evaluation[]
  noFaultFound: boolean
  stood: (evaluation: Evaluation) => boolean
}

export type ClosingRule = (closing: Closing) => Remark | null
