export interface PoleTurn {
  pole: number
  direction: 'cw' | 'ccw'
}

/**
 * The direction of each pole of a stator whose poles are all in series: alternating (METHODS 10). An odd number above 1 cannot
 * alternate round a ring; the list alternates all the same, and whoever shows it says so.
 * @param input poles from 1, the first one's direction
 * @example
 * poleWinding({ poles: 4, turnsPerPole: 120, first: 'cw' })[1] // { pole: 2, direction: 'ccw' }
 */
export function poleWinding({
  poles,
  first,
}: {
  poles: number
  turnsPerPole: number
  first: 'cw' | 'ccw'
}): PoleTurn[] {
  const other = first === 'cw' ? 'ccw' : 'cw'
  return Array.from({ length: poles }, (_, i) => ({ pole: i + 1, direction: i % 2 === 0 ? first : other }))
}
