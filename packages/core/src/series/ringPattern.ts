import { barToBar } from './barToBar'

/** How the odd readings of a ring lie: which bars, and what that says. */
export interface RingPattern {
  /** `pair`: two neighbours, which share a bar or a joint; `several`: more, or two apart */
  kind: 'alike' | 'low' | 'high' | 'low-pair' | 'high-pair' | 'several' | 'scattered'
  /** numbers of the readings that stand out, from 1 */
  bars: number[]
}

/**
 * What the odd readings round a commutator have in common (METHODS 8): one low reading is one coil, two neighbours share the bar between
 * them, more of them are looked at one by one.
 * @param input one figure a bar and the next, in order, "Infinity" for an open one, null for one that was not read; allowedPct defaults to 8
 * @returns null where fewer than three were read
 * @example
 * ringPattern({ values: [4.3, 4.4, 3.0, 4.3, 4.2] }) // { kind: 'low', bars: [ 3 ] }
 */
export function ringPattern(input: {
  values: (number | 'Infinity' | null)[]
  allowedPct?: number
}): RingPattern | null {
  const read = input.values.flatMap((value, i) => (value === null ? [] : [{ value, bar: i + 1 }]))
  if (read.length < fewest) return null
  const { flagged, scattered } = barToBar({ ...input, values: read.map(({ value }) => value) })
  if (scattered) return { kind: 'scattered', bars: [] }
  const odd = flagged.flatMap(({ index, direction }) => {
    const bar = read[index]?.bar
    return bar === undefined ? [] : [{ bar, direction }]
  })
  const bars = odd.map(({ bar }) => bar)
  const [first, second] = odd
  if (!first) return { kind: 'alike', bars }
  if (!second) return { kind: first.direction, bars }
  const apart = Math.abs(second.bar - first.bar)
  const neighbours = apart === 1 || apart === input.values.length - 1
  if (odd.length > 2 || !neighbours || first.direction !== second.direction) return { kind: 'several', bars }
  return { kind: `${first.direction}-pair`, bars: apart === 1 ? bars : bars.toReversed() }
}

const fewest = 3
