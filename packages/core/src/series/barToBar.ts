import { median as medianOf, medianAbsoluteDeviation } from 'simple-statistics'
import { above } from '../conformance'

export interface BarToBar {
  median: number | null
  /** 1.4826 × the median absolute deviation: a standard deviation that strays do not move */
  madSigma: number | null
  spreadPct: number | null
  flagged: { index: number; direction: 'low' | 'high' }[]
  /** the set spreads too far for any of it to be called alike */
  scattered: boolean
}

/**
 * Bars, leads or coils that should read alike, each against the median of all (METHODS 8).
 * @param input values in one unit, "Infinity" for an open one (always flagged high and left out of the figures);
 * allowedPct defaults to 8
 * @returns indices from 0; figures null where nothing finite was read, spreadPct null where the median is 0
 * @example
 * barToBar({ values: [0.41, 0.42, 0.3, 0.41] }).flagged // [ { index: 2, direction: 'low' } ]
 */
export function barToBar(input: { values: (number | 'Infinity')[]; allowedPct?: number }): BarToBar {
  const { values, allowedPct = 8 } = input
  const finite = values.filter((one): one is number => typeof one === 'number' && Number.isFinite(one))
  const median = finite.length === 0 ? null : medianOf(finite)
  const flagged: BarToBar['flagged'] = []
  if (median === null) {
    values.forEach((_, index) => flagged.push({ index, direction: 'high' }))
    return { median, madSigma: null, spreadPct: null, flagged, scattered: false }
  }
  const madSigma = 1.4826 * medianAbsoluteDeviation(finite)
  const allowed = Math.max(3.5 * madSigma, (allowedPct / 100) * Math.abs(median))
  values.forEach((value, index) => {
    if (value === 'Infinity' || !Number.isFinite(value)) flagged.push({ index, direction: 'high' })
    else if (above(Math.abs(value - median), allowed))
      flagged.push({ index, direction: value < median ? 'low' : 'high' })
  })
  const spreadPct = median === 0 ? null : (100 * (Math.max(...finite) - Math.min(...finite))) / median
  return { median, madSigma, spreadPct, flagged, scattered: above(madSigma, (allowedPct / 100) * Math.abs(median)) }
}
