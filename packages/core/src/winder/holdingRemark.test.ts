import { describe, expect, test } from '@jest/globals'
import { holdingRemark } from './holdingRemark'
import type { RewindRemark, RewindStep } from './rewindStanding'

const remark = (id: RewindRemark['id'], more: Partial<RewindRemark> = {}): RewindRemark => ({
  id,
  severity: 'stop',
  params: {},
  key: id,
  ...more,
})
const wind: RewindStep = { id: 'wind:c1', phase: 'wind', coil: 'c1', status: 'to-do' }
const prove: RewindStep = { id: 'prove', phase: 'prove', status: 'to-do' }
const held = (step: RewindStep, ...remarks: RewindRemark[]) => holdingRemark({ remarks }, step)?.id

describe('what holds a step at the winder', () => {
  test.each(['winder-direction', 'odd-poles', 'ground-beeps'] as const)('%s holds the winding', (id) => {
    expect(held(wind, remark(id))).toBe(id)
    expect(held(wind, remark(id, { answered: true }))).toBeUndefined()
  })

  test('a beep holds its own coil, and a pole laid alike holds no other', () => {
    expect(held(wind, remark('ground-beeps', { coil: 'c2' }))).toBeUndefined()
    expect(held(wind, remark('laid-alike', { coil: 'c1' }))).toBeUndefined()
    expect(held(prove, remark('laid-alike', { coil: 'c1' }))).toBe('laid-alike')
  })

  test('only a stop holds, and no step of stripping or planning', () => {
    expect(held(prove, remark('turns-off', { severity: 'warn' }))).toBeUndefined()
    expect(held({ id: 'plan:c1', phase: 'plan', coil: 'c1', status: 'to-do' }, remark('odd-poles'))).toBeUndefined()
  })
})
