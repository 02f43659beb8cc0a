import { beta } from './material'

export type Metal = keyof typeof beta

/**
 * A metal winding's resistance at another temperature: R·(β+to)/(β+from) (IEC 60034-1; IEEE 118).
 * @param input ohms, temperatures in °C
 * @example
 * resistanceAt({ ohms: 322, fromC: 20, toC: 80, material: 'copper' }) // 397.91
 */
export function resistanceAt(input: { ohms: number; fromC: number; toC: number; material: Metal }): number {
  return (input.ohms * (beta[input.material] + input.toC)) / (beta[input.material] + input.fromC)
}

/**
 * The temperature a winding must have to read `ohms`: (R/R₀)(β+T₀)−β (IEC 60034-1, resistance method).
 * @param input ohms, reference ohms at refC, in °C
 * @returns °C
 * @example
 * temperatureFrom({ ohms: 398, refOhms: 322, refC: 20, material: 'copper' }) // 80.068
 */
export function temperatureFrom(input: { ohms: number; refOhms: number; refC: number; material: Metal }): number {
  return (input.ohms / input.refOhms) * (beta[input.material] + input.refC) - beta[input.material]
}
