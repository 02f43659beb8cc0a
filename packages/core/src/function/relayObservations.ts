export interface Drive {
  plus: string
  minus: string
}
export type TerminalPair = [string, string]
/** One reading between two terminals, at rest (`energised` null) or with the coil driven. */
export interface Observation {
  a: string
  b: string
  ohms: number | 'Infinity'
  energised: Drive | null
}
export interface RelayInput {
  terminals: string[]
  observations: Observation[]
  /** from the card: the coil, two terminals that are one by build, the only direction it may be driven */
  coil?: TerminalPair
  joined?: TerminalPair[]
  drive?: Drive
  /** what a coil may read, ohms; 20 and 2000 where not given */
  coilMin?: number
  coilMax?: number
}

/**
 * A pair whichever way round it was touched.
 * @example
 * sortedPair('87', '30') // [ '30', '87' ]
 */
export const sortedPair = (a: string, b: string): TerminalPair => (a < b ? [a, b] : [b, a])

/**
 * Every pair of the terminals, each and all sorted.
 * @example
 * allPairs(['30', '85', '86']).length // 3
 */
export function allPairs(terminals: string[]): TerminalPair[] {
  const sorted = [...terminals].sort()
  return sorted.flatMap((a, i) => sorted.slice(i + 1).map((b): TerminalPair => [a, b]))
}
