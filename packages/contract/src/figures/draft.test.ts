import { describe, expect, test } from '@jest/globals'
import type { Card } from '@sure-spool/core'
import { twinCard } from '@sure-spool/core/testing'
import { most } from '../formats'
import { plainLine } from '../testing/plainLine'
import { draftFor, FiguresDraft, type FigureLine } from '.'

describe('a line on a card', () => {
  const line = (changes: Partial<FigureLine>): FigureLine => ({
    ...plainLine,
    source: 'shop book',
    ...changes,
  })
  const apply = (changes: Partial<FigureLine>, card: Card = twinCard(), comma = false) => {
    const draft = new FiguresDraft(card)
    const said = draft.apply(line(changes), comma)
    return { said, card: draft.card, changed: draft.changed }
  }
  const limitMade = (changes: Partial<FigureLine>, comma = false) =>
    apply({ check: 'new one', ...changes }, twinCard(), comma).card.checks.at(-1)?.limits[0]

  test('a new check has its kind, its ends and its limit with a source; the card it came from is left alone', () => {
    const card = twinCard()
    const { said, card: made, changed } = apply({ check: 'new one' }, card)
    expect(said).toEqual({ what: 'new-check', detail: '318 ±10%' })
    expect(changed).toBe(true)
    expect(card).toEqual(twinCard())
    const source = made.sources.at(-1)
    expect(source).toEqual({ id: source?.id, grade: 'told', title: 'shop book' })
    expect(made.checks.at(-1)).toEqual({
      id: made.checks.at(-1)?.id,
      label: 'new one',
      kind: 'resistance',
      at: { pair: made.terminals.slice(-2).map(({ id }) => id) },
      required: true,
      limits: [
        {
          id: 'l1',
          for: 'any',
          limit: { kind: 'nominal', value: 318, minusPct: 10, plusPct: 10 },
          text: '318 ±10%',
          source: source?.id,
        },
      ],
    })
    expect(made.terminals.slice(-2).map(({ label, aliases }) => [label, aliases])).toEqual([
      ['red', []],
      ['black', []],
    ])
  })

  test('what is refused leaves the card as it was', () => {
    for (const changes of [{ limit: '' }, { unit: 'furlong' }, { from: '' }, { to: '' }, { to: 'RED' }]) {
      const { said, card, changed } = apply({ check: 'new one', ...changes })
      expect([changes, 'problem' in said, changed]).toEqual([changes, true, false])
      expect(card.checks).toEqual(twinCard().checks)
      expect(card.terminals).toEqual(twinCard().terminals)
    }
  })

  test('each history and each grade may be said; nothing said is any, and told', () => {
    for (const history of ['any', 'new', 'used', 'rewound'] as const)
      expect(limitMade({ for: history })?.for).toBe(history)
    expect(limitMade({})?.for).toBe('any')
    for (const grade of ['maker', 'trade', 'measured', 'told', 'guess'])
      expect(apply({ check: 'new one', grade }).card.sources.at(-1)?.grade).toBe(grade)
    expect(apply({ check: 'new one', source: '' }).card.sources.at(-1)?.title).toBe('from a file of figures')
  })

  test('a reference is degrees Celsius, and stands where it is said', () => {
    expect(limitMade({ referenceC: '20,5' })?.referenceC).toBe(20.5)
    expect(limitMade({ referenceC: '-89' })?.referenceC).toBe(-89)
    expect(limitMade({})).not.toHaveProperty('referenceC')
    const wrong = { problem: 'has a reference that is no temperature' }
    for (const referenceC of ['-90', '400', 'warm']) expect(apply({ check: 'new one', referenceC }).said).toEqual(wrong)
  })

  test('a prefix in the cell counts, and that of the column where the cell has none', () => {
    const limit = (unit: string, text: string) => limitMade({ unit, limit: text })?.limit
    expect(limit('kΩ', '4.1–4.6')).toEqual({ kind: 'band', min: 4100, max: 4600 })
    expect(limit('kΩ', '4.1k–4.6k')).toEqual({ kind: 'band', min: 4100, max: 4600 })
    expect(limit('kΩ', '> 2')).toEqual({ kind: 'atLeast', value: 2000 })
    expect(limit('kΩ', '< 2')).toEqual({ kind: 'atMost', value: 2000 })
    expect(limit('insulation MΩ', '> 20')).toMatchObject({ kind: 'insulation', minOhms: 20e6 })
    expect(limit('mV', '120 ±5%')).toMatchObject({ value: 0.12 })
    expect(limit('V', '120 ±5%')).toMatchObject({ value: 120 })
  })

  test('a limit that another source gave stands beside; it says beside how many', () => {
    const { said } = apply({ checkId: 'low', limit: '300–340' })
    const had = twinCard().checks.find(({ id }) => id === 'low')?.limits.length
    expect(said).toEqual({ what: 'another-limit', detail: `stands beside ${had} of other sources` })
  })

  test('the same again changes nothing; another history of the same source is another limit', () => {
    const draft = new FiguresDraft(twinCard())
    expect(draft.apply(line({ checkId: 'low' }), false)).toMatchObject({ what: 'another-limit' })
    draft.changed = false
    expect(draft.apply(line({ checkId: 'low' }), false)).toEqual({ what: 'same', detail: 'stands there already' })
    expect(draft.changed).toBe(false)
    expect(draft.apply(line({ checkId: 'low', referenceC: '25' }), false)).toMatchObject({ what: 'changed' })
    expect(draft.apply(line({ checkId: 'low' }), false)).toMatchObject({ what: 'same' })
    expect(draft.apply(line({ checkId: 'low', for: 'used' }), false)).toMatchObject({ what: 'another-limit' })
    expect(draft.apply(line({ checkId: 'low', grade: 'guess' }), false)).toMatchObject({ what: 'another-limit' })
  })

  test('what was derived, or had no words, is said as what it was', () => {
    const card = twinCard()
    const low = card.checks.find(({ id }) => id === 'low')
    const source = card.sources[0]
    const [limit] = low?.limits ?? []
    if (!low || !source || !limit) throw new Error('the twin has a low coil with a limit')
    const own = { checkId: 'low', source: source.title, grade: source.grade, limit: '300 ±5%' }
    low.limits = [{ ...limit, source: source.id, for: 'any', limit: 'derived' }]
    expect(apply(own, card).said).toEqual({ what: 'changed', detail: 'was derived' })
    low.limits = [{ id: 'l', source: source.id, for: 'any', limit: { kind: 'band', min: 1, max: 2 } }]
    expect(apply(own, card).said).toMatchObject({ what: 'changed', detail: expect.stringContaining('was 1') })
  })

  test('"derived" and "none" that our own file wrote are read as what stands there; elsewhere they are no limit', () => {
    const card = twinCard()
    const low = card.checks.find(({ id }) => id === 'low')
    const source = card.sources[0]
    if (!low || !source) throw new Error('the twin has a low coil')
    low.limits = [{ id: 'l', source: source.id, for: 'any', limit: 'derived' }]
    const own = { checkId: 'low', source: source.title, grade: source.grade, limit: 'derived' }
    expect(apply(own, card).said).toMatchObject({ what: 'same' })
    expect(apply({ ...own, for: 'new' }, card).said).toHaveProperty('problem')
    expect(apply({ ...own, source: 'other' }, card).said).toHaveProperty('problem')
    expect(apply({ ...own, limit: 'none' }, card).said).not.toMatchObject({ what: 'same' })
  })

  test('a limit that no card may hold is refused with what a card would say', () => {
    // two ends are two ends, whichever is written first
    expect(limitMade({ limit: '5–2' })?.limit).toEqual({ kind: 'band', min: 2, max: 5 })
    expect(apply({ check: 'new one', limit: '318 ±2000%' }).said).toHaveProperty('problem')
    expect(apply({ check: 'new one', unit: 'insulation Ω', limit: '> 0' }).said).toHaveProperty('problem')
  })

  test('a card holds so much and no more: checks, terminals, limits of one check, sources', () => {
    const full = (what: string, count: number) => ({ problem: `would give the card more than ${count} ${what}` })
    const many = <T>(count: number, one: (i: number) => T) => Array.from({ length: count }, (_, i) => one(i))
    const card = twinCard()
    const [check] = card.checks.filter(({ id }) => id === 'low')
    const [limit] = check?.limits ?? []
    if (!check || !limit) throw new Error('the twin has a low coil with a limit')
    const checks = (count: number) => ({
      ...card,
      checks: many(count, (i) => ({ ...check, id: `c${i}`, label: `c${i}` })),
    })
    expect(apply({ check: 'new one' }, checks(most.checks)).said).toEqual(full('checks', most.checks))
    expect(apply({ check: 'new one' }, checks(most.checks - 1)).said).toMatchObject({ what: 'new-check' })
    expect(apply({ check: 'c1' }, checks(most.checks)).said).toMatchObject({ what: 'another-limit' })
    const terminals = (count: number) => ({
      ...card,
      terminals: [
        ...card.terminals,
        ...many(count - card.terminals.length, (i) => ({ id: `x${i}`, label: `x${i}`, aliases: [] })),
      ],
    })
    expect(apply({ check: 'new one' }, terminals(most.terminals - 1)).said).toEqual(full('terminals', most.terminals))
    expect(apply({ check: 'new one' }, terminals(most.terminals - 2)).said).toMatchObject({ what: 'new-check' })
    const limits = (count: number) => ({
      ...card,
      checks: [{ ...check, limits: many(count, (i) => ({ ...limit, id: `l${i}` })) }],
    })
    expect(apply({ checkId: 'low' }, limits(most.limitsOfOne)).said).toEqual(
      full('limits of one check', most.limitsOfOne),
    )
    expect(apply({ checkId: 'low' }, limits(most.limitsOfOne - 1)).said).toMatchObject({ what: 'another-limit' })
    const sources = (count: number) => ({
      ...card,
      sources: [
        ...card.sources,
        ...many(count - card.sources.length, (i) => ({ id: `z${i}`, grade: 'told' as const, title: `z${i}` })),
      ],
    })
    expect(apply({ checkId: 'low' }, sources(most.sources)).said).toEqual(full('sources', most.sources))
    expect(apply({ checkId: 'low' }, sources(most.sources - 1)).said).toMatchObject({ what: 'another-limit' })
    expect(apply({ checkId: 'low', source: 'z1' }, sources(most.sources)).said).toMatchObject({ what: 'another-limit' })
  })
})

describe('a model that is named first', () => {
  const id = '019b0000-0000-7000-8000-000000000001'
  const line = (changes: Partial<FigureLine>) => ({ ...plainLine, ...changes })

  test('gets a draft with its names, cut where a card would not hold them', () => {
    const made = draftFor(
      line({ maker: 'm'.repeat(300), model: 'n'.repeat(300), partNumbers: ` a ; ;${'p'.repeat(300)}` }),
      id,
    )
    expect(made).toMatchObject({
      id,
      family: 'other',
      name: { maker: 'm'.repeat(200), model: 'n'.repeat(200), partNumbers: ['a', 'p'.repeat(200)] },
    })
  })

  test('of a family as a person writes it, or a sentence', () => {
    expect(draftFor(line({ family: ' Speed  Sensor ' }), id)).toMatchObject({ family: 'speed-sensor' })
    expect(draftFor(line({ family: 'toaster' }), id)).toMatch(
      /^names the family "toaster", which is not one of .*relay/,
    )
  })
})
