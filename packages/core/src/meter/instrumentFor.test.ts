import { describe, expect, test } from '@jest/globals'
import { bridgeMeter, growler, insulationTester, knobMeter, pocketMeter, windingTester } from '../testing'
import { instrumentFor, instrumentsFor } from '.'

const kit = [pocketMeter, knobMeter, insulationTester, bridgeMeter, growler]
const ids = (quantity: Parameters<typeof instrumentsFor>[1], some = kit) =>
  instrumentsFor(some, quantity).map(({ id }) => id)

describe('a step asks for an instrument that reads its quantity', () => {
  test('in the order of the kit', () => {
    expect(ids('resistance')).toEqual(['m2', 'k3'])
    expect(ids('inductance')).toEqual(['l4'])
    expect(ids('current')).toEqual(['m2', 'g1'])
    expect(ids('field')).toEqual([])
  })
  test('for insulation a tester first, the ohms of a multimeter behind it', () => {
    expect(ids('insulation')).toEqual(['t1', 'm2', 'k3'])
    expect(ids('insulation', [knobMeter, bridgeMeter])).toEqual(['k3'])
  })
  test('amperes from bar to bar by what reads them alone, volts there and amperes elsewhere by the multimeter', () => {
    expect(instrumentsFor(kit, 'current', 'bars').map(({ id }) => id)).toEqual(['g1', 'm2'])
    expect(instrumentFor(kit, 'current', undefined, '', 'bars')?.id).toBe('g1')
    expect(instrumentFor(kit, 'current', 'm2', '', 'bars')?.id).toBe('m2')
    expect(instrumentFor(kit, 'current', undefined, '', 'current')?.id).toBe('m2')
    expect(instrumentFor(kit, 'voltage', undefined, '', 'bars')?.id).toBe('m2')
  })
  test('a function without a range reads nothing', () => {
    const empty = { ...pocketMeter, functions: [{ quantity: 'resistance' as const, ranges: [] }] }
    expect(ids('resistance', [empty, knobMeter])).toEqual(['k3'])
  })
  test('the one in the hand stays where it can read it', () => {
    expect(instrumentFor(kit, 'resistance', 'k3')?.id).toBe('k3')
    expect(instrumentFor(kit, 'inductance', 'k3')?.id).toBe('l4')
    expect(instrumentFor(kit, 'insulation', 'k3')?.id).toBe('k3')
    expect(instrumentFor(kit, 'field', 'm2')).toBeUndefined()
  })
  test('one taken up for something else stays in the hand where it is made for this too, unless another was taken up for it', () => {
    const both = [...kit, windingTester]
    expect(instrumentFor(both, 'insulation', undefined, 'w5')?.id).toBe('w5')
    expect(instrumentFor(both, 'insulation', 't1', 'w5')?.id).toBe('t1')
    expect(instrumentFor(both, 'insulation', undefined, 'k3')?.id).toBe('t1')
    expect(instrumentFor(both, 'current', undefined, 'w5')?.id).toBe('m2')
  })
})
