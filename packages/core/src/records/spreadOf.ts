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
 */
export function spreadOf(values: number[]): Spread | null {
  const sorted = values.filter((one) => Number.isFinite(one)).sort((a, b) => a - b)
  const n = sorted.length
  const [min, max] = [sorted[0], sorted[n - 1]]
  if (min === undefined || max === undefined) return null
  const mean = sorted.reduce((sum, one) => sum + one, 0) / n
  const s = n < 2 ? null : Math.sqrt(sorted.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (n - 1))
  return {
    n,
    mean,
    s,
    median: quantile(sorted, 0.5),
    quartiles: [quantile(sorted, 0.25), quantile(sorted, 0.75)],
    min,
    max,
  }
}

function quantile(sorted: number[], share: number): number {
  const place = share * (sorted.length - 1)
  const low = sorted[Math.floor(place)] ?? NaN
  const high = sorted[Math.ceil(place)] ?? low
  return low + (place - Math.floor(place)) * (high - low)
}
