import type { CoilWire, WireLeft } from '../document'
import { atMost } from '../conformance'
import type { WireFit } from './gaugeFits'
import { bareOf, wire } from './wire'

/** What ohms, length and mass of an old wire tell of it. */
export interface LeftTells {
  /** of the copper under the film, mm, with its standard uncertainty */
  bareMm?: number
  uMm?: number
  /** how long it is, or was */
  metres?: number
}

/** Bare diameter from ohms and length, standard uncertainty as a share: a hand meter, a tape, and fine copper as it is drawn. */
const byOhmsShare = 0.015
/** The same from a mass, which weighs film and varnish with it. */
const byMassShare = 0.02
const copper = wire({ bareMm: 1 })
/** Ω·mm² a metre, g a metre and mm², of copper at 20 °C */
const ohmsOfArea = copper.ohmsPerMetre20 * copper.areaMm2
const gramsOfArea = copper.gramsPerMetre / copper.areaMm2

/**
 * What came off a coil, told by any two of ohms, length and mass, or by one and its wire (METHODS 10): R = ρ·l/A and m = d·l·A, copper.
 * Ohms know nothing of the film, which a micrometer cannot take off; a mass weighs it with the copper, so that its lengths are rather long.
 * @param left ohms at 20 °C, metres, grams
 * @param known the wire's gauge or bare diameter, several strands together, where it is known
 * @returns mm and metres; empty where there is too little
 * @example
 * wireLeft({ ohms20: 0.466, metres: 17.2 }) // { bareMm: 0.90013, uMm: 0.013502, metres: 17.2 }
 */
export function wireLeft({ ohms20, metres, grams }: WireLeft, known: CoilWire = {}): LeftTells {
  const told = (areaMm2: number, share: number, long: number): LeftTells => {
    const bareMm = Math.sqrt((4 * areaMm2) / Math.PI)
    return { bareMm, uMm: share * bareMm, metres: long }
  }
  if (ohms20 !== undefined && metres !== undefined) return told((ohmsOfArea * metres) / ohms20, byOhmsShare, metres)
  if (grams !== undefined && metres !== undefined) return told(grams / (gramsOfArea * metres), byMassShare, metres)
  if (ohms20 !== undefined && grams !== undefined)
    return told(
      Math.sqrt((grams * ohmsOfArea) / (gramsOfArea * ohms20)),
      byMassShare,
      Math.sqrt((ohms20 * grams) / (ohmsOfArea * gramsOfArea)),
    )
  const bareMm = bareOf(known)
  if (metres !== undefined || bareMm === 0) return metres === undefined ? {} : { metres }
  const area = (known.strands ?? 1) * wire({ bareMm }).areaMm2
  if (grams !== undefined) return { metres: grams / (gramsOfArea * area) }
  return ohms20 === undefined ? {} : { metres: (ohms20 * area) / ohmsOfArea }
}

/**
 * The wires of a micrometer reading that the copper's own diameter leaves, within two standard uncertainties.
 * @returns all of them where it tells nothing; none where it agrees with none
 * @example
 * fitsLeft(gaugeFits({ overallMm: 0.968, strands: 1, build: 'heavy' }), { bareMm: 0.9, uMm: 0.005 }).length // 1
 */
export const fitsLeft = (fits: WireFit[], { bareMm, uMm = 0 }: LeftTells): WireFit[] =>
  bareMm === undefined ? fits : fits.filter((fit) => atMost(Math.abs(bareOf(fit) - bareMm), 2 * uMm))
