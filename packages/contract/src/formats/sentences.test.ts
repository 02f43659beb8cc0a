import { describe, expect, test } from '@jest/globals'
import { z } from 'zod'
import {
  cardsSchema,
  comparisonSchema,
  datesAhead,
  exactMomentSchema,
  figureSchema,
  idSchema,
  labelSchema,
  momentSchema,
  photoSchema,
  photosNamed,
  readDocument,
  readingSchema,
  rewindSchema,
  sentencesOf,
  shopSchema,
  uuidSchema,
} from '.'
import { daySchema, percentSchema, wordSchema, wordsSchema } from './basics'

const said = (schema: z.ZodType, value: unknown) => {
  const { error } = schema.safeParse(value)
  return error ? sentencesOf(error).map(({ path, detail }) => `${path} ${detail}`) : []
}
const whole = '(the document)'
const uuid = '019b0000-0000-7000-8000-000000000001'

describe('what may stand in a field, with the sentence where it may not', () => {
  const id = 'must be an id: letters, digits, - _ . : and at most 64 of them'
  const moment = 'must be a UTC time like 2026-03-02T09:00:00.000Z'
  test.each<readonly [z.ZodType, unknown, string?]>([
    [idSchema, 'a.b-c_d:9'],
    [idSchema, 'x'.repeat(64)],
    [idSchema, 'x'.repeat(65), id],
    [idSchema, '', id],
    [idSchema, 'a b', id],
    [idSchema, 'a\n', id],
    [uuidSchema, uuid],
    [uuidSchema, uuid.toUpperCase(), 'must be a UUID in lower case'],
    [uuidSchema, uuid.replace('7000', '0000'), 'must be a UUID in lower case'],
    [uuidSchema, uuid.replace('-8000', '-c000'), 'must be a UUID in lower case'],
    [uuidSchema, `${uuid}0`, 'must be a UUID in lower case'],
    [uuidSchema, `0${uuid}`, 'must be a UUID in lower case'],
    [momentSchema, '2026-03-02T09:00:00Z'],
    [momentSchema, '2026-03-02T09:00:00+01:00', moment],
    [exactMomentSchema, '2026-03-02T09:00:00.000Z'],
    [exactMomentSchema, '2026-03-02T09:00:00Z', 'must be a UTC time with milliseconds, like 2026-03-02T09:00:00.000Z'],
    [daySchema, '2026-02-28'],
    [daySchema, '2026-02-30', 'must be a day like 2026-03-02'],
    [wordSchema, 'x'.repeat(64)],
    [wordSchema, 'x'.repeat(65), 'is longer than 64 characters'],
    [wordSchema, '', 'must not be empty'],
    [labelSchema, 'x'.repeat(200)],
    [labelSchema, 'x'.repeat(201), 'is longer than 200 characters'],
    [labelSchema, '', 'must not be empty'],
    [wordsSchema, ''],
    [wordsSchema, 'x'.repeat(2001), 'is longer than 2,000 characters'],
    [figureSchema, 0],
    [figureSchema, '0', 'must be a number'],
    [figureSchema, Infinity, 'must be a number'],
    [figureSchema, NaN, 'must be a number'],
    [percentSchema, 0],
    [percentSchema, 1000],
    [percentSchema, -1, 'must not be negative'],
    [percentSchema, 1001, 'is over 1000 %'],
  ])('%#', (...[schema, value, sentence]) => {
    expect(said(schema, value)).toEqual(sentence === undefined ? [] : [`${whole} ${sentence}`])
  })

  test('a figure is compared at a pair of two points', () => {
    const figure = { check: 'low', value: 318, u: 1 }
    const twin = (figures: object[]) => said(comparisonSchema, { as: 'twin', tag: 'SQ-1', figures })
    expect(twin([figure, { ...figure, pair: ['O', 'frame'], index: 1 }])).toEqual([])
    expect(twin([{ ...figure, pair: ['O'] }])).toHaveLength(1)
    expect(twin([{ ...figure, u: -1 }])).toHaveLength(1)
  })

  test('a reading keeps what was typed, and no more than a line of it', () => {
    const reading = { taken: 'typed', text: 'x'.repeat(200), decimalComma: false, kind: 'over' }
    expect(said(readingSchema, reading)).toEqual([])
    expect(said(readingSchema, { ...reading, text: 'x'.repeat(201) })).toEqual(['text is longer than 200 characters'])
  })

  test('a photo is a JPEG in base64 of so many bytes, with its fingerprint', () => {
    const photo = { id: uuid, at: '2026-03-02T09:00:00.000Z', by: uuid, width: 1, height: 1600, sha256: 'a'.repeat(64) }
    expect(said(photoSchema, { ...photo, data: 'x'.repeat(800_000) })).toEqual([])
    expect(said(photoSchema, { ...photo, data: 'x'.repeat(800_004) })).toEqual([
      'data is larger than a photo here may be',
    ])
    expect(said(photoSchema, { ...photo, data: '*' })).toEqual(['data is no base64'])
    expect(said(photoSchema, { ...photo, data: '', sha256: 'A'.repeat(64) })).toEqual([
      'sha256 is no SHA-256 in hexadecimal',
    ])
    expect(said(photoSchema, { ...photo, data: '', height: 1601 })).toHaveLength(1)
    expect(said(photoSchema, { ...photo, data: '', width: 0 })).toHaveLength(1)
  })
})

test.each([
  ['cards', cardsSchema],
  ['rewind', rewindSchema],
  ['shop', shopSchema],
])('a document says what it is and of which version: %s', (name, schema) => {
  const wrong = said(schema, { format: 'other', version: 2 })
  expect(wrong).toContain(`format must be "sure-spool/${name}"`)
  expect(wrong).toContain('version is a version this program does not know; it reads version 1')
})

test('a rewind has coils, each once, and only entries of its own', () => {
  const coil = { id: 'a', winding: 'w', label: 'A' }
  const entry = (rewind: string, n: number) => ({
    id: `e${n}`,
    rewind,
    n,
    at: '2026-03-02T09:00:00.000Z',
    by: 'me',
    kind: 'take-back',
    entry: 'e1',
    reason: '',
  })
  const of = (coils: object[], entries: object[] = []) =>
    said(rewindSchema, {
      format: 'sure-spool/rewind',
      version: 1,
      id: 'r',
      unit: 'u',
      startedAt: '2026-03-02T09:00:00.000Z',
      instruments: [],
      coils,
      entries,
    })
  expect(of([coil, { ...coil, id: 'b' }], [entry('r', 1)])).toEqual([])
  expect(of([])).toEqual(['coils names no coil'])
  expect(of([coil, coil])).toEqual(['coils names a coil twice'])
  expect(of([coil], [entry('r', 1), entry('other', 2)])).toEqual([
    'entries[1].rewind names another rewind than the one it stands in',
  ])
})

describe('what is wrong with a document', () => {
  const schema = z.strictObject({ list: z.array(z.strictObject({ a: z.number('must be a number') })).max(60) })

  test('stands with a path that a person can follow; a field that is none by its own name', () => {
    expect(said(schema, { list: [{ a: 1 }, { a: 'x', b: 2, c: 3 }], d: 4 })).toEqual([
      'list[1].a must be a number',
      'list[1].b is not a field of this document',
      'list[1].c is not a field of this document',
      'd is not a field of this document',
    ])
    expect(said(schema, 7)).toEqual([expect.stringContaining(`${whole} `)])
    expect(said(z.array(z.number('must be a number')), ['x'])).toEqual(['[0] must be a number'])
  })

  test('is told twenty times, and the rest counted', () => {
    const list = (count: number) => ({ list: Array.from({ length: count }, () => ({ a: 'x' })) })
    expect(said(schema, list(20))).toHaveLength(20)
    expect(said(schema, list(23))).toHaveLength(21)
    expect(said(schema, list(23)).at(-1)).toBe('(more) 3 further problems')
  })

  test('that is no JSON says that it may be cut off', () => {
    const read = readDocument('{', schema)
    expect(read).toEqual({
      ok: false,
      problems: [
        {
          path: whole,
          detail: expect.stringMatching(/^is not JSON: .+\. The file may be cut off; export it again\.$/),
        },
      ],
    })
    expect(readDocument('{"list":[{"a":1}]}', schema)).toEqual({ ok: true, value: { list: [{ a: 1 }] } })
    expect(readDocument('{"list":1}', schema)).toMatchObject({ ok: false, problems: [{ path: 'list' }] })
  })
})

test('photos that entries name, each once, in the order of the tape', () => {
  expect(photosNamed([{ photo: 'b' }, {}, { photo: 'a' }, { photo: 'b' }, { photo: 7 }])).toEqual(['b', 'a'])
})

test('a day beyond tomorrow, wherever on the earth, is a year mistyped', () => {
  const now = new Date('2026-03-02T09:59:00.000Z')
  const of = (...dates: (string | undefined)[]) => datesAhead({ sources: dates.map((date) => ({ date })) }, now)
  expect(of('2026-03-03', undefined, '2026-03-02')).toEqual([])
  expect(of('2026-03-02', '2026-03-04')).toEqual([
    { path: 'sources[1].date', detail: 'is 2026-03-04, which is yet to come: look at the year' },
  ])
  // at ten in the morning of Greenwich tomorrow's next has begun on the first islands
  expect(datesAhead({ sources: [{ date: '2026-03-04' }] }, new Date('2026-03-02T10:00:00.000Z'))).toEqual([])
})
