import { atLeast } from '../conformance'

const headroom = 1.1

/**
 * The lowest range that shows the expected figure with a tenth to spare (METHODS 2).
 * @param input full scales in any order and the largest figure expected, in one unit
 * @returns the full scale, or null when no range holds it
 * @example
 * chooseRange({ ranges: [200, 2e3, 2e4], expectedMax: 349.8 }) // 2000
 */
export function chooseRange({ ranges, expectedMax }: { ranges: number[]; expectedMax: number }): number | null {
  const holding = ranges.filter((fullScale) => atLeast(fullScale, headroom * expectedMax))
  return holding.length === 0 ? null : Math.min(...holding)
}
