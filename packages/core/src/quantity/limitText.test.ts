import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { CheckKind, Limit } from '../document'
import { limitText, parseKindLimit, parseLimit } from '.'

const figure = fc.integer({ min: 1, max: 9_999_999 }).map((digits) => digits / 1000)
const share = fc.integer({ min: 0, max: 100 })
const limit: fc.Arbitrary<Limit> = fc.oneof(
  fc.record({ kind: fc.constant('band' as const), a: figure, b: figure }).map(({ a, b }) => ({
    kind: 'band' as const,
    min: Math.min(a, b),
    max: Math.max(a, b),
  })),
  fc.record({ kind: fc.constant('nominal' as const), value: figure, minusPct: share, plusPct: share }),
  fc.record({ kind: fc.constant('atLeast' as const), value: figure }),
  fc.record({ kind: fc.constant('atMost' as const), value: figure }),
  fc.record({ kind: fc.constant('open' as const), atLeast: figure }),
  fc.record({ kind: fc.constant('closed' as const), atMost: figure }),
)

test('what is written is read back as the same limit', () => {
  fc.assert(
    fc.property(limit, (one) => {
      fc.pre(one.kind !== 'band' || one.min < one.max)
      expect(parseLimit({ text: limitText(one), quantity: 'resistance' })).toEqual(one)
    }),
  )
})

test('an insulation limit with the volts of its test', () => {
  const one: Limit = { kind: 'insulation', minOhms: 2e7, testVolts: 500 }
  expect(limitText(one)).toBe('> 20000000 @ 500V')
  expect(limitText({ kind: 'insulation', minOhms: 4e6, minVolts: 236 })).toBe('> 4000000 @ min 236V')
  expect(parseLimit({ text: limitText(one), quantity: 'insulation' })).toEqual(one)
})

test('what does not fit a line is no text', () => {
  expect(limitText({ kind: 'none' })).toBe('')
})

test.each<[CheckKind, Limit]>([
  ['bars', { kind: 'alike', allowedPct: 8 }],
  ['per-length', { kind: 'perMetre', value: 5600, tolerancePct: 20 }],
  [
    'curve',
    {
      kind: 'curve',
      points: [
        { x: -40, ohms: 1050.5 },
        { x: 40, ohms: 512 },
      ],
      tolerancePct: 8,
      scale: 'log',
    },
  ],
  ['lamp', { kind: 'answer', of: ['dark', 'dim', 'full'], right: ['dim'] }],
])('a limit of %s by its own way of writing', (kind, one) => {
  expect(parseKindLimit(kind, { text: limitText(one), quantity: 'resistance' })).toEqual(one)
})

test.each<[CheckKind, string]>([
  ['bars', 'alike'],
  ['curve', '20: 1050 ±8%'],
  ['curve', '20: 1050; 40: x ±8%'],
  ['curve', '20: 1050; 40: 512'],
  ['lamp', 'dark; dim'],
  ['lamp', '*'],
  ['per-length', '> 5'],
  ['act', ''],
])('%s does not take “%s”', (kind, text) => {
  expect(parseKindLimit(kind, { text, quantity: 'resistance' })).toHaveProperty('problem')
})
