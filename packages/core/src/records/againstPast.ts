import type { Figure } from '../relations'

export interface Change {
  difference: number
  /** standard uncertainty of the difference */
  u: number
  percent: number | null
  /** beyond the expanded uncertainty of the difference (|d| > 2u) */
  moved: boolean
}

/**
 * A unit against its own past on one check (GUM 5.1.2): what changed, and whether more than the two readings' uncertainties say.
 * @param now and before, both net of leads and metal at 20 °C, in one unit
 * @returns `percent` of what it was, null where it was 0
 * @example
 * againstPast({ value: 322, u: 1 }, { value: 300, u: 1 })
 * // { difference: 22, u: 1.4142, percent: 7.3333, moved: true }
 */
export function againstPast(now: Figure, before: Figure): Change {
  const difference = now.value - before.value
  const u = Math.hypot(now.u, before.u)
  return {
    difference,
    u,
    percent: before.value === 0 ? null : (100 * difference) / before.value,
    moved: Math.abs(difference) > 2 * u,
  }
}
