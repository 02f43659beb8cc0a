import type { Card, UnitLimit } from '../document'
import type { RewindState } from './rewindStanding'

/**
 * What a rewound unit is to read by the plan of its rewind: the band that packing and tension leave open, on the check between the ends of each
 * winding that is wound to its last coil (METHODS 10; CARD, `limits`).
 * @returns in ohms at 20 °C; none for a winding without such a check, or with a coil that is not wound
 * @example
 * limitsOfPlan({ wholes: [], coils: [] }, scenes.sound().run.card) // []
 */
export function limitsOfPlan(
  { wholes, coils }: Pick<RewindState, 'wholes' | 'coils'>,
  { windings, checks }: Pick<Card, 'windings' | 'checks'>,
): UnitLimit[] {
  return wholes.flatMap(({ winding, low, high, turns }): UnitLimit[] => {
    const own = windings.find(({ id }) => id === winding)
    const isWound = coils.every(({ coil, wound }) => coil.winding !== winding || wound !== undefined)
    const check = checks.find(
      ({ kind, at }) =>
        kind === 'resistance' && 'pair' in at && own && at.pair.includes(own.from) && at.pair.includes(own.to),
    )
    if (!check || !isWound) return []
    const text = `${Math.round(turns)} turns planned`
    return [{ check: check.id, limit: { kind: 'band', min: low, max: high }, source: 'rewind', text }]
  })
}
