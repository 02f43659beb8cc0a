/**
 * The turns that bring a coil on the same core to another inductance or output (METHODS 10): henries go with the square of the turns, the
 * volts that a magnet or a field induces with the turns themselves.
 * @param input what is wanted and what so many turns had, both in one unit, all above nought
 * @returns turns, not rounded; null where a figure is not above nought
 * @example
 * turnsLike({ of: 'inductance', wanted: 2.904, had: 2.4, turns: 5000 }) // 5500
 */
export function turnsLike(input: {
  of: 'inductance' | 'output'
  wanted: number
  had: number
  turns: number
}): number | null {
  const { of, wanted, had, turns } = input
  if (!(wanted > 0 && had > 0 && turns > 0)) return null
  const share = wanted / had
  return turns * (of === 'inductance' ? Math.sqrt(share) : share)
}
