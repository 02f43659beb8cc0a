import type { Relation } from '../../document'
import type { Bench } from '../figure'
import { isAnotherPart } from './anotherPart'
import { judgeAbove } from './judgeAbove'
import { judgeDraw } from './judgeDraw'
import { judgeEqual } from './judgeEqual'
import { judgeKindOfThree } from './judgeKindOfThree'
import { judgeRatio } from './judgeRatio'
import { judgeSum } from './judgeSum'
import { judgeTwin } from './judgeTwin'
import { judgeUnbalance } from './judgeUnbalance'
import type { RelationState, StandingOf } from './relationState'

/**
 * Judges one relation over the readings that stand at a moment (METHODS 5, 11.10). `standing` gives a check's readings.
 * @example
 * judgeRelation(scenes.sound().bench, scenes.sound().relation('sum'), scenes.sound().standing).verdict // 'within'
 */
export function judgeRelation(bench: Bench, relation: Relation, standing: StandingOf): RelationState {
  const { run } = bench
  const judged = judgeKind(bench, relation, standing)
  const guessed = run.card.sources.find((source) => source.id === relation.source)?.grade === 'guess'
  return guessed && relation.kind !== 'twin' && judged.verdict === 'outside'
    ? { ...judged, verdict: 'borderline', reason: 'guess' }
    : judged
}

function judgeKind(bench: Bench, relation: Relation, standing: StandingOf): RelationState {
  const { run, prepared } = bench
  switch (relation.kind) {
    case 'sum':
      return judgeSum(relation, standing)
    case 'ratio':
      return judgeRatio(run, relation, standing)
    case 'equal':
      return relation.checks.some((id) => isAnotherPart(prepared, id, standing))
        ? { relation, verdict: 'none', reason: 'another-card', members: relation.checks.flatMap(standing) }
        : judgeEqual(relation, relation.checks.flatMap(standing))
    case 'unbalance':
      return judgeUnbalance(prepared, relation, standing)
    case 'above':
      return judgeAbove(relation, standing)
    case 'twin':
      return judgeTwin(run, relation, standing)
    case 'draw':
      return judgeDraw(bench, relation, standing)
    case 'kind-of-three':
      return judgeKindOfThree(bench, relation, standing)
  }
}
