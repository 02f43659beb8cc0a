import { describe, expect, test } from '@jest/globals'
import type { Card } from '../document'
import { plainCheck, twinCard, valveCard } from '../testing'
import { cardRemarks } from './cardRules'
import { gaugesTooNear, oddPoles, winderDirection } from './rewindRules'

describe('a card before it is published', () => {
  const check = (id: string, max: number, min?: number) =>
    plainCheck(
      id,
      'resistance',
      { pair: ['1', '2'] },
      min === undefined ? { kind: 'atMost', value: max } : { kind: 'band', min, max },
    )
  const said = (card: Card) => cardRemarks(card).map((one) => [one.id, one.check])
  const changed = (one: ReturnType<typeof check>) => valveCard({ checks: [one], relations: [] })

  test('a winding without a minimum has no floor', () => {
    expect(said(changed(check('coil', 8.4)))).toEqual([['no-floor', 'coil']])
    expect(said(changed(check('coil', 8.4, 7.6)))).toEqual([])
  })

  test('two limits of one grade that do not overlap contradict each other, and so does a whole its windings', () => {
    const one = check('coil', 8.4, 7.6)
    const other = { id: 'l2', for: 'any' as const, limit: { kind: 'band' as const, min: 9, max: 10 }, source: 's1' }
    expect(said(changed({ ...one, limits: [...one.limits, other] }))).toEqual([['limits-conflict', 'coil']])
    const near = { ...other, limit: { kind: 'band' as const, min: 8, max: 10 } }
    expect(said(changed({ ...one, limits: [...one.limits, near] }))).toEqual([])
  })

  test('the demo’s own card has nothing against it', () => expect(said(twinCard())).toEqual([]))
})

describe('rewinding', () => {
  test('two gauges that fit the micrometer, poles that cannot alternate, a direction not settled', () => {
    expect(gaugesTooNear({ candidates: [43, 44] })?.id).toBe('gauges-too-near')
    expect(gaugesTooNear({ candidates: [18] })).toBeNull()
    expect(oddPoles({ poles: 9 })?.severity).toBe('stop')
    expect(oddPoles({ poles: 8 })).toBeNull()
    expect(winderDirection({ settled: false })?.id).toBe('winder-direction')
    expect(winderDirection({ settled: true })).toBeNull()
  })
})
