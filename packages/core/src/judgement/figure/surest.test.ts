import { describe, expect, test } from '@jest/globals'
import type { Evaluation } from './evaluation'
import { surestOf } from './surest'

const read = (id: string, more: Partial<Evaluation>) => ({ entry: { id }, ...more }) as Evaluation
const surest = (...some: Evaluation[]) => surestOf(some)?.entry.id

describe('of several instruments at one point the surest is judged (METHODS 11.18)', () => {
  const fine = read('fine', { net: 0.744, netU: 0.002 })
  const coarse = read('coarse', { net: 0.7, netU: 0.2 })
  const low = read('low', { bound: 3e4 })
  const high = read('high', { bound: 4e7 })
  const unknown = read('unknown', {})
  test.each([
    ['the smaller uncertainty', [coarse, fine], 'fine'],
    ['whichever came first', [fine, coarse], 'fine'],
    ['a figure before an over-range', [high, coarse], 'coarse'],
    ['and after it', [coarse, high], 'coarse'],
    ['the higher bound', [high, low], 'high'],
    ['a bound before none', [low, unknown], 'low'],
    ['of equals the later', [fine, read('again', { net: 0.745, netU: 0.002 })], 'again'],
    ['one alone', [unknown], 'unknown'],
  ])('%s', (_, some, id) => expect(surest(...some)).toBe(id))
  test('none of none', () => expect(surest()).toBeUndefined())
})
