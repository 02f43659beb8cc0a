import { expect, test } from '@jest/globals'
import type { Evaluation, RelationState } from '../judgement'
import { scenes } from '../testing'
import { sharedResistance } from './betweenRules'

const wide = { min: 0, max: 1000 }
const member = (net: number, band: object = wide) => ({ net, limit: { band } }) as unknown as Evaluation
/** A sum that is off by so many ohms, of two windings and the whole. */
function ohmsOf(residual: number, u: number, members: Evaluation[]): unknown {
  const state = {
    relation: { kind: 'sum', id: 'sum' },
    verdict: 'outside',
    sum: { residual, u },
    members,
  } as unknown as RelationState
  return sharedResistance.test({ relations: [state], evaluation: scenes.low().of('low') } as never)?.params['ohms']
}
const two = [member(100), member(50)]
const whole = member(140)

test('half of what is left over is in what two windings share', () => {
  expect(ohmsOf(10, 2, [...two, whole])).toBe(5)
})

test.each([
  ['no more than twice what the sum is unsure by', 10, 5, [...two, whole]],
  ['of three windings nobody knows which share it', 10, 2, [...two, member(20), whole]],
  ['less than nothing is no resistance', -10, 2, [...two, whole]],
  ['the first would then be under its limits', 10, 2, [member(100, { min: 95.1, max: 200 }), member(50), whole]],
  ['the second would still be over its own', 10, 2, [member(100), member(50, { min: 0, max: 44.9 }), whole]],
])('not where %s', (_, residual, u, members) => expect(ohmsOf(residual, u, members)).toBeUndefined())

test('what the whole’s own limits are is no matter, and a limit that is met just so holds', () => {
  expect(ohmsOf(10, 2, [...two, member(140, { min: 500, max: 600 })])).toBe(5)
  expect(ohmsOf(10, 2, [member(100, { min: 95, max: 95 }), member(50, { min: 45, max: 45 }), whole])).toBe(5)
})
