import type { Verdict } from '../../conformance'
import type { Evaluation, Reason } from '../figure'

/** What several readings come to when they are looked at as one thing. */
export interface Whole {
  verdict: Verdict
  reason?: Reason
  /** open readings that an `outside` rests on and that want a second touch; none where it stands */
  wanted: Evaluation[]
  /** readings that are judged apart from the whole */
  apart?: Map<Evaluation, Evaluation>
}

const badness: Record<Verdict, number> = { outside: 0, none: 1, borderline: 2, within: 3 }

/**
 * Worst first: outside, none, borderline, within (METHODS 11.3); for `sort`.
 * @example
 * [{ verdict: 'within' }, { verdict: 'outside' }].sort(worstFirst)[0].verdict // 'outside'
 */
export const worstFirst = (a: { verdict: Verdict }, b: { verdict: Verdict }): number =>
  badness[a.verdict] - badness[b.verdict]
