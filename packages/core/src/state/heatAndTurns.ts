import { isMetal, resistanceAt } from '../temperature'
import type { Evaluation } from '../judgement'
import type { RunState } from './runState'

/** What a check's winding is to read at another temperature. */
export interface HotFigure {
  check: string
  ohms: number
}

/** How much of a coil that began at its upper limit could be gone while it reads the same. */
export interface LostShare {
  check: string
  ohms: number
  upper: number
  /** of its turns, between 0 and 1: copper of one gauge reads in proportion to its turns */
  share: number
}

/**
 * What each resistance that was read would read at another temperature, each by its own metal's law (IEC 60034-1; IEEE 118).
 * Left out: what follows no metal's law, what was not judged, what is expected open.
 * @param c the temperature, °C
 * @returns ohms, a line a check
 * @example
 * expectedAt(scenes.sound().state, 80)[0] // { check: 'low', ohms: 397.91 }
 */
export const expectedAt = (state: RunState, c: number): HotFigure[] =>
  state.checks.flatMap(({ check, points }) => {
    const one = points[0]?.evaluation
    const { material } = check
    if (check.kind !== 'resistance' || material === undefined || !isMetal(material)) return []
    if (one?.judged === undefined || one.limit?.expectOpen) return []
    return [
      { check: check.id, ohms: resistanceAt({ ohms: one.judged, fromC: one.reference?.c ?? 20, toC: c, material }) },
    ]
  })

/** From here up a winding is hot enough to show what it hides, °C. */
const hotFromC = 50

/**
 * Whether a reading was taken of a part that was measured at 50 °C or more.
 * @example
 * isReadHot(scenes.sound().of('low')) // false
 */
export const isReadHot = ({ temperature }: Pick<Evaluation, 'temperature'>): boolean =>
  temperature?.from === 'measured' && (temperature.partC ?? 0) >= hotFromC

/**
 * What the windings of a part that is hot now have yet to read: those whose standing reading was taken at less than 50 °C.
 * @returns the measured temperature, °C, and ohms, a line a check with the reading that was cold; undefined where the part was not measured
 * at 50 °C or more last
 * @example
 * leftToReadHot(scenes.sound().state) // undefined
 */
export function leftToReadHot(state: RunState): { c: number; figures: (HotFigure & { cold: string })[] } | undefined {
  const c = state.tape.temperatures.at(-1)?.partC
  if (c === undefined || c < hotFromC) return undefined
  const figures = expectedAt(state, c).flatMap((one) => {
    const points = state.checks.find(({ check }) => check.id === one.check)?.points
    const standing = points?.[0]?.evaluation
    return standing && !isReadHot(standing) ? [{ ...one, cold: standing.entry.id }] : []
  })
  return { c, figures }
}

/**
 * The share of its turns that each single winding could have lost and still read as it does, had it begun at its upper limit.
 * Left out: checks over several windings, readings at or above the limit, checks without an upper limit.
 * @returns a line a check, in the card's order
 * @example
 * sharesThatCouldBeGone(scenes.sound().state)[0].share // 0.079474
 */
export const sharesThatCouldBeGone = (state: RunState): LostShare[] =>
  state.checks.flatMap(({ check, points }) => {
    const one = points[0]?.evaluation
    const upper = one?.limit?.band.max
    if (check.kind !== 'resistance' || check.touches.size !== 1) return []
    if (one?.judged === undefined || upper === undefined || upper <= one.judged) return []
    return [{ check: check.id, ohms: one.judged, upper, share: 1 - one.judged / upper }]
  })
