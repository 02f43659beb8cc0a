import { resistanceAt } from '../temperature'
import { turnsOfLength } from './turnsFor'
import { buildPerTurnMm, coreTurnMm, type CoilGeometry } from './windCoil'

/**
 * Where a coil half wound will end (METHODS 10): geometry gives the shape R = c·(a·N + b·N²), the one measured point gives c.
 * Copper, brought to 20 °C.
 * @param input turns and ohms so far, the winding's °C, the target in turns or ohms at 20 °C, geometry in mm
 * @returns ohms per turn at 20 °C on average so far, and what the target comes to; null before the first turn or ohm
 * @example
 * progress({ shape: { kind: 'round', coreMm: 10 }, overallMm: 0.1, traverseMm: 10, packing: 0.8, turnsSoFar: 500, ohmsSoFar: 50, atC: 20, target: { turns: 1000 } })
 * // { ohmsPerTurn: 0.1, projectedOhms20AtTargetTurns: 105.88 }
 */
export function progress(
  input: CoilGeometry & {
    turnsSoFar: number
    ohmsSoFar: number
    atC: number
    target: { turns?: number; ohms20?: number }
  },
): { ohmsPerTurn: number; projectedOhms20AtTargetTurns?: number; turnsForTargetOhms?: number } | null {
  const { turnsSoFar, ohmsSoFar, atC, target } = input
  if (!(turnsSoFar > 0) || !(ohmsSoFar > 0)) return null
  const ohms20 = resistanceAt({ ohms: ohmsSoFar, fromC: atC, toC: 20, material: 'copper' })
  const lengthOf = (turns: number) => coreTurnMm(input.shape) * turns + Math.PI * buildPerTurnMm(input) * turns ** 2
  const ohmsPerMm = ohms20 / lengthOf(turnsSoFar)
  if (!(ohmsPerMm > 0 && ohmsPerMm < Infinity)) return null
  return {
    ohmsPerTurn: ohms20 / turnsSoFar,
    ...(target.turns === undefined ? {} : { projectedOhms20AtTargetTurns: ohmsPerMm * lengthOf(target.turns) }),
    ...(target.ohms20 === undefined ? {} : { turnsForTargetOhms: turnsOfLength(input, target.ohms20 / ohmsPerMm) }),
  }
}
