import type { Instrument, MeterRange, Quantity, Reading, Rule, Run } from '../document'
import type { InsulationReason } from '../insulation'
import { parseReading, type ParsedReading } from '../quantity'
import { above, type Band, type BoundReason, type Verdict } from '../spec'
import type { UncertaintyParts } from '../uncertainty'
import type { PreparedCard, PreparedCheck, PreparedLimit } from './prepare'
import type { LeadsApplied, TemperatureApplied } from './setting'
import type { ReadingEntry, Tape } from './tape'

export type Reason =
  | BoundReason
  | 'below-minimum'
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
  | InsulationReason

/** Every figure between a reading as taken and its verdict, so that a person can redo it by hand. SI units, °C. */
export interface Evaluation {
  entry: ReadingEntry
  check: PreparedCheck
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
  /** the figure as taken, and the bound of an over-range */
  taken?: number
  bound?: number
  resolution?: number
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
  leadsMatter: boolean
  /** set on a reading that only counts with others: whether their `outside` stands, or this one is wanted again */
  whole?: { stands: boolean; again: boolean }
  /** amperes through insulation at the test volts */
  leakageAmps?: number
}

/** What the evaluation of every reading of a run shares. */
export interface Bench {
  run: Run
  prepared: PreparedCard
  tape: Tape
}

const parsedBefore = new WeakMap<Reading, ParsedReading>()

/** A reading's text, parsed once: an entry never changes. */
export function parsedText(reading: Reading, quantity: Quantity): ParsedReading {
  const known = parsedBefore.get(reading)
  if (known) return known
  const { text, decimalComma } = reading
  const parsed = parseReading({ text: text.replace(/^\s*~/, ''), quantity, decimalComma })
  parsedBefore.set(reading, parsed)
  return parsed
}

/** The middle of a band, or its one limit: what a reading is expected to be near. */
export function expectedOf({ min, max }: Band): number | undefined {
  return min !== undefined && max !== undefined ? (min + max) / 2 : (max ?? min)
}

/** Whether leads that nobody zeroed decide the verdict: over 5 % of what is expected or 20 % of the window (SENSE). */
export function leadsDecide(limit: PreparedLimit | undefined, leads: LeadsApplied | undefined): boolean {
  if (!limit || !leads || limit.expectOpen || (leads.from !== 'assumed' && leads.from !== 'carried')) return false
  const expected = expectedOf(limit.band)
  if (expected === undefined) return false
  const { min, max } = limit.band
  const window = min !== undefined && max !== undefined ? max - min : Infinity
  return above(leads.ohms, 0.05 * expected) || above(leads.ohms, 0.2 * window)
}
