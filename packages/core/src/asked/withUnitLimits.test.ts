import { describe, expect, test } from '@jest/globals'
import type { Card, UnitLimit } from '../document'
import { runState } from '../state'
import { Script, twinCard } from '../testing'
import { withUnitLimits } from './withUnitLimits'

const limit = (min: number, max: number, source: UnitLimit['source'] = 'rewind'): UnitLimit => ({
  check: 'low',
  limit: { kind: 'band', min, max },
  source,
  text: '600 turns planned',
})
/** The twin without a figure for its low-speed coil. */
function bare(limits: Card['checks'][number]['limits'] = []): Card {
  const card = twinCard()
  for (const check of card.checks) if (check.id === 'low') check.limits = limits
  return card
}
const judged = (card: Card, ...limits: UnitLimit[]) => {
  const script = new Script(card).ready().read('low', '322')
  const run = { ...script.run, limits }
  return withUnitLimits(run).card.checks.find(({ id }) => id === 'low')?.limits ?? []
}

describe('limits of one unit alone', () => {
  test('stand where the card has none, with their source and its grade', () => {
    expect(judged(bare(), limit(300, 340))).toMatchObject([
      { for: 'any', limit: { min: 300, max: 340 }, source: 'unit-rewind', referenceC: 20, text: '600 turns planned' },
    ])
    const run = { ...new Script(bare()).run, limits: [limit(300, 340), limit(310, 330, 'told')] }
    expect(withUnitLimits(run).card.sources.slice(-2)).toMatchObject([{ grade: 'measured' }, { grade: 'told' }])
    const both = withUnitLimits(run).card.checks.find(({ id }) => id === 'low')?.limits ?? []
    expect(both.map(({ referenceC }) => referenceC)).toEqual([20, undefined])
    expect(withUnitLimits(run).card).toBe(withUnitLimits(run).card)
  })

  test('and beside one that is for new or used parts only', () => {
    const of = (who: 'new' | 'used' | 'any' | 'rewound') =>
      judged(bare([{ ...limit(1, 2), id: 'l', for: who, source: 's1' }] as never), limit(300, 340)).length
    expect([of('new'), of('used'), of('any'), of('rewound')]).toEqual([2, 2, 1, 1])
  })

  test('never where ohms are derived from the card’s winding; where it states none they are no limit', () => {
    const derived = bare([{ id: 'l', for: 'any', limit: 'derived', source: 's1' }])
    expect(judged(derived, limit(300, 340))).toHaveLength(1)
    for (const winding of derived.windings) delete winding.ohms
    expect(judged(derived, limit(300, 340))).toHaveLength(2)
  })

  test('a run without them, or with one on no check of its card, is itself', () => {
    const { run } = new Script(bare())
    expect(withUnitLimits(run)).toBe(run)
    const strange = { ...run, limits: [{ ...limit(1, 2), check: 'none such' }] }
    expect(withUnitLimits(strange)).toBe(strange)
  })

  test('judge the unit', () => {
    const script = new Script(bare()).ready().read('low', '322')
    const state = runState({ ...script.run, limits: [limit(300, 340)] })
    expect(state.checks.find(({ check }) => check.id === 'low')?.verdict).toBe('within')
  })
})
