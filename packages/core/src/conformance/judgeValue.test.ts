import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { correctToReference } from '../temperature'
import { normalBetween, normalCdf } from '../uncertainty'
import { judgeValue } from './judgeValue'

const figure = fc.double({ min: -1e6, max: 1e6, noNaN: true })
const positive = fc.double({ min: 1e-3, max: 1e4, noNaN: true })

describe('judgeValue', () => {
  test('a wider limit never turns within into outside', () => {
    fc.assert(
      fc.property(figure, positive, positive, positive, positive, (value, u, under, over, wider) => {
        const [min, max] = [value - 2 * u - under, value + 2 * u + over]
        expect(judgeValue({ value, u, min, max, rule: 'guarded' }).verdict).toBe('within')
        expect(judgeValue({ value, u, min: min - wider, max: max + wider, rule: 'guarded' }).verdict).toBe('within')
      }),
    )
  })

  test('a larger uncertainty never turns borderline into within or outside', () => {
    fc.assert(
      fc.property(figure, positive, positive, figure, positive, (value, u, more, min, width) => {
        const before = judgeValue({ value, u, min, max: min + width, rule: 'guarded' })
        const after = judgeValue({ value, u: u + more, min, max: min + width, rule: 'guarded' })
        expect(after.leaning).toBe(before.leaning)
        expect([before.verdict, 'borderline']).toContain(after.verdict)
      }),
    )
  })
})

test('Φ keeps its tails: a difference far out is not lost to cancellation', () => {
  expect(normalCdf(1.959963984540054)).toBeCloseTo(0.975, 12)
  expect(normalCdf(-8) / 6.220960574271785e-16).toBeCloseTo(1, 9)
  expect(normalBetween(8, 9) / normalBetween(-9, -8)).toBeCloseTo(1, 12)
  expect([normalCdf(Infinity), normalCdf(-Infinity)]).toEqual([1, 0])
})

test('correcting to the reference and back is the identity', () => {
  fc.assert(
    fc.property(
      positive,
      fc.double({ min: -20, max: 120, noNaN: true }),
      fc.constantFrom('copper' as const, 'aluminium' as const),
      (ohms, partC, material) => {
        const there = correctToReference({ ohms, u: 0, partC, uPartC: 0, refC: 20, uRefC: 0, material })
        const back = correctToReference({
          ohms: there.ohms,
          u: 0,
          partC: 20,
          uPartC: 0,
          refC: partC,
          uRefC: 0,
          material,
        })
        expect(Math.abs(back.ohms - ohms)).toBeLessThanOrEqual(1e-12 * ohms)
      },
    ),
  )
})
