import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { smallestSet } from './smallestSet'

const of = (...sets: string[]) => sets.map((one) => ({ facts: [...one] }))
const chosen = (sets: string[], facts: string) => smallestSet(of(...sets), [...facts]).map((one) => one.facts.join(''))

describe('the smallest set that covers all', () => {
  test('nothing to cover wants nothing', () => expect(chosen(['a'], '')).toEqual([]))
  test('one before two, two before three', () => {
    expect(chosen(['a', 'b', 'ab'], 'ab')).toEqual(['ab'])
    expect(chosen(['a', 'b', 'c', 'bc'], 'abc')).toEqual(['a', 'bc'])
    expect(chosen(['ab', 'bc', 'ca'], 'abc')).toEqual(['ab', 'bc'])
  })
  test('of equally small ones the first in order', () => {
    expect(chosen(['ab', 'cd', 'ac', 'bd'], 'abcd')).toEqual(['ab', 'cd'])
    expect(chosen(['ac', 'ab', 'cd', 'bd'], 'abcd')).toEqual(['ac', 'bd'])
    expect(chosen(['a', 'a'], 'a')).toHaveLength(1)
  })
  test('one that covers nothing new is never among them', () => {
    expect(chosen(['x', 'a', 'ab'], 'ab')).toEqual(['ab'])
    expect(chosen(['', 'a'], 'a')).toEqual(['a'])
  })
  test('more than three are taken one by one, what covers most first, and of equals the first', () => {
    expect(chosen(['a', 'bc', 'd', 'e', 'f'], 'abcdef')).toEqual(['bc', 'a', 'd', 'e', 'f'])
    expect(chosen(['ab', 'bc', 'cd', 'e', 'f', 'g'], 'abcdefg')).toEqual(['ab', 'cd', 'e', 'f', 'g'])
  })
  test('what none covers stays, and the rest is covered all the same', () => {
    expect(chosen(['a', 'b'], 'abz')).toEqual(['a', 'b'])
    expect(chosen([], 'a')).toEqual([])
  })
  test('it covers whatever can be covered, and where three do no more', () => {
    const letters = fc.uniqueArray(fc.constantFrom(...'abcdef'), { maxLength: 4 })
    fc.assert(
      fc.property(fc.array(letters, { maxLength: 7 }), letters, (sets, facts) => {
        const candidates = sets.map((one) => ({ facts: one }))
        const found = smallestSet(candidates, facts)
        const covered = new Set(found.flatMap((one) => one.facts))
        for (const fact of facts) expect(covered.has(fact)).toBe(sets.some((one) => one.includes(fact)))
        if (facts.every((fact) => covered.has(fact))) expect(found.length).toBeLessThanOrEqual(facts.length)
      }),
    )
  })
})
