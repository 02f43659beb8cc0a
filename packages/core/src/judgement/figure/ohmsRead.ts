import { openFrom } from '../../conformance'
import type { Evaluation } from './evaluation'

type Read = Pick<Evaluation, 'entry' | 'bound' | 'net' | 'reason'>

/**
 * What a reading says in ohms, net of leads: 'Infinity' for an over-range or lower bound of 1 MΩ or more (METHODS 5, threeTerminal).
 * @returns undefined where its bound proves nothing; an upper bound for "less than"
 * @example
 * ohmsRead(scenes.sound().of('low')) // 322
 */
export function ohmsRead({ entry, bound, net }: Read): number | 'Infinity' | undefined {
  const { kind, value } = entry.reading
  if (kind === 'over' || kind === 'above') return (bound ?? 0) >= openFrom ? 'Infinity' : undefined
  return kind === 'below' ? value : net
}

/**
 * Whether a reading is no path: beyond 1 MΩ, or judged an open circuit.
 * @example
 * readsOpen(scenes.sound().of('low')) // false
 */
export const readsOpen = (one: Read): boolean => {
  const ohms = ohmsRead(one)
  return one.reason === 'open-circuit' || ohms === 'Infinity' || (one.net ?? 0) >= openFrom
}

/**
 * Whether a reading gave a figure, and one that is a path.
 * @example
 * readsFinite({ net: 322 }) // true
 */
export const readsFinite = ({ net }: Pick<Evaluation, 'net'>): boolean => net !== undefined && net < openFrom
