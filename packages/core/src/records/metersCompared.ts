import type { Figure } from '../relations'
import { spreadOf } from './spreadOf'

export interface MeterFigure extends Figure {
  meter: string
  /** the unit read, so that only units both meters saw are compared */
  unit: string
}
export interface MeterPair {
  meters: [string, string]
  /** units that both read */
  n: number
  /** the first less the second, on average, in percent of their mean */
  meanPct: number
  /** the standard uncertainty of that average: from the readings, or from their scatter where that is larger */
  u: number
  /** further apart than both uncertainties explain */
  disagree: boolean
}

/**
 * Meters compared on one check, over the units that two of them read (paired differences; GUM 5.1.2, 4.2.3).
 * @returns one row a pair of meters that share a unit, in the order they come
 * @example
 * metersCompared([{ unit: 'a', meter: 'm2', value: 318, u: 1 }, { unit: 'a', meter: 'k3', value: 322, u: 2 }])
 * // [ { meters: [ 'm2', 'k3' ], n: 1, meanPct: -1.25, u: 0.69877, disagree: false } ]
 */
export function metersCompared(record: MeterFigure[]): MeterPair[] {
  const meters = [...new Set(record.map((one) => one.meter))]
  return meters.flatMap((a, i) => meters.slice(i + 1).flatMap((b) => compare(record, a, b) ?? []))
}

function compare(record: MeterFigure[], a: string, b: string): MeterPair | null {
  const pairs = record.flatMap((mine) => {
    const theirs = mine.meter === a ? record.find((one) => one.meter === b && one.unit === mine.unit) : undefined
    const mean = theirs && (mine.value + theirs.value) / 2
    if (!theirs || !mean) return []
    return [
      { percent: (100 * (mine.value - theirs.value)) / mean, u: (100 * Math.hypot(mine.u, theirs.u)) / Math.abs(mean) },
    ]
  })
  const spread = spreadOf(pairs.map((one) => one.percent))
  if (!spread) return null
  const own = Math.hypot(...pairs.map((one) => one.u)) / spread.n
  const u = Math.max(own, (spread.s ?? 0) / Math.sqrt(spread.n))
  return { meters: [a, b], n: spread.n, meanPct: spread.mean, u, disagree: Math.abs(spread.mean) > 2 * u }
}
