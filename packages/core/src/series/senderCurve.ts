import { judgeValue, rounded, type Verdict } from '../conformance'

export interface CurvePoint {
  x: number
  ohms: number
}

/**
 * The ohms a curve gives at a place between its points: linear, or with ln(ohms) linear in x (`log`, thermistors).
 * @param points in any order, each x once
 * @returns null off the curve: nothing is extrapolated
 * @example
 * onCurve([{ x: 0, ohms: 10 }, { x: 50, ohms: 72 }], 25) // 41
 */
export function onCurve(points: CurvePoint[], x: number, scale?: 'log'): number | null {
  const sorted = [...points].sort((a, b) => a.x - b.x)
  const after = sorted.findIndex((point) => point.x >= x)
  const right = sorted[after]
  if (!right) return null
  if (right.x === x) return right.ohms
  const left = sorted[after - 1]
  if (!left) return null
  const share = (x - left.x) / (right.x - left.x)
  return scale === 'log' ? left.ohms * (right.ohms / left.ohms) ** share : left.ohms + share * (right.ohms - left.ohms)
}

/**
 * A sender or thermistor read at one place against its curve, by the guarded rule (METHODS 8).
 * @param input the curve in ohms, the tolerance in percent of what it gives, the place, the reading and its u in ohms
 * @returns `none`, `off-curve` beyond its ends
 * @example
 * senderCurve({ points: [{ x: 0, ohms: 10 }, { x: 50, ohms: 72 }], tolerancePct: 10, x: 25, value: 42, u: 0.3 })
 * // { expected: 41, verdict: 'within' }
 */
export function senderCurve(input: {
  points: CurvePoint[]
  tolerancePct: number
  x: number
  value: number
  u: number
  scale?: 'log'
}): { expected: number | null; verdict: Verdict; reason?: 'off-curve' } {
  const { points, tolerancePct, x, value, u, scale } = input
  const expected = onCurve(points, x, scale)
  if (expected === null) return { expected, verdict: 'none', reason: 'off-curve' }
  return { expected, verdict: judgeValue({ value, u, ...curveBand(expected, tolerancePct), rule: 'guarded' }).verdict }
}

/**
 * The band around a curve's figure, in ohms.
 * @example
 * curveBand(270, 8) // { min: 248.4, max: 291.6 }
 */
export function curveBand(expected: number, tolerancePct: number): { min: number; max: number } {
  return { min: rounded(expected * (1 - tolerancePct / 100)), max: rounded(expected * (1 + tolerancePct / 100)) }
}
