import { atLeast, atMost, below, type Verdict } from '../conformance'

export type InsulationKind = 'value' | 'above' | 'over' | 'below' | 'spread'
export type InsulationReason =
  | 'insulation-holds'
  | 'leakage'
  | 'hold-until-settled'
  | 'test-voltage-low'
  | 'test-voltage-unknown'
  | 'range-too-low'
  | 'range-too-high'
  | 'range-unknown'

export interface InsulationInput {
  /** volts as the tester showed them under load, and as it was set */
  volts?: number
  testVolts?: number
  /** the figure, or the bound of an above, over or below */
  ohms?: number
  low?: number
  high?: number
  kind?: InsulationKind
  minVolts?: number
  minOhms: number
  settled: boolean
}

export interface InsulationJudgement {
  verdict: Verdict
  reason: InsulationReason
  /** volts over ohms, in amperes: an upper bound for `above`; null without volts or at 0 Ω */
  leakageAmps: number | null
}

const leastShareOfTest = 0.95

/**
 * Judges an insulation reading by its ohms and by whether the test volts stood behind them (METHODS 6; IEEE 43-2013 5, 12).
 * @param input volts and ohms; `minVolts` is 0.95 of `testVolts` where it is not given
 * @returns `none` where it was still moving, the source sagged, or a bound proves nothing
 * @example
 * judgeInsulation({ ohms: 2.1e9, volts: 500, testVolts: 500, minOhms: 20e6, settled: true })
 * // { verdict: 'within', reason: 'insulation-holds', leakageAmps: 2.381e-7 }
 */
export function judgeInsulation(input: InsulationInput): InsulationJudgement {
  const { volts, kind = 'value', minOhms, settled } = input
  const ohms = kind === 'spread' ? input.low : input.ohms
  const leakageAmps = volts === undefined || !ohms ? null : volts / ohms
  const told = (verdict: Verdict, reason: InsulationReason) => ({ verdict, reason, leakageAmps })
  if (!settled) return told('none', 'hold-until-settled')
  if (ohms === undefined) return told('none', 'range-unknown')
  const weak = weakVolts(input)
  if (weak) return surelyLow(input, ohms) ? told('outside', 'leakage') : told('none', weak)
  if (kind === 'below') return atMost(ohms, minOhms) ? told('outside', 'leakage') : told('none', 'range-too-high')
  if (atLeast(ohms, minOhms)) return told('within', 'insulation-holds')
  return kind === 'above' || kind === 'over' ? told('none', 'range-too-low') : told('outside', 'leakage')
}

function weakVolts({
  volts,
  testVolts,
  minVolts,
}: InsulationInput): 'test-voltage-low' | 'test-voltage-unknown' | null {
  const least = minVolts ?? (testVolts === undefined ? undefined : leastShareOfTest * testVolts)
  if (least === undefined) return null
  if (volts === undefined) return 'test-voltage-unknown'
  return below(volts, least) ? 'test-voltage-low' : null
}

/** Leakage that more volts could only have made worse. */
function surelyLow({ kind = 'value', high, minOhms }: InsulationInput, ohms: number): boolean {
  if (kind === 'value') return below(ohms, minOhms)
  if (kind === 'below') return atMost(ohms, minOhms)
  return kind === 'spread' && high !== undefined && below(high, minOhms)
}
