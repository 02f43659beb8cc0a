import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { rulerScale, type OnRuler } from './rulerScale'
import { rulerSpoken } from './rulerSpoken'
import { movedStrip } from './strokes'
import { figuresWith } from '../words/figures'

const room = { width: 640, left: 14, right: 14, broken: 140 }
const twin = { min: 286.2, max: 349.8 }
const figure = fc.double({ noNaN: true })
const maybe = fc.option(figure, { nil: undefined })

describe('a reading on its ruler', () => {
  test('inside its limits stands between them, on a whole axis', () => {
    const { at, breaks, ticks } = rulerScale({ ...twin, value: 318, u: 2 }, room)
    expect(at(286.2)).toBeLessThan(at(318))
    expect(at(318)).toBeLessThan(at(349.8))
    expect(breaks).toEqual({ low: undefined, high: undefined })
    expect(ticks.length).toBeGreaterThanOrEqual(3)
  })

  test.each([
    ['just past the window', 400, 'high'],
    ['kilo for ohms', 318_000, 'high'],
    ['an over-range bound', 40e6, 'high'],
    ['a short', 0.1, 'low'],
  ] as const)('beyond them breaks the axis on its side, and the limits keep their window: %s', (_what, value, side) => {
    const { at, breaks } = rulerScale({ ...twin, value }, room)
    expect(at(349.8) - at(286.2)).toBeGreaterThan(200)
    const broken = breaks[side] ?? NaN
    if (side === 'high') expect(at(value)).toBeGreaterThan(broken)
    else expect(at(value)).toBeLessThan(broken)
    expect(breaks[side === 'high' ? 'low' : 'high']).toBeUndefined()
    expect(Math.abs(at(value) - at(side === 'high' ? 349.8 : 286.2))).toBeGreaterThan(40)
  })

  test('of two beyond the one that is farther off stands farther off', () => {
    const { at } = rulerScale({ ...twin, value: 500, others: [5000] }, room)
    expect(at(5000)).toBeGreaterThan(at(500))
  })

  test('limits that are decades apart, or a lone one far from its reading, are drawn over decades', () => {
    expect(rulerScale({ min: 1e3, max: 1e7 }, room).ticks).toEqual([1e3, 1e4, 1e5, 1e6, 1e7])
    const { at, ticks } = rulerScale({ min: 1e6, value: 2.1e9 }, room)
    expect(ticks).toContain(1e8)
    expect(at(1e8) - at(1e7)).toBeCloseTo(at(1e9) - at(1e8), 6)
    expect(rulerScale({ min: 286.2, max: 349.8 }, room).ticks).not.toContain(1e3)
  })

  test('whatever is given stands on the strip, in order, and is a number', () => {
    fc.assert(
      fc.property(
        fc.record({
          value: maybe,
          bound: maybe,
          min: maybe,
          max: maybe,
          u: maybe,
          others: fc.array(figure, { maxLength: 4 }),
        }),
        fc.tuple(fc.oneof(figure, fc.constantFrom(NaN, Infinity, -Infinity)), figure),
        (on, [a, b]) => {
          const { at, ends } = rulerScale(on as OnRuler, room)
          for (const x of [at(a), at(b), ...ends]) {
            expect(Number.isFinite(x)).toBe(true)
            expect(x).toBeGreaterThanOrEqual(2)
            expect(x).toBeLessThanOrEqual(638)
          }
          const [lower, upper] = a > b ? [b, a] : [a, b]
          expect(Number.isNaN(a) || at(lower) <= at(upper) + 1e-6).toBe(true)
        },
      ),
    )
  })

  test('the doubt of a figure far off leaves the limits their window; near them it widens it', () => {
    const room = { width: 260, left: 14, right: 14, broken: 40 }
    const spanOf = (on: { value: number; u?: number }) => {
      const { at } = rulerScale({ ...on, min: 4000, max: 4600 }, room)
      return at(4600) - at(4000)
    }
    expect(spanOf({ value: 2.6e6, u: 2e4 })).toBeCloseTo(spanOf({ value: 2.6e6 }), 9)
    expect(spanOf({ value: 4500, u: 200 })).toBeLessThan(spanOf({ value: 4500 }))
  })
})

describe('a ruler for who cannot see it', () => {
  const figures = figuresWith(() => false)
  const said = (on: OnRuler) => rulerSpoken({ ...on, quantity: 'resistance' }, figures)

  test('says its limits and its reading', () => {
    expect(said({ ...twin, value: 318, u: 2 })).toMatch(
      /^limits 286.2\u2009Ω to 349.8\u2009Ω, reading 318.* plus or minus 4/,
    )
    expect(said({ min: 1e6, bound: 40e6 })).toBe('at least 1\u2009MΩ, beyond 40\u2009MΩ')
    expect(said({ max: 5 })).toBe('at most 5\u2009Ω, no reading')
    expect(said({ value: 5 })).toContain('no limits, reading')
  })
})

describe('a reading that did not stand still', () => {
  test('is a bar from its least to its most, with a stroke for each time it fell to nothing', () => {
    const { x, width, drops, marks } = movedStrip(100, 160, 2, 44, 600)
    expect([x, width]).toEqual([100, 60])
    expect(drops).toMatch(/^M160,44L600,44/)
    expect(marks.match(/M/g)).toHaveLength(2)
    expect(movedStrip(100, 160, 0, 44, 600)).toMatchObject({ drops: '', marks: '' })
  })

  test('of many drops as many strokes as can be told apart, all of them on the strip', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 580, noNaN: true }), fc.nat(40), (from, times) => {
        const { marks } = movedStrip(from, from, times, 44, 636)
        const strokes = marks.match(/M[\d.]+/g) ?? []
        expect(strokes).toHaveLength(Math.min(times, 6))
        for (const one of strokes) expect(Number(one.slice(1))).toBeLessThan(636)
      }),
    )
  })

  test('is said to who cannot see it', () => {
    const said = (moved: { low: number; high?: number; drops?: number }) =>
      rulerSpoken(
        { min: 2000, max: 3000, quantity: 'resistance', moved },
        figuresWith(() => false),
      )
    expect(said({ low: 2600, drops: 1 })).toMatch(/reading 2\.6.kΩ, and once none at all$/)
    expect(said({ low: 2600, high: 7400, drops: 3 })).toMatch(/2\.6.kΩ to 7\.4.kΩ, and 3 times none at all$/)
    expect(said({ low: 2600, high: 7400 })).toMatch(/2\.6.kΩ to 7\.4.kΩ$/)
  })
})
