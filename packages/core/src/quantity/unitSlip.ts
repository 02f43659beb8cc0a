import { atLeast, atMost } from '../conformance'

const widening = 0.2

/**
 * Whether a figure looks as if k, M or nothing was read for another prefix (METHODS 1).
 * @param input value and both limits, in one unit
 * @returns the factor the value must be multiplied by (1000 or 0.001), or null: no slip, or a limit is missing
 * @example
 * unitSlip({ value: 318_000, min: 286.2, max: 349.8 }) // { factor: 0.001 }
 */
export function unitSlip({
  value,
  min,
  max,
}: {
  value: number
  min?: number
  max?: number
}): { factor: number } | null {
  if (min === undefined || max === undefined) return null
  const low = min - widening * Math.abs(min)
  const high = max + widening * Math.abs(max)
  const fits = (candidate: number) => atLeast(candidate, low) && atMost(candidate, high)
  if (fits(value)) return null
  if (fits(value * 1000)) return { factor: 1000 }
  return fits(value / 1000) ? { factor: 0.001 } : null
}
