import type { At, CheckKind, Terminal } from '@sure-spool/core'

/** How the place of a check is said. */
export type Where = 'pair' | 'each' | 'among' | 'ring' | 'place'
export const whereOf = (at: At): Where =>
  'pair' in at ? 'pair' : 'each' in at ? 'each' : 'among' in at ? 'among' : 'ring' in at ? 'ring' : 'place'

/** The places that a kind of check can have, its usual one first. */
export const wheresOf: Record<CheckKind, Where[]> = {
  resistance: ['pair', 'each', 'among'],
  continuity: ['pair', 'each', 'among'],
  insulation: ['each', 'pair'],
  inductance: ['pair'],
  capacitance: ['pair'],
  current: ['pair'],
  lamp: ['pair'],
  'ac-output': ['pair', 'among'],
  'dc-output': ['pair'],
  field: ['place', 'pair'],
  curve: ['pair'],
  bars: ['ring'],
  'per-length': ['pair', 'place'],
  contacts: ['among'],
  'pair-matrix': ['among'],
  'three-pins': ['among'],
  look: ['place'],
  act: ['place', 'pair'],
  response: ['pair'],
}

/** A place of one sort among a card's terminals, to be changed from there. */
export function placeOf(where: Where, terminals: Terminal[], before?: At): At {
  const ids = terminals.filter(({ id, part }) => id !== 'frame' && part !== 'joint').map(({ id }) => id)
  const [a = 'frame', b = ids[0] ?? 'frame'] = ids
  if (before && whereOf(before) === where) return before
  switch (where) {
    case 'pair':
      return { pair: [a, b] }
    case 'each':
      return { each: ids.length > 0 ? ids : ['frame'], to: 'frame' }
    case 'among':
      return { among: ids.length > 1 ? ids : ['frame', 'frame'] }
    case 'ring':
      return { ring: 12 }
    case 'place':
      return { place: 'the part' }
  }
}
