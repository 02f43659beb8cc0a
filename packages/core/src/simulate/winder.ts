import { meanTurnShare, planCoil, packingShare, wireShare, type CoilToWind } from '../rewind'
import type { Chance } from './chance'

/** A coil as a winder lays it: its ohms at 20 °C, and those it had half way. */
export interface WoundCoil {
  turns: number
  ohms20: number
  half: { turns: number; ohms20: number }
}

/**
 * A simulated winder: it counts turns, lays them a little looser or tighter than was planned, and draws wire that is a little thicker or
 * thinner, each by its standard deviation (METHODS 10).
 * @returns null where the plan has too little to wind by
 * @example
 * windBy(chanceFrom(3), { wire: { bareMm: 0.9 }, meanTurnMm: 88, turns: 31 })?.turns // 31
 */
export function windBy(chance: Chance, plan: CoilToWind): WoundCoil | null {
  const { meanTurnMm, packing } = plan
  const laid: CoilToWind = {
    ...plan,
    ...(packing === undefined ? {} : { packing: packing / (1 + packingShare * chance.normal()) }),
    ...(meanTurnMm === undefined ? {} : { meanTurnMm: meanTurnMm * (1 + meanTurnShare * chance.normal()) }),
  }
  const aim = planCoil(plan)
  if (!aim) return null
  const drawn = 1 + wireShare * chance.normal()
  const turns = Math.round(aim.turns)
  const after = (count: number) => (planCoil({ ...laid, ohms20: undefined, turns: count })?.ohms20 ?? 0) * drawn
  const half = Math.max(1, Math.round(turns / 2))
  return { turns, ohms20: after(turns), half: { turns: half, ohms20: after(half) } }
}
