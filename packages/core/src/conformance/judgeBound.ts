import { atLeast as notUnder, atMost as notOver } from './withSlack'
import type { Verdict } from './judgeValue'

export type BoundReason =
  | 'open-as-expected'
  | 'open-circuit'
  | 'above-maximum'
  | 'above-minimum'
  | 'range-too-low'
  | 'short-circuit'
  | 'below-maximum'
  | 'range-too-high'
  | 'range-unknown'
  | 'no-limit'
export interface BoundJudgement {
  verdict: Verdict
  reason: BoundReason
}

/** From here up an over-range reading proves a break, in ohms. */
export const openFrom = 1e6

/**
 * Judges an over-range or "greater than" reading by what it proves (METHODS 4).
 * @param input the bound it proves, the band or the expectation of an open circuit, in one unit
 * @returns `none` with `range-unknown` without a bound, with `range-too-low` where the bound proves nothing
 * @example
 * judgeBeyond({ lowerBound: 40e6, min: 286.2, max: 349.8 }).verdict // 'outside'
 */
export function judgeBeyond(input: {
  lowerBound?: number
  min?: number
  max?: number
  expectOpen?: { atLeast: number }
}): BoundJudgement {
  const { lowerBound, min, max, expectOpen } = input
  if (lowerBound === undefined) return { verdict: 'none', reason: 'range-unknown' }
  if (expectOpen)
    return notUnder(lowerBound, expectOpen.atLeast)
      ? { verdict: 'within', reason: 'open-as-expected' }
      : { verdict: 'none', reason: 'range-too-low' }
  if (max !== undefined)
    return notUnder(lowerBound, max)
      ? { verdict: 'outside', reason: notUnder(lowerBound, openFrom) ? 'open-circuit' : 'above-maximum' }
      : { verdict: 'none', reason: 'range-too-low' }
  if (min === undefined) return { verdict: 'none', reason: 'no-limit' }
  return notUnder(lowerBound, min)
    ? { verdict: 'within', reason: 'above-minimum' }
    : { verdict: 'none', reason: 'range-too-low' }
}

/**
 * Judges a "less than" reading by what it proves, as `judgeBeyond` does upwards (METHODS 4).
 * @param input the bound it proves and the limits, in one unit
 * @example
 * judgeBelow({ upperBound: 0.5, min: 286.2, max: 349.8 }).verdict // 'outside'
 */
export function judgeBelow(input: { upperBound?: number; min?: number; max?: number }): BoundJudgement {
  const { upperBound, min, max } = input
  if (upperBound === undefined) return { verdict: 'none', reason: 'range-unknown' }
  if (min === undefined && max === undefined) return { verdict: 'none', reason: 'no-limit' }
  if (min !== undefined)
    return notOver(upperBound, min)
      ? { verdict: 'outside', reason: 'short-circuit' }
      : { verdict: 'none', reason: 'range-too-high' }
  return notOver(upperBound, max ?? Infinity)
    ? { verdict: 'within', reason: 'below-maximum' }
    : { verdict: 'none', reason: 'range-too-high' }
}
