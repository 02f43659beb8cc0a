import { median } from 'simple-statistics'
import { atMost } from '../../conformance'
import type { Evaluation } from '../figure'
import { isSpeed } from '../preparedCard'

/** A leg under this share of the pair volts has none of its own (METHODS 11.22). */
const lostShare = 0.1
/** The other two read the pair volts to within this share. */
const fullShare = 0.1

/**
 * The leg that sits on the frame, by the volts of three legs to it while the machine runs: one reads next to nothing, and the other two what
 * the pairs read (METHODS 11.22). The two full ones prove the contact at the frame, so that no second touch is wanted.
 * @param readings those that stand, alternating volts, of any checks
 * @returns the reading of that leg; undefined where no three legs were read at one speed, or none is lost
 * @example
 * legToFrame([]) // undefined
 */
export function legToFrame(readings: Evaluation[]): Evaluation | undefined {
  const legs = readings.filter((one) => one.pair?.includes('frame') && one.net !== undefined)
  const pairs = readings.filter((one) => one.pair && !one.pair.includes('frame') && one.net !== undefined)
  return legs.find((lost) => {
    const atOnce = (one: Evaluation) => isSpeed(speedOf(one), speedOf(lost))
    // of a leg that was read more than once the last reading counts
    const three = new Map(legs.filter(atOnce).map((one) => [legOf(one), one]))
    const between = pairs.filter((one) => atOnce(one) && one.pair?.every((end) => three.has(end)))
    if (three.size !== 3 || three.get(legOf(lost)) !== lost || between.length === 0) return false
    const others = [...three.values()].filter((one) => one !== lost)
    const whole = median(between.map(({ net = 0 }) => net))
    return (
      whole > 0 &&
      atMost(lost.net ?? 0, lostShare * whole) &&
      others.every(({ net = 0 }) => atMost(Math.abs(net - whole), fullShare * whole))
    )
  })
}

const speedOf = ({ entry }: Evaluation): number | undefined => entry.reading.conditions?.rpm
const legOf = ({ pair }: Evaluation): string => pair?.find((end) => end !== 'frame') ?? ''
