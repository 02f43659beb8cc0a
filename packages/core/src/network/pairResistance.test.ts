import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { pairResistance, type Resistor } from './pairResistance'

const nodes = ['a', 'b', 'c', 'd', 'e']
const resistor = fc.record({
  from: fc.constantFrom(...nodes),
  to: fc.constantFrom(...nodes),
  ohms: fc.double({ min: 0.01, max: 1e5, noNaN: true }),
})
const network = fc
  .array(resistor, { minLength: 1, maxLength: 9 })
  .map((all): Resistor[] => all.filter((one) => one.from !== one.to).map((one, i) => ({ id: `w${i}`, ...one })))
const between = (windings: Resistor[], a: string, b: string) => Number(pairResistance({ nodes, windings, a, b }))
const close = (a: number, b: number) => a === b || Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b))

describe('pairResistance', () => {
  test('the leads may be exchanged, and units scale out', () => {
    fc.assert(
      fc.property(network, fc.double({ min: 0.1, max: 1000, noNaN: true }), (windings, k) => {
        const there = between(windings, 'a', 'b')
        expect(close(there, between(windings, 'b', 'a'))).toBe(true)
        const scaled = windings.map((one) => ({ ...one, ohms: Number(one.ohms) * k }))
        expect(close(there * k, between(scaled, 'a', 'b'))).toBe(true)
      }),
    )
  })

  test('it obeys the triangle inequality and rises with every winding', () => {
    fc.assert(
      fc.property(network, fc.nat(), (windings, pick) => {
        const slack = 1 + 1e-9
        expect(between(windings, 'a', 'c')).toBeLessThanOrEqual(
          (between(windings, 'a', 'b') + between(windings, 'b', 'c')) * slack,
        )
        const at = windings.length === 0 ? 0 : pick % windings.length
        const more = windings.map((one, i) => (i === at ? { ...one, ohms: Number(one.ohms) * 1.5 } : one))
        expect(between(more, 'a', 'b') * slack).toBeGreaterThanOrEqual(between(windings, 'a', 'b'))
      }),
    )
  })

  test('a joined pair, an open winding and the same point', () => {
    const windings: Resistor[] = [
      { id: 'w', from: 'a', to: 'b', ohms: 0 },
      { id: 'x', from: 'b', to: 'c', ohms: 'Infinity' },
    ]
    expect(pairResistance({ nodes, windings, a: 'a', b: 'b' })).toBe(0)
    expect(pairResistance({ nodes, windings, a: 'a', b: 'c' })).toBe('Infinity')
    expect(pairResistance({ nodes, windings, a: 'd', b: 'd' })).toBe(0)
  })
})
