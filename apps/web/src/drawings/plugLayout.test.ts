import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card, Plug } from '@sure-spool/core'
import fc from 'fast-check'
import { heldWords, holdPlug } from './plugLayout'

const card = JSON.parse(readFileSync('demo/cards/orrinvale-18-twin.json', 'utf8')) as Card
const plug = card.plugs[0] as Plug
const places = (flipped: boolean, turns: number) =>
  Object.fromEntries(
    holdPlug(plug, flipped, turns).cells.map((cell) => [cell.terminal ?? 'empty', [cell.column, cell.row]]),
  )

describe('a plug as it is held', () => {
  test('flipped, left and right change places and the notch goes over', () => {
    expect(places(true, 0)).toMatchObject({ T: [2, 0], G: [0, 0], empty: [2, 1] })
    expect(holdPlug(plug, true, 0)).toMatchObject({ key: { kind: 'notch', side: 'right' }, seen: 'mating side' })
    expect(heldWords(holdPlug(plug, false, 0))).toBe('wire side, sockets, notch left')
  })

  test('turned a quarter clockwise, the top left cavity stands at the top right', () => {
    expect(places(false, 1)).toMatchObject({ T: [1, 0], G: [1, 2], empty: [0, 0] })
    expect(holdPlug(plug, false, 1)).toMatchObject({ columns: 2, rows: 3, key: { side: 'top' } })
  })

  test('four turns, or two flips, are none; no two cavities ever share a place', () => {
    fc.assert(
      fc.property(fc.boolean(), fc.integer({ min: -8, max: 8 }), (flipped, turns) => {
        expect(holdPlug(plug, flipped, turns + 4)).toEqual(holdPlug(plug, flipped, turns))
        const held = holdPlug(plug, flipped, turns)
        expect(new Set(held.cells.map((cell) => `${cell.column},${cell.row}`)).size).toBe(plug.cavities.length)
        expect(held.cells.every((cell) => cell.column < held.columns && cell.row < held.rows)).toBe(true)
      }),
    )
  })
})

test('what is drawn from outside is told by a word that is no verdict', () => {
  const posts: Plug = { ...plug, drawnFrom: 'outside' }
  expect([holdPlug(posts, false, 0).seen, holdPlug(posts, true, 0).seen]).toEqual(['outer side', 'back'])
})
