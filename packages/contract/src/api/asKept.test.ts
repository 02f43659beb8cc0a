import { describe, expect, test } from '@jest/globals'
import { z } from 'zod'
import { asKept, asKeptMember } from './asKept'

const uuid = '019b0000-0000-7000-8000-000000000001'
const moment = '2026-03-02T09:00:00.000Z'
const anything = z.record(z.string(), z.unknown())

const wrong = (body: Record<string, unknown>, schema: z.ZodType = asKept(anything)) => {
  const read = schema.safeParse(body)
  return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'))
}

describe('what the database keeps', () => {
  test('a row id is a UUID, wherever a row is named', () => {
    expect(wrong({ id: 'short' })).toEqual(['id'])
    expect(wrong({ id: uuid })).toEqual([])
    const named = ['run', 'by', 'takenInBy', 'startedBy', 'supersedes', 'undoes', 'tray', 'second', 'unit', 'before']
    for (const key of named) {
      expect([key, wrong({ [key]: 'short' })]).toEqual([key, [key]])
      expect([key, wrong({ [key]: uuid })]).toEqual([key, []])
    }
    // a card's own short words stand under other keys
    expect(wrong({ check: 'low', tag: 'SQ-0396', source: 's1' })).toEqual([])
  })

  test('a moment carries milliseconds', () => {
    for (const key of ['at', 'startedAt', 'takenInAt', 'receivedAt']) {
      expect([key, wrong({ [key]: '2026-03-02T09:00:00Z' })]).toEqual([key, [key]])
      expect([key, wrong({ [key]: moment })]).toEqual([key, []])
    }
    expect(wrong({ date: '2026-03-02' })).toEqual([])
  })

  test('the sentence says what it should be', () => {
    const said = (body: object) =>
      asKept(anything)
        .safeParse(body)
        .error?.issues.map(({ message }) => message)
    expect(said({ id: 'short' })).toEqual(['must be a UUID in lower case'])
    expect(said({ at: 'noon' })).toEqual(['must be a UTC time with milliseconds, like 2026-03-02T09:00:00.000Z'])
  })

  test('what is no text there is left to the schema: a place in a plug, a unit object', () => {
    expect(wrong({ at: { pair: ['O', 'frame'] }, unit: { words: '' }, before: null })).toEqual([])
    expect(wrong({}, asKept(z.unknown()))).toEqual([])
    expect(asKept(z.unknown()).safeParse(null).success).toBe(true)
    expect(asKept(z.unknown()).safeParse('short').success).toBe(true)
  })

  test.each(['entries', 'people', 'units', 'runs', 'rewinds', 'photos'])(
    'each of %s is a row, with its place in the list',
    (list) => {
      const body = {
        [list]: [{ id: uuid, by: uuid }, { id: 'short', by: 'me' }, null, 'word', { by: uuid, at: 'noon' }],
      }
      expect(wrong(body)).toEqual([`${list}.1.id`, `${list}.1.by`, `${list}.4.at`])
    },
  )

  test('a list of something else, and a list that is none, are passed by', () => {
    expect(wrong({ checks: [{ id: 'low' }], entries: 'none', people: { 0: { id: 'short' } } })).toEqual([])
  })

  test('of a card only its own id is a row', () => {
    const card = { id: 'short', by: 'x', sources: [{ id: 's1' }], runs: [{ id: 's' }] }
    expect(wrong({ cards: [card, { ...card, id: uuid }] })).toEqual(['cards.0.id'])
  })

  test('one card or one rewind of a body is a row and is walked', () => {
    expect(wrong({ card: { id: 'short', revision: 1 } })).toEqual(['card.id'])
    expect(wrong({ rewind: { id: uuid, entries: [{ id: 'short' }] } })).toEqual(['rewind.entries.0.id'])
    expect(wrong({ card: null, rewind: 'x' })).toEqual([])
    expect(wrong({ reading: { id: 'short' }, settings: { id: 'short' } })).toEqual([])
  })

  test('of an entry its reading is walked too, but is no row itself', () => {
    const reading = { id: 'as the meter says', supersedes: 'short', at: 'noon' }
    expect(wrong({ entries: [{ id: uuid, reading }] })).toEqual([
      'entries.0.reading.supersedes',
      'entries.0.reading.at',
    ])
    expect(wrong({ entries: [{ id: uuid }] })).toEqual([])
    expect(wrong({ runs: [{ id: uuid, reading }] })).toEqual([])
  })

  test('a run in a shop file holds its entries to the same', () => {
    const run = { id: uuid, startedBy: 'me', entries: [{ id: 'short', run: uuid, at: moment }] }
    expect(wrong({ runs: [run] })).toEqual(['runs.0.startedBy', 'runs.0.entries.0.id'])
  })

  test('one member alone is held as it would be in its list', () => {
    expect(wrong({ id: 'short', by: uuid }, asKeptMember('units', anything))).toEqual(['id'])
    expect(wrong({ id: 'short', by: 'x' }, asKeptMember('cards', anything))).toEqual(['id'])
    expect(wrong({ reading: { supersedes: 'short' } }, asKeptMember('entries', anything))).toEqual([
      'reading.supersedes',
    ])
    expect(asKeptMember('units', z.unknown()).safeParse(null).success).toBe(true)
    expect(asKeptMember('units', z.unknown()).safeParse(7).success).toBe(true)
  })
})
