import { expect, test } from '@jest/globals'
import type { Reading } from '../document'
import { plainCard, plainCheck, plainTerminals, Script } from '../testing'

const card = plainCard({
  family: 'other',
  terminals: plainTerminals('a', 'b', 'c'),
  windings: [{ id: 'coil', label: 'coil', from: 'a', to: 'b', material: 'copper' }],
  checks: [
    plainCheck('coil', 'resistance', { pair: ['a', 'b'] }, { kind: 'band', min: 270, max: 330 }),
    plainCheck('wires', 'pair-matrix', { among: ['a', 'b', 'c'] }),
  ],
})
const told = (coil: string, again: string, more: Partial<Reading> = {}) =>
  new Script(card)
    .ready()
    .read('coil', coil)
    .read('wires', again, { pair: ['b', 'a'], ...more })
    .state()
    .remarks.find(({ id }) => id === 'tests-disagree')

test('a pair that one check reads open and another finite is told, the path that was seen being the stronger', () => {
  expect(told('OL 40M', '300')?.params).toEqual({ one: 'coil', stronger: 'wires' })
  expect(told('300', 'OL 40M')?.params).toEqual({ one: 'wires', stronger: 'coil' })
})

test.each([
  ['both read it', '300', '301', {}],
  ['both read it open', 'OL 40M', 'OL 40M', {}],
  ['the range proves nothing', '300', 'OL 200', {}],
  ['another pair', 'OL 40M', '300', { pair: ['b', 'c'] }],
  ['bent once and not the other time', 'OL 40M', '300', { conditions: { state: ['flexed'] } }],
] as const)('not where %s', (_, coil, again, more) => {
  expect(told(coil, again, more as Partial<Reading>)).toBeUndefined()
})
