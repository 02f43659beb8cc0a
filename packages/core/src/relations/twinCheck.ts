import { judgeValue, type Verdict } from '../conformance'
import type { Figure } from './sumCheck'

/**
 * Whether two windings are alike (METHODS 5). `within` means alike, never within a specification.
 * @param input both figures in one unit; allowedPct defaults to 5
 * @returns the difference in percent of the mean with its u; both null and `none` where the mean is 0
 * @example
 * twinCheck({ a: { value: 318, u: 1 }, b: { value: 330, u: 1 } })
 * // { differencePct: -3.7037, u: 0.43656, verdict: 'within' }
 */
export function twinCheck(input: { a: Figure; b: Figure; allowedPct?: number }): {
  differencePct: number | null
  u: number | null
  verdict: Verdict
} {
  const { a, b, allowedPct = 5 } = input
  const sum = a.value + b.value
  if (sum === 0) return { differencePct: null, u: null, verdict: 'none' }
  const differencePct = (200 * (a.value - b.value)) / sum
  const u = 400 * Math.hypot((b.value / sum) * (a.u / sum), (a.value / sum) * (b.u / sum))
  if (!Number.isFinite(u)) return { differencePct: null, u: null, verdict: 'none' }
  const { verdict } = judgeValue({ value: differencePct, u, min: -allowedPct, max: allowedPct, rule: 'guarded' })
  return { differencePct, u, verdict }
}
