import { atMost, openFrom } from '../conformance'

type Ohms = number | 'Infinity'
type Pin = 'a' | 'b' | 'c'
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

const pairs = [
  { key: 'ab', pins: ['a', 'b'] },
  { key: 'bc', pins: ['b', 'c'] },
  { key: 'ca', pins: ['c', 'a'] },
] as const

/**
 * What construction three readings on three pins are (METHODS 5). `consistent` never stands for health: a split-phase set
 * with an open run winding is `single`.
 * @param input the three pairs in ohms ("Infinity", or 1 MΩ and more, is open) and the standard uncertainty of one reading
 * @returns the kind, the pins' parts for split-phase, the ohms of a winding for balanced
 * @example
 * threeTerminal({ ab: 4.9, bc: 16.6, ca: 11.7, u: 0.05 }).kind // 'split-phase'
 */
export function threeTerminal(input: { ab: Ohms; bc: Ohms; ca: Ohms; u: number }): ThreeTerminal {
  const read = pairs.map(({ key, pins }) => ({ pins, ohms: finiteOhms(input[key]) }))
  const finite = read.filter(({ ohms }) => ohms < Infinity)
  if (finite.length < 3) {
    const kind = finite.length === 0 ? 'open' : finite.length === 1 ? 'single' : 'unclear'
    return { kind, residual: 0, consistent: kind === 'single' }
  }
  const [small, middle, large] = [...read].sort((x, y) => x.ohms - y.ohms)
  if (!small || !middle || !large) return { kind: 'unclear', residual: 0, consistent: false }
  const residual = small.ohms + middle.ohms - large.ohms
  const mean = (small.ohms + middle.ohms + large.ohms) / 3
  if (read.every(({ ohms }) => atMost(Math.abs(ohms - mean), 0.05 * mean)))
    return { kind: 'balanced', windings: { star: mean / 2, delta: 1.5 * mean }, residual, consistent: true }
  const allowed = 2 * Math.sqrt(3) * input.u + 0.02 * large.ohms
  const common = small.pins.find((pin) => middle.pins.some((other) => other === pin))
  if (!common || !atMost(Math.abs(residual), allowed)) return { kind: 'unclear', residual, consistent: false }
  const other = (one: readonly Pin[]) => one.find((pin) => pin !== common) ?? common
  return {
    kind: 'split-phase',
    common,
    main: other(small.pins),
    auxiliary: other(middle.pins),
    residual,
    consistent: true,
  }
}

const finiteOhms = (ohms: Ohms): number => (ohms === 'Infinity' || ohms >= openFrom ? Infinity : ohms)
