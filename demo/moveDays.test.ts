import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Shop } from '@sure-spool/contract'
import { moveDays } from './moveDays.mjs'

const text = readFileSync('demo/shop.json', 'utf8')
const before = JSON.parse(text) as Shop
const on = (day: string) => JSON.parse(moveDays(text, new Date(day))) as Shop
const moments = ({ cards: _cards, ...rest }: Shop) =>
  (JSON.stringify(rest).match(/\d{4}-\d{2}-\d{2}T[\d:.]+Z/g) ?? []).map((one) => Date.parse(one))
const dayMs = 86_400_000

describe('the demo is loaded on the days before now', () => {
  test.each(['2026-11-28T10:00:00', '2027-03-01T08:00:00', '2025-01-01T23:30:00'])(
    'yesterday is its last working day: %s',
    (now) => {
      const yesterday = new Date(Date.parse(`${now.slice(0, 10)}T00:00:00Z`) - dayMs).toISOString().slice(0, 10)
      const last = new Date(Math.max(...moments(on(now)))).toISOString()
      expect(last.slice(0, 10)).toBe(yesterday)
    },
  )

  test('everything moves by the same whole days, and the cards stay', () => {
    const moved = on('2027-03-01T08:00:00')
    const shifts = new Set(moments(moved).map((one, i) => one - (moments(before)[i] ?? 0)))
    expect(shifts.size).toBe(1)
    expect([...shifts].every((by) => by % dayMs === 0)).toBe(true)
    expect(moved.cards).toEqual(before.cards)
    expect(moved.units.map(({ tag }) => tag)).toEqual(before.units.map(({ tag }) => tag))
  })
})
