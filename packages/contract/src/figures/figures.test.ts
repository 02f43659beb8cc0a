import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card } from '@sure-spool/core'
import fc from 'fast-check'
import { cardSchema } from '../formats'
import { plainLine } from '../testing/plainLine'
import { cellsOf, draftFor, FiguresDraft, formulaCell, linesOf, readLines, readUnit, type FigureLine } from '.'

const cards = readdirSync('demo/cards').map((name) => JSON.parse(readFileSync(`demo/cards/${name}`, 'utf8')) as Card)
const twin = cards.find((card) => card.name.model === '18 twin') as Card
const id = '019b0000-0000-7000-8000-000000000001'
const line = (changes: Partial<FigureLine>): FigureLine => ({ ...plainLine, source: 'shop book', ...changes })
/** One line on a copy of a card. */
const applyLine = (card: Card, one: FigureLine, decimalComma: boolean) => {
  const draft = new FiguresDraft(card)
  return { ...draft.apply(one, decimalComma), card: draft.card }
}
const problem = (changes: Partial<FigureLine>) => {
  const applied = applyLine(twin, line(changes), false)
  return 'problem' in applied ? applied.problem : applied.what
}

describe('a file of figures', () => {
  test.each(cards.map((card) => [card.name.model, card] as const))(
    'of %s changes nothing when it comes back',
    (_name, card) => {
      const { fields, data } = cellsOf(linesOf(card))
      const read = readLines([fields, ...data])
      if ('problem' in read) throw new Error(read.problem)
      expect(read.lines).toHaveLength(card.checks.reduce((sum, check) => sum + check.limits.length, 0))
      for (const one of read.lines)
        expect([one.problem, applyLine(card, one.line, false)]).toMatchObject([undefined, { what: 'same' }])
    },
  )

  test('names its columns in any order; without the needed ones it says which', () => {
    const read = readLines([
      ['limit (Ω)', 'check', 'anything', '\uFEFFmodel'],
      ['5 ±5%', 'coil', 'x', 'F2'],
      ['', '', '', ''],
    ])
    expect(read).toMatchObject({ lines: [{ row: 2, line: { model: 'F2', check: 'coil', limit: '5 ±5%', unit: 'Ω' } }] })
    expect(readLines([['maker', 'model']])).toEqual({
      problem: 'The first row names no column "check" and no column "limit (Ω)". It must name the columns.',
    })
    expect(readLines([])).toHaveProperty('problem')
  })

  test.each([
    ['=1+1', true],
    ['@sum', true],
    ['+cmd', true],
    ['-2+3', false],
    ['+', false],
    ['- ', false],
    ["'=safe", false],
    ['  =1+1', true],
    ['\u0001=1+1', true],
    ['\u200b@sum', true],
    ['＝1+1', true],
    ['＋cmd', true],
    ['－2', false],
    ["' ＝safe", false],
  ])('a cell %s is a formula: %s', (cell, formula) => {
    const read = readLines([
      ['model', 'check', 'limit (Ω)', 'from'],
      ['F2', 'coil', '5 ±5%', cell],
    ])
    expect('lines' in read && read.lines[0]?.problem !== undefined).toBe(formula)
  })

  test.each(['=1', ' =1', '\u0007+x', '\ufeff@x', '＝1', '\u2003－x', '\t', '\rx'])(
    'a cell %j goes out defused, and comes back as it was',
    (cell) => {
      expect(formulaCell.test(cell)).toBe(true)
      const read = readLines([
        ['model', 'check', 'limit (Ω)', 'from'],
        ['F2', 'coil', '5 ±5%', `'${cell}`],
      ])
      expect('lines' in read && read.lines[0]).toMatchObject({ line: { from: cell.trim() } })
    },
  )

  test.each(['1=1', 'a+b', '4.7k', '°C', 'a@b', '', ' '])('a cell %j is none, and goes out as it is', (cell) => {
    expect(formulaCell.test(cell)).toBe(false)
  })

  test('any cells are read or refused in a sentence, and never throw', () => {
    const heads = ['model', 'check', 'limit (Ω)', 'limit (V)', 'grade', 'for', 'card id']
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ maxLength: 40 }), { minLength: 7, maxLength: 7 }), { maxLength: 5 }),
        (rows) => {
          const read = readLines([heads, ...rows])
          if ('problem' in read) return
          for (const one of read.lines) {
            if (one.problem !== undefined) continue
            const applied = applyLine(twin, one.line, false)
            if (!('problem' in applied)) expect(cardSchema.safeParse(applied.card).success).toBe(true)
          }
        },
      ),
    )
  })
})

describe('one line on a card', () => {
  test.each([
    [{ unit: 'furlong' }, 'no unit known'],
    [{ for: 'old' }, 'say any, new, used or rewound'],
    [{ grade: 'sure' }, 'say maker'],
    [{ kind: 'bars' }, 'a file can make'],
    [{ limit: '318' }, 'a lone figure says no limit'],
    [{ limit: '' }, 'has no limit'],
    [{ referenceC: 'warm' }, 'no temperature'],
    [{ from: '' }, 'says not from where to where'],
    [{ to: 'Red' }, 'to the same point'],
  ])('%j is refused: %s', (changes, words) => {
    expect(problem(changes)).toContain(words)
  })

  test('finds its check by id, by name, by its ends; else makes it with its terminals', () => {
    const at = { source: 'another', limit: '300–340' }
    for (const changes of [{ checkId: 'low' }, { check: 'Low-speed coil' }, { check: 'x', from: 'ORANGE', to: 'grey' }])
      expect(problem({ ...at, ...changes })).toBe('another-limit')
    const applied = applyLine(twin, line({ check: 'kill wire', from: 'blue', to: 'Frame' }), false)
    if ('problem' in applied) throw new Error(applied.problem)
    const { card } = applied
    expect(card.checks.at(-1)).toMatchObject({ label: 'kill wire', at: { pair: [card.terminals.at(-1)?.id, 'frame'] } })
    expect(twin.terminals).toHaveLength(card.terminals.length - 1)
  })

  test('a limit of the same source is replaced and keeps its reference, another stands beside it', () => {
    const own = { checkId: 'low', source: 'Orrinvale bench sheet 18-E', grade: 'maker' }
    const applied = applyLine(twin, line({ ...own, limit: '320 ±5%' }), false)
    expect(applied).toMatchObject({ what: 'changed', detail: 'was 318 ±10 %' })
    if ('problem' in applied) throw new Error(applied.problem)
    const low = applied.card.checks.find((check) => check.id === 'low')
    expect(low?.limits[0]).toMatchObject({ id: 'l1', referenceC: 20, limit: { value: 320 } })
    expect(low?.limits).toHaveLength(2)
    expect(problem({ ...own, limit: '318 ±10%' })).toBe('same')
  })

  test.each([
    ['kΩ', '4,35 ±7%', 4350],
    ['MΩ', '2 ±7%', 2e6],
    ['kΩ', '318 Ω ±7%', 318],
  ])('under %s the cell %s is %d Ω', (unit, limit, value) => {
    const applied = applyLine(twin, line({ check: 'new one', unit, limit }), true)
    if ('problem' in applied) throw new Error(applied.problem)
    expect(applied.card.checks.at(-1)?.limits[0]?.limit).toMatchObject({ value })
  })
})

test('units of a header, with their prefixes', () => {
  expect(readUnit('kohm')).toMatchObject({ unit: 'Ω', factor: 1000 })
  expect(readUnit('insulation MΩ')).toMatchObject({ quantity: 'insulation', factor: 1e6 })
  expect(readUnit('uF')).toMatchObject({ quantity: 'capacitance', factor: 1e-6 })
  expect(readUnit('mH')).toMatchObject({ quantity: 'inductance', factor: 1e-3 })
  expect(readUnit('furlong')).toBeUndefined()
})

test('a new model gets a draft of a known family, or a sentence', () => {
  expect(draftFor(line({ family: 'Ignition stator', partNumbers: 'a; b;' }), id)).toMatchObject({
    family: 'ignition-stator',
    name: { partNumbers: ['a', 'b'] },
  })
  expect(draftFor(line({ family: 'toaster' }), id)).toContain('not one of')
})

test('the example of docs/formats.md is read', () => {
  const [, text = ''] = /```csv\n(.*?)```/s.exec(readFileSync('docs/formats.md', 'utf8')) ?? []
  const read = readLines(
    text
      .trim()
      .split('\n')
      .map((row) => row.split(',')),
  )
  if ('problem' in read) throw new Error(read.problem)
  let card = draftFor(read.lines[0]?.line ?? line({}), id)
  for (const one of read.lines) {
    if (typeof card === 'string') throw new Error(card)
    const applied = applyLine(card, one.line, false)
    if ('problem' in applied) throw new Error(applied.problem)
    card = applied.card
  }
  expect(cardSchema.safeParse(card).success).toBe(true)
  expect(card).toMatchObject({
    checks: [{ kind: 'look' }, { label: 'charge coil', limits: [{ source: 's1' }, { source: 's2' }] }],
  })
})
