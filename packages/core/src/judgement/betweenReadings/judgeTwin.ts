import { judgeValue } from '../../conformance'
import type { Relation, Run } from '../../document'
import { twinCheck } from '../../relations'
import { atTwinReference, figureBeside, readsFinite } from '../figure'
import { figured } from './members'
import type { RelationState, StandingOf } from './relationState'

/**
 * A reading against the same one of a twin or neighbour (METHODS 5, `twinCheck`).
 * @example
 * judgeTwin(scenes.sound().run, { kind: 'twin', id: 'r', label: 'twin', source: 's1', check: 'low', withinPct: 5 }, scenes.sound().standing).reason
 * // 'not-read'
 */
export function judgeTwin(
  run: Run,
  relation: Extract<Relation, { kind: 'twin' }>,
  standing: StandingOf,
): RelationState {
  const members = standing(relation.check)
  const mine = members.at(-1)
  const theirs = figureBeside(run, relation.check, ['twin', 'neighbour'])
  if (!mine || !theirs) return { relation, verdict: 'none', reason: 'not-read', members }
  if (!readsFinite(mine) || mine.net === undefined) return { relation, verdict: 'none', reason: 'not-finite', members }
  const a = atTwinReference(mine)
  const { differencePct, u } = twinCheck({ a, b: theirs, allowedPct: relation.withinPct })
  if (differencePct === null || u === null) return { relation, verdict: 'none', reason: 'not-finite', members }
  const limits = { min: -relation.withinPct, max: relation.withinPct }
  const judged = judgeValue({ value: differencePct, u, ...limits, rule: 'guarded' })
  return {
    ...figured(relation, judged, { value: differencePct, u }, limits, members),
    odd: mine,
    oddReadsHigh: false,
    meterCannot: 2 * u > relation.withinPct,
  }
}
