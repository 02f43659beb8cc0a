import { describe, expect, test } from '@jest/globals'
import type { Card, Entry, EntryBody, Reading } from '../document'
import { plainCard, plainCheck, pickupCard, Script, twinCard } from '../testing'
import { refusalOf } from './refuse'

const person = '019a0000-0000-7000-8000-0000000000a1'
const other = '019a0000-0000-7000-8000-0000000000b2'
const lowRead = () => new Script(twinCard()).ready().read('low', '322')

/** What is said of the last entry of a script, put on the tape of those before it. */
function refusal(script: Script, change: Partial<Entry> = {}, { closed = false, variant = '' } = {}) {
  const { run } = script
  const last = { ...run.entries.at(-1), ...change } as Entry
  const before = {
    ...run,
    unit: variant === '' ? run.unit : { ...run.unit, variant },
    entries: run.entries.slice(0, -1),
  }
  return refusalOf(before, closed, last)
}
const fieldOf = (...args: Parameters<typeof refusal>) => refusal(...args)?.field ?? null
const put = (body: EntryBody, script = lowRead()) => script.put(body)

/** What is said of a reading of the low coil, changed. */
const readingField = (change: Partial<Reading>, script = lowRead()) => {
  const entry = script.run.entries.at(-1)
  if (entry?.kind !== 'reading') throw new Error('the last entry is a reading')
  return fieldOf(script, { reading: { ...entry.reading, ...change } } as Partial<Entry>)
}

test('a sound entry is taken, however it would be judged', () => {
  expect(fieldOf(lowRead())).toBeNull()
  expect(fieldOf(new Script(twinCard()).ready().read('low', '9999M'))).toBeNull()
})

test.each([
  ['each its own', { red: 'A', blue: 'B' }, null],
  ['one that is no terminal', { red: 'A', blue: 'Q' }, 'map'],
  ['two of the same', { red: 'A', blue: 'A' }, 'map'],
])('loose wires are terminals of the card, %s', (_what, map, field) => {
  expect(fieldOf(put({ kind: 'wires', map }, new Script(pickupCard()).ready()))).toBe(field)
})

describe('the tape', () => {
  test('an entry names the run it is sent to', () => {
    expect(refusal(lowRead(), { run: 'another' })).toMatchObject({ kind: 'refused', field: 'run' })
  })

  test('a closed run is a conflict for what would change its judgement, and takes what comes after', () => {
    expect(refusal(lowRead(), {}, { closed: true })).toMatchObject({ kind: 'conflict', field: 'kind' })
    for (const body of [
      { kind: 'decision', what: 'return', why: 'sound' },
      { kind: 'outcome', what: 'ran-well', words: '' },
      { kind: 'note', words: 'rang the owner' },
    ] satisfies EntryBody[])
      expect(fieldOf(put(body), {}, { closed: true })).toBeNull()
    expect(fieldOf(put({ kind: 'work', what: 'rewind', place: 'low' }), {}, { closed: true })).toBe('kind')
  })

  test.each([
    ['an outcome', { kind: 'outcome', what: 'ran-well', words: '' }, null],
    ['a note', { kind: 'note', words: 'x' }, null],
    ['a decision', { kind: 'decision', what: 'return', why: 'sound' }, 'kind'],
    ['work', { kind: 'work', what: 'rewind', place: 'low' }, 'kind'],
  ] satisfies [string, EntryBody, string | null][])('on a closed run the taking back of %s: %#', (_, body, field) => {
    const script = put(body)
    const id = script.run.entries.at(-1)?.id ?? ''
    expect(fieldOf(put({ kind: 'take-back', entry: id, reason: 'slip' }, script), {}, { closed: true })).toBe(field)
  })
})

describe('the clock', () => {
  const began = Date.parse('2026-03-02T09:00:00.000Z')
  const at = (ms: number) => new Date(began + ms).toISOString()

  test('may be a minute behind what stands in front, and no more', () => {
    const last = Date.parse(lowRead().run.entries.at(-2)?.at ?? '') - began
    expect(fieldOf(lowRead(), { at: at(last - 60_000) })).toBeNull()
    expect(fieldOf(lowRead(), { at: at(last - 60_001) })).toBe('at')
  })

  test('of another person is another clock: only the run’s beginning binds it', () => {
    expect(fieldOf(lowRead(), { at: at(-60_000), by: other })).toBeNull()
    expect(refusal(lowRead(), { at: at(-60_001), by: other })?.sentence).toContain('the run began')
  })

  test('of all in front the latest binds, wherever it stands; one put between is held against what is in front of it', () => {
    const script = lowRead()
    const [first, second, last] = script.run.entries.slice(-3)
    if (!first || !second || !last) throw new Error('three are wanted')
    script.run.entries.splice(-3, 3, { ...first, at: at(900_000) }, { ...second, at: at(500_000) }, last)
    expect(fieldOf(script, { at: at(840_000) })).toBeNull()
    expect(fieldOf(script, { at: at(839_999) })).toBe('at')
    expect(fieldOf(script, { at: at(300_000), n: first.n })).toBeNull()
    expect(fieldOf(script, { at: at(839_999), n: second.n })).toBe('at')
  })

  test('is held against what stands in front of it, not behind', () => {
    expect(fieldOf(lowRead(), { at: at(0), n: 1 })).toBeNull()
    expect(refusal(lowRead(), { at: at(0), by: person })?.sentence).toContain('the entry in front of it')
  })
})

describe('what an entry refers to', () => {
  test('a taking back names an entry of this tape', () => {
    const script = lowRead()
    const known = script.run.entries[0]?.id ?? ''
    expect(fieldOf(put({ kind: 'take-back', entry: known, reason: 'slip' }))).toBeNull()
    expect(fieldOf(put({ kind: 'take-back', entry: 'gone', reason: 'slip' }))).toBe('entry')
  })

  test('a lead check names a meter of this run', () => {
    const check = (instrument: string): EntryBody => ({
      kind: 'lead-check',
      instrument,
      text: '0.1',
      ohms: 0.1,
      u: 0.02,
      how: 'subtract',
    })
    expect(fieldOf(put(check('m2')))).toBeNull()
    expect(fieldOf(put(check('m7')))).toBe('instrument')
  })

  test('a skip names a check or a step', () => {
    const skip = (check: string): EntryBody => ({ kind: 'skip', check, reason: 'no lead for it' })
    expect([fieldOf(put(skip('high'))), fieldOf(put(skip('temperature'))), fieldOf(put(skip('teapot')))]).toEqual([
      null,
      null,
      'check',
    ])
  })
})

describe('a reading', () => {
  const set = (more: Partial<Card['checks'][number]> = {}) =>
    plainCard({
      family: 'other',
      terminals: ['A', 'B'].map((id) => ({ id, label: id, aliases: [] })),
      checks: [plainCheck('set', 'resistance', { pair: ['A', 'B'] }, undefined, { items: 2, ...more })],
    })
  const ofSet = (index?: number, more: Partial<Card['checks'][number]> = {}) =>
    new Script(set(more)).read('set', '10.0', index === undefined ? {} : { index })

  test('is of a check of this card, and of this unit’s variant', () => {
    expect(fieldOf(lowRead(), { check: 'nowhere' } as Partial<Entry>)).toBe('check')
    const only = { only: ['late'] }
    expect(fieldOf(ofSet(1, only))).toBe('check')
    expect(refusal(ofSet(1, only))?.sentence).toContain('not for this unit’s variant')
    expect(fieldOf(ofSet(1, only), {}, { variant: 'early' })).toBe('check')
    expect(fieldOf(ofSet(1, only), {}, { variant: 'late' })).toBeNull()
  })

  test('is by a meter of this run, or by none that is named', () => {
    expect(readingField({ instrument: 'm9' })).toBe('reading.instrument')
    expect(readingField({ instrument: undefined as never })).toBeNull()
  })

  test('is between terminals of this card; a matrix of unknown wires may have more', () => {
    expect(readingField({ pair: ['O', 'Z'] })).toBe('reading.pair')
    expect(readingField({ pair: ['O', 'frame'] })).toBeNull()
    const wires = new Script(pickupCard()).read('wires', '4.0k', { pair: ['A', 'nowhere'] })
    expect(fieldOf(wires)).toBeNull()
  })

  test('has a number that the set has', () => {
    expect([fieldOf(ofSet(2)), fieldOf(ofSet(3)), fieldOf(ofSet())]).toEqual([null, 'reading.index', null])
    const { items: _items, ...bare } = plainCheck('set', 'resistance', { pair: ['A', 'B'] })
    const script = new Script(plainCard({ family: 'other', terminals: set().terminals, checks: [bare] }))
    expect(fieldOf(script.read('set', '10.0', { index: 9 }))).toBeNull()
  })

  test('takes the place of a reading of this tape', () => {
    const before = lowRead().run.entries.at(-1)?.id ?? ''
    const zero = lowRead().run.entries[2]?.id ?? ''
    const again = (supersedes: string) => fieldOf(lowRead().read('low', '321', { supersedes, reason: 'again' }))
    expect([again(before), again('gone'), again(zero)]).toEqual([null, 'reading.supersedes', 'reading.supersedes'])
  })

  test('has what its kind needs', () => {
    expect(readingField({ value: undefined as never })).toBe('reading.value')
    expect(readingField({ kind: 'spread', low: 310 })).toBe('reading.high')
    expect(readingField({ kind: 'spread', high: 330 })).toBe('reading.low')
    expect(readingField({ kind: 'answer' })).toBe('reading.answer')
    expect(fieldOf(new Script(twinCard()).read('low', 'OL 2k'))).toBeNull()
  })

  test('says in figures what its text says', () => {
    expect(readingField({ value: 321 })).toBe('reading.value')
    expect(readingField({ text: '12 V' })).toBe('reading.text')
    expect(readingField({ text: '0.322k' })).toBeNull()
  })
})
