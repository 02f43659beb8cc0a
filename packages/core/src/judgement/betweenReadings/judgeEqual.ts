import { judgeValue } from '../../conformance'
import type { Relation } from '../../document'
import { twinCheck } from '../../relations'
import { readsFinite, type Evaluation } from '../figure'
import { figured, figuresOf } from './members'
import type { RelationState } from './relationState'

/**
 * Readings that should be the same, each pair of them by its difference; the worst pair tells (METHODS 5, `equal`).
 * @example
 * judgeEqual({ kind: 'equal', id: 'r', label: 'alike', source: 's1', checks: ['uv', 'vw'], withinPct: 5 }, scenes.legs().all.slice(0, 2)).verdict
 * // 'borderline'
 */
export function judgeEqual(relation: Extract<Relation, { kind: 'equal' }>, members: Evaluation[]): RelationState {
  if (members.length < 2) return { relation, verdict: 'none', reason: 'not-read', members }
  if (!members.every(readsFinite)) return { relation, verdict: 'none', reason: 'not-finite', members }
  const { figures } = figuresOf(members, false)
  let worst: RelationState = { relation, verdict: 'none', reason: 'not-read', members }
  for (const [i, a] of figures.entries()) {
    for (const [j, b] of figures.entries()) {
      if (j <= i) continue
      const { differencePct, u } = twinCheck({ a, b, allowedPct: relation.withinPct })
      if (differencePct === null || u === null || Math.abs(differencePct) <= Math.abs(worst.value ?? -1)) continue
      const limits = { min: -relation.withinPct, max: relation.withinPct }
      const judged = judgeValue({ value: differencePct, u, ...limits, rule: 'guarded' })
      const low = a.value < b.value ? members[i] : members[j]
      worst = {
        ...figured(relation, judged, { value: differencePct, u }, limits, members),
        ...(low ? { odd: low, oddReadsHigh: false } : {}),
        meterCannot: 2 * u > relation.withinPct,
      }
    }
  }
  return worst
}
