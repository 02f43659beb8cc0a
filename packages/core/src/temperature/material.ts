import type { Material } from '../document'

/** A metal's inferred zero-resistance temperature, negated, in °C (IEEE 118: copper 234.5, aluminium 225). */
export const beta: Record<'copper' | 'aluminium', number> = { copper: 234.5, aluminium: 225 }

/**
 * Whether a winding's resistance follows its temperature as metal does; resistive leads and carbon do not.
 * @example
 * isMetal('resistive') // false
 */
export const isMetal = (material: Material): material is 'copper' | 'aluminium' => material !== 'resistive'
