import { judgeValue } from '../../conformance'
import type { Relation } from '../../document'
import { twinCheck, type Figure } from '../../relations'
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
  const pairs = figures.flatMap((a, i) => figures.slice(i + 1).map((b, k) => apart(relation, a, b, [i, i + 1 + k])))
  const [worst] = pairs.flatMap((one) => one ?? []).sort((one, other) => Math.abs(other.value) - Math.abs(one.value))
  if (!worst) return { relation, verdict: 'none', reason: 'not-finite', members }
  const limits = { min: -relation.withinPct, max: relation.withinPct }
  const judged = judgeValue({ ...worst, ...limits, rule: 'guarded' })
  const odd = judged.verdict === 'within' ? undefined : members[worst.low]
  return {
    ...figured(relation, judged, worst, limits, members),
    ...(odd ? { odd, oddReadsHigh: false } : {}),
    meterCannot: 2 * worst.u > relation.withinPct,
  }
}

/** How far two of them are apart, per cent, and which reads low; undefined where nothing is to compare with. */
function apart(
  { withinPct }: { withinPct: number },
  a: Figure,
  b: Figure,
  [i, j]: [number, number],
): (Figure & { low: number }) | undefined {
  const { differencePct, u } = twinCheck({ a, b, allowedPct: withinPct })
  return differencePct === null || u === null ? undefined : { value: differencePct, u, low: a.value < b.value ? i : j }
}
