import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { jumpersOf, type CoilEnd, type Jumper } from './jumpersOf'

type Lay = 'cw' | 'ccw'
const coils = (...lays: (Lay | undefined)[]) =>
  lays.map((lay, i) => ({ coil: { id: `c${i + 1}`, winding: 'ring', label: '' }, ...(lay ? { lay } : {}) }))
const said = (jumpers: Jumper[]) => {
  const end = (one: CoilEnd | 'lead') => (one === 'lead' ? 'lead' : `${one.end} ${one.coil}`)
  return jumpers.map(({ from, to }) => `${end(from)} > ${end(to)}`)
}

describe('jumpers round the poles of a winding', () => {
  test('laid alternately, each finish goes to the next start', () =>
    expect(said(jumpersOf(coils('cw', 'ccw', 'cw')))).toEqual([
      'lead > start c1',
      'finish c1 > start c2',
      'finish c2 > start c3',
      'finish c3 > lead',
    ]))

  test('laid alike, finish goes to finish, and the one behind it is entered as its own lay wants', () =>
    expect(said(jumpersOf(coils('cw', 'cw', 'ccw', 'ccw')))).toEqual([
      'lead > start c1',
      'finish c1 > finish c2',
      'start c2 > finish c3',
      'start c3 > start c4',
      'finish c4 > lead',
    ]))

  test('what is wound goes before what was due', () => {
    const [first, second] = coils('cw', 'ccw')
    const wound = { wound: { lay: 'cw' } } as Parameters<typeof jumpersOf>[0][number]
    if (!first || !second) throw new Error('two coils')
    expect(said(jumpersOf([first, { ...second, ...wound }]))[1]).toBe('finish c1 > finish c2')
  })

  test('none for a coil alone, or where a lay is not known', () => {
    expect(jumpersOf(coils('cw'))).toEqual([])
    expect(jumpersOf(coils('cw', undefined))).toEqual([])
  })

  test('neighbours always work against each other, and no end is used twice', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom<Lay>('cw', 'ccw'), { minLength: 2, maxLength: 20 }), (lays) => {
        const jumpers = jumpersOf(coils(...lays))
        const turns = lays.map((lay, i) => {
          const { to } = jumpers[i] ?? {}
          const isForward = typeof to === 'object' && to.end === 'start'
          return (lay === 'cw') === isForward
        })
        for (let i = 1; i < turns.length; i++) expect(turns[i]).toBe(!turns[i - 1])
        const ends = jumpers.flatMap(({ from, to }) => [from, to]).filter((one) => one !== 'lead')
        expect(new Set(ends.map((one) => `${one.coil} ${one.end}`)).size).toBe(2 * lays.length)
      }),
    ))
})
