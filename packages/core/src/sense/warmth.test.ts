import { expect, test } from '@jest/globals'
import type { Evaluation } from '../judgement'
import { Script, twinCard } from '../testing'
import { but, momentOf, type Change } from '../testing/clauses'
import { partWarm } from './drivingRules'

const room = { kind: 'temperature', part: 'room', roomC: 20 } as const
const begun = () => new Script(twinCard()).put({ kind: 'isolation', state: 'loose' }).put(room)
const waxed = () =>
  momentOf(begun().read('low', '318').put({ kind: 'work', what: 'fix', place: 'low' }).read('low', '348'))
const says = (change: Change = (one) => one) => partWarm.test(change(waxed()))
const coldOne =
  (change: (one: Evaluation) => object): Change =>
  (moment) => ({ ...moment, earlier: moment.earlier.map((one) => ({ ...one, ...change(one) })) })

test('how warm it is comes from the same point of the same check', () => {
  expect(says()?.params['warmC']).toBe(44)
  expect(says(coldOne(() => ({ pair: ['O', 'T'] })))?.params).not.toHaveProperty('warmC')
  expect(says(coldOne(() => ({ pair: undefined })))?.params).not.toHaveProperty('warmC')
  expect(says(but({ pair: undefined as never }))?.params).not.toHaveProperty('warmC')
  const index = coldOne(({ entry }) => ({ entry: { ...entry, reading: { ...entry.reading, index: 2 } } }))
  expect(says(index)?.params).not.toHaveProperty('warmC')
})

test.each([
  ['it reads open', but({ reason: 'open-circuit' })],
  ['it is a contact', but(({ limit }) => ({ limit: { ...limit, kind: 'closed' } as never }))],
])('heat is no matter where %s', (_, change) => expect(says(change)).toBeNull())

test('it is one where nobody gave a temperature at all', () => {
  expect(says(but({ temperature: undefined as never }))).toMatchObject({ severity: 'warn' })
})

test('one heating is one cause, and none is none', () => {
  const moment = waxed()
  expect(partWarm.anew?.(moment)).toBe(moment.bench.tape.works[0]?.id)
  expect(partWarm.anew?.(momentOf(begun().read('low', '318')))).toBe('')
})
