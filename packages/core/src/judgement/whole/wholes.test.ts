import { describe, expect, test } from '@jest/globals'
import type { Limit } from '../../document'
import { compressorCard, plainCheck, relayCard, sceneOf, Script, twinCard } from '../../testing'
import { openWindings } from './openWindings'

describe('three pins with one limit for each of them', () => {
  const read = (limit: Limit) => {
    const pins = plainCheck('pins', 'three-pins', { among: ['C', 'R', 'S'] }, limit)
    const script = new Script(compressorCard({ checks: [pins], relations: [] })).ready()
    script.read('pins', '4.90', { pair: ['C', 'R'], contact: 'clips' })
    script.read('pins', '11.70', { pair: ['C', 'S'], contact: 'clips' })
    script.read('pins', '16.60', { pair: ['R', 'S'], contact: 'clips' })
    const check = script.state().checks.find((one) => one.check.id === 'pins')
    return [check?.verdict, check?.points.map(({ evaluation }) => evaluation?.verdict)]
  }
  test('all three are held to it, each by itself', () => {
    expect(read({ kind: 'band', min: 4, max: 20 })).toEqual(['within', ['within', 'within', 'within']])
    expect(read({ kind: 'band', min: 4, max: 14 })).toEqual(['outside', ['within', 'within', 'outside']])
    expect(read({ kind: 'band', min: 6, max: 20 })).toEqual(['outside', ['outside', 'within', 'within']])
  })
})

describe('three pins and the construction', () => {
  const read = (construction: string | undefined, ...figures: string[]) => {
    const pins = plainCheck('pins', 'three-pins', { among: ['C', 'R', 'S'] }, undefined, { limits: [] })
    const { construction: _own, ...card } = compressorCard({ checks: [pins], relations: [] })
    const script = new Script({ ...card, ...(construction === undefined ? {} : { construction }) }).ready()
    const pairs = [
      ['C', 'R'],
      ['C', 'S'],
      ['R', 'S'],
    ] as [string, string][]
    pairs.forEach((pair, i) => script.read('pins', figures[i] ?? '', { pair, contact: 'clips' }))
    const { checks, evaluations } = script.state()
    const check = checks.find((one) => one.check.id === 'pins')
    return [check?.verdict, check?.reason, [...evaluations.values()].filter(({ whole }) => whole?.again).length]
  }

  test('of a construction that nobody chose the figures say no verdict', () => {
    expect(read(undefined, '4.90', '11.70', '16.60')).toEqual(['none', 'kind-unset', 0])
  })

  test('of one that is chosen they must be it', () => {
    expect(read('split-phase', '4.90', '11.70', '16.60')).toEqual(['within', undefined, 0])
  })

  test('three that fit no construction are undecided, and want nothing read again', () => {
    expect(read('split-phase', '4.90', '11.70', '14.00')).toEqual(['none', 'undecided', 0])
  })

  test('another construction than the card’s is another card, and no fault', () => {
    expect(read('split-phase', '5.00', '5.00', '5.00')).toEqual(['none', 'another-card', 0])
  })
})

describe('a contact that was only heard', () => {
  const at = (pair: [string, string], plus?: string) => ({
    pair,
    conditions: { drive: plus === undefined ? null : { plus, minus: plus === '85' ? '86' : '85' } },
  })
  const relay = (rest: (script: Script) => Script) => {
    const script = rest(new Script(relayCard()).ready().read('coil', '90'))
    for (const pair of [['30', '87']] as [string, string][]) script.read('rest', 'OL 40M', at(pair))
    script.read('driven', '0.1', at(['30', '87'], '85')).read('driven', 'OL 40M', at(['30', '87a'], '85'))
    return sceneOf(script)
  }
  const heard = (script: Script) =>
    script.put({
      kind: 'reading',
      check: 'rest',
      reading: {
        taken: 'typed',
        text: 'beep',
        decimalComma: false,
        kind: 'below',
        value: 35,
        method: 'beeper',
        instrument: 'm2',
        ...at(['30', '87a']),
      },
    })
  const closed = (scene: ReturnType<typeof relay>) =>
    scene.state.checks.find(({ check }) => check.id === 'rest')?.points.find(({ pair }) => pair?.join() === '30,87a')
      ?.evaluation

  test('has its ohms still to be read; what was read in ohms is judged', () => {
    expect(closed(relay(heard))).toMatchObject({ verdict: 'none', reason: 'range-too-high' })
    expect(closed(relay((script) => script.read('rest', '0.1', at(['30', '87a']))))?.verdict).toBe('within')
  })
})

describe('windings that join nothing', () => {
  const open = (script: Script) => {
    const { bench, all } = sceneOf(script)
    return openWindings(bench, all, all)
  }
  const reads = (...readings: [string, string][]) =>
    readings.reduce(
      (script, [check, text]) => script.read(check, text, { contact: 'tips' }),
      new Script(twinCard()).ready(),
    )
  test('a coil that read open twice, whatever came before', () => {
    expect(open(reads(['low', 'OL 40M'], ['low', 'OL 40M']))).toEqual(['low'])
    expect(open(reads(['low', '322'], ['high', 'OL 40M'], ['high', 'OL 40M']))).toEqual(['high'])
  })
  test('not one that read open once, nor one that read finite', () => {
    expect(open(reads(['low', 'OL 40M']))).toEqual([])
    expect(open(reads(['low', '322']))).toEqual([])
  })
  test('of a series pair that reads open, the coil that reads by itself is whole', () => {
    expect(open(reads(['low', '322'], ['series', 'OL 40M'], ['series', 'OL 40M']))).toEqual(['high'])
  })
})
