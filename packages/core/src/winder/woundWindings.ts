import type { CoilPlan, CoilWire } from '../document'
import type { RewindState } from './rewindStanding'

/** How a winding was wound: what the next of its model can begin from. */
export interface WoundWinding {
  winding: string
  /** of its first coil */
  label: string
  coils: number
  /** of one coil: the mean of what was counted onto them */
  turns: number
  wire?: CoilWire
  lay?: 'cw' | 'ccw'
  /** its room and where it came from */
  plan?: CoilPlan
}

/**
 * The windings of a rewind that are wound to their last coil, as they were wound.
 * @returns one a winding, in the order of the coils
 * @example
 * woundWindings({ coils: [] }) // []
 */
export function woundWindings({ coils }: Pick<RewindState, 'coils'>): WoundWinding[] {
  return [...new Set(coils.map(({ coil }) => coil.winding))].flatMap((winding): WoundWinding[] => {
    const own = coils.filter(({ coil }) => coil.winding === winding)
    const turns = own.flatMap(({ wound }) => (wound ? [wound.turns] : []))
    const [first] = own
    if (!first || turns.length < own.length) return []
    const { plan, original, wound } = first
    const wire = plan?.wire ?? original.wire
    const lay = wound?.lay ?? first.lay
    return [
      {
        winding,
        label: first.coil.label,
        coils: own.length,
        turns: Math.round(turns.reduce((sum, one) => sum + one, 0) / turns.length),
        ...(wire ? { wire } : {}),
        ...(lay ? { lay } : {}),
        ...(plan ? { plan } : {}),
      },
    ]
  })
}
