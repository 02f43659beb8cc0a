import type { Verdict } from '../conformance'
import { quantityOf, type PreparedCheck } from '../judgement'
import { curveBand, onCurve, responseOf, type Response } from '../series'
import type { RunState } from './runState'

/** Readings that are looked at together, each at its number or its place. */
export interface ReadingSet {
  /** `at`: the item’s number, the place on a curve, or the frequency; `value` in SI, over each item’s own length where it has one */
  points: { at: number; value: number; verdict: Verdict }[]
  /** the limits of all of them; of a set over its lengths by the metre */
  band: { min?: number; max?: number }
  /** a stated curve with its tolerance; empty where the set has none */
  curve: { x: number; min: number; max: number }[]
  /** whether the values are by the metre */
  perMetre: boolean
  /** whether they stand at their frequencies, Hz: a response, with its peak and where it has fallen by 3 dB */
  response?: Response | null
  /** how many there are to be, where that is known */
  count: number
}

const curveSteps = 40

/**
 * What belongs together of a check: bars, leads or places on a curve, with what all of them are held against (METHODS 8).
 * @returns points that were read and judged or at least have a net figure; those without a number or place are left out
 * @example
 * ((scene) => readingSet(scene.state, scene.check('bars')).points[3])(scenes.bars())
 * // { at: 4, value: 0.3, verdict: 'outside' }
 */
export function readingSet(state: RunState, check: PreparedCheck): ReadingSet {
  const stated = check.stated[0]?.limit
  const curve = stated !== undefined && stated !== 'derived' && stated.kind === 'curve' ? stated : undefined
  const over = stated !== undefined && stated !== 'derived' && stated.kind === 'perMetre' ? stated : undefined
  const read = (state.checks.find((one) => one.check === check)?.points ?? []).flatMap(({ evaluation, verdict }) =>
    evaluation ? [{ evaluation, verdict }] : [],
  )
  const isResponse = check.kind === 'response'
  const perMetre = !curve && !isResponse && read.some(({ evaluation }) => (evaluation.entry.reading.x ?? 0) > 0)
  const points = read.flatMap(({ evaluation: { entry, judged, net }, verdict }) => {
    const { index, x, conditions } = entry.reading
    const at = isResponse ? (x ?? conditions?.hertz) : curve ? x : index
    const whole = judged ?? net
    const value = perMetre ? overLength(net, x) : whole
    return at === undefined || value === undefined ? [] : [{ at, value, verdict }]
  })
  const share = (over?.tolerancePct ?? 0) / 100
  const band = over
    ? { min: over.value * (1 - share), max: over.value * (1 + share) }
    : curve
      ? {}
      : (read[0]?.evaluation.limit?.band ?? {})
  const response = isResponse
    ? responseOf(
        points.map(({ at, value }) => ({ hertz: at, value })),
        quantityOf(check) === 'gain',
      )
    : undefined
  return {
    points,
    band,
    curve: curve ? along(curve) : [],
    perMetre,
    ...(response === undefined ? {} : { response }),
    count: check.items ?? ringOf(check),
  }
}

const overLength = (ohms: number | undefined, metres: number | undefined): number | undefined =>
  ohms === undefined || metres === undefined || !(metres > 0) ? undefined : ohms / metres
const ringOf = ({ at }: PreparedCheck): number => ('ring' in at ? at.ring : 0)

function along({
  points,
  tolerancePct,
  scale,
}: {
  points: { x: number; ohms: number }[]
  tolerancePct: number
  scale?: 'log'
}): ReadingSet['curve'] {
  const places = points.map(({ x }) => x)
  const [first, last] = [Math.min(...places), Math.max(...places)]
  return Array.from({ length: curveSteps + 1 }, (_, i) => {
    const x = i === curveSteps ? last : first + ((last - first) * i) / curveSteps
    return { x, ...curveBand(onCurve(points, x, scale) ?? 0, tolerancePct) }
  })
}
