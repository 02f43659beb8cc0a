import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { threeConstructions, threeTerminal, type ThreePairs } from './index'

const of = (ab: ThreePairs['ab'], bc: ThreePairs['bc'], ca: ThreePairs['ca'], u = 0.01) =>
  threeConstructions({ ab, bc, ca, u })

describe('three pins against each construction', () => {
  test('run and start: common is shared by the two smaller, and what is left over is within its allowance', () => {
    const [split, balanced, single] = of(4.9, 16.6, 11.7)
    expect(split).toMatchObject({
      fits: true,
      common: 'a',
      main: 'b',
      auxiliary: 'c',
      mainOhms: 4.9,
      auxiliaryOhms: 11.7,
    })
    expect(split.residual).toBeCloseTo(0, 9)
    expect(split.allowed).toBeCloseTo(2 * Math.sqrt(3) * 0.01 + 0.332, 9)
    expect(balanced).toMatchObject({ fits: false, apartPct: expect.closeTo(55.72, 1), allowedPct: 5 })
    expect(single).toEqual({ kind: 'single', fits: false, finite: 3 })
  })
  test('what is left over beyond its allowance is none', () => {
    expect(of(4.9, 17.1, 11.7)[0].fits).toBe(false)
    expect(of(4.9, 16.9, 11.7)[0].fits).toBe(true)
  })
  test('three alike give a winding of a star and of a delta', () => {
    const [split, balanced] = of(2, 2, 2)
    expect(balanced).toMatchObject({ fits: true, windings: { star: 1, delta: 3 } })
    expect(split.fits).toBe(false)
    expect(of(2, 2.1, 1.9)[1].fits).toBe(true)
    expect(of(2, 2.11, 1.89)[1].fits).toBe(false)
  })
  test('one pair alone is one winding; an open pair leaves the others without figures', () => {
    expect(of(4.9, 'Infinity', 2e6).map(({ fits }) => fits)).toEqual([false, false, true])
    expect(of(4.9, 'Infinity', 11.7)[0]).toEqual({ kind: 'split-phase', fits: false })
    expect(of('Infinity', 'Infinity', 'Infinity').some(({ fits }) => fits)).toBe(false)
  })
  test('at most one fits, and it is the kind that the three are', () => {
    const ohms = fc.oneof(fc.double({ min: 0.1, max: 50, noNaN: true }), fc.constant('Infinity' as const))
    fc.assert(
      fc.property(ohms, ohms, ohms, (ab, bc, ca) => {
        const fitting = of(ab, bc, ca).filter(({ fits }) => fits)
        const { kind } = threeTerminal({ ab, bc, ca, u: 0.01 })
        expect(fitting.map((one) => one.kind)).toEqual(kind === 'open' || kind === 'unclear' ? [] : [kind])
      }),
    )
  })
})
