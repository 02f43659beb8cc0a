import type { Figure } from './sumCheck'

/**
 * How far the oddest of several alike windings is from their mean (METHODS 5, the three-phase rule).
 * @returns percent of the mean and the index of the odd one (the first of equals, from 0); null without values or mean
 * @example
 * unbalance({ values: [0.62, 0.63, 0.62] }) // { mean: 0.62333, maxDeviationPct: 1.0695, worstIndex: 1 }
 */
export function unbalance({ values }: { values: number[] }): {
  mean: number
  maxDeviationPct: number
  worstIndex: number
} | null {
  const mean = values.reduce((total, value) => total + value, 0) / values.length
  if (values.length === 0 || mean === 0) return null
  let worstIndex = 0
  let worst = 0
  values.forEach((value, index) => {
    const deviation = Math.abs(value - mean) / Math.abs(mean)
    if (deviation > worst * (1 + 1e-12) + 1e-15) [worst, worstIndex] = [deviation, index]
  })
  return { mean, maxDeviationPct: 100 * worst, worstIndex }
}

/**
 * The u of an unbalance in percent, by first-order propagation over all readings (GUM 5.1.2).
 * @example
 * unbalanceUncertainty([0.62, 0.63, 0.62].map((value) => ({ value, u: 0.003 })), 0.6233, 1) // 0.393
 */
export function unbalanceUncertainty(figures: Figure[], mean: number, worstIndex: number): number {
  const worst = figures[worstIndex]?.value ?? mean
  const share = worst / (figures.length * mean)
  const terms = figures.map((figure, index) => ((index === worstIndex ? 1 : 0) - share) * figure.u)
  return (100 / Math.abs(mean)) * Math.hypot(...terms)
}
