/**
 * How many draws a long property test makes: all of them, or one in ten where faults are planted and every test runs many times over.
 * @example
 * ```ts
 * draws(150) // 150
 * ```
 */
export const draws = (all: number): number => ('fewDraws' in globalThis ? Math.ceil(all / 10) : all)
