import { expectedOf } from '../../conformance'
import type { Relation } from '../../document'
import { sumCheck, type Figure, type SumResult } from '../../relations'
import type { Evaluation } from '../figure'
import { figuresOf, single } from './members'
import type { RelationState, StandingOf } from './relationState'

/**
 * Series windings against their whole (METHODS 5, `sumCheck`); the zero common to all enters once.
 * @example
 * judgeSum(scenes.sound().relation('sum'), scenes.sound().standing).sum.residual // 0.1
 */
export function judgeSum(relation: Extract<Relation, { kind: 'sum' }>, standing: StandingOf): RelationState {
  const members = single([...relation.parts, relation.whole], standing)
  if (typeof members === 'string') return { relation, verdict: 'none', reason: members, members: [] }
  const { figures, uLead } = figuresOf(members, true)
  const whole = figures.at(-1)
  if (!whole) return { relation, verdict: 'none', reason: 'not-read', members: [] }
  const sum = sumCheck({ parts: figures.slice(0, -1), whole, uLead })
  const odd = sum.consistent ? undefined : likelyBad(members, figures, sum)
  return {
    relation,
    verdict: sum.consistent ? 'within' : 'outside',
    value: sum.residual,
    u: sum.u,
    limits: { min: -sum.allowed, max: sum.allowed },
    sum,
    members,
    ...(odd ? { odd, oddReadsHigh: true } : {}),
  }
}

/** The reading on the side that could be high (a contact only adds): one outside its limits whose implied figure is inside. */
function likelyBad(members: Evaluation[], figures: Figure[], sum: SumResult): Evaluation | undefined {
  const whole = members.at(-1)
  if (sum.residual < 0) return whole
  const parts = members.slice(0, -1)
  const cleared = (i: number) => {
    const implied = sum.impliedPart[i] ?? -1
    const { min = -Infinity, max = Infinity } = parts[i]?.limit?.band ?? {}
    return implied >= min && implied <= max && parts[i]?.verdict === 'outside'
  }
  const deviation = (i: number) => {
    const expected = expectedOf(parts[i]?.limit?.band ?? {}) ?? figures[i]?.value ?? 1
    return (figures[i]?.value ?? 0) / expected
  }
  const order = parts
    .map((_, i) => i)
    .sort((a, b) => Number(cleared(b)) - Number(cleared(a)) || deviation(b) - deviation(a))
  return parts[order[0] ?? 0]
}
