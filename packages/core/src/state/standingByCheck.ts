import { outdated, surestOf, type Bench, type Evaluation } from '../judgement'

/**
 * The readings that stand: of each point the last by each instrument that is neither superseded, taken back, nor of an earlier stage,
 * and of several instruments the surest (METHODS 11.18).
 * @param all readings, judged, in tape order
 * @returns by check, in tape order
 * @example
 * standingByCheck(scenes.retaken().bench, scenes.retaken().all).get('high').length // 1
 */
export function standingByCheck({ tape, prepared }: Bench, all: Evaluation[]): Map<string, Evaluation[]> {
  const points = new Map<string, Map<string, Evaluation>>()
  for (const evaluation of all) {
    const { entry, check, point, instrument } = evaluation
    if (tape.gone.has(entry.id) || outdated(tape, prepared, check, entry, evaluation.pair)) continue
    const by = points.get(point) ?? new Map<string, Evaluation>()
    points.delete(point)
    points.set(point, by.set(instrument?.id ?? '', evaluation))
  }
  const byCheck = new Map<string, Evaluation[]>()
  for (const by of points.values()) {
    const surest = surestOf([...by.values()])
    if (surest) byCheck.set(surest.check.id, [...(byCheck.get(surest.check.id) ?? []), surest])
  }
  return byCheck
}
