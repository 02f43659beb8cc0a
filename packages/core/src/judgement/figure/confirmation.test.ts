import { describe, expect, test } from '@jest/globals'
import type { Limit } from '../../document'
import { plainCard, plainCheck, plainTerminals, Script, sceneOf, valveCard } from '../../testing'
import { confirmationOf, sideOf } from './confirmation'

const pair: { pair: [string, string] } = { pair: ['a', 'b'] }
const band = (min: number, max: number): Limit => ({ kind: 'band', min, max })
const card = plainCard({
  family: 'armature',
  terminals: plainTerminals('a', 'b', 'frame'),
  checks: [
    plainCheck('ohms', 'resistance', pair, band(90, 110)),
    plainCheck('few', 'resistance', pair, band(8, 9.99)),
    plainCheck('ten', 'resistance', pair, band(8, 10)),
    plainCheck('volts', 'ac-output', pair, band(10, 20)),
    plainCheck('amps', 'current', pair, band(1, 2)),
    plainCheck('henries', 'inductance', pair, band(1, 2)),
    plainCheck('bars', 'bars', { ring: 4 }, band(1, 2), { quantity: 'current' } as object),
    plainCheck('earth', 'resistance', pair, { kind: 'open', atLeast: 1e6 }),
  ],
})
const read = (...readings: [string, string, object?][]) => {
  const script = new Script(card).ready()
  for (const [check, text, more] of readings) script.read(check, text, { contact: 'tips', ...more })
  return sceneOf(script)
}
const confirmed = (...readings: [string, string, object?][]) => {
  const { tape, all } = read(...readings)
  const last = all.at(-1)
  return last && confirmationOf(tape, last, all)
}

describe('what a missing contact could give needs a second touch', () => {
  test.each<[string, string, string, 'stands' | 'again' | 'again-clips']>([
    ['high ohms', 'ohms', '130', 'again'],
    ['no path at all', 'ohms', 'OL 40M', 'again'],
    ['low ohms', 'ohms', '50', 'stands'],
    ['high ohms of few, by clips', 'few', '12', 'again-clips'],
    ['from ten on by tips', 'ten', '12', 'again'],
    ['low volts', 'volts', '4', 'again'],
    ['high volts', 'volts', '40', 'stands'],
    ['low amperes', 'amps', '0.3', 'again-clips'],
    ['high amperes', 'amps', '5', 'stands'],
    ['low henries', 'henries', '0.2', 'stands'],
    ['high henries', 'henries', '9', 'stands'],
    ['a path where none should be', 'earth', '40', 'stands'],
  ])('%s', (_what, check, text, found) => expect(confirmed([check, text])).toBe(found))

  test.each<[string, string]>([
    ['lamp', 'dark'],
    ['click', 'silent'],
  ])('an answer that nothing gives as well: %s %s', (check, answer) => {
    const script = new Script(valveCard()).ready().put({
      kind: 'reading',
      check,
      reading: { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer },
    })
    const { tape, all, of } = sceneOf(script)
    expect(of(check)).toMatchObject({ verdict: 'outside', reason: 'wrong-answer' })
    expect(confirmationOf(tape, of(check), all)).not.toBe('stands')
  })

  test('a wrong answer that took a path to give stands', () => {
    const script = new Script(valveCard()).ready().put({
      kind: 'reading',
      check: 'lamp',
      reading: { taken: 'typed', text: 'full', decimalComma: false, kind: 'answer', answer: 'full' },
    })
    const { tape, all, of } = sceneOf(script)
    expect([of('lamp').reason, confirmationOf(tape, of('lamp'), all)]).toEqual(['wrong-answer', 'stands'])
  })
})

describe('what confirms it', () => {
  test.each<[string, [string, string, object?][], 'stands' | 'again' | 'again-clips']>([
    [
      'an earlier one on the same side',
      [
        ['ohms', '130'],
        ['ohms', '131'],
      ],
      'stands',
    ],
    [
      'an earlier one inside does not',
      [
        ['ohms', '100'],
        ['ohms', '131'],
      ],
      'again',
    ],
    [
      'nor one on the other side',
      [
        ['ohms', '50'],
        ['ohms', '131'],
      ],
      'again',
    ],
    [
      'of few ohms two by tips do not',
      [
        ['few', '12'],
        ['few', '12.1'],
      ],
      'again-clips',
    ],
    [
      'the later by clips does',
      [
        ['few', '12'],
        ['few', '12.1', { contact: 'clips' }],
      ],
      'stands',
    ],
    [
      'the earlier by clips is not enough',
      [
        ['few', '12', { contact: 'clips' }],
        ['few', '12.1'],
      ],
      'again-clips',
    ],
  ])('%s', (_what, readings, found) => expect(confirmed(...readings)).toBe(found))

  test('the one that was read first is not confirmed by what came after it on the same meter', () => {
    const { tape, all } = read(['ohms', '130'], ['ohms', '131'])
    const [first] = all
    expect(first && confirmationOf(tape, first, all)).toBe('again')
  })
})

test('which side it is on', () => {
  const side = (check: string, text: string) => {
    const last = read([check, text]).all.at(-1)
    return last && sideOf(last)
  }
  expect(side('ohms', '130')).toBe('high')
  expect(side('ohms', 'OL 40M')).toBe('high')
  expect(side('ohms', '50')).toBe('low')
  expect(side('ohms', '100')).toBe('other')
  expect(side('earth', '40')).toBe('low')
})
