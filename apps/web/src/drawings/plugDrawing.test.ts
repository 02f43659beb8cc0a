import { describe, expect, test } from '@jest/globals'
import { twinCard } from '@sure-spool/core/testing'
import type { Card, Plug, PlugShape, Side } from '@sure-spool/core'
import fc from 'fast-check'
import { chainsOf } from './chains'
import { cell, plugDrawing } from './plugDrawing'
import { holdPlug } from './plugLayout'

const card = twinCard()
const long = 'violet with a white tracer, the longer one of the two, by the tab'
function plugOf(shape: PlugShape, count: number, side: Side = 'bottom', rows = 1): Plug {
  const columns = count / rows
  return {
    id: 'p',
    label: 'plug',
    shape,
    size: rows > 1 ? { columns, rows } : { count },
    key: { kind: 'latch', side },
    drawnFrom: 'wire side',
    cavities: Array.from({ length: count }, (_, i) => ({
      at: [i % columns, Math.floor(i / columns)],
      terminal: card.terminals[i % card.terminals.length]?.id ?? null,
    })),
  }
}
const named = (label: string): Card => ({ ...card, terminals: card.terminals.map((one) => ({ ...one, label })) })
const drawn = (plug: Plug, on = card, turns = 0) => plugDrawing({ card: on, plug, ring: [], flipped: false, turns })

describe('a round plug, and a triangle, are laid out as they are', () => {
  test('round: the first at the top, clockwise, neighbours a cell apart', () => {
    const { cells, columns } = holdPlug(plugOf('circle', 4), false, 0)
    expect(cells.map(({ column, row }) => [column, row].map((one) => Number(one.toFixed(3))))).toEqual([
      [0.764, 0],
      [1.527, 0.764],
      [0.764, 1.527],
      [0, 0.764],
    ])
    expect(columns).toBeCloseTo(2.527, 3)
  })

  test('a triangle: one at the top, two below', () => {
    const { cells } = holdPlug(plugOf('triangle', 3), false, 0)
    expect(cells.map(({ column, row }) => [column, row])).toEqual([
      [0.5, 0],
      [0, 1],
      [1, 1],
    ])
  })

  test('flipped, the second of a circle is where the last was', () => {
    const [, second] = holdPlug(plugOf('circle', 4), true, 0).cells
    expect(second?.column).toBeCloseTo(0, 9)
  })
})

describe('a drawing holds all it shows', () => {
  const shapes: PlugShape[] = ['grid', 'row', 'triangle', 'circle', 'posts']
  const sides: Side[] = ['top', 'right', 'bottom', 'left']

  test('no cell lies on another or outside of the shell, no name is cut at an edge, whatever the shape and the turn', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.integer({ min: 1, max: 9 }),
        fc.constantFrom(...sides),
        fc.integer({ min: 0, max: 3 }),
        (shape, count, side, turns) => {
          const { cells, width, height, box } = drawn(plugOf(shape, count, side), card, turns)
          for (const [i, one] of cells.entries()) {
            expect(one.x).toBeGreaterThanOrEqual(box.x)
            expect(one.x + cell.width).toBeLessThanOrEqual(box.x + box.width + 1e-6)
            expect(one.y + cell.height).toBeLessThanOrEqual(box.y + box.height + 1e-6)
            expect(one.labelY).toBeGreaterThanOrEqual(15)
            expect(one.labelY).toBeLessThanOrEqual(height - 5)
            for (const other of cells.slice(i + 1))
              expect(
                Math.abs(one.x - other.x) >= cell.width - 1e-6 || Math.abs(one.y - other.y) >= cell.height - 1e-6,
              ).toBe(true)
          }
          expect(box.x + box.width).toBeLessThanOrEqual(width)
        },
      ),
    )
  })

  test('long names are cut to the room they have, and kept in full beside', () => {
    for (const plug of [plugOf('grid', 4, 'bottom', 2), plugOf('circle', 4), plugOf('row', 4)])
      for (const one of drawn(plug, named(long)).cells) {
        expect(one.label.length).toBeLessThan(long.length)
        expect(one.label).toMatch(/…$/)
        expect(one.name).toBe(long)
      }
    expect(drawn(plugOf('grid', 4, 'bottom', 2), named('tan')).cells.map(({ label }) => label)).toEqual(
      Array(4).fill('tan'),
    )
  })

  test('in one row long names go up and down by turns, short ones stay above', () => {
    const heights = (label: string) =>
      new Set(drawn(plugOf('row', 4), named(label)).cells.map(({ labelY }) => labelY)).size
    expect(heights('violet with white')).toBe(2)
    expect(heights('tan')).toBe(1)
  })

  test('a blade that is only counted is called by its number, and is not crossed out as an empty place is', () => {
    const counted: Plug = {
      ...plugOf('blades', 2),
      cavities: [
        { at: [0, 0], terminal: null, mark: '4' },
        { at: [1, 0], terminal: null },
      ],
    }
    expect(drawn(counted).cells.map(({ label, empty, sign }) => [label, empty, sign?.kind])).toEqual([
      ['4', false, 'plain'],
      ['empty', true, 'cross'],
    ])
  })

  test('the pair is joined, to the frame below where that is one of them, and the other windings are faint', () => {
    const [plug] = card.plugs
    if (!plug) throw new Error('the twin has a plug')
    const between = (ring: string[]) => plugDrawing({ card, plug, ring, flipped: false, turns: 0 })
    expect(between(['O', 'G']).join).not.toBe('')
    expect(between(['O', 'G']).frame).toBeUndefined()
    expect(between(['O', 'G']).faint.length).toBe(between([]).faint.length - 1)
    const framed = between(['O', 'frame'])
    expect(framed.frame?.y).toBeGreaterThan(framed.box.y + framed.box.height)
    expect(framed.height).toBeGreaterThan(between(['O', 'G']).height)
    expect(between(['frame', 'nowhere']).join).toBe('')
  })
})

describe('windings in chains', () => {
  const winding = (id: string, from: string, to: string) => ({ id, label: id, from, to, material: 'copper' as const })
  const said = (...all: ReturnType<typeof winding>[]) =>
    chainsOf(all).map((chain) => [chain[0]?.from, ...chain.map(({ to }) => to)].join(' '))

  test('each joined to the next at a terminal, whichever way it is written, from either end', () => {
    expect(said(winding('1', 'a', 'b'), winding('2', 'c', 'b'))).toEqual(['a b c'])
    expect(said(winding('1', 'a', 'b'), winding('2', 'c', 'a'))).toEqual(['c a b'])
    expect(said(winding('1', 'a', 'b'), winding('2', 'a', 'c'))).toEqual(['c a b'])
    expect(said(winding('1', 'a', 'b'), winding('2', 'b', 'c'), winding('3', 'x', 'y'))).toEqual(['a b c', 'x y'])
    expect(said()).toEqual([])
  })

  test('every winding stands in one chain, once', () => {
    const end = fc.constantFrom('a', 'b', 'c', 'd', 'e')
    fc.assert(
      fc.property(fc.array(fc.tuple(end, end), { maxLength: 8 }), (ends) => {
        const all = ends.map(([from, to], i) => winding(String(i), from, to))
        const ids = chainsOf(all).flatMap((chain) => chain.map(({ id }) => id))
        expect(ids.toSorted()).toEqual(all.map(({ id }) => id).toSorted())
      }),
    )
  })
})
