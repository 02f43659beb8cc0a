import { expect, test } from '@jest/globals'
import type { Reading } from '../document'
import { runState } from '../state'
import { knobMeter, plainCard, plainCheck, plainTerminals, pocketMeter, Script } from '../testing'

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

test('two meters, one reading a point open: both wait; a retake of either settles it, however the run is judged', () => {
  const script = new Script(card, { instruments: [pocketMeter, knobMeter] }).ready()
  script.read('coil', 'OL 40M', { instrument: 'm2' })
  const open = script.run.entries.at(-1)?.id ?? ''
  script.read('coil', '300', { instrument: 'k3' })
  const before = script.state()
  const stop = before.remarks.find(({ id }) => id === 'tests-disagree')
  expect([stop?.severity, stop?.answered, stop?.holds]).toEqual(['stop', undefined, expect.arrayContaining([open])])
  script.read('coil', '301', { instrument: 'm2', supersedes: open })
  const [onward, whole] = [runState({ ...script.run, entries: [...script.run.entries] }, before), script.state()]
  for (const state of [onward, whole])
    expect(state.remarks.find(({ id }) => id === 'tests-disagree')?.answered?.by).toBe('cleared')
  expect(onward.remarks).toEqual(whole.remarks)
})
