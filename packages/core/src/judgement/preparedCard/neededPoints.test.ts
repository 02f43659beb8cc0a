import { expect, test } from '@jest/globals'
import { neededPoints } from './neededPoints'

const groups: Record<string, string[]> = { a: ['a', 'b'], b: ['a', 'b'], c: ['c'] }
const groupOf = (id: string) => groups[id] ?? [id]
const points = (to: string, state?: string[]) =>
  neededPoints(
    { at: { each: ['a', 'b', 'c'], to }, ...(state ? { conditions: { state } } : {}) } as never,
    groupOf,
  ).map(({ pair, covers }) => `${pair.join('-')}: ${covers.join()}`)

test('of joined terminals one stands for all to the frame', () => {
  expect(points('frame')).toEqual(['a-frame: a,b', 'c-frame: c'])
  expect(points('frame', ['hot'])).toEqual(['a-frame: a,b', 'c-frame: c'])
})
test('leads that are bent are each tested, and so is what is read to something else', () => {
  expect(points('frame', ['flexed'])).toEqual(['a-frame: a', 'b-frame: b', 'c-frame: c'])
  expect(points('c')).toEqual(['a-c: a', 'b-c: b', 'c-c: c'])
})
test('a pair is itself; among several every pair; a place has none', () => {
  expect(neededPoints({ at: { pair: ['a', 'c'] } }, groupOf)).toEqual([{ pair: ['a', 'c'], covers: ['a', 'c'] }])
  expect(neededPoints({ at: { among: ['a', 'b', 'c'] } }, groupOf).map(({ pair }) => pair.join(''))).toEqual([
    'ab',
    'ac',
    'bc',
  ])
  expect(neededPoints({ at: { place: 'the cover' } }, groupOf)).toEqual([])
})
