import type { Reading } from '../../document'
import { rounded } from '../../conformance'
import { curveBand, onCurve } from '../../series'
import { pairKey } from './pairKey'
import type { PreparedLimit } from './preparedCard'

/**
 * A limit as it stands for one reading: a curve at its place, ohms per metre over its length, a derived pair's own band.
 * @returns why it cannot be said
 * @example
 * limitAt(scenes.sender().check('travel').limits.used[0], { x: 50 }, undefined).band // { min: 64.8, max: 79.2 }
 */
export function limitAt(
  limit: PreparedLimit,
  { x }: Reading,
  pair: [string, string] | undefined,
): PreparedLimit | 'place-missing' | 'off-curve' {
  const { stated } = limit
  if (stated === 'derived') return (pair && limit.byPair?.get(pairKey(pair))) ?? limit
  if (stated.kind === 'curve') {
    if (x === undefined) return 'place-missing'
    const expected = onCurve(stated.points, x, stated.scale)
    return expected === null ? 'off-curve' : { ...limit, band: curveBand(expected, stated.tolerancePct) }
  }
  if (stated.kind === 'perMetre') {
    if (x === undefined || x <= 0) return 'place-missing'
    const share = stated.tolerancePct / 100
    const whole = stated.value * x
    return { ...limit, band: { min: rounded(whole * (1 - share)), max: rounded(whole * (1 + share)) } }
  }
  return limit
}
