import { mean, medianSorted, quantileSorted, sampleStandardDeviation } from 'simple-statistics'

export interface Spread {
  n: number
  mean: number
  /** null for a single value */
  s: number | null
  median: number
  quartiles: [number, number]
  min: number
  max: number
}

/**
 * How the units of a model spread on one check: mean, standard deviation (n−1), median, quartiles (linear between order
 * statistics, Hyndman and Fan 1996, type 7), ends.
 * @param values finite figures in one unit; an open one is counted elsewhere
 * @returns null without values
 * @example
 * spreadOf([318, 320, 316, 321, 319])
 * // { n: 5, mean: 318.8, s: 1.9235, median: 319, quartiles: [ 318, 320 ], min: 316, max: 321 }
 */
export function spreadOf(values: number[]): Spread | null {
  const sorted = values.filter((one) => Number.isFinite(one)).sort((a, b) => a - b)
  const [min, max] = [sorted[0], sorted.at(-1)]
  if (min === undefined || max === undefined) return null
  return {
    n: sorted.length,
    mean: mean(sorted),
    s: sorted.length < 2 ? null : sampleStandardDeviation(sorted),
    median: medianSorted(sorted),
    quartiles: [quantileSorted(sorted, 0.25), quantileSorted(sorted, 0.75)],
    min,
    max,
  }
}
