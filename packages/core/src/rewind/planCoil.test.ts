import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { gaugeFits, gramsToHave, metricSizes, midWind, otherWires, planCoil, strandsToTell } from '.'

const drone = {
  wire: { awg: 44, build: 'single' as const },
  shape: { kind: 'racetrack' as const, coreLengthMm: 58, coreWidthMm: 5.5 },
  traverseMm: 7.2,
  packing: 0.62,
}
const ring = { wire: { bareMm: 0.9, build: 'heavy' as const }, meanTurnMm: 88 }

describe('a plan by its geometry (docs/methods.md, worked)', () => {
  test('turns from ohms on a flat core', () => {
    const plan = planCoil({ ...drone, ohms20: 5800 })
    expect(plan?.turns).toBeCloseTo(5006.3, 1)
    expect(plan?.metres).toBeCloseTo(666.7, 1)
    expect(plan?.ohms20).toBeCloseTo(5800, 6)
  })

  test('ohms, metres and grams from turns and a mean turn', () => {
    const plan = planCoil({ ...ring, turns: 310 })
    expect(plan?.metres).toBeCloseTo(27.28, 9)
    expect(plan?.ohms20).toBeCloseTo(0.7393, 4)
    expect(plan?.grams).toBeCloseTo(154.3, 1)
    expect(plan?.buildMm).toBeUndefined()
    expect(gramsToHave(100)).toBeCloseTo(110, 9)
  })

  test('by a rule of thumb, which knows no core and is so much less sure', () => {
    const plan = planCoil({ wire: { awg: 44, build: 'single' }, ohmsPerTurn: 0.95, ohms20: 4350 })
    expect(plan?.turns).toBeCloseTo(4578.9, 1)
    expect(plan?.meanTurnMm).toBeCloseTo(109.2, 1)
    expect(((plan?.high ?? 0) - 4350) / 4350).toBeCloseTo(2 * Math.hypot(0.05, 0.01), 9)
    expect(planCoil({ wire: { awg: 44 }, ohmsPerTurn: 0, turns: 100 })).toBeNull()
  })

  test('several strands share the current and take their room', () => {
    const one = planCoil({ ...drone, turns: 100 })
    const two = planCoil({ ...drone, wire: { ...drone.wire, strands: 2 }, turns: 100 })
    expect(two?.grams).toBeGreaterThan(2 * (one?.grams ?? 0))
    expect(two?.buildMm).toBeCloseTo(2 * (one?.buildMm ?? 0), 9)
    expect((two?.ohms20 ?? 0) / (one?.ohms20 ?? 1)).toBeCloseTo(0.5, 1)
  })

  test('against the height of its window', () => {
    const plan = planCoil({ ...drone, turns: 5006, windowMm: 4 })
    expect(plan?.fill).toBeCloseTo((plan?.buildMm ?? 0) / 4, 9)
    expect(plan?.fillLoose).toBeCloseTo((plan?.fill ?? 0) / 0.9, 9)
    // as many as fill it, fill it
    const full = planCoil({ ...drone, turns: plan?.turnsInWindow ?? 0, windowMm: 4 })
    expect(full?.fill).toBeLessThanOrEqual(1)
    expect(full?.fill).toBeGreaterThan(0.999)
    expect(planCoil({ ...drone, turns: 5006 })).not.toHaveProperty('fill')
    expect(planCoil({ ...drone, turns: 5006, windowMm: 0 })).not.toHaveProperty('fill')
    expect(planCoil({ ...ring, turns: 310, windowMm: 4 })).not.toHaveProperty('fill')
  })

  test.each([
    ['no wire', { meanTurnMm: 88, turns: 310, wire: {} }],
    ['no turns and no ohms', ring],
    ['no room', { wire: drone.wire, turns: 100 }],
    ['a room without its traverse', { ...drone, traverseMm: undefined, turns: 100 }],
    ['a room without its packing', { ...drone, packing: undefined, turns: 100 }],
    ['turns of nought', { ...ring, turns: 0 }],
    ['a wire of nought', { meanTurnMm: 88, turns: 1, wire: { bareMm: 0 } }],
  ])('%s is no plan', (_what, input) => {
    expect(planCoil(input)).toBeNull()
  })

  test('turns for the ohms of some turns are those turns, and the band holds the middle', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 20_000 }), fc.integer({ min: 20, max: 46 }), (turns, awg) => {
        const plan = planCoil({ ...drone, wire: { awg }, turns })
        const back = planCoil({ ...drone, wire: { awg }, ohms20: plan?.ohms20 })
        expect((back?.turns ?? 0) / turns).toBeCloseTo(1, 6)
        expect(plan?.low).toBeLessThan(plan?.ohms20 ?? 0)
        expect(plan?.high).toBeGreaterThan(plan?.ohms20 ?? 0)
      }),
    )
  })
})

describe('the old wire by micrometer', () => {
  const sizes = (fits: ReturnType<typeof gaugeFits>) => fits.map(({ awg, bareMm }) => awg ?? bareMm)

  test('one strand of coarse wire fits a metric size and a gauge; five side by side tell', () => {
    const one = gaugeFits({ overallMm: 0.968, strands: 1, build: 'heavy' })
    expect(sizes(one)).toEqual([0.9, 19])
    expect(sizes(otherWires(one))).toEqual([19])
    expect(strandsToTell(one)).toBe(2)
    const five = gaugeFits({ overallMm: 0.962, strands: 5, build: 'heavy' })
    expect(sizes(five)).toEqual([0.9])
    expect(strandsToTell(five)).toBe(1)
  })

  test('one strand of fine wire fits two gauges; thirteen side by side leave one, and its metric like', () => {
    const one = gaugeFits({ overallMm: 0.055, strands: 1, build: 'single' })
    expect(sizes(one)).toEqual(expect.arrayContaining([44, 45]))
    expect(strandsToTell(one)).toBeGreaterThan(2)
    const many = gaugeFits({ overallMm: 0.72 / 13, strands: 13, build: 'single' })
    expect(many.flatMap(({ awg }) => awg ?? [])).toEqual([44])
    expect(otherWires(many)).toEqual([])
  })

  test('where no film is said both are looked for, and where nothing is near the nearest gauge stands', () => {
    const both = gaugeFits({ overallMm: 0.5, strands: 1 })
    expect(new Set(both.map(({ build }) => build))).toEqual(new Set(['single', 'heavy']))
    expect(sizes(gaugeFits({ overallMm: 30, strands: 1, build: 'single' }))).toEqual([0])
    expect(strandsToTell([])).toBe(1)
  })

  test('sizes are the R 40 series, ascending, each once', () => {
    expect(metricSizes.slice(0, 3)).toEqual([0.02, 0.0212, 0.0224])
    expect(metricSizes.at(-1)).toBe(5)
    expect([...new Set(metricSizes)].sort((a, b) => a - b)).toEqual([...metricSizes])
  })
})

describe('half way', () => {
  const drawn = { turns: 2400, ohms: 2740, uOhms: 8, atC: 22, uC: 2, targetTurns: 5000, targetOhms: 5800 }

  test('by geometry it says where it ends and where to stop', () => {
    const geometry = { shape: drone.shape, traverseMm: 7.2, packing: 0.62, overallMm: 0.0556 }
    const told = midWind({ ...drawn, geometry })
    expect(told?.projected?.ohms20).toBeCloseTo(5915, 0)
    expect(told?.stopAt?.turns).toBeCloseTo(4910, 0)
    expect(told?.projected?.u2).toBeGreaterThan(0)
  })

  test('without one the next turns are as long as those so far', () => {
    const told = midWind(drawn)
    expect(told?.projected?.ohms20).toBeCloseTo(((told?.ohms20 ?? 0) / 2400) * 5000, 6)
  })

  test('its doubt grows with the meter’s, the temperature’s and never vanishes', () => {
    const u2 = (changes: object) => midWind({ ...drawn, ...changes })?.projected?.u2 ?? 0
    expect(u2({ uOhms: 80 })).toBeGreaterThan(u2({}))
    expect(u2({ uC: 8 })).toBeGreaterThan(u2({}))
    expect(u2({ uOhms: 0, uC: 0 })).toBeGreaterThan(0)
  })

  test.each([{ turns: 0 }, { ohms: 0 }])('before the first turn or ohm there is nothing to go by', (changes) => {
    expect(midWind({ ...drawn, ...changes })).toBeNull()
  })
})
