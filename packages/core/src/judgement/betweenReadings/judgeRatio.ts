import { expectedOf, judgeValue, type Band } from '../../conformance'
import type { Relation, Run } from '../../document'
import { ratio } from '../../relations'
import type { Evaluation } from '../figure'
import { figured, figuresOf, single } from './members'
import type { RelationState, StandingOf } from './relationState'

/**
 * Two sisters by their ratio, which temperature leaves alone (METHODS 5, `ratio`).
 * @example
 * judgeRatio(scenes.sound().run, scenes.sound().relation('ratio'), scenes.sound().standing).value // 8.8219
 */
export function judgeRatio(
  run: Run,
  relation: Extract<Relation, { kind: 'ratio' }>,
  standing: StandingOf,
): RelationState {
  const members = single([relation.of, relation.to], standing)
  if (typeof members === 'string') return { relation, verdict: 'none', reason: members, members: [] }
  const { figures } = figuresOf(members, false)
  const [of, to] = figures
  const [ofEvaluation, toEvaluation] = members
  const found = of && to ? ratio(of, to) : null
  if (!found || !ofEvaluation || !toEvaluation) return { relation, verdict: 'none', reason: 'not-finite', members }
  const limits = ratioLimits(run, relation, members)
  const judged = judgeValue({ value: found.value, u: found.u, ...limits, rule: 'guarded' })
  const off = (one: Evaluation) =>
    Math.abs(Math.log((one.net ?? 1) / (expectedOf(one.limit?.band ?? {}) ?? one.net ?? 1)))
  const odd = off(ofEvaluation) >= off(toEvaluation) ? ofEvaluation : toEvaluation
  const tooHigh = found.value > (limits.max ?? Infinity)
  return {
    ...figured(relation, judged, found, limits, members),
    ...(judged.verdict === 'outside' ? { odd, oddReadsHigh: odd === ofEvaluation ? tooHigh : !tooHigh } : {}),
    meterCannot: 4 * found.u > (limits.max ?? 0) - (limits.min ?? 0),
  }
}

/** A published source may state a narrow ratio; otherwise it is no narrower than the two windings' bands allow together. */
function ratioLimits(run: Run, relation: Extract<Relation, { kind: 'ratio' }>, members: Evaluation[]): Band {
  const share = relation.withinPct / 100
  const own = { min: relation.ratio * (1 - share), max: relation.ratio * (1 + share) }
  const grade = run.card.sources.find((source) => source.id === relation.source)?.grade
  if (grade === 'maker' || grade === 'trade') return own
  const [of, to] = members.map((one) => one.limit?.band ?? {})
  const lowest = of?.min !== undefined && to?.max !== undefined ? of.min / to.max : own.min
  const highest = of?.max !== undefined && to?.min !== undefined && to.min > 0 ? of.max / to.min : own.max
  return { min: Math.min(own.min, lowest), max: Math.max(own.max, highest) }
}
