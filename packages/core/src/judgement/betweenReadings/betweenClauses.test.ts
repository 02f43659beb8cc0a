import { describe, expect, test } from '@jest/globals'
import type { Card, Comparison, Limit, Relation } from '../../document'
import { plainCard, plainCheck, plainTerminals, Script } from '../../testing'

const windings = ['a', 'b', 'c'].map((id) => ({
  id,
  label: id,
  from: `${id}1`,
  to: `${id}2`,
  material: 'copper' as const,
}))
const pairOf = (id: string): [string, string] => [`${id}1`, `${id}2`]
const cardOf = (limits: Record<string, Limit | undefined>, ...relations: Relation[]): Card =>
  plainCard({
    family: 'other',
    terminals: plainTerminals('a1', 'a2', 'b1', 'b2', 'c1', 'c2'),
    windings,
    checks: Object.entries(limits).map(([id, limit]) =>
      limit
        ? plainCheck(id, 'resistance', { pair: pairOf(id) }, limit)
        : plainCheck(id, 'resistance', { pair: pairOf(id) }, undefined, { limits: [] }),
    ),
    relations,
    sources: (['maker', 'trade', 'told', 'guess'] as const).map((grade) => ({ id: grade, grade, title: grade })),
  })
const between = (card: Card, readings: Record<string, string>, compare?: Comparison[]) => {
  const script = new Script(card).ready()
  if (compare) script.run.compare = compare
  for (const [check, text] of Object.entries(readings)) script.read(check, text)
  return script.state().relations[0]
}

describe('how far a ratio may be off', () => {
  const ratio = (source: string): Relation => ({
    id: 'r',
    label: 'r',
    source,
    kind: 'ratio',
    of: 'a',
    to: 'b',
    ratio: 10,
    withinPct: 2,
  })
  const band = (min: number, max: number): Limit => ({ kind: 'band', min, max })
  const limits = (source: string, a: Limit | undefined, b: Limit | undefined) =>
    between(cardOf({ a, b }, ratio(source)), { a: '100.0', b: '10.00' })?.limits

  test('a maker or the trade may state it narrow', () => {
    for (const source of ['maker', 'trade']) {
      const found = limits(source, band(90, 110), band(9, 11))
      expect(found?.min).toBeCloseTo(9.8, 9)
      expect(found?.max).toBeCloseTo(10.2, 9)
    }
  })

  test('anybody else’s is no narrower than both bands allow', () => {
    for (const source of ['told', 'guess']) {
      const found = limits(source, band(90, 110), band(9, 11))
      expect(found?.min).toBeCloseTo(90 / 11, 9)
      expect(found?.max).toBeCloseTo(110 / 9, 9)
    }
  })

  test('bands narrower than the ratio’s own share leave it as it is', () => {
    const found = limits('told', band(99.9, 100.1), band(9.99, 10.01))
    expect(found?.min).toBeCloseTo(9.8, 9)
    expect(found?.max).toBeCloseTo(10.2, 9)
  })

  test.each([
    ['no band of the first', undefined, band(9, 11)],
    ['no band of the second', band(90, 110), undefined],
  ])('%s: its own share', (_what, a, b) => {
    const found = limits('told', a, b)
    expect(found?.min).toBeCloseTo(9.8, 9)
    expect(found?.max).toBeCloseTo(10.2, 9)
  })

  test('a second that may read nothing bounds nothing above', () => {
    const found = limits('told', band(90, 110), band(0, 11))
    expect(found?.min).toBeCloseTo(90 / 11, 9)
    expect(found?.max).toBeCloseTo(10.2, 9)
  })

  test('is not told while one was not read, or where one has no figure', () => {
    const card = cardOf({ a: band(90, 110), b: band(9, 11) }, ratio('maker'))
    expect(between(card, { a: '100.0' })).toMatchObject({ verdict: 'none', reason: 'not-read' })
    expect(between(card, { a: '100.0', b: 'OL 40M' })?.verdict).toBe('none')
  })

  test('names the one that is farther from its own figure', () => {
    const card = cardOf({ a: band(90, 110), b: band(9, 11) }, ratio('maker'))
    expect(between(card, { a: '100.0', b: '8.00' })).toMatchObject({ verdict: 'outside', oddReadsHigh: false })
    expect(between(card, { a: '100.0', b: '8.00' })?.odd?.check.id).toBe('b')
    const high = between(card, { a: '130.0', b: '10.00' })
    expect([high?.odd?.check.id, high?.oddReadsHigh]).toEqual(['a', true])
    const low = between(card, { a: '70.0', b: '10.00' })
    expect([low?.odd?.check.id, low?.oddReadsHigh]).toEqual(['a', false])
  })
})

describe('a twin', () => {
  const twin: Relation = { id: 't', label: 't', source: 'maker', kind: 'twin', check: 'a', withinPct: 5 }
  const card = cardOf({ a: undefined }, twin)
  const figures = (as: Comparison['as'], value = 100, check = 'a'): Comparison[] => [
    { as, tag: 'SQ-2', figures: [{ check, value, u: 0.2 }] },
  ]

  test.each(['twin', 'neighbour'] as const)('or a %s: alike, and not alike', (as) => {
    expect(between(card, { a: '101.0' }, figures(as))?.verdict).toBe('within')
    expect(between(card, { a: '120.0' }, figures(as))).toMatchObject({ verdict: 'outside', oddReadsHigh: false })
  })

  test('says nothing before this one was read, or where the other was not', () => {
    expect(between(card, {}, figures('twin'))).toMatchObject({ verdict: 'none', reason: 'not-read', members: [] })
    expect(between(card, { a: '101.0' })).toMatchObject({ verdict: 'none', reason: 'not-read' })
    expect(between(card, { a: '101.0' }, figures('twin', 100, 'b'))).toMatchObject({ reason: 'not-read' })
    expect(between(card, { a: '101.0' }, figures('earlier'))).toMatchObject({ reason: 'not-read' })
  })

  test('says nothing of a part that reads no figure', () => {
    const open = between(card, { a: 'OL 40M' }, figures('twin'))
    expect(open).toMatchObject({ verdict: 'none', reason: 'not-finite' })
    expect(open?.members).toHaveLength(1)
  })
})
