import type { Rule } from '../document'
import { normalBetween } from '../uncertainty'
import { above, atLeast, atMost, below } from './withSlack'

export type Verdict = 'within' | 'borderline' | 'outside' | 'none'

export interface ValueJudgement {
  verdict: Verdict
  leaning?: 'within' | 'outside'
  conformance: number
  marginToNearest: number
}

/**
 * Judges a value with its standard uncertainty against limits (METHODS 4; JCGM 106:2012 7, 8; ILAC-G8:09/2019 guard band 2u).
 * @param input value, u and limits in one unit; a missing limit counts as infinite. `guarded` keeps 2u off each limit,
 * `simple` looks at the value alone.
 * @returns the verdict, the side the value itself is on, the probability of conformance, and the signed distance to the
 * nearest limit, positive inside. With neither limit: `none`, conformance 1, no leaning.
 * @example
 * judgeValue({ value: 349, u: 1, min: 286.2, max: 349.8, rule: 'guarded' })
 * // { verdict: 'borderline', leaning: 'within', conformance: 0.78814, marginToNearest: 0.8 }
 */
export function judgeValue(input: {
  value: number
  u: number
  min?: number
  max?: number
  rule: Rule
}): ValueJudgement {
  const { value, u, min = -Infinity, max = Infinity, rule } = input
  const marginToNearest = Math.min(value - min, max - value)
  if (min === -Infinity && max === Infinity) return { verdict: 'none', conformance: 1, marginToNearest }
  const inside = atLeast(value, min) && atMost(value, max)
  const leaning = inside ? 'within' : 'outside'
  const conformance = u > 0 ? normalBetween((min - value) / u, (max - value) / u) : inside ? 1 : 0
  return { verdict: rule === 'simple' ? leaning : guarded(value, u, min, max), leaning, conformance, marginToNearest }
}

function guarded(value: number, u: number, min: number, max: number): Verdict {
  const guardBand = 2 * u
  if (atLeast(value - guardBand, min) && atMost(value + guardBand, max)) return 'within'
  return below(value + guardBand, min) || above(value - guardBand, max) ? 'outside' : 'borderline'
}
