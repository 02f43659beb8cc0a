import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Card, Conditions } from '../../document'
import { plainCard, plainCheck, relayCard, Script, senderCard, valveCard } from '../../testing'
import { unmetCondition } from '../preparedCard'
import { voltsOf } from '../betweenReadings'
import { prepareCard } from '../preparedCard'
import { readTape } from '../tape'

const two = ['1', '2'].map((id) => ({ id, label: id, aliases: [] }))
const alikeCard = (items: number, source = 's1'): Card =>
  plainCard({
    family: 'other',
    terminals: two,
    checks: [plainCheck('set', 'bars', { place: 'each' }, { kind: 'alike', allowedPct: 5 }, { items, source })],
  })
const verdicts = (script: Script) =>
  script.state().checks[0]?.points.map((point) => [point.verdict, point.reason ?? point.evaluation?.reason])

describe('what should be alike', () => {
  const set = (card: Card, ...values: string[]) => {
    const script = new Script(card).ready()
    values.forEach((value, i) => script.read('set', value, { index: i + 1, contact: 'clips' }))
    return script
  }

  test('two are compared by their difference, and the lower one is out first', () => {
    expect(verdicts(set(alikeCard(2), '100.0', '101.0'))).toEqual([
      ['within', undefined],
      ['within', undefined],
    ])
    expect(verdicts(set(alikeCard(2), '80.0', '101.0'))).toEqual([
      ['outside', 'unlike-the-rest'],
      ['within', undefined],
    ])
  })

  test('two of five decide nothing yet', () => {
    expect(verdicts(set(alikeCard(5), '80.0', '101.0'))?.slice(0, 2)).toEqual([
      ['none', 'judged-together'],
      ['none', 'judged-together'],
    ])
  })

  test('an open one is open whatever the rest, and left out of their median', () => {
    expect(verdicts(set(alikeCard(4), '100.0', 'OL 20M', '101.0', '100.5'))?.[1]).toEqual(['outside', 'open-circuit'])
  })

  test('a set that is spread by itself allows what its own spread allows', () => {
    const apart = ['100.0', '102.0', '98.0', '103.0', '109.0']
    expect(verdicts(set(alikeCard(5), ...apart))?.map(([verdict]) => verdict)).toEqual(apart.map(() => 'within'))
    const near = ['100.0', '100.2', '99.8', '107.0', '99.9']
    expect(verdicts(set(alikeCard(5), ...near))?.map(([verdict]) => verdict)).toEqual([
      'within',
      'within',
      'within',
      'outside',
      'within',
    ])
  })

  test('where all read open each is open', () => {
    expect(verdicts(set(alikeCard(3), 'OL 20M', 'OL 20M', 'OL 20M'))?.map(([, reason]) => reason)).toEqual([
      'open-circuit',
      'open-circuit',
      'open-circuit',
    ])
  })

  test('a set that rests on a guess says neither', () => {
    expect(verdicts(set(alikeCard(3, 'g'), '100.0', '60.0', '101.0'))?.map(([verdict]) => verdict)).toEqual([
      'borderline',
      'borderline',
      'borderline',
    ])
  })

  test('one alone is compared with its twin, at one temperature', () => {
    const card = plainCard({
      family: 'solenoid',
      terminals: two,
      windings: [{ id: 'coil', label: 'coil', from: '1', to: '2', material: 'copper' }],
      checks: [plainCheck('coil', 'resistance', { pair: ['1', '2'] }, { kind: 'alike', allowedPct: 5 })],
    })
    const beside = (value: number, celsius: number) => {
      const script = new Script(card).ready(celsius)
      script.run.compare = [{ as: 'twin', tag: 'T', figures: [{ check: 'coil', value, u: 0.1 }] }]
      return verdicts(script.read('coil', '120.0'))
    }
    expect(beside(120, 20)).toEqual([['within', undefined]])
    expect(beside(140, 20)).toEqual([['outside', 'unlike-the-rest']])
    expect(beside(120 / 1.1179, 50)).toEqual([['within', undefined]])
  })

  test('the order in which a set is read changes nothing', () => {
    const values = ['100.0', '101.0', '70.0', '100.5', '99.8', '131.0']
    const outOf = (order: number[]) => {
      const script = new Script(alikeCard(6)).ready()
      for (const i of order) script.read('set', values[i] ?? '', { index: i + 1, contact: 'clips' })
      const points = script.state().checks[0]?.points ?? []
      return points
        .filter((point) => point.verdict === 'outside')
        .map((point) => point.evaluation?.entry.reading.index)
        .sort()
    }
    fc.assert(
      fc.property(fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 6 }), (order) => {
        expect(outOf(order)).toEqual([3, 6])
      }),
    )
  })
})

describe('conditions', () => {
  const met = (
    stated: Conditions,
    read: Conditions | undefined,
    kind: 'ac-output' | 'current' | 'contacts' = 'ac-output',
  ) => unmetCondition({ kind, conditions: stated }, read)

  test('rpm within three per cent, all else equal, test volts by their own rule', () => {
    expect(met({ rpm: 1000 }, { rpm: 1030 })).toBeNull()
    expect(met({ rpm: 1000 }, { rpm: 1031 })).toBe('rpm')
    expect(met({ rpm: 1000 }, undefined)).toBe('rpm')
    expect(met({ state: ['flexed'] }, { state: ['flexed'] })).toBeNull()
    expect(met({ state: ['flexed'] }, {})).toBe('state')
    expect(met({ testVolts: 500 }, undefined)).toBeNull()
    expect(
      met(
        {
          joined: [
            ['a', 'b'],
            ['c', 'd'],
          ],
        },
        {
          joined: [
            ['c', 'd'],
            ['a', 'b'],
          ],
        },
      ),
    ).toBeNull()
  })

  test('the volts of a draw are a default, and a relay’s drive is what its contacts are judged by', () => {
    expect(met({ volts: 24 }, undefined, 'current')).toBeNull()
    expect(met({ volts: 24 }, undefined)).toBe('volts')
    expect(met({ drive: { plus: 'a', minus: 'b' } }, { drive: null }, 'contacts')).toBeNull()
  })
})

describe('the volts of a draw', () => {
  const volts = (...supplies: ['on' | 'off', number][]) => {
    const script = new Script(valveCard()).ready().read('coil', '8.00')
    for (const [state, value] of supplies)
      script.put({ kind: 'supply', text: String(value), volts: value, u: 0.05, while: state })
    const state = script.read('draw', '1.500', { conditions: { volts: 11 } }).state()
    const draw = [...state.evaluations.values()].at(-1)
    const bench = { run: script.run, prepared: prepareCard(script.run.card), tape: readTape(script.run) }
    return draw && voltsOf(bench, draw)
  }

  test('are those taken while it was on, else the last before, else the card’s', () => {
    expect(volts(['on', 12], ['off', 13])).toMatchObject({ volts: 12, loaded: true })
    expect(volts(['off', 12.9], ['off', 13])).toMatchObject({ volts: 13, loaded: false })
    expect(volts()).toMatchObject({ volts: 11, loaded: false })
  })
})

describe('a limit as it stands for one reading', () => {
  test('a curve is judged at its place, and without one nothing is said', () => {
    const at = (x: number | undefined) => {
      const script = new Script(senderCard()).ready().read('travel', '72.0', { x })
      const [one] = [...script.state().evaluations.values()]
      return [one?.verdict, one?.reason, one?.limit?.band.min]
    }
    expect(at(50)).toEqual(['within', undefined, 64.8])
    expect(at(100)).toEqual(['outside', 'below-minimum', 171])
    expect(at(undefined)[1]).toBe('place-missing')
  })

  test('a pair of several is judged by its own derived limits', () => {
    const card = relayCard()
    card.windings.push({ id: 'w', label: 'w', from: '30', to: '87', ohms: 5, tolerancePct: 10, material: 'copper' })
    card.checks = [plainCheck('all', 'resistance', { among: ['30', '87', '87a'] }, 'derived')]
    const script = new Script(card).ready()
    script.read('all', '5.02', { pair: ['87', '30'] }).read('all', 'OL 20M', { pair: ['30', '87a'] })
    const found = [...script.state().evaluations.values()].map((one) => [one.verdict, one.reason])
    expect(found).toEqual([
      ['within', undefined],
      ['within', 'open-as-expected'],
    ])
  })
})
