import { gradeOf } from '../conformance'
import type { RunState } from './runState'

/**
 * The parts that a pass rests on alone: nothing was found, and all ohms that stand, but those to the frame, are judged only by what another
 * part reads (METHODS 11.19). A figure of the model would be more.
 * @returns their tags, each once, in the order they were taken; none where a figure of the card's own judged, or where something was found
 * @example
 * byComparison(scenes.sound().state) // []
 */
export function byComparison({ finding, checks, relations, run }: RunState): string[] {
  // where a figure of the model showed that a winding is whole, though its meter could tell no more, it stands behind the pass
  if (finding.word !== 'no-fault-found' || finding.continuityOnly.length > 0) return []
  const twins = relations.flatMap(({ relation, verdict }) =>
    relation.kind === 'twin' && verdict !== 'none' ? [relation.check] : [],
  )
  const isCompared = new Set(twins)
  const stands = checks.filter(({ check, points }) => !check.toFrame && points.some(({ evaluation }) => evaluation))
  const byOwn = stands.some(({ check, verdict }) => {
    const limits = run.card.checks.find(({ id }) => id === check.id)?.limits ?? []
    const hasFigure = limits.some((limit) => gradeOf(limit, run.card.sources) !== 'guess')
    return verdict === 'within' && hasFigure && !isCompared.has(check.id)
  })
  if (byOwn || twins.length === 0) return []
  const beside = (run.compare ?? []).filter(
    ({ as, figures }) => (as === 'twin' || as === 'neighbour') && figures.some(({ check }) => isCompared.has(check)),
  )
  return [...new Set(beside.map(({ tag }) => tag))]
}
