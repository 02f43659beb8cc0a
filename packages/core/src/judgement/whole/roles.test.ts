import { describe, expect, test } from '@jest/globals'
import { compressorCard, pickupCard, relayCard, Script, twinCard } from '../../testing'
import type { Card, Reading } from '../../document'

const on = (card: Card) => new Script(card).ready()
const roles = (script: Script) => script.state().roles
const at = (a: string, b: string, plus?: string): Partial<Reading> => ({
  pair: [a, b],
  ...(plus === undefined ? {} : { conditions: { drive: { plus, minus: plus === '85' ? '86' : '85' } } }),
})

test('a part with one coil and a plug has none to tell', () => {
  expect(roles(on(twinCard()).read('low', '318'))).toEqual([])
})

describe('a relay’s blades', () => {
  const resting = () => on(relayCard()).read('rest', '0.1', at('30', '87a')).read('rest', 'OL 40M', at('30', '87'))

  test('nothing before a contact was read', () => expect(roles(on(relayCard()).read('coil', '90'))).toEqual([]))

  test('the coil as soon as it is known, the contacts as soon as they moved', () => {
    expect(roles(resting())).toMatchObject([{ kind: 'relay', coil: ['85', '86'] }])
    expect(roles(resting())[0]).toMatchObject({ common: undefined, normallyOpen: undefined, polarised: undefined })
    const moved = resting()
      .read('driven', 'OL 40M', at('30', '87a', '85'))
      .read('driven', '0.1', at('30', '87', '85'))
    expect(roles(moved)).toMatchObject([{ common: '30', normallyClosed: ['30', '87a'], normallyOpen: ['30', '87'] }])
  })

  test('which way it is polarised, once both ways were tried', () => {
    const driven = (script: Script, plus: string, open: string, closed: string) =>
      script.read('driven', open, at('30', '87', plus)).read('driven', closed, at('30', '87a', plus))
    const oneWay = driven(driven(resting(), '86', '0.1', 'OL 40M'), '85', 'OL 40M', '0.1')
    expect(roles(oneWay)).toMatchObject([{ polarised: true, drive: { plus: '86', minus: '85' } }])
    const both = driven(driven(resting(), '86', '0.1', 'OL 40M'), '85', '0.1', 'OL 40M')
    expect(roles(both)[0]).toMatchObject({ polarised: false })
    expect(roles(both)[0]).not.toHaveProperty('drive')
  })
})

describe('three pins', () => {
  const read = (cr: string, cs: string, rs: string, card = compressorCard()) =>
    on(card).read('pins', cr, at('C', 'R')).read('pins', cs, at('C', 'S')).read('pins', rs, at('R', 'S'))

  test('none until all three pairs are read', () => {
    expect(roles(on(compressorCard()).read('pins', '4.9', at('C', 'R')))).toEqual([])
  })

  test('against each construction, side by side, also without any limit', () => {
    const card = compressorCard({ construction: '', relations: [] })
    for (const check of card.checks) check.limits = []
    const [found] = roles(read('4.9', '11.7', '16.6', card))
    expect(found).toMatchObject({ kind: 'pins', check: 'pins', pins: { a: 'C', b: 'R', c: 'S' } })
    expect(found?.kind === 'pins' && found.constructions.map(({ kind, fits }) => [kind, fits])).toEqual([
      ['split-phase', true],
      ['balanced', false],
      ['single', false],
    ])
  })
})

test('loose wires belong together once every pair was read; which is start waits for their names', () => {
  const script = on(pickupCard())
  const wires = ['A', 'B', 'D', 'E', 'sh']
  const ohms: Record<string, string> = { 'A~B': '4.35k', 'D~E': '4.40k' }
  const pairs = wires.flatMap((a, i) => wires.slice(i + 1).map((b) => [a, b] as const))
  for (const [a, b] of pairs) {
    expect(roles(script)).toEqual([])
    script.read('wires', ohms[`${a}~${b}`] ?? 'OL 40M', at(a, b))
  }
  const groups = (from: Script) => {
    const [found] = roles(from)
    return found?.kind === 'wires' ? found : undefined
  }
  expect(groups(script)?.groups.map(({ wires: group, start }) => [group, start])).toEqual([
    [['A', 'B'], undefined],
    [['D', 'E'], undefined],
  ])
  expect(groups(script)?.groups[0]?.ohms).toBeCloseTo(4350, 0)
  expect(groups(script)?.alone).toEqual(['sh'])
  script.put({ kind: 'wires', map: { A: 'B', B: 'A' } })
  expect(groups(script)?.groups.map(({ start, finish }) => `${start}-${finish}`)).toEqual([
    'B-A',
    // nobody said which of these is which
    'undefined-undefined',
  ])
})
