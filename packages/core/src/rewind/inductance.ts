/**
 * Inductance of a coil with other turns on the same core: henries·(new/old)² (METHODS 10). A large loss at a nearly normal
 * resistance is a sign of shorted turns: they act as a short-circuited secondary. Compare with a twin at the same frequency.
 * @param input henries, turns
 * @example
 * scaleInductance({ henries: 2.4, turnsOld: 5000, turnsNew: 5500 }) // 2.904
 */
export function scaleInductance(input: { henries: number; turnsOld: number; turnsNew: number }): number {
  return input.henries * (input.turnsNew / input.turnsOld) ** 2
}

/**
 * The frequency at which a coil and a capacitance resonate: 1/(2π√(LC)).
 * @param input henries and farads
 * @returns hertz; Infinity where either is 0
 * @example
 * resonance({ henries: 2.4, farads: 470e-12 }) // 4738.8
 */
export function resonance({ henries, farads }: { henries: number; farads: number }): number {
  return 1 / (2 * Math.PI * Math.sqrt(henries * farads))
}
