import { outdated, surestOf, type Bench, type Evaluation } from '../judgement'

/**
 * The readings that stand: of each point the last by each instrument that is neither superseded, taken back, nor of an earlier stage,
 * and of several instruments the surest (METHODS 11.18).
 * @param all readings, judged, in tape order
 * @returns by check, in tape order
 * @example
 * standingByCheck(scenes.retaken().bench, scenes.retaken().all).get('high').length // 1
 */
export function standingByCheck({ tape, prepared }: Bench, all: Iterable<Evaluation>): Map<string, Evaluation[]> {
  const points = new Map<string, { last: number; by: Evaluation[] }>()
  let place = 0
  for (const evaluation of all) {
    const { entry, check, point, instrument } = evaluation
    if (tape.gone.has(entry.id) || outdated(tape, prepared, check, entry, evaluation.pair)) continue
    const known = points.get(point)
    place++
    if (!known) points.set(point, { last: place, by: [evaluation] })
    else {
      const again = known.by.findIndex((one) => one.instrument?.id === instrument?.id)
      if (again >= 0) known.by.splice(again, 1)
      known.by.push(evaluation)
      known.last = place
    }
  }
  const byCheck = new Map<string, Evaluation[]>()
  for (const { by } of [...points.values()].sort((a, b) => a.last - b.last)) {
    const surest = surestOf(by)
    if (!surest) continue
    const found = byCheck.get(surest.check.id)
    if (found) found.push(surest)
    else byCheck.set(surest.check.id, [surest])
  }
  return byCheck
}
