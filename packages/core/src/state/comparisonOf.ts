import type { Comparison } from '../document'
import { atTwinReference } from '../judgement'
import type { RunState } from './runState'

/**
 * A run's figures as another run is compared with: the reading that counts at each point, net of leads and metal at 20 °C
 * (METHODS 3), and the checks that were outside.
 * @param as what the run is to the other: an earlier day of the same unit, its twin
 * @returns open readings give no figure; a failed check is named whether it gave one or not
 * @example
 * comparisonOf(scenes.sound().state, 'earlier').figures[0].value // 322
 */
export function comparisonOf(state: RunState, as: Comparison['as']): Comparison {
  const { run, checks } = state
  const figures = checks.flatMap(({ points }) =>
    points.flatMap(({ evaluation, held }) => {
      if (!evaluation || held || evaluation.net === undefined || evaluation.bound !== undefined) return []
      // megohms over a break are no figure of a winding
      if (evaluation.reason === 'open-circuit') return []
      const { check, pair, entry } = evaluation
      return [
        {
          check: check.id,
          ...(pair ? { pair } : {}),
          ...(entry.reading.index === undefined ? {} : { index: entry.reading.index }),
          ...atTwinReference(evaluation),
        },
      ]
    }),
  )
  const failed = checks.filter(({ verdict, held }) => verdict === 'outside' && !held).map(({ check }) => check.id)
  return { as, tag: run.unit.tag, run: run.id, figures, ...(failed.length > 0 ? { failed } : {}) }
}
