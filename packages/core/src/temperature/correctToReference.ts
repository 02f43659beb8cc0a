import { beta } from './material'

export interface CorrectionInput {
  ohms: number
  u: number
  partC: number
  uPartC: number
  refC: number
  uRefC: number
  material: keyof typeof beta
}

/**
 * Brings a metal winding's reading to the limits' reference temperature (METHODS 3; GUM 5.1.2).
 * @param input ohms and u in ohms, temperatures and their standard uncertainties in °C
 * @returns ohms and u at the reference, with the parts that the two temperatures add
 * @example
 * correctToReference({ ohms: 358, u: 1, partC: 55, uPartC: 1.2, refC: 20, uRefC: 0, material: 'copper' }).ohms
 * // 314.72
 */
export function correctToReference(input: CorrectionInput) {
  const b = beta[input.material]
  const factor = (b + input.refC) / (b + input.partC)
  const fromPart = (input.ohms * factor * input.uPartC) / (b + input.partC)
  const fromReference = (input.ohms * input.uRefC) / (b + input.partC)
  return {
    ohms: input.ohms * factor,
    u: Math.hypot(factor * input.u, fromPart, fromReference),
    factor,
    fromPart: Math.abs(fromPart),
    fromReference: Math.abs(fromReference),
  }
}
