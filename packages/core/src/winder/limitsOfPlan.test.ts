import { describe, expect, test } from '@jest/globals'
import { twinCard } from '../testing'
import { limitsOfPlan } from './limitsOfPlan'
import type { CoilState, WholeWinding } from './rewindStanding'

const card = twinCard()
const whole = (winding: string) => ({ winding, turns: 599.7, low: 300, high: 340 }) as WholeWinding
const coil = (winding: string, isWound = true) =>
  ({ coil: { id: 'c', winding, label: '' }, ...(isWound ? { wound: {} } : {}) }) as CoilState
const limits = (winding: string, ...coils: CoilState[]) => limitsOfPlan({ wholes: [whole(winding)], coils }, card)

describe('the plan of a rewind as the unit’s limits', () => {
  test('the band on the check between its ends', () =>
    expect(limits('low', coil('low'), coil('low'), coil('high', false))).toEqual([
      { check: 'low', limit: { kind: 'band', min: 300, max: 340 }, source: 'rewind', text: '600 turns planned' },
    ]))
  test.each([
    ['a coil is not wound', limits('low', coil('low'), coil('low', false))],
    ['the card does not have the winding', limits('none such', coil('none such'))],
    ['no check lies between its ends', limitsOfPlan({ wholes: [whole('low')], coils: [] }, { ...card, checks: [] })],
  ])('none where %s', (_what, found) => expect(found).toEqual([]))
})
