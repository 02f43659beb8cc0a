import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { pairResistance } from '../../network'
import { chargingCard, twinCard } from '../../testing'
import { prepareCard } from './prepareCard'

const limitOf = (card = twinCard(), check: string, history: 'new' | 'used' | 'rewound' = 'used') =>
  prepareCard(card).checks.get(check)?.limits[history][0]

describe('limits of a card', () => {
  test('a derived pair has the sum of its windings’ limits, with the weakest grade used', () => {
    expect(limitOf(twinCard(), 'series')).toMatchObject({ band: { min: 319.05, max: 389.95 }, grade: 'maker' })
    expect(limitOf(twinCard(), 'series', 'rewound')).toMatchObject({
      band: { min: 292.1, max: 389.95 },
      grade: 'measured',
    })
  })

  test('derived limits hold every network inside its windings’ limits', () => {
    const card = twinCard()
    const { min = 0, max = 0 } = limitOf(card, 'series')?.band ?? {}
    const share = fc.double({ min: 0.9, max: 1.1, noNaN: true })
    fc.assert(
      fc.property(share, share, (low, high) => {
        const windings = card.windings.map((one) => ({
          ...one,
          ohms: (one.ohms ?? 0) * (one.id === 'low' ? low : one.id === 'high' ? high : 1),
        }))
        const ohms = Number(pairResistance({ nodes: card.terminals.map((one) => one.id), windings, a: 'G', b: 'T' }))
        expect(ohms).toBeGreaterThanOrEqual(min * (1 - 1e-12))
        expect(ohms).toBeLessThanOrEqual(max * (1 + 1e-12))
      }),
    )
  })

  test('history goes before grade, and never another history’s', () => {
    const card = twinCard()
    expect(limitOf(card, 'low', 'rewound')?.id).toBe('l2')
    expect(limitOf(card, 'low', 'new')?.id).toBe('l1')
    const only = twinCard()
    only.checks = only.checks.map((check) => ({
      ...check,
      limits: check.limits.filter((limit) => limit.for === 'rewound'),
    }))
    expect(limitOf(only, 'low', 'used')).toBeUndefined()
  })

  test('one wire stands for all that are joined to it', () => {
    const points = prepareCard(twinCard()).checks.get('frame')?.points
    expect(points?.map((point) => point.covers)).toEqual([
      ['O', 'G', 'T'],
      ['V', 'VW'],
    ])
    expect(prepareCard(chargingCard()).checks.get('frame')?.points).toHaveLength(1)
  })
})

describe('what a unit asks of its card', () => {
  const card = () => {
    const made = twinCard()
    made.variants = [
      { id: 'early', label: 'Early' },
      { id: 'late', label: 'Late' },
    ]
    made.checks = made.checks.flatMap((check) =>
      check.id === 'low'
        ? [check, { ...check, id: 'early', only: ['early'] }, { ...check, id: 'set', items: 4 }]
        : [check],
    )
    return made
  }
  const has = (unit: { variant?: string; items?: number }, check: string) => prepareCard(card(), unit).checks.get(check)

  test('a check that is for one variant alone is of that one; what names none is of all', () => {
    expect(has({ variant: 'early' }, 'early')).toBeDefined()
    expect(has({ variant: 'late' }, 'early')).toBeUndefined()
    expect(has({}, 'early')).toBeUndefined()
    expect(has({ variant: 'late' }, 'low')).toBeDefined()
  })

  test('another number of items is that of the checks that count items', () => {
    expect(has({}, 'set')?.items).toBe(4)
    expect(has({ items: 6 }, 'set')?.items).toBe(6)
    expect(has({ items: 6 }, 'low')).not.toHaveProperty('items')
  })
})
