import { median } from 'simple-statistics'
import type { Verdict } from '../conformance'
import { worstFirst, type CheckState, type Evaluation, type PointState, type RelationState } from '../judgement'

/** Relations that are about what their readings are; a sum says only that one of them is wrong. */
const judging: ReadonlySet<RelationState['relation']['kind']> = new Set([
  'draw',
  'twin',
  'equal',
  'ratio',
  'above',
  'unbalance',
  'kind-of-three',
])

/**
 * The verdict that relations give to readings without a limit of their own, by entry id (METHODS 11.16): of three or more the odd one
 * is outside, farthest from their median, and the others are borderline; of two both are, and the relation decides.
 * @example
 * verdictsByRelation(scenes.sound().state.relations).size // 0
 */
export function verdictsByRelation(relations: RelationState[]): Map<string, Verdict> {
  const given = new Map<string, Verdict>()
  for (const { relation, verdict, members } of relations) {
    if (verdict === 'none' || !judging.has(relation.kind)) continue
    const odd = verdict === 'outside' && members.length > 2 ? farthest(members) : undefined
    for (const one of members) {
      if (one.reason !== 'no-limit' || one.verdict !== 'none') continue
      const own = verdict !== 'outside' ? verdict : one === odd ? 'outside' : 'borderline'
      const before = given.get(one.entry.id)
      given.set(one.entry.id, before && worstFirst({ verdict: before }, { verdict: own }) <= 0 ? before : own)
    }
  }
  return given
}

function farthest(members: Evaluation[]): Evaluation | undefined {
  const middle = median(members.map((one) => one.net ?? 0))
  return members.toSorted((a, b) => Math.abs((b.net ?? 0) - middle) - Math.abs((a.net ?? 0) - middle))[0]
}

/**
 * A check as it stands with what relations say of its readings: it is tested then.
 * @example
 * withRelations(scenes.sound().state.checks[1], new Map()).verdict // 'within'
 */
export function withRelations(state: CheckState, given: Map<string, Verdict>): CheckState {
  if (!state.points.some(({ evaluation }) => evaluation && given.has(evaluation.entry.id))) return state
  const points = state.points.map((point): PointState => {
    const verdict = point.evaluation && given.get(point.evaluation.entry.id)
    if (verdict === undefined || point.verdict !== 'none') return point
    return { ...point, verdict, reason: 'by-relation' }
  })
  const [worst] = points.toSorted(worstFirst)
  const { reason: _before, ...bare } = state
  return { ...bare, points, verdict: worst?.verdict ?? 'none', ...(worst?.reason ? { reason: worst.reason } : {}) }
}

/**
 * A reading as its check has it: with the verdict of the relation that it stands in, where no limit of its own judges it.
 * @param entry its id
 * @returns undefined where there is none
 * @example
 * asJudged(scenes.sound().state, scenes.sound().of('low').entry.id).verdict // 'within'
 */
export function asJudged(
  { checks, evaluations }: { checks: CheckState[]; evaluations: ReadonlyMap<string, Evaluation> },
  entry: string,
): Evaluation | undefined {
  const one = evaluations.get(entry)
  if (one?.reason !== 'no-limit') return one
  const points = checks.find(({ check }) => check.id === one.check.id)?.points ?? []
  const point = points.find(({ evaluation }) => evaluation?.entry.id === entry)
  return point?.reason === 'by-relation' ? { ...one, verdict: point.verdict, reason: point.reason } : one
}
