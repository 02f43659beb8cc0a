import { describe, expect, test } from '@jest/globals'
import type { ReadingSet } from '@sure-spool/core'
import fc from 'fast-check'
import { setScale } from './setScale'
import { arrowHead, bracket, breakSign, outline, stroke, turns, whiskers } from './strokes'

const ground = { left: 76, right: 368, top: 16, bottom: 188 }
const empty: ReadingSet = { points: [], band: {}, curve: [], perMetre: false, count: 0 }
const points = (...values: number[]) => values.map((value, i) => ({ at: i + 1, value, verdict: 'none' as const }))

describe('the ground of a set', () => {
  test('one that is far off stands at the edge and is said to be beyond; the others are not pressed flat', () => {
    const { up, beyond } = setScale(
      { ...empty, count: 10, points: points(0.3, 0.31, 0.29, 0.3, 0.32, 0.3, 0.31, 0.3, 0.3, 4e6) },
      ground,
      false,
    )
    expect(up(4e6)).toBe(ground.top)
    expect(beyond(4e6)).toBe('high')
    expect(beyond(0.31)).toBeUndefined()
    expect(up(0.3) - up(0.31)).toBeGreaterThan(15)
  })

  test('limits decide the ground where there are some', () => {
    const { beyond } = setScale({ ...empty, band: { min: 4, max: 6 }, points: points(100, 101) }, ground, false)
    expect(beyond(100)).toBe('high')
    expect(beyond(1)).toBe('low')
    expect(beyond(6.5)).toBeUndefined()
  })

  test('a curve is drawn from its first place to its last, over decades where it is one of those', () => {
    const curve = [
      { x: 20, min: 900, max: 1100 },
      { x: 100, min: 9, max: 11 },
    ]
    const { across, up } = setScale({ ...empty, curve }, ground, true)
    expect([across(20), across(100)]).toEqual([ground.left, ground.right])
    expect(up(10) - up(100)).toBeCloseTo(up(100) - up(1000), 6)
  })

  test('whatever is read, everything stands on the ground', () => {
    const any = fc.oneof(fc.double(), fc.constantFrom(NaN, Infinity, -Infinity))
    fc.assert(
      fc.property(fc.array(any, { maxLength: 6 }), any, any, fc.boolean(), (values, min, max, log) => {
        const set = { ...empty, points: points(...values), band: { min, max }, count: values.length }
        const { up, across } = setScale(set, ground, log)
        for (const value of [...values, min, max]) {
          expect(up(value)).toBeGreaterThanOrEqual(ground.top)
          expect(up(value)).toBeLessThanOrEqual(ground.bottom)
        }
        expect(across(1)).toBeGreaterThanOrEqual(ground.left)
      }),
    )
  })
})

describe('strokes', () => {
  test('a point that is nowhere draws nothing', () => {
    expect(stroke([1, 2], [NaN, 2])).toBe('')
    expect(stroke([1, 2], [3, 4])).toBe('M1,2L3,4')
  })

  test('a bracket’s feet reach inwards, an arrow’s head the way it points', () => {
    expect(bracket(10, 20, 5, 3)).toBe('M13,15L10,15L10,25L13,25')
    expect(bracket(10, 20, 5, -3)).toBe('M7,15L10,15L10,25L7,25')
    expect(arrowHead(10, 20, 4, 1)).toBe('M6,17L10,20L6,23')
    expect(arrowHead(10, 20, 4, -1)).toBe('M14,17L10,20L14,23')
    expect(whiskers(1, 9, 5, 2)).toBe('M1,3L1,7M1,5L9,5M9,3L9,7')
    expect(breakSign(10, 5, 4).match(/M/g)).toHaveLength(2)
    expect(outline([0, 0], [1, 0], [1, 1])).toBe('M0,0L1,0L1,1Z')
  })

  test('a winding goes from end to end in its turns', () => {
    const drawn = turns(0, 100, 30, 4)
    expect(drawn).toMatch(/^M0,30/)
    expect(drawn).toMatch(/L100,30$/)
    expect(drawn.match(/Q/g)).toHaveLength(4)
  })
})
