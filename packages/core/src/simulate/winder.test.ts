import { describe, expect, test } from '@jest/globals'
import { midWind, planCoil, type CoilToWind } from '../rewind'
import { chanceFrom } from './chance'
import { windBy } from './winder'

const drone: CoilToWind = {
  wire: { awg: 44, build: 'single' },
  shape: { kind: 'racetrack', coreLengthMm: 58, coreWidthMm: 5.5 },
  traverseMm: 7.2,
  packing: 0.62,
  turns: 5006,
}
const pole: CoilToWind = { wire: { bareMm: 0.9, build: 'heavy' }, meanTurnMm: 88, turns: 31 }
const coils = 400

describe('a plan, wound by the simulated winder', () => {
  test.each([
    ['fine wire on a flat core', drone],
    ['a pole of which the mean turn is known', pole],
    ['planned by its ohms', { ...drone, turns: undefined, ohms20: 5800 }],
  ])('%s: 95 of 100 end inside the stated band', (_what, plan) => {
    const chance = chanceFrom(44)
    const { low, high } = planCoil(plan) ?? { low: 0, high: 0 }
    const ends = Array.from({ length: coils }, () => windBy(chance, plan)?.ohms20 ?? 0)
    const inside = ends.filter((ohms) => ohms >= low && ohms <= high).length
    expect(inside / coils).toBeGreaterThan(0.93)
    expect(inside / coils).toBeLessThan(0.985)
  })

  test('half way says where it ends: 95 of 100 end inside its doubt', () => {
    const chance = chanceFrom(45)
    const geometry = { shape: drone.shape as never, traverseMm: 7.2, packing: 0.62, overallMm: 0.0556 }
    const inside = Array.from({ length: coils }, () => {
      const wound = windBy(chance, drone)
      const read = (wound?.half.ohms20 ?? 0) * (1 + 0.003 * chance.normal())
      const told = midWind({
        turns: wound?.half.turns ?? 0,
        ohms: read,
        uOhms: 0.003 * read,
        atC: 20,
        uC: 1,
        targetTurns: wound?.turns ?? 0,
        geometry,
      })
      const { ohms20 = 0, u2 = 0 } = told?.projected ?? {}
      return Math.abs(ohms20 - (wound?.ohms20 ?? 0)) <= u2
    }).filter(Boolean).length
    expect(inside / coils).toBeGreaterThan(0.93)
  })

  test('what has no plan is not wound', () => {
    expect(windBy(chanceFrom(1), { wire: {} })).toBeNull()
  })
})
