import { judgeValue } from '../../conformance'
import type { Relation } from '../../document'
import { unbalance, unbalanceUncertainty } from '../../relations'
import { readsFinite } from '../figure'
import type { PreparedCard } from '../preparedCard'
import { figured, figuresOf } from './members'
import { isAnotherPart } from './anotherPart'
import type { RelationState, StandingOf } from './relationState'

/**
 * Legs by the largest deviation from their mean (METHODS 5, `unbalance`).
 * @example
 * judgeUnbalance(scenes.legs().prepared, scenes.legs().relation('unbalance'), scenes.legs().standing).value // 1.0695
 */
export function judgeUnbalance(
  prepared: PreparedCard,
  relation: Extract<Relation, { kind: 'unbalance' }>,
  standing: StandingOf,
): RelationState {
  const members = relation.checks.flatMap(standing)
  const needed = relation.checks.reduce((total, id) => total + (prepared.checks.get(id)?.points.length ?? 1), 0)
  if (members.length < needed || members.length < 2) return { relation, verdict: 'none', reason: 'not-read', members }
  if (!members.every((one) => one.net !== undefined && (one.quantity !== 'resistance' || readsFinite(one))))
    return { relation, verdict: 'none', reason: 'not-finite', members }
  if (relation.checks.some((id) => isAnotherPart(prepared, id, standing)))
    return { relation, verdict: 'none', reason: 'another-card', members }
  const { figures } = figuresOf(members, false)
  const found = unbalance({ values: figures.map((figure) => figure.value) })
  if (!found) return { relation, verdict: 'none', reason: 'not-finite', members }
  const u = unbalanceUncertainty(figures, found.mean, found.worstIndex)
  const limits = { max: relation.maxPct }
  const judged = judgeValue({ value: found.maxDeviationPct, u, ...limits, rule: 'guarded' })
  const odd = members[found.worstIndex]
  return {
    ...figured(relation, judged, { value: found.maxDeviationPct, u }, limits, members),
    ...(odd ? { odd, oddReadsHigh: (figures[found.worstIndex]?.value ?? 0) > found.mean } : {}),
    meterCannot: 2 * u > relation.maxPct,
  }
}
