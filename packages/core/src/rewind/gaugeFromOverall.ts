import { atMost } from '../conformance'
import { wire } from './wire'

const gauges = Array.from({ length: 57 }, (_, awg) => awg)

/**
 * The whole gauge (0 to 56) nearest by overall diameter, with all that the micrometer cannot tell apart (METHODS 10).
 * @param input overall diameter and its standard uncertainty in mm, the film's build
 * @returns candidates within 2u and the nearest itself, ascending
 * @example
 * gaugeFromOverall({ overallMm: 0.16, build: 'single', uMm: 0.01 }) // { awg: 35, candidates: [ 34, 35 ] }
 */
export function gaugeFromOverall(input: { overallMm: number; build: 'single' | 'heavy'; uMm: number }): {
  awg: number
  candidates: number[]
} {
  const { overallMm, build, uMm } = input
  const away = gauges.map((awg) => {
    const { bareMm, singleBuildMm, heavyBuildMm } = wire({ awg })
    return Math.abs(bareMm + (build === 'single' ? singleBuildMm : heavyBuildMm) - overallMm)
  })
  const awg = away.indexOf(Math.min(...away))
  return { awg, candidates: gauges.filter((one) => one === awg || atMost(away[one] ?? Infinity, 2 * uMm)) }
}
