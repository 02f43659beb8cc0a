import { atMost } from '../conformance'
import { gaugeFromOverall } from './gaugeFromOverall'
import { metricSizes } from './metricSizes'
import { bareOf, wire } from './wire'

/** A wire that a micrometer reading could be. */
export interface WireFit {
  awg?: number
  bareMm?: number
  build: 'single' | 'heavy'
  overallMm: number
  /** how far it is from the reading, mm */
  awayMm: number
}

/** One reading of a micrometer by hand, standard uncertainty, mm (METHODS 10); strands side by side share it. */
export const micrometerMm = 0.0035

/**
 * Every gauge and metric size that a reading over so many strands side by side could be, nearest first (METHODS 10).
 * @param input overall diameter of one strand in mm, how many lay side by side, the film's build where it is known
 * @returns where none is near enough the nearest whole gauge of each build asked for
 * @example
 * gaugeFits({ overallMm: 0.962, strands: 5, build: 'heavy' })[0]?.bareMm // 0.9
 */
export function gaugeFits(input: { overallMm: number; strands: number; build?: 'single' | 'heavy' }): WireFit[] {
  const { overallMm, strands, build } = input
  const uMm = micrometerMm / strands
  const builds = build ? [build] : (['single', 'heavy'] as const)
  const fits = builds.flatMap((film): WireFit[] => {
    const over = (one: { awg: number } | { bareMm: number }) => {
      const { bareMm, singleBuildMm, heavyBuildMm } = wire(one)
      return bareMm + (film === 'single' ? singleBuildMm : heavyBuildMm)
    }
    const fitOf = (one: { awg: number } | { bareMm: number }): WireFit => {
      const overall = over(one)
      return { ...one, build: film, overallMm: overall, awayMm: Math.abs(overall - overallMm) }
    }
    const gauges = gaugeFromOverall({ overallMm, build: film, uMm }).candidates.map((awg) => fitOf({ awg }))
    const metric = metricSizes.map((bareMm) => fitOf({ bareMm })).filter(({ awayMm }) => atMost(awayMm, 2 * uMm))
    return [...gauges, ...metric]
  })
  const near = fits.filter(({ awayMm }) => atMost(awayMm, 2 * uMm))
  return (near.length > 0 ? near : fits).sort((a, b) => a.awayMm - b.awayMm)
}

/** Wires whose ohms a metre differ by less are as good as the same. */
const sameShare = 0.02

/**
 * The fits that are another wire than the nearest: their ohms a metre differ by more than 2 %.
 * @param fits nearest first
 * @example
 * otherWires(gaugeFits({ overallMm: 0.968, strands: 1, build: 'heavy' })).map(({ awg }) => awg) // [ 19 ]
 */
export function otherWires(fits: readonly WireFit[]): WireFit[] {
  const area = (one: WireFit) => bareOf(one) ** 2
  const [first] = fits
  return first ? fits.filter((one) => Math.abs(area(one) / area(first) - 1) > sameShare) : []
}

/**
 * How many strands side by side tell the nearest fit from every other wire (METHODS 10): what they are apart must be more than four standard
 * uncertainties of one strand.
 * @returns 1 where there is nothing to tell apart; at most 50
 * @example
 * strandsToTell(gaugeFits({ overallMm: 0.055, strands: 1, build: 'single' })) // 6
 */
export function strandsToTell(fits: readonly WireFit[]): number {
  const [first] = fits
  const others = otherWires(fits)
  if (!first || others.length === 0) return 1
  const apart = Math.min(...others.map(({ overallMm }) => Math.abs(overallMm - first.overallMm)))
  return Math.min(most, Math.max(2, Math.ceil((4 * micrometerMm) / apart)))
}

const most = 50
