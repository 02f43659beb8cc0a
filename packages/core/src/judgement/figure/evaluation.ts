import type { History, Instrument, MeterRange, Quantity, Rule, Run } from '../../document'
import type { InsulationReason } from '../../insulation'
import type { ParsedReading } from '../../quantity'
import type { BoundReason, Verdict } from '../../conformance'
import type { UncertaintyParts } from '../../uncertainty'
import type { PreparedCard, PreparedCheck, PreparedLimit } from '../preparedCard'
import type { ReadingEntry, Tape } from '../tape'
import type { LeadsApplied } from './leads'
import type { TemperatureApplied } from './partTemperature'

export type Reason =
  | BoundReason
  | 'below-minimum'
  | 'shorted'
  | 'near-limit'
  | 'zero-leads-first'
  | 'guess'
  | 'temperature-unknown'
  | 'no-limit-for-history'
  | 'conditions-not-met'
  | 'unsteady'
  | 'wrong-answer'
  | 'not-read'
  | 'no-such-check'
  | 'judged-together'
  | 'by-relation'
  | 'scattered'
  | 'unlike-the-rest'
  | 'off-curve'
  | 'place-missing'
  | 'low-voltage-test'
  | 'contact-fault'
  | 'does-not-operate'
  | 'undecided'
  | 'wrong-kind'
  | 'another-card'
  | 'kind-unset'
  | 'leg-to-frame'
  | InsulationReason

/** What the rest of the run says of a reading: the leads, temperature and isolation that govern it. */
export interface Governing {
  runRule: Rule
  history: History
  leads: LeadsApplied
  temperature: TemperatureApplied
  /** what stands in parallel, in ohms */
  parallelOhms: number | undefined
}

/** Every figure between a reading as taken and its verdict, so that a person can redo it by hand. SI units, °C. */
export interface Evaluation {
  entry: ReadingEntry
  check: PreparedCheck
  governing: Governing
  quantity: Quantity | undefined
  instrument: Instrument | undefined
  pair: [string, string] | undefined
  point: string
  verdict: Verdict
  reason?: Reason
  leaning?: 'within' | 'outside'
  conformance?: number
  margin?: number
  rule: Rule
  limit?: PreparedLimit
  /** other limits that would have decided otherwise */
  others: { limit: PreparedLimit; verdict: Verdict }[]
  /** what its text says, where it is a figure */
  parsed?: ParsedReading
  /** the figure as taken, and the bound of an over-range */
  taken?: number
  bound?: number
  /** what the display's last digit stands for; of an unknown range the typed one */
  resolution?: number
  /** the place of the last typed digit, where the person rounded */
  rounding?: number
  range?: MeterRange
  accuracyAssumed: boolean
  leads?: LeadsApplied
  parallelOhms?: number
  net?: number
  netNegative: boolean
  parts?: UncertaintyParts
  /** standard uncertainty of the net figure, before temperature */
  netU?: number
  temperature?: TemperatureApplied
  reference?: { c: number; u: number; stated: boolean }
  factor?: number
  temperatureU?: { part: number; reference: number }
  judged?: number
  u?: number
  /** set on a reading that only counts with others: whether their `outside` stands, or this one is wanted again */
  whole?: {
    stands: boolean
    again: boolean
    /** what the whole comes to, where this reading is judged by itself */
    verdict?: Verdict
    reason?: Reason
  }
  /** amperes through insulation at the test volts */
  leakageAmps?: number
}

/** What the evaluation of every reading of a run shares. */
export interface Bench {
  run: Run
  prepared: PreparedCard
  tape: Tape
}
