import type { Card, UnitLimit } from '../document'
import { checkOfWinding } from './checkOfWinding'
import type { RewindState } from './rewindStanding'

/** Henries of planned turns on the same core: the count is sure, the meter and the gap of the core are not, as a share to either side. */
const henriesShare = 0.1

/**
 * What a rewound unit is to read by the plan of its rewind, on the checks between the ends of each winding that is wound to its last coil
 * (METHODS 10; CARD, `limits`): ohms within the band that packing and tension leave open, henries within a tenth, which a shorted turn
 * leaves by far while the ohms look right.
 * @returns in ohms at 20 °C and henries; none for a winding without such a check, or with a coil that is not wound
 * @example
 * limitsOfPlan({ wholes: [], coils: [] }, scenes.sound().run.card) // []
 */
export function limitsOfPlan(
  { wholes, coils }: Pick<RewindState, 'wholes' | 'coils'>,
  card: Pick<Card, 'windings' | 'checks'>,
): UnitLimit[] {
  return wholes.flatMap(({ winding, low, high, turns }): UnitLimit[] => {
    const own = coils.filter(({ coil }) => coil.winding === winding)
    if (!own.every(({ wound }) => wound !== undefined)) return []
    const text = `${Math.round(turns)} turns planned`
    const limit = (kind: 'resistance' | 'inductance', min: number, max: number): UnitLimit[] => {
      const check = checkOfWinding(card, winding, kind)?.id
      return check === undefined ? [] : [{ check, limit: { kind: 'band', min, max }, source: 'rewind', text }]
    }
    // coils in series on one core share their flux: only a coil alone tells its henries
    const [{ henries } = {}] = own.length === 1 ? own : []
    return [
      ...limit('resistance', low, high),
      ...(henries === undefined ? [] : limit('inductance', henries * (1 - henriesShare), henries * (1 + henriesShare))),
    ]
  })
}
