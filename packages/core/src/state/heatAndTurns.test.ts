import { describe, expect, test } from '@jest/globals'
import type { Card, Limit, Winding } from '../document'
import { plainCard, plainCheck, Script } from '../testing'
import { expectedAt, sharesThatCouldBeGone } from './heatAndTurns'

const terminal = (id: string) => ({ id, label: id, aliases: [] })
const band: Limit = { kind: 'band', min: 90, max: 110 }
const winding = (from: string, to: string, material: Winding['material'] = 'copper'): Winding => ({
  id: `${from}${to}`,
  label: `${from}${to}`,
  from,
  to,
  material,
})
/** A part of two windings in series, A to B to C, with one check over A and B as it is given. */
const partOf = (check: Partial<Card['checks'][number]> = {}, windings = [winding('A', 'B'), winding('B', 'C')]) =>
  new Script(
    plainCard({
      family: 'other',
      terminals: ['A', 'B', 'C', 'frame'].map(terminal),
      windings,
      checks: [{ ...plainCheck('it', 'resistance', { pair: ['A', 'B'] }, band), ...check }],
    }),
  ).ready()
const read = (text = '100.0', ...args: Parameters<typeof partOf>) =>
  partOf(...args)
    .read('it', text)
    .state()

describe('what a winding is to read at another temperature', () => {
  test('is its own metal’s law, from what it reads at its reference', () => {
    const [copper] = expectedAt(read(), 80)
    expect(copper?.check).toBe('it')
    expect(copper?.ohms).toBeCloseTo((100 * (234.5 + 80)) / (234.5 + 20), 6)
    const [aluminium] = expectedAt(read('100.0', {}, [winding('A', 'B', 'aluminium')]), 80)
    expect(aluminium?.ohms).toBeCloseTo((100 * (225 + 80)) / (225 + 20), 6)
  })

  test('begins at the limit’s own reference where it has one', () => {
    const at25 = { limits: [{ id: 'l', for: 'any' as const, limit: band, source: 's1', referenceC: 25 }] }
    const [one] = expectedAt(read('100.0', at25), 25)
    expect(one?.ohms).toBeCloseTo((100 * (234.5 + 25)) / (234.5 + 20), 6)
  })

  test.each([
    ['a resistive lead follows no metal', {}, [winding('A', 'B', 'resistive')]],
    ['with no winding between, no metal is known', {}, []],
    ['a continuity has no ohms to expect', { kind: 'continuity' as const }, undefined],
    [
      'what should be open has none',
      { limits: [{ id: 'l', for: 'any' as const, limit: { kind: 'open', atLeast: 10 } as Limit, source: 's1' }] },
      undefined,
    ],
  ])('%s', (_, check, windings) => {
    expect(expectedAt(read('100.0', check, windings ?? [winding('A', 'B')]), 80)).toEqual([])
  })

  test('what was not read, or read open, is left out', () => {
    expect(expectedAt(partOf({}).state(), 80)).toEqual([])
    expect(expectedAt(read('OL 2k'), 80)).toEqual([])
  })
})

describe('the share of its turns that a coil could have lost', () => {
  test('is what it lies under its upper limit', () => {
    expect(sharesThatCouldBeGone(read('99.0'))).toEqual([
      { check: 'it', ohms: 99, upper: 110, share: expect.any(Number) },
    ])
    expect(sharesThatCouldBeGone(read('99.0'))[0]?.share).toBeCloseTo(0.1, 12)
  })

  test.each([
    ['at its upper limit', '110.0', {}],
    ['above it', '120.0', {}],
    ['over two windings', '100.0', { at: { pair: ['A', 'C'] } as const }],
    [
      'without an upper limit',
      '100.0',
      { limits: [{ id: 'l', for: 'any', limit: { kind: 'atLeast', value: 90 }, source: 's1' }] },
    ],
    ['without a limit', '100.0', { limits: [] }],
    ['a continuity', '100.0', { kind: 'continuity' }],
    ['read open', 'OL 2k', {}],
  ] as [string, string, Partial<Card['checks'][number]>][])('%s nothing is said', (_, text, check) => {
    expect(sharesThatCouldBeGone(read(text, check))).toEqual([])
  })

  test('before anything was read nothing is said', () => {
    expect(sharesThatCouldBeGone(partOf({}).state())).toEqual([])
  })
})
