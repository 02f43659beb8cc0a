import type { Relation } from '../../document'
import type { Bench } from '../figure'
import { kindOf, kindsWithOneOpen } from '../whole'
import type { RelationState, StandingOf } from './relationState'

/**
 * The kind that three pins must be: another that an open winding gives fails, anything less clear says nothing (METHODS 11.10).
 * @example
 * judgeKindOfThree(scenes.pins().bench, scenes.pins().relation('kind-of-three'), scenes.pins().standing).verdict
 * // 'within'
 */
export function judgeKindOfThree(
  { prepared }: Bench,
  relation: Extract<Relation, { kind: 'kind-of-three' }>,
  standing: StandingOf,
): RelationState {
  const check = prepared.checks.get(relation.check)
  const members = standing(relation.check)
  const kind = check && kindOf(check, members)
  if (!check || kind === undefined) return { relation, verdict: 'none', reason: 'not-read', members }
  if (kind === relation.must) return { relation, verdict: 'within', conformance: 1, leaning: 'within', members }
  if (kind === 'open' || kind === 'unclear') return { relation, verdict: 'none', reason: 'undecided', members }
  return kindsWithOneOpen(prepared.card, check).has(kind)
    ? { relation, verdict: 'outside', conformance: 0, leaning: 'outside', members }
    : { relation, verdict: 'none', reason: 'another-card', members }
}
