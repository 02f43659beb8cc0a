import type { Band, Verdict } from '../../conformance'
import type { Relation } from '../../document'
import type { CurrentCheck } from '../../function'
import type { SumResult } from '../../relations'
import type { Evaluation } from '../figure'

/** A relation between standing readings, judged. */
export interface RelationState {
  relation: Relation
  verdict: Verdict
  reason?: 'not-read' | 'not-finite' | 'guess' | 'volts-missing' | 'undecided' | 'another-card'
  conformance?: number
  leaning?: 'within' | 'outside'
  /** what was compared, in the relation's own figure: ohms left over for a sum, a ratio, or percent */
  value?: number
  u?: number
  limits?: Band
  sum?: SumResult
  members: Evaluation[]
  /** the reading that is out of line, where one can be named */
  odd?: Evaluation
  oddReadsHigh?: boolean
  /** the odd one could be a contact that was missing: it wants a second touch */
  contactGives?: boolean
  draw?: CurrentCheck & SupplyVolts
  /** no readings of this meter could be `within` */
  meterCannot?: boolean
}

/** The volts that drove a part. */
export interface SupplyVolts {
  volts: number
  /** standard uncertainty, volts */
  u: number
  /** taken while the part drew its current */
  loaded: boolean
  /** the supply entry they come from */
  entry?: string
}

/** The readings that stand for a check at the moment that is judged, in tape order. */
export type StandingOf = (check: string) => Evaluation[]
