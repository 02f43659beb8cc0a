const copperOhmMetres = 1.7241e-8
const copperGramsPerCm3 = 8.89
const milInMm = 0.0254
/** the gauge at which the two formulas for the film meet */
const fineFrom = 30

export interface Wire {
  bareMm: number
  areaMm2: number
  ohmsPerMetre20: number
  /** film added to the bare diameter: overall = bare + build */
  singleBuildMm: number
  heavyBuildMm: number
  gramsPerMetre: number
}

/**
 * The bare diameter of a gauge in mm, whole or not (ASTM B258).
 * @example
 * bareOfGauge(36) // 0.127
 */
export const bareOfGauge = (awg: number): number => 0.127 * 92 ** ((36 - awg) / 39)

/**
 * The gauge of a bare diameter in mm, not rounded.
 * @example
 * gaugeOfBare(0.127) // 36
 */
export const gaugeOfBare = (bareMm: number): number => 36 - (39 * Math.log(bareMm / 0.127)) / Math.log(92)

/**
 * The bare diameter of a wire by its gauge or its own size, mm; 0 where neither is known.
 * @example
 * bareOf({ bareMm: 0.9 }) // 0.9
 */
export const bareOf = ({ awg, bareMm = 0 }: { awg?: number; bareMm?: number }): number =>
  awg === undefined ? bareMm : bareOfGauge(awg)

/**
 * A round copper magnet wire by gauge or bare diameter (METHODS 10; ASTM B258 diameters, IACS copper at 20 °C, film build after
 * NEMA MW 1000). An estimate, for coarse wire nearer the least film than the usual one: a supplier's table wins.
 * @param input `awg` or `bareMm` (above 0)
 * @returns mm, mm², ohms per metre at 20 °C, grams of copper per metre
 * @example
 * wire({ awg: 36 }).ohmsPerMetre20 // 1.361
 */
export function wire(input: { awg: number } | { bareMm: number }): Wire {
  const bareMm = 'awg' in input ? bareOfGauge(input.awg) : input.bareMm
  const n = 'awg' in input ? input.awg : gaugeOfBare(bareMm)
  const areaMm2 = (Math.PI * bareMm ** 2) / 4
  const film = (coarse: number, fine: number) => milInMm * 10 ** (n <= fineFrom ? coarse - n / 44.8 : fine - n / 26.7)
  return {
    bareMm,
    areaMm2,
    ohmsPerMetre20: copperOhmMetres / (areaMm2 * 1e-6),
    singleBuildMm: film(0.518, 0.972),
    heavyBuildMm: film(0.818, 1.272),
    gramsPerMetre: areaMm2 * copperGramsPerCm3,
  }
}
