import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { ringPattern } from './ringPattern'

const ring = (odd: Record<number, number | 'Infinity' | null> = {}, count = 12) =>
  Array.from({ length: count }, (_, i) => odd[i + 1] ?? (i + 1 in odd ? (odd[i + 1] ?? null) : 4.3 + 0.1 * (i % 2)))

test.each([
  ['alike', {}, []],
  ['low', { 5: 3 }, [5]],
  ['high', { 5: 'Infinity' }, [5]],
  ['low-pair', { 5: 3, 6: 3.1 }, [5, 6]],
  ['high-pair', { 1: 6, 12: 6.1 }, [12, 1]],
  ['several', { 5: 3, 7: 3 }, [5, 7]],
  ['several', { 5: 3, 6: 6 }, [5, 6]],
  ['several', { 5: 3, 6: 3, 7: 3 }, [5, 6, 7]],
] as const)('%s', (kind, odd, bars) => {
  expect(ringPattern({ values: ring(odd) })).toEqual({ kind, bars })
})

test('bars that nobody read are neither odd nor neighbours', () => {
  expect(ringPattern({ values: ring({ 5: 3, 6: null, 7: 3 }) })).toEqual({ kind: 'several', bars: [5, 7] })
  expect(ringPattern({ values: [4.3, null, 4.4, null] })).toBeNull()
})

test('a set that spreads all over names no bar', () => {
  expect(ringPattern({ values: [1, 9, 2, 8, 3, 7, 1, 9] })).toEqual({ kind: 'scattered', bars: [] })
})

test('turning the ring turns the pattern with it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 3, max: 20 }), fc.integer({ min: 0, max: 19 }), (count, at) => {
      const bar = (at % count) + 1
      expect(ringPattern({ values: ring({ [bar]: 1 }, count + 2) })).toEqual({ kind: 'low', bars: [bar] })
    }),
  )
})
