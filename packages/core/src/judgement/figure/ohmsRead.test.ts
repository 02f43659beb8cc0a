import { describe, expect, test } from '@jest/globals'
import type { Reading } from '../../document'
import type { Evaluation } from './evaluation'
import { ohmsRead, readsFinite, readsOpen } from './ohmsRead'

type Read = Pick<Evaluation, 'entry' | 'bound' | 'net' | 'reason'>
const one = (reading: Partial<Reading>, more: Partial<Read> = {}) => ({ entry: { reading }, ...more }) as Read

describe('what a reading says in ohms', () => {
  test('a figure is its net', () => {
    expect(ohmsRead(one({ kind: 'value', value: 322.2 }, { net: 322 }))).toBe(322)
    expect(ohmsRead(one({ kind: 'spread' }))).toBeUndefined()
  })

  test('over range, or above, is no path from a megohm on, and proves nothing below', () => {
    for (const kind of ['over', 'above'] as const) {
      expect(ohmsRead(one({ kind }, { bound: 1e6 }))).toBe('Infinity')
      expect(ohmsRead(one({ kind }, { bound: 999_999 }))).toBeUndefined()
      expect(ohmsRead(one({ kind }))).toBeUndefined()
    }
  })

  test('below is at most that', () => {
    expect(ohmsRead(one({ kind: 'below', value: 35 }))).toBe(35)
  })
})

describe('no path', () => {
  test('is over a megohm, a megohm that was read, or what was judged an open circuit', () => {
    expect(readsOpen(one({ kind: 'over' }, { bound: 2e7 }))).toBe(true)
    expect(readsOpen(one({ kind: 'value' }, { net: 1e6 }))).toBe(true)
    expect(readsOpen(one({ kind: 'over' }, { bound: 6e5, reason: 'open-circuit' }))).toBe(true)
  })

  test('is not less, nor what proves nothing', () => {
    expect(readsOpen(one({ kind: 'value' }, { net: 999_999 }))).toBe(false)
    expect(readsOpen(one({ kind: 'over' }, { bound: 2000 }))).toBe(false)
    expect(readsOpen(one({ kind: 'value' }, { net: 5, reason: 'above-maximum' }))).toBe(false)
  })
})

test('a path is a figure under a megohm', () => {
  expect(readsFinite({ net: 999_999 })).toBe(true)
  expect(readsFinite({ net: 0 })).toBe(true)
  expect(readsFinite({ net: 1e6 })).toBe(false)
  expect(readsFinite({})).toBe(false)
})
