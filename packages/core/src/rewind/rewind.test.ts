import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  gaugeFromOverall,
  gaugeOfBare,
  poleWinding,
  progress,
  resonance,
  scaleInductance,
  turnsFor,
  windCoil,
  wire,
} from '.'

const geometry = { shape: { kind: 'round', coreMm: 9 } as const, overallMm: 0.14, traverseMm: 24, packing: 0.8 }

describe('the worked figures of docs/methods.md', () => {
  test('wire and gauge', () => {
    const { bareMm, areaMm2, ohmsPerMetre20, singleBuildMm } = wire({ awg: 36 })
    expect([bareMm, areaMm2, ohmsPerMetre20, singleBuildMm].map((one) => Number(one.toPrecision(5)))).toEqual([
      0.127, 0.012668, 1.361, 0.010679,
    ])
    expect(gaugeFromOverall({ overallMm: 0.061, build: 'single', uMm: 0.003 })).toEqual({
      awg: 43,
      candidates: [43, 44],
    })
  })

  test('a coil, its turns and its progress', () => {
    const coil = windCoil({ ...geometry, turns: 3000, ohmsPerMetre: 1.361 })
    expect(coil.buildMm).toBeCloseTo(3.0625, 9)
    expect(coil.meanTurnMm).toBeCloseTo(37.895, 3)
    expect(coil.ohms20).toBeCloseTo(154.73, 2)
    expect(turnsFor({ ...geometry, ohms20: 180, ohmsPerMetre: 1.361 })).toBeCloseTo(3381, 0)
    const half = progress({ ...geometry, turnsSoFar: 1200, ohmsSoFar: 62, atC: 24, target: { turns: 3000 } })
    expect(half?.ohmsPerTurn).toBeCloseTo(0.05087, 5)
    expect(half?.projectedOhms20AtTargetTurns).toBeCloseTo(180.0, 1)
  })

  test('poles, inductance, resonance', () => {
    expect(poleWinding({ poles: 4, turnsPerPole: 31, first: 'cw' }).map((one) => one.direction)).toEqual([
      'cw',
      'ccw',
      'cw',
      'ccw',
    ])
    expect(scaleInductance({ henries: 1.1, turnsOld: 8000, turnsNew: 8800 })).toBeCloseTo(1.331, 12)
    expect(resonance({ henries: 1.1, farads: 4.7e-10 })).toBeCloseTo(7000, -1)
  })
})

const turns = fc.double({ min: 1, max: 20_000, noNaN: true })
const overallMm = fc.double({ min: 0.03, max: 1.5, noNaN: true })

test('turns for the ohms of some turns are those turns', () => {
  fc.assert(
    fc.property(turns, overallMm, (count, overall) => {
      const coil = { ...geometry, overallMm: overall, ohmsPerMetre: 2 }
      const { ohms20 } = windCoil({ ...coil, turns: count })
      expect(turnsFor({ ...coil, ohms20 }) / count).toBeCloseTo(1, 9)
    }),
  )
})

test('a coil wound as computed is where it should be at every turn', () => {
  fc.assert(
    fc.property(turns, (count) => {
      const whole = windCoil({ ...geometry, turns: 2 * count, ohmsPerMetre: 1.361 })
      const half = windCoil({ ...geometry, turns: count, ohmsPerMetre: 1.361 })
      const told = progress({
        ...geometry,
        turnsSoFar: count,
        ohmsSoFar: half.ohms20,
        atC: 20,
        target: { turns: 2 * count },
      })
      expect((told?.projectedOhms20AtTargetTurns ?? 0) / whole.ohms20).toBeCloseTo(1, 9)
    }),
  )
})

test('before the first turn there is nothing to go by', () => {
  expect(progress({ ...geometry, turnsSoFar: 0, ohmsSoFar: 0, atC: 20, target: { turns: 10 } })).toBeNull()
})

test('gauge and bare diameter are each other’s inverse, and a thicker wire has fewer ohms', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 56, noNaN: true }), (awg) => {
      const { bareMm, ohmsPerMetre20 } = wire({ awg })
      expect(gaugeOfBare(bareMm)).toBeCloseTo(awg, 9)
      expect(wire({ awg: awg + 1 }).ohmsPerMetre20).toBeGreaterThan(ohmsPerMetre20)
    }),
  )
})
