import { describe, expect, test } from '@jest/globals'
import type { Card } from '@sure-spool/core'
import { twinCard } from '@sure-spool/core/testing'
import { plainLine } from '../testing/plainLine'
import { cellsOf, linesOf, readLines, readUnit, type FigureLine } from '.'
import { limitColumn } from './columns'

const head = ['maker', 'model', 'check', 'from', 'to', 'limit (Ω)', 'limit (kΩ)']
const row = (...cells: string[]) => ['Fernhollow', 'F2', 'coil', 'red', 'black', '318 ±10%', '', ...cells]
const read = (...cells: string[][]) => {
  const found = readLines(cells)
  if ('problem' in found) throw new Error(found.problem)
  return found.lines
}
/** The problem of one row whose cells were changed by their column's name. */
const problem = (changes: Record<string, string>) =>
  read(
    head,
    row().map((cell, i) => changes[head[i] ?? ''] ?? cell),
  )[0]?.problem

describe('a header', () => {
  test.each([
    ['limit (kΩ)', 'kΩ'],
    ['Limit(V)', 'V'],
    ['  LIMIT   (insulation MΩ) ', 'insulation MΩ'],
    ['limits (V)', undefined],
    ['a limit (V)', undefined],
    ['limit (V) old', undefined],
    ['limit ()', undefined],
    ['limit', undefined],
  ])('%j heads limits in %j', (name, unit) => {
    expect(limitColumn(name)).toBe(unit)
  })

  test.each([
    ['Ω', 'Ω', 1],
    ['mΩ', 'Ω', 1e-3],
    ['ohm', 'Ω', 1],
    ['Ohms', 'Ω', 1],
    ['k\u2126', 'Ω', 1e3],
    [' MΩ ', 'Ω', 1e6],
    ['insulation  GΩ', undefined, 0],
    ['insulation kΩ', 'insulation Ω', 1e3],
    ['insulationΩ', undefined, 0],
    ['V', 'V', 1],
    ['mV', 'V', 1e-3],
    ['uA', 'A', 1e-6],
    ['\u03bcA', 'A', 1e-6],
    ['µH', 'H', 1e-6],
    ['nF', 'F', 1e-9],
    ['pF', 'F', 1e-12],
    ['kkΩ', undefined, 0],
    ['Ωm', undefined, 0],
    ['insulation V', undefined, 0],
  ])('the unit %j is %j times %d', (text, unit, factor) => {
    expect(readUnit(text)).toEqual(unit === undefined ? undefined : expect.objectContaining({ unit, factor }))
  })

  test.each([
    ['Ω', 'resistance', 'resistance'],
    ['insulation Ω', 'insulation', 'insulation'],
    ['V', 'voltage', 'ac-output'],
    ['A', 'current', 'current'],
    ['H', 'inductance', 'inductance'],
    ['F', 'capacitance', 'capacitance'],
  ])('%j says the quantity, and the kind of check where none is said', (unit, quantity, kind) => {
    expect(readUnit(unit)).toMatchObject({ quantity, kind })
  })

  test('says what keeps it from being read, and which columns it lacks', () => {
    const needs = (names: string[]) => readLines([names])
    expect(needs(['model', 'check', 'limit (furlong)'])).toEqual({
      problem: 'The column "limit (furlong)" has a unit that is not known: use Ω, V, A, H or F.',
    })
    const lacks = (what: string) => ({ problem: `The first row names no column ${what}. It must name the columns.` })
    expect(needs(['check', 'limit (Ω)'])).toEqual(lacks('"model"'))
    expect(needs(['model', 'limit (Ω)'])).toEqual(lacks('"check"'))
    expect(needs(['model', 'check'])).toEqual(lacks('"limit (Ω)"'))
    expect(needs([])).toEqual(lacks('"model" and no column "check" and no column "limit (Ω)"'))
    expect(needs([' Model ', 'CHECK', 'limit (Ω)'])).toEqual({ lines: [] })
  })
})

describe('a row', () => {
  test('has the number that a spreadsheet gives it; an empty one is passed over', () => {
    const lines = read(head, row(), ['', '  ', ''], row(), [])
    expect(lines.map(({ row: at }) => at)).toEqual([2, 4])
    expect(lines[0]).toEqual({ row: 2, line: plainLine })
  })

  test('has its limit under one of the units; where it has none, under the first', () => {
    const limit = (ohms: string, kilo: string) => {
      const [one] = read(head, [...row().slice(0, 5), ohms, kilo])
      return [one?.line.limit, one?.line.unit, one?.problem]
    }
    expect(limit('318 ±10%', ' ')).toEqual(['318 ±10%', 'Ω', undefined])
    expect(limit('', ' 4.35 ±7% ')).toEqual(['4.35 ±7%', 'kΩ', undefined])
    expect(limit('', '')).toEqual(['', 'Ω', undefined])
    expect(limit('318', '0.318')).toEqual(['318', 'Ω', 'has limits in two columns; a row is one limit'])
  })

  test('each thing that keeps it from being read, in a sentence', () => {
    expect(problem({})).toBeUndefined()
    expect(problem({ model: ' ' })).toBe('names no model')
    expect(problem({ check: '' })).toBe('names no check')
    expect(problem({ maker: '' })).toBeUndefined()
    expect(problem({ maker: '=A1' })).toBe('has a formula in a cell; write the figure it gives')
    expect(problem({ maker: 'x'.repeat(2000) })).toBeUndefined()
    expect(problem({ maker: 'x'.repeat(2001) })).toBe('has a cell of more than 2,000 characters')
  })

  test('goes under a unit of its own on the way out, with no column that nothing uses', () => {
    const lines = linesOf(twinCard())
    const [low] = lines.filter(({ checkId }) => checkId === 'low')
    expect(low).toMatchObject({ unit: 'Ω', kind: 'resistance', for: 'any', revision: String(twinCard().revision) })
    const { fields, data } = cellsOf([{ ...(low as FigureLine), unit: 'V' }, low as FigureLine])
    expect(fields.slice(-2)).toEqual(['limit (Ω)', 'limit (V)'])
    expect(data.map((cells) => cells.slice(-2))).toEqual([
      ['', low?.limit],
      [low?.limit, ''],
    ])
    expect(cellsOf([low as FigureLine], ['A', 'Ω']).fields.slice(-2)).toEqual(['limit (A)', 'limit (Ω)'])
  })
})

test('what a card says of one check stands in its line, in words', () => {
  const card = twinCard()
  const low = card.checks.find(({ id }) => id === 'low')
  if (!low) throw new Error('the twin has a low coil')
  const limits = [
    { id: 'a', for: 'new' as const, limit: 'derived' as const, source: 'nowhere' },
    {
      id: 'b',
      for: 'any' as const,
      limit: { kind: 'none' as const },
      source: card.sources[0]?.id ?? '',
      referenceC: 0,
    },
  ]
  const lineOf = (changes: object) => linesOf({ ...card, checks: [{ ...low, limits, ...changes }] } as Card)
  const [first, second] = lineOf({})
  expect(first).toMatchObject({ limit: 'derived', source: '', grade: '', referenceC: '', for: 'new' })
  expect(second).toMatchObject({
    limit: 'none',
    source: card.sources[0]?.title,
    grade: card.sources[0]?.grade,
    referenceC: '0',
    partNumbers: card.name.partNumbers.join('; '),
    family: card.family,
  })
  const [one, two] = card.terminals
  const ends = (at: object) => {
    const [{ from, to } = { from: '', to: '' }] = lineOf({ at })
    return [from, to]
  }
  expect(ends({ pair: [one?.id, 'frame'] })).toEqual([one?.label, 'frame'])
  expect(ends({ each: [one?.id, two?.id], to: 'frame' })).toEqual([`${one?.label} ${two?.label}`, 'frame'])
  expect(ends({ among: [one?.id, two?.id] })).toEqual([`${one?.label} ${two?.label}`, ''])
  expect(ends({ place: 'coil' })).toEqual(['', ''])
  expect(lineOf({ kind: 'insulation' })[0]?.unit).toBe('insulation Ω')
  expect(lineOf({ kind: 'bars', at: { ring: 12 } })[0]?.unit).toBe('Ω')
})
