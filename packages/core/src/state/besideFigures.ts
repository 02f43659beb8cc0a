import type { Comparison, Run } from '../document'
import { atTwinReference, type Evaluation } from '../judgement'
import { twinCheck } from '../relations'

/** What another part, or this one another day, reads at a reading's point, and how far this one is from it. */
export interface BesideFigure {
  as: Comparison['as']
  tag: string
  /** in the reading's SI unit; ohms of metal at 20 °C */
  value: number
  /** how much more this one reads, per cent of the mean of both; with its standard uncertainty */
  differencePct: number
  u: number
}

/**
 * The figures that stand beside a reading, each reference once with what it read last (METHODS 5, `twinCheck`).
 * @returns none for a reading without a figure, and none of a reference that has no figure there or reads nothing
 * @example
 * besideFigures(scenes.low().run, scenes.low().of('low')) // []
 */
export function besideFigures({ compare = [] }: Pick<Run, 'compare'>, one: Evaluation): BesideFigure[] {
  if (one.net === undefined || one.bound !== undefined) return []
  const a = atTwinReference(one)
  const found = compare.flatMap(({ as, tag, figures }): BesideFigure[] => {
    const b = figures.findLast(
      ({ check, index, pair }) =>
        check === one.check.id &&
        index === one.entry.reading.index &&
        (!pair || !one.pair || pair.every((id) => one.pair?.includes(id) === true)),
    )
    if (!b) return []
    const { differencePct, u } = twinCheck({ a, b, allowedPct: 0 })
    return differencePct === null || u === null ? [] : [{ as, tag, value: b.value, differencePct, u }]
  })
  return [...new Map(found.map((each) => [`${each.as} ${each.tag}`, each])).values()]
}
