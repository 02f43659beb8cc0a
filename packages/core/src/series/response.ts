/** A reading at one frequency, in what goes in proportion to volts or in decibels, against hertz. */
export interface ResponsePoint {
  hertz: number
  value: number
}

export interface Response {
  /** the highest of what was read */
  peak: ResponsePoint
  /** what is 3 dB under the peak, in the unit of the readings */
  level: number
  /** where it has fallen so far below and above the peak, Hz; absent where it was not read so far */
  below?: number
  above?: number
}

/** Half the power, in decibels: 10·lg 2. */
const halfPower = 10 * Math.log10(2)
const fewest = 3

/**
 * The peak of a response and its half-power (−3 dB) points, a textbook relation: between two readings the level in decibels is taken as linear
 * in the logarithm of the frequency, beyond the last reading nothing is said. The peak is the highest reading: a finer one between two is not
 * made up.
 * @param points in any order, Hz above nought; values above nought, or any in decibels; others are left out, of one frequency the last counts
 * @param inDecibels whether the values are decibels already
 * @returns null for fewer than three frequencies
 * @example
 * responseOf([{ hertz: 100, value: 0.2 }, { hertz: 1000, value: 1 }, { hertz: 2000, value: 0.5 }])?.peak.hertz // 1000
 */
export function responseOf(points: readonly ResponsePoint[], inDecibels = false): Response | null {
  const isRead = ({ hertz, value }: ResponsePoint) => hertz > 0 && (inDecibels || value > 0)
  const decibels = (value: number) => (inDecibels ? value : 20 * Math.log10(value))
  const read = new Map(points.filter(isRead).map((one) => [one.hertz, one]))
  const sorted = [...read.values()].sort((a, b) => a.hertz - b.hertz)
  const [first] = sorted
  if (!first || sorted.length < fewest) return null
  const peak = sorted.reduce((best, one) => (one.value > best.value ? one : best), first)
  const at = sorted.indexOf(peak)
  const levels = sorted.map(({ hertz, value }) => ({ hertz, value: decibels(value) }))
  const fallen = decibels(peak.value) - halfPower
  const below = crossing(levels.slice(0, at + 1).toReversed(), fallen)
  const above = crossing(levels.slice(at), fallen)
  return {
    peak,
    level: inDecibels ? fallen : peak.value * Math.SQRT1_2,
    ...(below === undefined ? {} : { below }),
    ...(above === undefined ? {} : { above }),
  }
}

/** Where a row of levels that begins at the peak first falls to another, Hz. */
function crossing(row: readonly ResponsePoint[], level: number): number | undefined {
  for (let i = 1; i < row.length; i++) {
    const [near, far] = [row[i - 1], row[i]]
    if (!near || !far || far.value > level) continue
    return near.hertz * (far.hertz / near.hertz) ** ((near.value - level) / (near.value - far.value))
  }
  return undefined
}
