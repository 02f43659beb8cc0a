import { mean as meanOf, sampleStandardDeviation } from 'simple-statistics'
import { chiSquareQuantile } from '../uncertainty'

const fewest = 5
/** the upper 5 % point of the normal distribution: two sides of 90 % coverage */
const z95 = 1.6448536269514722

export interface Tolerance {
  n: number
  mean: number
  s: number
  k: number
  min: number
  max: number
}

/**
 * Limits from units known to be good: mean ± k·s covers 90 % of such units with 95 % confidence (METHODS 8; Howe 1969, two-sided
 * normal tolerance factor, as in ISO 16269-6).
 * @param input the units' figures in one unit; `u` the readings' own standard uncertainty, which s is never below
 * @returns null for fewer than five; min is not below 0
 * @example
 * toleranceFromGood({ values: [318, 320, 316, 321, 319] })
 * // { n: 5, mean: 318.8, s: 1.9235, k: 4.2746, min: 310.58, max: 327.02 }
 */
export function toleranceFromGood({ values, u = 0 }: { values: number[]; u?: number }): Tolerance | null {
  const n = values.length
  if (n < fewest) return null
  const mean = meanOf(values)
  const s = Math.max(sampleStandardDeviation(values), u)
  const k = z95 * Math.sqrt(1 + 1 / n) * Math.sqrt((n - 1) / chiSquareQuantile(0.05, n - 1))
  return { n, mean, s, k, min: Math.max(0, mean - k * s), max: mean + k * s }
}
