import { judgeValue } from '../../conformance'
import type { Relation } from '../../document'
import { figured, figuresOf, single } from './members'
import type { RelationState, StandingOf } from './relationState'

/**
 * One reading that must lie above another by so much.
 * @example
 * judgeAbove({ kind: 'above', id: 'r', label: 'charges', source: 's1', higher: 'charge', lower: 'rest', by: 0.5 }, () => []).verdict
 * // 'none'
 */
export function judgeAbove(relation: Extract<Relation, { kind: 'above' }>, standing: StandingOf): RelationState {
  const members = single([relation.check, relation.than], standing)
  if (typeof members === 'string') return { relation, verdict: 'none', reason: members, members: [] }
  const [a, b] = figuresOf(members, false).figures
  const value = (a?.value ?? 0) - (b?.value ?? 0)
  const u = Math.hypot(a?.u ?? 0, b?.u ?? 0)
  const limits = { min: relation.by }
  return figured(relation, judgeValue({ value, u, ...limits, rule: 'guarded' }), { value, u }, limits, members)
}
