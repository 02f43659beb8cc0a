/**
 * Insulation resistance brought to 40 °C, halving each 10 K upwards (METHODS 6; IEEE 43-2013 6.3, thermoplastic and older
 * systems). Shown beside the raw value, never instead.
 * @param input ohms as read, the winding in °C
 * @returns ohms
 * @example
 * insulationAt40({ ohms: 2e9, windingC: 20 }) // 500000000
 */
export function insulationAt40({ ohms, windingC }: { ohms: number; windingC: number }): number {
  return ohms * 0.5 ** ((40 - windingC) / 10)
}
