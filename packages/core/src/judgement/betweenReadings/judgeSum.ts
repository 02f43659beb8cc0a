import { above, below, expectedOf } from '../../conformance'
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
  if (sum.residual < 0) return members.at(-1)
  const suspects = members.slice(0, -1).map((part, i) => {
    // of each part there is a figure, and one that the others imply
    const [{ value }, implied] = [figures[i], sum.impliedPart[i]] as [Figure, number]
    const band = part.limit?.band ?? {}
    return {
      part,
      isCleared: part.verdict === 'outside' && !below(implied, band.min ?? 0) && !above(implied, band.max ?? Infinity),
      share: value / (expectedOf(band) ?? value),
    }
  })
  return suspects.sort((a, b) => Number(b.isCleared) - Number(a.isCleared) || b.share - a.share)[0]?.part
}
