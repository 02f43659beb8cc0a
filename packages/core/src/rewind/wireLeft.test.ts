import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fitsLeft, gaugeFits, turnsLike, wire, wireLeft } from '.'

describe('what came off a coil (docs/methods.md, worked)', () => {
  test('ohms and length tell the copper under the film', () => {
    const tells = wireLeft({ ohms20: 0.466, metres: 17.2 })
    expect(tells.bareMm).toBeCloseTo(0.9001, 4)
    expect(tells.uMm).toBeCloseTo(0.0135, 4)
    expect(tells.metres).toBe(17.2)
  })

  test('mass and length tell it too, less surely: film is weighed with it', () => {
    const tells = wireLeft({ grams: 154.3, metres: 27.28 })
    expect(tells.bareMm).toBeCloseTo(0.9001, 3)
    expect(tells.uMm).toBeCloseTo(0.018, 3)
  })

  test.each([{ awg: 44 }, { awg: 24 }, { bareMm: 0.9 }])('ohms and mass alone tell %j and how long it was', (size) => {
    const one = wire(size)
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 5000, noNaN: true }), (metres) => {
        const tells = wireLeft({ ohms20: metres * one.ohmsPerMetre20, grams: metres * one.gramsPerMetre })
        expect(tells.bareMm).toBeCloseTo(one.bareMm, 6)
        expect((tells.metres ?? 0) / metres).toBeCloseTo(1, 6)
      }),
    )
  })

  test('one of them and the wire tell the length; strands lie side by side', () => {
    expect(wireLeft({ grams: 154.3 }, { bareMm: 0.9 }).metres).toBeCloseTo(27.28, 1)
    expect(wireLeft({ ohms20: 0.7393 }, { bareMm: 0.9 }).metres).toBeCloseTo(27.28, 1)
    expect(wireLeft({ grams: 154.3 }, { bareMm: 0.9, strands: 2 }).metres).toBeCloseTo(13.64, 1)
    expect(wireLeft({ ohms20: 0.7393 }, { awg: 19 }).metres).toBeCloseTo(28.0, 1)
  })

  test.each([
    ['nothing', {}, {}],
    ['a mass without its wire', { grams: 100 }, {}],
    ['ohms without their wire', { ohms20: 3 }, {}],
    ['a length, whatever the wire', { metres: 12 }, { metres: 12 }],
  ])('%s tells no more', (_what, left, tells) => expect(wireLeft(left)).toEqual(tells))

  test('of what a micrometer leaves open the copper keeps what fits it, and says where none does', () => {
    const fits = gaugeFits({ overallMm: 0.055, strands: 1, build: 'single' })
    expect(fits.length).toBeGreaterThan(1)
    const { bareMm } = wire({ awg: 44 })
    expect(fitsLeft(fits, { bareMm, uMm: bareMm * 0.001 }).map(({ awg }) => awg)).toEqual([44])
    expect(fitsLeft(fits, {})).toEqual(fits)
    expect(fitsLeft(fits, { bareMm: 0.9, uMm: 0.009 })).toEqual([])
    const metric = gaugeFits({ overallMm: 0.962, strands: 5, build: 'heavy' })
    expect(fitsLeft(metric, { bareMm: 0.9, uMm: 0.001 }).map((one) => one.bareMm)).toEqual([0.9])
  })
})

describe('turns for what is wanted', () => {
  test.each([
    ['inductance', 2.904, 2.4, 5000, 5500],
    ['output', 110, 100, 5000, 5500],
    ['output', 50, 100, 310, 155],
  ] as const)('%s of %d from %d', (of, wanted, had, turns, more) =>
    expect(turnsLike({ of, wanted, had, turns })).toBeCloseTo(more, 6),
  )
  test.each([
    [0, 1, 1],
    [1, 0, 1],
    [1, 1, 0],
    [NaN, 1, 1],
  ])('%d of %d at %d turns is none', (wanted, had, turns) =>
    expect(turnsLike({ of: 'inductance', wanted, had, turns })).toBeNull(),
  )
})
