import { describe, expect, test } from '@jest/globals'
import type { Rewind, RewindBody } from '../document'
import { typedReading } from '../quantity'
import { goingOn, rewindOf } from '../testing'
import { nextRewindEntry, rewindRefusal, rewindState } from '.'

const coilsOf = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ id: `c${i + 1}`, winding: 'ring', label: `pole ${i + 1}` }))
const begun = (count = 2): Rewind => rewindOf(coilsOf(count))
const read = (text: string, quantity: 'length' | 'resistance') => {
  const typed = typedReading(text, quantity, false, { instrument: 'm2' })
  if ('problem' in typed) throw new Error(text)
  return typed.reading
}
const stripped: RewindBody[] = [
  { kind: 'original', coil: 'c1', facts: { turns: 31, layers: 3 } },
  { kind: 'original', coil: 'c1', facts: { lay: 'cw', seenFrom: 'outside' } },
  { kind: 'original', coil: 'c1', facts: { start: 'inside' } },
  { kind: 'original', coil: 'c1', facts: { wire: { bareMm: 0.9, build: 'heavy' } } },
]
const planned: RewindBody = {
  kind: 'plan',
  coil: 'c1',
  plan: { turns: 31, meanTurnMm: 88, wire: { bareMm: 0.9, build: 'heavy' }, lay: 'cw', from: 'original', why: '' },
}
const turned: RewindBody = { kind: 'direction', machine: 'cw', lay: 'cw' }
const wound = (coil: string, turns: number, lay: 'cw' | 'ccw'): RewindBody => ({ kind: 'wound', coil, turns, lay })
const ids = (rewind: Rewind) => rewindState(rewind).remarks.map(({ id }) => id)

describe('a rewind by its entries', () => {
  test('the first coil of a winding is stripped and planned for all of it', () => {
    const state = rewindState(begun(2))
    expect(state.steps.map(({ id }) => id)).toEqual([
      'turns:c1',
      'lay:c1',
      'ends:c1',
      'wire:c1',
      'plan:c1',
      'direction',
      'wind:c1',
      'wind:c2',
      'finish',
      'prove',
    ])
    const done = rewindState(goingOn(begun(2), ...stripped, planned))
    expect(done.step).toBe('direction')
    expect(done.coils.map(({ original }) => original.turns)).toEqual([31, 31])
    expect(done.coils.map(({ lay }) => lay)).toEqual(['cw', 'ccw'])
    expect(done.wholes).toMatchObject([{ coils: 2, turns: 62, wound: 0 }])
    expect(done.wholes[0]?.ohms20).toBeCloseTo(0.14786, 4)
  })

  test('a later fact goes before an earlier one, and what is taken back is none', () => {
    const one = goingOn(begun(), ...stripped, { kind: 'original', coil: 'c1', facts: { turns: 30 } })
    expect(rewindState(one).coils[0]?.original.turns).toBe(30)
    const back = goingOn(one, { kind: 'take-back', entry: one.entries.at(-1)?.id ?? '', reason: 'undone' })
    expect(rewindState(back).coils[0]?.original.turns).toBe(31)
    const again = goingOn(back, { kind: 'take-back', entry: back.entries.at(-1)?.id ?? '', reason: 'it was right' })
    expect(rewindState(again).coils[0]?.original.turns).toBe(30)
  })

  test('turns so far last over a pause; a wire that broke and is begun again has none', () => {
    const one = goingOn(begun(), ...stripped, planned, turned, { kind: 'count', coil: 'c1', of: 'wind', turns: 12 })
    expect(rewindState(one).coils[0]?.turns).toBe(12)
    const spliced = goingOn(one, { kind: 'broke', coil: 'c1', turns: 12, then: 'splice' })
    expect(rewindState(spliced).coils[0]?.turns).toBe(12)
    const again = goingOn(one, { kind: 'broke', coil: 'c1', turns: 12, then: 'again' })
    expect(rewindState(again).coils[0]?.turns).toBe(0)
    const unwound = goingOn(one, wound('c1', 31, 'ccw'), { kind: 'broke', coil: 'c1', turns: 31, then: 'again' })
    expect(rewindState(unwound)).toMatchObject({ step: 'wind:c1' })
  })

  test('half way it says where it ends', () => {
    const mid = { kind: 'mid-wind' as const, coil: 'c1', turns: 16, reading: read('0.038', 'resistance'), partC: 20 }
    const [check] = rewindState(goingOn(begun(), ...stripped, planned, turned, mid)).coils[0]?.mid ?? []
    expect(check?.assumedC).toBeUndefined()
    const { partC: _warm, ...cold } = mid
    const [taken] = rewindState(goingOn(begun(), ...stripped, planned, turned, cold)).coils[0]?.mid ?? []
    expect(taken).toMatchObject({ assumedC: true, atC: 20 })
    expect(taken?.projected?.u2).toBeGreaterThan(check?.projected?.u2 ?? 1)
    expect(check?.projected).toMatchObject({ turns: 31, ohms20: expect.closeTo(0.0736, 3) })
  })
})

describe('what a colleague would say', () => {
  test('two wires fit the micrometer until enough strands lie side by side', () => {
    const gauge = (strands: number, text: string): RewindBody => ({
      kind: 'gauge',
      coil: 'c1',
      strands,
      build: 'heavy',
      reading: read(text, 'length'),
      candidates: [],
    })
    const one = goingOn(begun(), gauge(1, '0.968 mm'))
    expect(ids(one)).toEqual(['gauges-too-near'])
    expect(rewindState(one).steps.find(({ id }) => id === 'wire:c1')?.status).toBe('again')
    expect(ids(goingOn(one, gauge(5, '4.81 mm')))).toEqual([])
  })

  test('an odd ring cannot alternate; one coil alone can', () => {
    expect(ids(begun(3))).toContain('odd-poles')
    expect(ids(begun(1))).not.toContain('odd-poles')
    expect(ids(begun(10))).not.toContain('odd-poles')
  })

  test('the winder’s direction is asked for once all is stripped and planned, and not before', () => {
    const near = goingOn(begun(), ...stripped)
    expect(ids(near)).not.toContain('winder-direction')
    expect(ids(goingOn(near, planned))).toContain('winder-direction')
    expect(ids(goingOn(near, planned, turned))).not.toContain('winder-direction')
  })

  test('a pole that is laid like its neighbour holds; laid as it should be it does not', () => {
    const one = goingOn(begun(), ...stripped, planned, turned, wound('c1', 31, 'cw'))
    expect(ids(goingOn(one, wound('c2', 31, 'cw')))).toEqual(['laid-alike'])
    expect(ids(goingOn(one, wound('c2', 31, 'ccw')))).toEqual([])
  })

  test.each([
    [31, undefined],
    [30, 'note'],
    [29, 'warn'],
    [33, 'warn'],
  ])('%i turns of 31: %s', (turns, severity) => {
    const state = rewindState(goingOn(begun(), ...stripped, planned, turned, wound('c1', turns, 'cw')))
    expect(state.remarks.find(({ id }) => id === 'turns-off')?.severity).toBe(severity)
  })

  test('a beep of the live ground holds until it is mended', () => {
    const at = { coil: 'c1', turns: 12 }
    const one = goingOn(begun(), { kind: 'live-ground', state: 'on' }, { kind: 'live-ground', state: 'beep', ...at })
    expect(rewindState(one)).toMatchObject({ ground: 'beep' })
    expect(ids(one)).toContain('ground-beeps')
    const mended = goingOn(one, { kind: 'live-ground', state: 'mended', ...at })
    expect(rewindState(mended)).toMatchObject({ ground: 'on' })
    expect(ids(mended)).not.toContain('ground-beeps')
  })

  test('another wire than it had is asked about, and an answer is kept beside it', () => {
    const thin: RewindBody = { ...planned, plan: { ...planned.plan, wire: { bareMm: 0.85, build: 'heavy' } } }
    const one = goingOn(begun(), ...stripped, thin, turned)
    expect(ids(one)).toContain('wire-unlike')
    const answered = goingOn(one, { kind: 'answer', remark: 'wire-unlike:c1', reason: 'no 0.9 in the house' })
    expect(rewindState(answered).remarks.find(({ id }) => id === 'wire-unlike')?.answered).toBe(true)
  })

  test('a coil that will end outside its plan is told where to stop', () => {
    const mid: RewindBody = { kind: 'mid-wind', coil: 'c1', turns: 16, reading: read('0.155', 'resistance'), partC: 20 }
    expect(ids(goingOn(begun(), ...stripped, planned, turned, mid))).toContain('ends-outside')
  })
})

describe('what cannot stand on its tape', () => {
  const entry = (body: RewindBody, changes: object = {}) => ({
    ...nextRewindEntry(begun(), body, { id: 'x', at: '2026-03-02T10:00:00.000Z', by: 'p' }),
    ...changes,
  })
  test.each([
    ['another rewind’s', entry({ kind: 'note', words: 'x' }, { rewind: 'v' }), 'rewind'],
    ['a coil it does not have', entry({ kind: 'count', coil: 'c9', of: 'wind', turns: 3 }), 'coil'],
    ['a take-back of nothing', entry({ kind: 'take-back', entry: 'gone', reason: '' }), 'entry'],
    [
      'a reading that is none',
      entry({ kind: 'mid-wind', coil: 'c1', turns: 3, reading: { ...read('1', 'resistance'), kind: 'over' } }),
      'reading.value',
    ],
    [
      'a reading that its text does not say',
      entry({
        kind: 'gauge',
        coil: 'c1',
        strands: 1,
        candidates: [],
        reading: { ...read('1 mm', 'length'), value: 1 },
      }),
      'reading.value',
    ],
  ])('%s', (_what, one, field) => {
    expect(rewindRefusal(begun(), one)?.field).toBe(field)
  })

  test('what belongs to it stands', () => {
    expect(rewindRefusal(begun(), entry({ kind: 'count', coil: 'c2', of: 'strip', turns: 3 }))).toBeNull()
  })
})
