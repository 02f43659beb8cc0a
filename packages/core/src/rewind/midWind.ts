import { resistanceAt, beta } from '../temperature'
import type { CoilShape } from './windCoil'
import { progress } from './progress'

export interface MidWind {
  ohmsPerTurn: number
  /** the ohms so far, at 20 °C */
  ohms20: number
  /** at the target's turns: ohms at 20 °C, and two standard uncertainties of it */
  projected?: { turns: number; ohms20: number; u2: number }
  /** turns that come to the target's ohms, and two standard uncertainties of them */
  stopAt?: { turns: number; u2: number }
}

/** Counted by a machine or aloud: one turn in as many, standard uncertainty. */
const countShare = 0.002

/**
 * Where a coil that is half wound will end, with its doubt (METHODS 10, `progress`): the meter's, the temperature's and the count's, all in
 * proportion to the ohms so far. Without a geometry the next turns are taken to be as long as those so far.
 * @param input turns and ohms so far, their standard uncertainty, the winding's °C and its own, the targets, the geometry where it is known
 * @returns null before the first turn or ohm
 * @example
 * midWind({ turns: 1000, ohms: 100, uOhms: 0.3, atC: 20, uC: 1, targetTurns: 2000 })?.projected?.ohms20 // 200
 */
export function midWind(input: {
  turns: number
  ohms: number
  uOhms: number
  atC: number
  uC: number
  targetTurns?: number
  targetOhms?: number
  geometry?: { shape: CoilShape; overallMm: number; traverseMm: number; packing: number }
}): MidWind | null {
  const { turns, ohms, uOhms, atC, uC, targetTurns, targetOhms, geometry } = input
  if (!(turns > 0) || !(ohms > 0)) return null
  const share = Math.hypot(uOhms / ohms, uC / (beta.copper + atC), countShare)
  const ohms20 = resistanceAt({ ohms, fromC: atC, toC: 20, material: 'copper' })
  const told = geometry
    ? progress({
        ...geometry,
        turnsSoFar: turns,
        ohmsSoFar: ohms,
        atC,
        target: {
          ...(targetTurns === undefined ? {} : { turns: targetTurns }),
          ...(targetOhms === undefined ? {} : { ohms20: targetOhms }),
        },
      })
    : {
        ohmsPerTurn: ohms20 / turns,
        ...(targetTurns === undefined ? {} : { projectedOhms20AtTargetTurns: (ohms20 / turns) * targetTurns }),
        ...(targetOhms === undefined ? {} : { turnsForTargetOhms: targetOhms / (ohms20 / turns) }),
      }
  if (!told) return null
  const { projectedOhms20AtTargetTurns: projected, turnsForTargetOhms: stop } = told
  return {
    ohmsPerTurn: told.ohmsPerTurn,
    ohms20,
    ...(projected === undefined || targetTurns === undefined
      ? {}
      : { projected: { turns: targetTurns, ohms20: projected, u2: 2 * share * projected } }),
    ...(stop === undefined ? {} : { stopAt: { turns: stop, u2: 2 * share * stop } }),
  }
}
