import { atMost, openFrom } from '../conformance'

export type Ohms = number | 'Infinity'
export type Pin = 'a' | 'b' | 'c'
/** Three pairs in ohms ("Infinity", or 1 MΩ and more, is open), and the standard uncertainty of one reading. */
export interface ThreePairs {
  ab: Ohms
  bc: Ohms
  ca: Ohms
  u: number
}

/** What three pins would be if they were a run and a start winding; without figures where a pair reads open. */
export interface SplitPhase {
  kind: 'split-phase'
  fits: boolean
  common?: Pin
  main?: Pin
  auxiliary?: Pin
  mainOhms?: number
  auxiliaryOhms?: number
  /** main + auxiliary − the pair of both, in ohms, and what is allowed of it */
  residual?: number
  allowed?: number
}
/** Three alike, joined as a star or a delta; without figures where a pair reads open. */
export interface Balanced {
  kind: 'balanced'
  fits: boolean
  /** the pair farthest from the mean, and what is allowed, in percent of the mean */
  apartPct?: number
  allowedPct: number
  /** ohms of one winding, whichever way they are joined */
  windings?: { star: number; delta: number }
}
/** One winding and a free pin. */
export interface Single {
  kind: 'single'
  fits: boolean
  /** pairs that are no open circuit */
  finite: number
}
export type Construction = SplitPhase | Balanced | Single

const pairs = [
  { key: 'ab', pins: ['a', 'b'] },
  { key: 'bc', pins: ['b', 'c'] },
  { key: 'ca', pins: ['c', 'a'] },
] as const
const alikePct = 5

/**
 * Three pairs read against each construction they could be of, side by side (METHODS 5, `threeTerminal`); no limit is asked.
 * @param input the three pairs in ohms and the standard uncertainty of one reading
 * @returns split-phase, balanced, single; at most one fits, and three alike go before two that add up
 * @example
 * threeConstructions({ ab: 4.9, bc: 16.6, ca: 11.7, u: 0.05 }).map(({ fits }) => fits) // [ true, false, false ]
 */
export function threeConstructions(input: ThreePairs): [SplitPhase, Balanced, Single] {
  const finite = pairs
    .map(({ key, pins }) => ({ pins, ohms: finiteOhms(input[key]) }))
    .filter(({ ohms }) => ohms < Infinity)
    .sort((x, y) => x.ohms - y.ohms)
  const [small, middle, large] = finite
  const single: Single = { kind: 'single', fits: finite.length === 1, finite: finite.length }
  if (!small || !middle || !large)
    return [{ kind: 'split-phase', fits: false }, { kind: 'balanced', fits: false, allowedPct: alikePct }, single]
  const mean = (small.ohms + middle.ohms + large.ohms) / 3
  const apart = Math.max(mean - small.ohms, large.ohms - mean)
  const alike = atMost(apart, (alikePct / 100) * mean)
  const common = small.pins.find((pin) => middle.pins.some((other) => other === pin))
  const residual = small.ohms + middle.ohms - large.ohms
  const allowed = 2 * Math.sqrt(3) * input.u + 0.02 * large.ohms
  return [
    {
      kind: 'split-phase',
      fits: !alike && atMost(Math.abs(residual), allowed),
      common,
      main: small.pins.find((pin) => pin !== common),
      auxiliary: middle.pins.find((pin) => pin !== common),
      mainOhms: small.ohms,
      auxiliaryOhms: middle.ohms,
      residual,
      allowed,
    },
    {
      kind: 'balanced',
      fits: alike,
      apartPct: (100 * apart) / mean,
      allowedPct: alikePct,
      windings: { star: mean / 2, delta: 1.5 * mean },
    },
    single,
  ]
}

const finiteOhms = (ohms: Ohms): number => (ohms === 'Infinity' || ohms >= openFrom ? Infinity : ohms)
