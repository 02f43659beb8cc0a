import type { EntryOf } from './run'

/** Under this a supply that works into a coil has broken down: it drives a diode backwards, volts (METHODS 7). */
const brokenDown = 2

/**
 * Whether a supply broke down while it drove a check: what it then gave judges nothing.
 * @example
 * brokeDown({ check: 'draw', while: 'on', volts: 0.8 }) // true
 */
export const brokeDown = (supply: Pick<EntryOf<'supply'>, 'check' | 'while' | 'volts'>): boolean =>
  supply.check !== undefined && supply.while === 'on' && supply.volts < brokenDown
