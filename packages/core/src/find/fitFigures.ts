import type { CardFigure, CardFigures } from './figuresOf'
import type { Findings, Found } from './parseFindings'

export interface FigureMatch {
  text: string
  check: string
  label: string
  /** how far the measured figure lies from the card's middle, in percent of it */
  offPct: number
  /** it only fits with this many ohms of leads taken off */
  leadsOhms?: number
}
export interface Fit {
  matches: FigureMatch[]
  /** measured figures that nothing on the card explains */
  missing: string[]
  /** something was open, and no check of the card expects that */
  openMissing: boolean
  /** root mean square of the distances in their own uncertainty: 0 is the middle, 2 the edge of the limits */
  misfit: number
}

/** Beyond this many uncertainties a figure is another one. */
export const furthest = 3
/** Leads that nobody zeroed add at most about this much. */
export const mostLeads = 0.6
/** A part at an unknown temperature (±10 °C, rectangular) moves metal by this share (1σ); a meter by the other. */
const temperatureShare = 0.0227
const meterShare = 0.01
const leadsCost = 0.5

/**
 * One standard uncertainty of a card's figure, as a share of it: half the limits count as two, joined with an unknown
 * temperature and a plain meter (root sum of squares, GUM 5.1.2).
 * @example
 * spreadOf({ share: 0.1, metal: true }) // 0.055815
 */
export const spreadOf = ({ share, metal }: CardFigure): number =>
  Math.hypot(share / 2, metal ? temperatureShare : 0, meterShare)

/**
 * How far a measured value lies from an expected one on a logarithmic scale, in standard uncertainties (`spreadOf`). Where
 * ohms are too many, leads that nobody zeroed may be in them: they are taken off at a price.
 * @example
 * distanceTo(318, 320, 0.05, true) // 0.12539
 */
export function distanceTo(value: number, expected: number, spread: number, ohms: boolean): number {
  const plain = Math.abs(Math.log(value / expected)) / spread
  if (!ohms || plain <= 2 || value <= expected) return plain
  const net = Math.max(value - mostLeads, expected)
  return Math.min(plain, Math.abs(Math.log(net / expected)) / spread + leadsCost)
}

/**
 * @returns `distanceTo` of a card's figure, and the ohms of leads that had to be taken off where only that makes it fit
 * @example
 * distance({ text: '331', quantity: 'resistance', value: 331 }, figuresOf(twinCard()).figures[0]).z // 0.71786
 */
export function distance(measured: Found, figure: CardFigure): { z: number; leadsOhms?: number } {
  if (measured.quantity !== figure.quantity) return { z: Infinity }
  const spread = spreadOf(figure)
  const z = distanceTo(measured.value, figure.expected, spread, figure.quantity === 'resistance')
  return z < distanceTo(measured.value, figure.expected, spread, false)
    ? { z, leadsOhms: Math.min(mostLeads, measured.value - figure.expected) }
    : { z }
}

/**
 * How well a card explains what was measured: each figure goes to the nearest of the card's that is free, nearest pairs first.
 * @returns matches in the order measured; what nothing explains is listed, never forced
 * @example
 * fitFigures(parseFindings('330 and 36.5'), figuresOf(twinCard())).misfit // 0.30616
 */
export function fitFigures(found: Findings, card: CardFigures): Fit {
  const pairs = found.figures
    .flatMap((measured, m) => card.figures.map((figure) => ({ m, measured, figure, ...distance(measured, figure) })))
    .filter((one) => one.z <= furthest)
    .sort((a, b) => a.z - b.z)
  const taken = new Map<number, (typeof pairs)[number]>()
  const used = new Set<CardFigure>()
  for (const pair of pairs) {
    if (taken.has(pair.m) || used.has(pair.figure)) continue
    taken.set(pair.m, pair)
    used.add(pair.figure)
  }
  const chosen = [...taken.values()].sort((a, b) => a.m - b.m)
  return {
    matches: chosen.map(({ measured, figure, leadsOhms }) => ({
      text: measured.text,
      check: figure.check,
      label: figure.label,
      offPct: (100 * (measured.value - (leadsOhms ?? 0) - figure.expected)) / figure.expected,
      ...(leadsOhms === undefined ? {} : { leadsOhms }),
    })),
    missing: found.figures.flatMap((one, m) => (taken.has(m) ? [] : [one.text])),
    openMissing: found.open && !card.open,
    misfit: chosen.length === 0 ? 0 : Math.sqrt(chosen.reduce((sum, { z }) => sum + z * z, 0) / chosen.length),
  }
}

/**
 * The better fit first: fewer figures unexplained, then the smaller misfit.
 * @example
 * compareFits({ missing: [], openMissing: false, misfit: 1 }, { missing: [], openMissing: false, misfit: 3 }) // -2
 */
export const compareFits = (a: Fit, b: Fit): number =>
  a.missing.length + Number(a.openMissing) - (b.missing.length + Number(b.openMissing)) || a.misfit - b.misfit
