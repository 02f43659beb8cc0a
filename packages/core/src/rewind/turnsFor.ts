import { buildPerTurnMm, coreTurnMm, type CoilGeometry } from './windCoil'

/**
 * The turns that come to a resistance on this core (METHODS 10): the positive root of a·N + b·N² = length.
 * @param input geometry in mm, ohms at 20 °C (0 or more), ohms per metre at 20 °C
 * @returns turns, not rounded
 * @example
 * turnsFor({ shape: { kind: 'round', coreMm: 10 }, overallMm: 0.1, traverseMm: 10, packing: 0.8, ohms20: 106, ohmsPerMetre: 3 })
 * // 999.76
 */
export function turnsFor(input: CoilGeometry & { ohms20: number; ohmsPerMetre: number }): number {
  return turnsOfLength(input, (1000 * input.ohms20) / input.ohmsPerMetre)
}

/**
 * The turns that take so many mm of wire. The root is written so that nothing cancels where the build is small.
 * @example
 * turnsOfLength({ shape: { kind: 'round', coreMm: 10 }, overallMm: 0.1, traverseMm: 10, packing: 0.8 }, 35_343) // 1000
 */
export function turnsOfLength(geometry: CoilGeometry, lengthMm: number): number {
  if (!Number.isFinite(lengthMm)) return lengthMm
  const a = coreTurnMm(geometry.shape)
  const b = Math.PI * buildPerTurnMm(geometry)
  return (2 * lengthMm) / (a + Math.sqrt(a ** 2 + 4 * b * lengthMm))
}
