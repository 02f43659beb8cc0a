import { threeConstructions, type Pin, type ThreePairs } from './constructions'

export type KindOfThree = 'split-phase' | 'balanced' | 'single' | 'open' | 'unclear'

export interface ThreeTerminal {
  kind: KindOfThree
  common?: Pin
  main?: Pin
  auxiliary?: Pin
  /** ohms of one winding, whichever way three alike are joined */
  windings?: { star: number; delta: number }
  /** smallest + middle − largest, in ohms; 0 where one is infinite */
  residual: number
  consistent: boolean
}

/**
 * What construction three readings on three pins are (METHODS 5). `consistent` never stands for health: a split-phase set
 * with an open run winding is `single`.
 * @param input the three pairs in ohms ("Infinity", or 1 MΩ and more, is open) and the standard uncertainty of one reading
 * @returns the kind, the pins' parts for split-phase, the ohms of a winding for balanced
 * @example
 * threeTerminal({ ab: 4.9, bc: 16.6, ca: 11.7, u: 0.05 }).kind // 'split-phase'
 */
export function threeTerminal(input: ThreePairs): ThreeTerminal {
  const [split, balanced, { finite }] = threeConstructions(input)
  const { common, main, auxiliary, residual = 0 } = split
  if (finite < 3) {
    const kind = finite === 0 ? 'open' : finite === 1 ? 'single' : 'unclear'
    return { kind, residual, consistent: kind === 'single' }
  }
  if (balanced.fits) return { kind: 'balanced', windings: balanced.windings, residual, consistent: true }
  if (!split.fits) return { kind: 'unclear', residual, consistent: false }
  return { kind: 'split-phase', common, main, auxiliary, residual, consistent: true }
}
