import { describe, expect, test } from '@jest/globals'
import type { EntryBody } from '../../document'
import { askedOf } from '../../asked'
import { chargingCard, Script } from '../../testing'
import type { Evaluation } from '../figure'
import { legToFrame } from './legToFrame'

const card = chargingCard()
const legs = ['U', 'V', 'W'] as const
const ask = (leg: string): EntryBody => ({ kind: 'ask', check: askedOf(card, leg, [leg, 'frame'], 'ac-output') })

/** Three pairs, then three legs to the frame while it runs. */
function running(
  toFrame: string[],
  { pair = '41.7', rpm = 3000, atRpm = rpm }: Partial<Record<'pair', string>> & { rpm?: number; atRpm?: number } = {},
) {
  const script = new Script(card).put({ kind: 'place', where: 'machine' })
  for (const pairOf of [
    ['U', 'V'],
    ['U', 'W'],
    ['V', 'W'],
  ] as [string, string][])
    script.read('volts', pair, { pair: pairOf, conditions: { rpm, load: 'none' } })
  for (const [i, volts] of toFrame.entries()) {
    const leg = legs[i] ?? 'U'
    script.put(ask(leg)).read(`ask-${leg}`, volts, { pair: [leg, 'frame'], conditions: { rpm: atRpm } })
  }
  return script.state()
}
const causes = (...given: Parameters<typeof running>) =>
  running(...given).causes.map(({ kind, of }) => `${kind} ${of.join()}`)

describe('three legs’ volts to frame while it runs (METHODS 11.22)', () => {
  test('one that has none, while the others have all there is, sits on the frame: at once', () => {
    expect(causes(['41.7', '41.6', '0.3'])).toEqual(['to-frame w'])
    expect(causes(['0.3', '41.7', '41.6'])).toEqual(['to-frame u'])
    const { checks, finding } = running(['41.7', '41.6', '0.3'])
    expect(checks.find(({ check }) => check.id === 'ask-W')).toMatchObject({
      verdict: 'outside',
      reason: 'leg-to-frame',
    })
    expect(finding.word).toBe('fault-found')
  })

  test.each([
    ['all low: they float', ['3.1', '3.0', '3.2']],
    ['a tenth of the pairs is not none', ['41.7', '41.6', '4.2']],
    ['the others must have all', ['41.7', '37.4', '0.3']],
    ['two lost are no one leg', ['41.7', '0.2', '0.3']],
    ['two legs read are not three', ['41.7', '0.3']],
  ])('%s', (_name, volts) => expect(causes(volts)).toEqual([]))

  test('just within: a tenth less, a little under a tenth', () =>
    expect(causes(['37.6', '45.8', '4.1'])).toEqual(['to-frame w']))

  test('at another speed than the pairs they say nothing', () => {
    expect(causes(['41.7', '41.6', '0.3'], { atRpm: 850 })).toEqual([])
    expect(causes(['41.7', '41.6', '0.3'], { atRpm: 2950 })).toEqual(['to-frame w'])
  })

  test('pairs that give nothing compare with nothing', () =>
    expect(causes(['0', '0', '0'], { pair: '0' })).not.toContain('to-frame w'))
})

describe('a lead that reaches the frame while it is bent', () => {
  const bent = (...read: [string, string, string?][]) => {
    const script = new Script(card).ready().framed('U')
    for (const [leg, text, where] of read)
      script.read('flex', text, {
        pair: [leg, 'frame'],
        conditions: { state: ['flexed'] },
        ...(where === undefined ? {} : { where }),
      })
    return script.state().causes
  }
  test('is named, with the place that was bent; each lead wants its own test', () => {
    expect(bent(['W', '2.1 Ω', 'the clamp'])).toMatchObject([
      { kind: 'to-frame', bent: { lead: 'W', where: 'the clamp' }, ohms: 2.1 },
    ])
    expect(bent(['W', '2.1 Ω'])[0]?.bent).toEqual({ lead: 'W' })
    const points = new Script(card).state().prepared.checks.get('flex')?.points
    expect(points?.map(({ pair }) => pair[0])).toEqual(['U', 'V', 'W'])
  })

  test('two leads are no one lead, and a group that reaches it at rest is the group', () => {
    expect(bent(['V', '3 Ω'], ['W', '2.1 Ω'])[0]).not.toHaveProperty('bent')
    const atRest = new Script(card)
      .ready()
      .read('frame', '2.1 Ω', { pair: ['U', 'frame'] })
      .state()
    expect(atRest.causes[0]).toMatchObject({ kind: 'to-frame', of: ['u', 'v', 'w'] })
    expect(atRest.causes[0]).not.toHaveProperty('bent')
  })

  test('why a battery is not charged is a fault of the windings, and not the other way round', () => {
    const charge = (volts: string, flexed: boolean) => {
      const script = new Script(card).put({ kind: 'place', where: 'machine' }).ready()
      for (let n = 0; n < 2; n++)
        script.read('charge', volts, { pair: ['bat', 'frame'], conditions: { rpm: 3000, load: 'the lamps' } })
      if (flexed) script.read('flex', '2.1 Ω', { pair: ['W', 'frame'], conditions: { state: ['flexed'] } })
      return script.state().causes.map(({ kind, explains }) => [kind, explains])
    }
    expect(charge('12.3', false)).toEqual([['output', ['charge']]])
    expect(charge('12.3', true)).toEqual([['to-frame', ['charge', 'flex']]])
    // more than it should be is not what a lost leg gives
    expect(
      charge('15.9', true)
        .map(([kind]) => kind)
        .sort(),
    ).toEqual(['output', 'to-frame'])
  })
})

describe('readings of legs by themselves', () => {
  const one = (pair: [string, string] | undefined, net: number, rpm?: number) =>
    ({
      ...(pair ? { pair } : {}),
      net,
      entry: { reading: rpm === undefined ? {} : { conditions: { rpm } } },
    }) as Evaluation
  const pairs = (rpm?: number) =>
    [
      ['U', 'V'],
      ['V', 'W'],
      ['W', 'U'],
    ].map((ends) => one(ends as [string, string], 41.7, rpm))
  const legs = (rpm?: number) => [
    one(['frame', 'U'], 41.6, rpm),
    one(['frame', 'V'], 41.7, rpm),
    one(['frame', 'W'], 0.2, rpm),
  ]

  test('the frame may be named first', () => {
    expect(legToFrame([...pairs(3000), ...legs(3000)])?.pair).toEqual(['frame', 'W'])
  })

  test('without a speed that was said, and of no pair at all, they say nothing', () => {
    expect(legToFrame([...pairs(), ...legs()])).toBeUndefined()
    expect(legToFrame([...pairs(3000), ...legs()])).toBeUndefined()
    expect(legToFrame([...pairs(3000), one(undefined, 0.2, 3000), ...legs(3000)])?.pair).toEqual(['frame', 'W'])
  })

  test('the same leg read twice is no other leg', () => {
    const [u, , w] = legs(3000) as [Evaluation, Evaluation, Evaluation]
    expect(legToFrame([...pairs(3000), u, one(['frame', 'U'], 41.8, 3000), w])).toBeUndefined()
  })

  test('of a leg that was read twice the last reading counts', () => {
    const [u, v, w] = legs(3000) as [Evaluation, Evaluation, Evaluation]
    const again = (leg: string, net: number) => one(['frame', leg], net, 3000)
    expect(legToFrame([...pairs(3000), u, v, again('U', 41.8), w])?.net).toBe(0.2)
    expect(legToFrame([...pairs(3000), u, v, w, again('W', 41.5)])).toBeUndefined()
    expect(legToFrame([...pairs(3000), u, v, again('W', 41.5), w])?.net).toBe(0.2)
    // at another speed it is another reading
    expect(legToFrame([...pairs(3000), u, v, w, one(['frame', 'W'], 60, 4500)])?.net).toBe(0.2)
  })
})
