import { perLength } from '../../series'
import type { Evaluation } from './evaluation'

const inchesPerFoot = 12

/**
 * The ohms that a lead has for its length, net of the meter's own leads.
 * @returns ohms a metre, a foot and an inch; undefined for another kind of check, without a figure, or where nobody said how long it is
 * @example
 * byItsLength(scenes.sound().of('low')) // undefined
 */
export function byItsLength({
  check,
  net,
  entry,
}: Pick<Evaluation, 'check' | 'net' | 'entry'>): { metre: number; foot: number; inch: number } | undefined {
  const { x } = entry.reading
  const ohms =
    check.kind !== 'per-length' || net === undefined || x === undefined ? null : perLength({ ohms: net, metres: x })
  return ohms ? { metre: ohms.ohmsPerMetre, foot: ohms.ohmsPerFoot, inch: ohms.ohmsPerFoot / inchesPerFoot } : undefined
}
