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

describe('parts that add to more than their whole', () => {
  const sum: Relation = { id: 's', label: 's', source: 'maker', kind: 'sum', parts: ['a', 'b'], whole: 'c' }
  const nominal = (value: number, pct: number): Limit => ({ kind: 'nominal', value, minusPct: pct, plusPct: pct })
  const odd = (a: Limit | undefined, b: Limit | undefined, ...[first, second, whole]: string[]) => {
    const card = cardOf({ a, b, c: undefined }, sum)
    for (const limit of card.checks.flatMap(({ limits }) => limits)) limit.source = 'maker'
    const found = between(card, { a: first ?? '', b: second ?? '', c: whole ?? '' })
    return [found?.verdict, found?.odd?.check.id, found?.oddReadsHigh]
  }

  test('within what both may be off nobody is named', () => {
    expect(odd(nominal(100, 10), nominal(200, 10), '100.0', '200.0', '300.0')).toEqual(['within', undefined, undefined])
  })

  test('the one outside its limits, which would be inside by what the others say, before one that is farther off', () => {
    // b is a fifth high and may be so; a is a tenth high and may not
    expect(odd(nominal(100, 2), nominal(200, 25), '110.0', '240.0', '340.0')).toEqual(['outside', 'a', true])
    expect(odd(nominal(200, 25), nominal(100, 2), '240.0', '110.0', '340.0')).toEqual(['outside', 'b', true])
  })

  test('one that would still be outside is not cleared: the one farthest above its own figure', () => {
    // a would have to be 10 Ω, and 100 Ω at most 102 Ω
    expect(odd(nominal(100, 2), nominal(200, 25), '110.0', '240.0', '250.0')).toEqual(['outside', 'b', true])
    // and above its limits as well: it would have to be 106 Ω
    expect(odd(nominal(100, 2), nominal(200, 25), '110.0', '240.0', '346.0')).toEqual(['within', undefined, undefined])
    expect(odd(nominal(100, 2), nominal(200, 25), '130.0', '280.0', '386.0')).toEqual(['outside', 'b', true])
  })

  test('one inside its limits is not cleared by being so', () => {
    expect(odd(nominal(100, 20), nominal(200, 25), '110.0', '240.0', '340.0')).toEqual(['outside', 'b', true])
  })

  test('just at a limit is inside', () => {
    // a would be 98 Ω, or 102 Ω
    expect(odd(nominal(100, 2), nominal(200, 25), '115.0', '240.0', '338.0')).toEqual(['outside', 'a', true])
    expect(odd(nominal(100, 2), nominal(200, 25), '115.0', '240.0', '342.0')).toEqual(['outside', 'a', true])
  })

  test('a floor alone, or a ceiling alone, clears as well', () => {
    expect(odd({ kind: 'atMost', value: 105 }, nominal(200, 25), '110.0', '240.0', '340.0')).toEqual([
      'outside',
      'a',
      true,
    ])
    expect(odd({ kind: 'atLeast', value: 120 }, nominal(200, 25), '110.0', '240.0', '340.0')).toEqual([
      'outside',
      'b',
      true,
    ])
  })

  test('the whole is none of the parts, wherever it lies itself', () => {
    const card = cardOf({ a: nominal(100, 25), b: nominal(200, 25), c: nominal(100, 2) }, sum)
    for (const limit of card.checks.flatMap(({ limits }) => limits)) limit.source = 'maker'
    const found = between(card, { a: '110.0', b: '240.0', c: '300.0' })
    expect([found?.verdict, found?.odd?.check.id]).toEqual(['outside', 'b'])
    expect(found?.limits).toEqual({ min: -(found?.sum?.allowed ?? 0), max: found?.sum?.allowed })
  })

  test('without limits the first; parts that add to less name the whole', () => {
    expect(odd(undefined, undefined, '110.0', '240.0', '300.0')).toEqual(['outside', 'a', true])
    expect(odd(nominal(100, 2), nominal(200, 25), '100.0', '200.0', '330.0')).toEqual(['outside', 'c', true])
  })
})

describe('readings that should be the same', () => {
  const equal: Relation = { id: 'e', label: 'e', source: 'maker', kind: 'equal', checks: ['a', 'b', 'c'], withinPct: 5 }
  const of = (...figures: string[]) => {
    const checks = ['a', 'b', 'c'].slice(0, figures.length)
    const card = cardOf(Object.fromEntries(checks.map((id) => [id, undefined])), { ...equal, checks })
    const found = between(card, Object.fromEntries(checks.map((id, i) => [id, figures[i] ?? ''])))
    return { ...found, odd: found?.odd?.check.id }
  }

  test('are, where they read the same, or hardly apart', () => {
    for (const other of ['100.0', '100.3', '101.5'])
      expect([other, of('100.0', other)]).toMatchObject([
        other,
        { verdict: 'within', odd: undefined, meterCannot: false },
      ])
    expect(of('100.0', '100.0').value).toBe(0)
    expect(of('100.0', '100.3', '100.1').verdict).toBe('within')
  })

  test('apart by more than is allowed, the one that reads low is odd: shorts lower, and a contact only adds', () => {
    expect(of('90.0', '100.0')).toMatchObject({ verdict: 'outside', odd: 'a', oddReadsHigh: false })
    expect(of('100.0', '90.0')).toMatchObject({ verdict: 'outside', odd: 'b', oddReadsHigh: false })
  })

  test('of three the pair that is farthest apart tells', () => {
    const found = of('100.0', '90.0', '100.4')
    expect(found).toMatchObject({ verdict: 'outside', odd: 'b', limits: { min: -5, max: 5 } })
    expect(Math.abs(found.value ?? 0)).toBeCloseTo((100 * 10.4) / 95.2, 2)
  })

  test('near what is allowed it is held with doubt, as the meter has it', () => {
    expect(of('100.0', '105.1')).toMatchObject({ verdict: 'borderline', odd: 'a' })
    expect(of('1.0', '1.0').meterCannot).toBe(true)
  })

  test('say nothing while one was not read, or reads no figure', () => {
    const card = cardOf({ a: undefined, b: undefined, c: undefined }, equal)
    expect(between(card, { a: '100.0' })).toMatchObject({ verdict: 'none', reason: 'not-read' })
    expect(between(card, { a: '100.0', b: 'OL 40M', c: '100' })).toMatchObject({
      verdict: 'none',
      reason: 'not-finite',
    })
  })
})

describe('a draw beside volts over ohms', () => {
  const draw: Relation = { id: 'd', label: 'd', source: 'maker', kind: 'draw', amps: 'amps', ohms: 'a', withinPct: 10 }
  /** 12 V over 10 Ω: 1.2 A. */
  const judged = (amps: string, whileOn: boolean, coil = '10.00') => {
    const card = cardOf({ a: undefined }, draw)
    card.checks.push(plainCheck('amps', 'current', { pair: pairOf('a') }, undefined, { limits: [] }))
    const script = new Script(card).ready().read('a', coil)
    script.put({ kind: 'supply', text: '12', volts: 12, u: 0.02, while: whileOn ? 'on' : 'off' })
    const found = script.read('amps', amps).state().relations[0]
    return [found?.verdict, found?.leaning, found?.odd?.check.id, found?.contactGives]
  }

  test('within a tenth nothing is odd', () => {
    expect(judged('1.20', true)).toEqual(['within', 'within', undefined, undefined])
  })

  test('near its limit it leans to a side, and names nothing', () => {
    expect(judged('1.33', true)).toEqual(['borderline', 'outside', undefined, undefined])
  })

  test('more than that is outside: no contact gives more', () => {
    expect(judged('2.00', true)).toEqual(['outside', 'outside', 'amps', false])
  })

  test('less may be a contact or warmth, and stays open where either explains it', () => {
    expect(judged('0.90', true)).toEqual(['borderline', 'outside', 'amps', true])
    expect(judged('0.50', false)).toEqual(['borderline', 'outside', 'amps', true])
  })

  test('less than the hottest winding would draw, at loaded volts, is outside', () => {
    expect(judged('0.50', true)).toEqual(['outside', 'outside', 'amps', true])
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
