import { lastPlace } from '../judgement'
import { sweep } from '../series'
import type { ClosingRule } from './closing'

/** Beyond this share of itself a figure that goes back was no wobble of the hand. */
const wobble = 0.01

/**
 * A sender that was swept goes back on its way, which each figure’s own limits may not show: the wiper lifts, or a turn of the track is bridged
 * (METHODS 8, `sweep`). A curve that itself turns is not held against it, nor what was read open, which is a fault of its own.
 * @example
 * sweepBack(scenes.sound().closing) // null
 */
export const sweepBack: ClosingRule = ({ checks }) => {
  for (const { check, points } of checks) {
    const stated = check.stated[0]?.limit
    if (stated === undefined || stated === 'derived' || stated.kind !== 'curve') continue
    const ways = stated.points.toSorted((a, b) => a.x - b.x)
    if (sweep({ samples: ways, dropOhms: 0 }).monotonic !== true) continue
    const read = points
      .flatMap(({ evaluation, held }) => {
        const x = evaluation?.entry.reading.x
        return evaluation?.net === undefined || held || x === undefined
          ? []
          : [{ x, ohms: evaluation.net, place: lastPlace(evaluation) }]
      })
      .sort((a, b) => a.x - b.x)
    const most = Math.max(0, ...read.map(({ ohms }) => ohms))
    const dropOhms = wobble * most + 3 * Math.max(0, ...read.map(({ place }) => place))
    const [at] = sweep({ samples: read, dropOhms }).dropouts
    const [before, here] = at === undefined ? [] : [read[at - 1], read[at]]
    if (before && here)
      return {
        id: 'sweep-back',
        severity: 'warn',
        params: { check: check.id, from: before.x, to: here.x, before: before.ohms, after: here.ohms },
      }
  }
  return null
}
