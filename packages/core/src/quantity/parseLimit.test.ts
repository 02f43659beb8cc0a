import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { quantities, type Limit, type Quantity } from '../document'
import { parseLimit, type LimitProblem } from './parseLimit'
import { randomText, draws } from '../testing'

const read = (text: string, quantity: Quantity = 'resistance', decimalComma = false) =>
  parseLimit({ text, quantity, decimalComma })

describe('limits as people write them', () => {
  const cases: [text: string, limit: Limit, quantity?: Quantity][] = [
    ['318 ±10%', { kind: 'nominal', value: 318, minusPct: 10, plusPct: 10 }],
    ['318 Ω +/- 7.5 %', { kind: 'nominal', value: 318, minusPct: 7.5, plusPct: 7.5 }],
    ['318 +10/-5 %', { kind: 'nominal', value: 318, minusPct: 5, plusPct: 10 }],
    ['318 -5% +10%', { kind: 'nominal', value: 318, minusPct: 5, plusPct: 10 }],
    ['12 ± 0.6', { kind: 'band', min: 11.4, max: 12.6 }],
    ['0.66–0.90', { kind: 'band', min: 0.66, max: 0.9 }],
    ['10.5 to 12k', { kind: 'band', min: 10_500, max: 12_000 }],
    ['> 20M @ 500V', { kind: 'insulation', minOhms: 2e7, testVolts: 500 }],
    ['> 4M @ min 236V', { kind: 'insulation', minOhms: 4e6, minVolts: 236 }],
    ['> 4M @ at least 236 V', { kind: 'insulation', minOhms: 4e6, minVolts: 236 }],
    ['>100M', { kind: 'insulation', minOhms: 1e8 }, 'insulation'],
    ['> 20', { kind: 'atLeast', value: 20 }],
    ['at least 2.5 V', { kind: 'atLeast', value: 2.5 }, 'voltage'],
    ['< 1', { kind: 'atMost', value: 1 }],
    ['max 0.5', { kind: 'atMost', value: 0.5 }],
    ['open', { kind: 'open', atLeast: 1e6 }],
    ['Open circuit', { kind: 'open', atLeast: 1e6 }],
    ['open > 10M', { kind: 'open', atLeast: 1e7 }],
    ['closed < 0.5', { kind: 'closed', atMost: 0.5 }],
  ]
  test.each(cases)('%s', (...[text, limit, quantity]) => expect(read(text, quantity)).toEqual(limit))

  test('with the decimal comma', () => {
    expect(read('0,66–0,90', 'resistance', true)).toEqual({ kind: 'band', min: 0.66, max: 0.9 })
    expect(read('318 ±7,5%', 'resistance', true)).toEqual({ kind: 'nominal', value: 318, minusPct: 7.5, plusPct: 7.5 })
  })
})

describe('what is no limit says why', () => {
  const cases: [text: string, problem: LimitProblem][] = [
    ['', 'empty'],
    ['318', 'tolerance-missing'],
    ['318 ±', 'number'],
    ['318 ±x%', 'percent'],
    ['318 ±120%', 'percent'],
    ['> many', 'number'],
    ['> 20M @ 0V', 'number'],
    ['318 V', 'unit'],
    ['2m', 'milli-or-mega'],
    ['about right', 'number'],
    ['1'.repeat(201), 'too-long'],
  ]
  test.each(cases)('%s', (text, problem) => expect(read(text)).toEqual({ problem }))
})

test('any text: nothing throws, nothing is NaN or infinite, a band stands the right way up', () => {
  const sound = (text: string, quantity: Quantity, decimalComma: boolean): boolean => {
    const limit = parseLimit({ text, quantity, decimalComma })
    if ('problem' in limit) return typeof limit.problem === 'string'
    if (limit.kind === 'band' && limit.min > limit.max) return false
    return Object.values(limit).every((one) => typeof one !== 'number' || Number.isFinite(one))
  }
  fc.assert(fc.property(randomText, fc.constantFrom(...quantities), fc.boolean(), sound), { numRuns: draws(100_000) })
}, 120_000)
