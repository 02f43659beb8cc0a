export interface UncertaintyInput {
  value: number
  percentOfReading?: number
  counts?: number
  /** what the last digit of the range stands for: counts are counts of the display */
  resolution: number
  /** the place of the last digit that was typed, where the person rounded */
  rounding?: number
  samples?: { n: number; low: number; high: number }
  uLead?: number
}
export interface UncertaintyParts {
  accuracy: number
  resolution: number
  spread: number
  lead: number
}

/** What is taken for a meter that states no accuracy; the verdict then says that the figure was assumed. */
export const assumedAccuracy = { percentOfReading: 1, counts: 3 } as const

/** The divisor of a rectangular limit of ± a (GUM 4.3.7). */
export const rectangular = Math.sqrt(3)

/**
 * Standard uncertainty of one reading (METHODS 2; GUM 4.3.7 rectangular limits, 5.1.2 root sum of squares).
 * @param input value, resolution and uLead in the reading's unit; accuracy in percent of reading and counts of resolution.
 * A rounding coarser than the display counts in its place for the last digit, never for the accuracy.
 * Both absent means no accuracy statement: 1 % + 3 counts is assumed; one absent counts as 0.
 * @returns u and its parts in the reading's unit; expanded U = 2u
 * @example
 * readingUncertainty({ value: 318, percentOfReading: 0.5, counts: 3, resolution: 0.1 }).u // 1.0916
 */
export function readingUncertainty(input: UncertaintyInput): { u: number; parts: UncertaintyParts } {
  const unstated = input.percentOfReading === undefined && input.counts === undefined
  const percent = unstated ? assumedAccuracy.percentOfReading : (input.percentOfReading ?? 0)
  const counts = unstated ? assumedAccuracy.counts : (input.counts ?? 0)
  const parts: UncertaintyParts = {
    accuracy: ((percent / 100) * Math.abs(input.value) + counts * input.resolution) / rectangular,
    resolution: Math.max(input.resolution, input.rounding ?? 0) / Math.sqrt(12),
    spread: input.samples === undefined ? 0 : (input.samples.high - input.samples.low) / Math.sqrt(12),
    lead: input.uLead ?? 0,
  }
  return { u: Math.hypot(parts.accuracy, parts.resolution, parts.spread, parts.lead), parts }
}
