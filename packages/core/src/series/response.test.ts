import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { responseOf } from './response'

/** A resonance as it is: 1/√(1 + Q²(f/f₀ − f₀/f)²). */
const resonance = (hertz: number, centre: number, q: number) =>
  1 / Math.sqrt(1 + (q * (hertz / centre - centre / hertz)) ** 2)

describe('a response against frequency (docs/methods.md, worked)', () => {
  test('the peak is what was read highest, −3 dB between readings', () => {
    const found = responseOf([
      { hertz: 2000, value: 0.5 },
      { hertz: 100, value: 0.2 },
      { hertz: 1000, value: 1 },
    ])
    expect(found?.peak).toEqual({ hertz: 1000, value: 1 })
    expect(found?.above).toBeCloseTo(1000 * 2 ** 0.5, 6)
    expect(found?.below).toBeCloseTo(1000 * 10 ** -(Math.log(Math.SQRT2) / Math.log(5)), 6)
  })

  test('a resonance read finely has its textbook width', () =>
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 20_000 }), fc.double({ min: 1, max: 10, noNaN: true }), (centre, q) => {
        const points = Array.from({ length: 401 }, (_, i) => centre * 10 ** ((i - 200) / 200))
        const found = responseOf(points.map((hertz) => ({ hertz, value: resonance(hertz, centre, q) })))
        const width = ((found?.above ?? 0) - (found?.below ?? 0)) / centre
        expect(width * q).toBeCloseTo(1, 2)
        expect((found?.peak.hertz ?? 0) / centre).toBeCloseTo(1, 6)
      }),
      { numRuns: 40 },
    ))

  test('in decibels it is the same response, also below nought', () => {
    const points = [100, 300, 1000, 3000].map((hertz, i) => ({ hertz, value: [0.1, 0.4, 0.9, 0.3][i] ?? 0 }))
    const volts = responseOf(points)
    const decibels = responseOf(
      points.map(({ hertz, value }) => ({ hertz, value: 20 * Math.log10(value) })),
      true,
    )
    expect(decibels?.below).toBeCloseTo(volts?.below ?? 0, 9)
    expect(decibels?.above).toBeCloseTo(volts?.above ?? 0, 9)
    expect(decibels?.peak).toEqual({ hertz: 1000, value: expect.closeTo(-0.915, 3) })
    expect(decibels?.level).toBeCloseTo(-0.915 - 3.01, 2)
  })

  test('what was not read so far is not said', () => {
    const rising = [100, 200, 400].map((hertz) => ({ hertz, value: hertz }))
    expect(responseOf(rising)).toEqual({
      peak: { hertz: 400, value: 400 },
      level: expect.closeTo(282.84, 2),
      below: expect.closeTo(282.84, 2),
    })
    expect(responseOf(rising.map(({ hertz }) => ({ hertz, value: 1 })))).toEqual({
      peak: { hertz: 100, value: 1 },
      level: Math.SQRT1_2,
    })
  })

  test.each([
    ['two frequencies', [100, 200], 1],
    ['three of which one is nought', [100, 200, 0], 1],
    ['nothing heard at all', [100, 200, 400], 0],
  ])('%s is no response', (_what, hertz, value) =>
    expect(responseOf(hertz.map((one) => ({ hertz: one, value })))).toBeNull(),
  )

  test('of one frequency the last reading counts', () =>
    expect(
      responseOf([100, 200, 200, 400].map((hertz, i) => ({ hertz, value: i === 1 ? 9 : 1 + i / 10 })))?.peak,
    ).toEqual({ hertz: 400, value: 1.3 }))
})
