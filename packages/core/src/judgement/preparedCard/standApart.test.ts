import { describe, expect, test } from '@jest/globals'
import type { Card, Check } from '../../document'
import { pickupCard, plainCheck } from '../../testing'
import { prepareCard } from './prepareCard'
import { standApart } from './standApart'

/** A pickup of two coils, A–B and D–E, with a shield, and a frame where it is asked for. */
const apart = (
  pair: [string, string],
  more: Partial<Check> = {},
  changes: Partial<Card> = {},
  band?: { max: number },
) => {
  const it = { ...plainCheck('it', 'resistance', { pair }), ...more }
  const own = prepareCard({ ...pickupCard(), ...changes, checks: [it] })
  const check = own.checks.get('it')
  if (!check) throw new Error('the card has it')
  return standApart(own, check, pair, band)
}

describe('what nothing may join', () => {
  test('is two windings, or a winding and the frame', () => {
    expect(apart(['A', 'D'])).toBe(true)
    expect(apart(['frame', 'E'])).toBe(true)
  })

  test('is not one winding, nor a terminal of none', () => {
    expect(apart(['A', 'B'])).toBe(false)
    expect(apart(['A', 'nowhere'])).toBe(false)
    expect(apart(['frame', 'nowhere'])).toBe(false)
  })

  test('is not what a maximum says is joined, or what the test itself finds out', () => {
    expect(apart(['A', 'D'], {}, {}, { max: 5 })).toBe(false)
    for (const kind of ['contacts', 'pair-matrix', 'three-pins'] as const)
      expect(apart(['A', 'D'], { kind })).toBe(false)
  })

  test('is not a shield, a ground lead, or what is joined for the test', () => {
    expect(apart(['A', 'sh'])).toBe(false)
    const ground = pickupCard().terminals.map((one) =>
      one.id === 'D' ? { ...one, part: 'ground-lead' as const } : one,
    )
    expect(apart(['A', 'D'], {}, { terminals: ground })).toBe(false)
    expect(apart(['A', 'D'], { conditions: { joined: [['D', 'A']] } })).toBe(false)
    expect(apart(['A', 'D'], { conditions: { joined: [['D', 'B']] } })).toBe(true)
  })

  test('is not what electronics stand between', () => {
    const care = { ...pickupCard().care, electronicsBetween: [['A', 'D']] as [string, string][] }
    expect(apart(['D', 'A'], {}, { care })).toBe(false)
    expect(apart(['D', 'B'], {}, { care })).toBe(true)
  })
})
