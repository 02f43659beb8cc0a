import type { CoilShape } from './windCoil'
import { buildPerTurnMm, windCoil } from './windCoil'
import { turnsFor } from './turnsFor'
import { wire } from './wire'

export interface CoilToWind {
  wire: { awg?: number; bareMm?: number; overallMm?: number; build?: 'single' | 'heavy'; strands?: number }
  /** the room it has; or the mean turn, where the core was not measured */
  shape?: CoilShape
  traverseMm?: number
  /** how high it may build, mm */
  windowMm?: number
  packing?: number
  meanTurnMm?: number
  /** a rule of thumb, or what others of the model came to: ohms at 20 °C a turn */
  ohmsPerTurn?: number
  turns?: number
  ohms20?: number
}

export interface PlannedCoil {
  turns: number
  ohms20: number
  /** what packing and tension leave open: 95 of 100 coils lie in it */
  low: number
  high: number
  metres: number
  grams: number
  meanTurnMm: number
  /** how high it builds on its core, mm; absent where only the mean turn is known */
  buildMm?: number
  /** layers side by side over the traverse, a whole number; absent as the build */
  turnsALayer?: number
  /** of the window's height, as a share; where the window is known */
  fill?: number
  /** the same where it packs as loose as two standard deviations make it */
  fillLoose?: number
  /** the most turns that the window takes */
  turnsInWindow?: number
}

/** Packing as it comes out by hand, a standard deviation as a share of itself. */
export const packingShare = 0.05
/** Drawn diameter and stretch under tension: ohms a metre, a standard deviation as a share. */
export const wireShare = 0.01
/** A mean turn that was told or measured on the old coil, a standard deviation as a share. */
export const meanTurnShare = 0.015
/** Ohms a turn by a rule of thumb, a standard deviation as a share: it knows nothing of this core. */
export const ruleShare = 0.05
/** what is bought beside what is wound */
const waste = 1.1

/**
 * A coil before it is wound (METHODS 10): turns from ohms or ohms from turns, wire, grams, build, and the band that packing and tension
 * leave open. Geometry moves with the packing; the wire with its own share; both by root sum of squares, two standard deviations.
 * @param input wire by gauge or bare diameter; a core with its traverse and packing, a mean turn in mm, or ohms a turn; turns or ohms at 20 °C
 * @returns mm, metres, grams of copper, ohms at 20 °C; null where there is too little to compute from
 * @example
 * planCoil({ wire: { bareMm: 0.9, build: 'heavy' }, meanTurnMm: 88, turns: 310 })?.ohms20 // 0.73932
 */
export function planCoil(input: CoilToWind): PlannedCoil | null {
  const { awg, bareMm, strands = 1 } = input.wire
  if (awg === undefined && bareMm === undefined) return null
  const strand = wire(awg === undefined ? { bareMm: bareMm ?? 0 } : { awg })
  if (!(strand.bareMm > 0)) return null
  const ohmsPerMetre = strand.ohmsPerMetre20 / strands
  const film = input.wire.build === 'heavy' ? strand.heavyBuildMm : strand.singleBuildMm
  const overallMm = (input.wire.overallMm ?? strand.bareMm + film) * Math.sqrt(strands)
  const grams = (metres: number) => metres * strand.gramsPerMetre * strands
  const { shape, traverseMm, packing, ohmsPerTurn, turns, ohms20 } = input
  const isRule = ohmsPerTurn !== undefined && ohmsPerTurn > 0
  const meanTurnMm = isRule ? (1000 * ohmsPerTurn) / ohmsPerMetre : input.meanTurnMm
  if (meanTurnMm !== undefined && meanTurnMm > 0) {
    const wound = turns ?? (ohms20 === undefined ? undefined : (1000 * ohms20) / (meanTurnMm * ohmsPerMetre))
    if (wound === undefined || !(wound > 0)) return null
    const metres = (wound * meanTurnMm) / 1000
    const ohms = metres * ohmsPerMetre
    return {
      turns: wound,
      ohms20: ohms,
      ...bandOf(ohms, isRule ? ruleShare : meanTurnShare),
      metres,
      grams: grams(metres),
      meanTurnMm,
    }
  }
  if (!shape || !(traverseMm !== undefined && traverseMm > 0) || !(packing !== undefined && packing > 0)) return null
  const geometry = { shape, traverseMm, packing, overallMm }
  const wound = turns ?? (ohms20 === undefined ? undefined : turnsFor({ ...geometry, ohms20, ohmsPerMetre }))
  if (wound === undefined || !(wound > 0) || !Number.isFinite(wound)) return null
  const coil = windCoil({ ...geometry, turns: wound, ohmsPerMetre })
  // looser by a share is as much higher: the build alone moves, the core does not
  const build = wound * buildPerTurnMm(geometry)
  const moves = (Math.PI * build * packingShare) / coil.meanTurnMm
  return {
    turns: wound,
    ohms20: coil.ohms20,
    ...bandOf(coil.ohms20, moves),
    metres: coil.lengthM,
    grams: grams(coil.lengthM),
    meanTurnMm: coil.meanTurnMm,
    buildMm: coil.buildMm,
    turnsALayer: Math.floor(traverseMm / overallMm),
    ...fillOf(coil.buildMm, wound, input.windowMm),
  }
}

/** How much of its window a coil takes: the build against the height. */
function fillOf(
  buildMm: number,
  turns: number,
  windowMm: number | undefined,
): Pick<PlannedCoil, 'fill' | 'fillLoose' | 'turnsInWindow'> {
  if (!(windowMm !== undefined && windowMm > 0)) return {}
  const fill = buildMm / windowMm
  return { fill, fillLoose: fill / (1 - 2 * packingShare), turnsInWindow: Math.floor(turns / fill) }
}

const bandOf = (ohms: number, share: number): Pick<PlannedCoil, 'low' | 'high'> => {
  const half = 2 * Math.hypot(share, wireShare) * ohms
  return { low: ohms - half, high: ohms + half }
}

/**
 * Grams of wire to have at hand for a coil, with what is lost at its ends.
 * @example
 * gramsToHave(100) // 110
 */
export const gramsToHave = (grams: number): number => waste * grams
