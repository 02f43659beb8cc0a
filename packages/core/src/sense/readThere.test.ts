import { expect, test } from '@jest/globals'
import { fourWireMeter, knobMeter, pocketMeter } from '../testing/kit'
import type { Evaluation, Tape } from '../judgement'
import { ReadThere } from './readThere'

const tape = { stageOf: new Map([['after', 1]]) } as unknown as Tape
let n = 0
const read = (instrument = pocketMeter, point = 'low', id = `e${++n}`) =>
  ({ point, instrument, entry: { id, n: ++n } }) as Evaluation

test('beside a reading stand the others of its point, on its meter and on others', () => {
  const there = new ReadThere()
  const [first, second] = [read(), read()]
  const another = read(fourWireMeter)
  const elsewhere = read(pocketMeter, 'high')
  for (const one of [first, another, second, elsewhere]) there.add(tape, one)
  expect(there.beside(tape, second)).toEqual({ again: [first], onOthers: [another] })
  expect(there.beside(tape, read())).toEqual({ again: [first, second], onOthers: [another] })
  expect(there.beside(tape, read(fourWireMeter, 'high'))).toEqual({ again: [], onOthers: [elsewhere] })
  expect(there.beside(tape, read(fourWireMeter, 'series'))).toEqual({ again: [], onOthers: [] })
})

test('what was read before a work is another part', () => {
  const there = new ReadThere()
  there.add(tape, read())
  expect(there.beside(tape, read(pocketMeter, 'low', 'after'))).toEqual({ again: [], onOthers: [] })
})

test('of two other meters the readings are in tape order', () => {
  const there = new ReadThere()
  const all = [read(fourWireMeter), read(knobMeter), read(fourWireMeter), read()]
  for (const one of all) there.add(tape, one)
  expect(there.beside(tape, read()).onOthers).toEqual(all.slice(0, 3))
})

test('a copy goes on apart', () => {
  const there = new ReadThere()
  const first = read()
  there.add(tape, first)
  const copy = there.copy()
  copy.add(tape, read())
  expect(there.beside(tape, read()).again).toEqual([first])
  expect(copy.beside(tape, read()).again).toHaveLength(2)
})
