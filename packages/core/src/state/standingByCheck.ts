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
  // a point read again moves to the end: the map's order is that of the last reading of each
  const points = new Map<string, Evaluation[]>()
  for (const evaluation of all) {
    const { entry, check, point } = evaluation
    if (tape.gone.has(entry.id)) continue
    if (tape.changes.length > 0 && outdated(tape, prepared, check, entry, evaluation.pair)) continue
    const known = points.get(point)
    if (known) points.delete(point)
    points.set(point, known ? readAgain(known, evaluation) : [evaluation])
  }
  const byCheck = new Map<string, Evaluation[]>()
  for (const by of points.values()) {
    const surest = by.length === 1 ? by[0] : surestOf(by)
    if (!surest) continue
    const found = byCheck.get(surest.check.id)
    if (found) found.push(surest)
    else byCheck.set(surest.check.id, [surest])
  }
  return byCheck
}

/** The last by each instrument, in the order they were read. */
const readAgain = (known: Evaluation[], evaluation: Evaluation): Evaluation[] => [
  ...known.filter((one) => one.instrument?.id !== evaluation.instrument?.id),
  evaluation,
]
