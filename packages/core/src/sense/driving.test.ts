import { describe, expect, test } from '@jest/globals'
import type { Card, Instrument } from '../document'
import {
  armatureCard,
  compressorCard,
  insulationTester,
  pickupCard,
  plainCard,
  plainCheck,
  pocketMeter,
  relayCard,
  Script,
  twinCard,
  valveCard,
} from '../testing'
import type { RemarkId } from './rule'

const room = { kind: 'temperature', part: 'room', roomC: 20 } as const
const zero = { kind: 'lead-check', instrument: 'm2', text: '0.1', ohms: 0, u: 0.018, how: 'hardware' } as const
const loose = { kind: 'isolation', state: 'loose' } as const
const on = (card: Card, instruments: Instrument[] = [pocketMeter]) => new Script(card, { instruments })
const twin = () => on(twinCard())
const unmeasured = () => twin().put(loose).put(room).put(zero)
const valve = (changes: Partial<Card> = {}) => on(valveCard(changes)).ready()
const read8 = (script: Script) => script.read('coil', '8.00', { contact: 'clips' })
const supply = (volts: number, state: 'on' | 'off') =>
  ({ kind: 'supply', text: String(volts), volts, u: 0.05, while: state }) as const
const answered = (script: Script, check: string, answer: string) =>
  script.put({
    kind: 'reading',
    check,
    reading: { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer },
  })
const shell = { pair: ['1', 'frame'] as [string, string] }
const testing = (changes: Partial<Card> = {}) => on(valveCard(changes), [insulationTester]).ready()
const second: Instrument = { ...pocketMeter, id: 'm9', name: 'Multimeter M9' }
const drive = { plus: '85', minus: '86' }
const care = { isolate: [], maxTestVolts: 500, cautions: [] }
/** A relay whose coil has a diode across it, its make contact read with the coil driven one way. */
const clamped = (way: { plus: string; minus: string }, between: [string, string][] = [['85', '86']]) =>
  on(relayCard({ care: { ...care, electronicsBetween: between } }))
    .ready()
    .read('coil', '90')
    .read('driven', '0.2', { pair: ['30', '87'], conditions: { drive: way } })
const guessed = (value: number) => {
  const card = plainCard({
    family: 'solenoid',
    terminals: ['1', '2'].map((id) => ({ id, label: id, aliases: [] })),
    windings: [{ id: 'coil', label: 'coil', from: '1', to: '2', material: 'copper' }],
    checks: [
      plainCheck('coil', 'resistance', { pair: ['1', '2'] }, { kind: 'band', min: 20, max: 30 }, { source: 'g' }),
    ],
    relations: [{ id: 'r', label: 'alike', source: 's1', kind: 'twin', check: 'coil', withinPct: 5 }],
  })
  const script = on(card).ready()
  script.run.compare = [{ as: 'twin', tag: 'other', figures: [{ check: 'coil', value, u: 0.1 }] }]
  return script.read('coil', '24.0', { contact: 'clips' })
}
const output = (ohms: string, volts: string) => {
  const pair: [string, string] = ['1', '2']
  const card = plainCard({
    family: 'speed-sensor',
    terminals: pair.map((id) => ({ id, label: id, aliases: [] })),
    windings: [{ id: 'coil', label: 'coil', from: '1', to: '2', ohms: 500, material: 'copper' }],
    checks: [
      plainCheck('ohms', 'resistance', { pair }, { kind: 'band', min: 450, max: 550 }),
      plainCheck('volts', 'ac-output', { pair }, { kind: 'atLeast', value: 2 }),
    ],
  })
  return on(card).ready().read('ohms', ohms).read('volts', volts)
}
const grounded = (pair: [string, string]) => {
  const card = plainCard({
    family: 'charging-stator',
    terminals: [
      { id: 'U', label: 'U', aliases: [] },
      { id: 'E', label: 'earth lead', aliases: [], part: 'ground-lead' },
      { id: 'frame', label: 'frame', aliases: [] },
    ],
    checks: [plainCheck('frame', 'resistance', { each: ['U', 'E'], to: 'frame' }, { kind: 'open', atLeast: 1e6 })],
  })
  return on(card).ready().read('frame', '3.10', { pair, contact: 'clips' })
}
const wound = (script: Script) => script.put({ kind: 'work', what: 'rewind', place: 'low' })

/** For each rule a tape where it fires, and the nearest one where it must not. */
const cases: [id: RemarkId, fires: () => Script, not: () => Script][] = [
  ['prefix-decides', () => testing().read('shell', '210000000', shell), () => testing().read('shell', '210M', shell)],
  [
    'poor-leads',
    () =>
      twin()
        .put(loose)
        .put({ ...zero, text: '0.61' })
        .read('low', '318'),
    () =>
      twin()
        .put(loose)
        .put({ ...zero, text: '0.49' })
        .read('low', '318'),
  ],
  [
    'jack-after-amps',
    () => read8(read8(valve()).read('draw', '1.500')),
    () => read8(read8(valve()).read('draw', '1.500').put({ kind: 'proof', of: 'jack' })),
  ],
  [
    'part-warm',
    () => unmeasured().put({ kind: 'work', what: 'reflow', place: 'low' }).wait(10).read('low', '318'),
    () => unmeasured().put({ kind: 'work', what: 'reflow', place: 'low' }).wait(25).read('low', '318'),
  ],
  [
    'meters-disagree',
    () => on(twinCard(), [pocketMeter, second]).ready().read('low', '318').read('low', '330', { instrument: 'm9' }),
    () => on(twinCard(), [pocketMeter, second]).ready().read('low', '318').read('low', '320', { instrument: 'm9' }),
  ],
  ['low-by-a-little', () => unmeasured().read('low', '280'), () => unmeasured().read('low', '240')],
  [
    'expected-current',
    () => read8(valve()).put(supply(12, 'on')).read('draw', '1.100'),
    () => read8(valve()).put(supply(12, 'on')).read('draw', '1.450'),
  ],
  [
    'supply-unloaded',
    () => read8(valve()).put(supply(12, 'off')).read('draw', '1.500'),
    () => read8(valve()).put(supply(12, 'on')).read('draw', '1.500'),
  ],
  ['tests-disagree', () => output('OL 20M', '3.10'), () => output('OL 20M', '0.10')],
  ['tests-disagree', () => output('500', '0.10'), () => output('500', '3.10')],
  [
    'kind-unset',
    () => {
      const { construction: _unset, ...card } = compressorCard({ relations: [] })
      return on(card)
        .ready()
        .read('pins', '4.90', { pair: ['C', 'R'] })
    },
    () =>
      on(compressorCard())
        .ready()
        .read('pins', '4.90', { pair: ['C', 'R'] }),
  ],
  ['twins-both-off', () => guessed(24.1), () => guessed(29)],
  [
    'high-is-not-shorted',
    () =>
      twin()
        .ready()
        .read('low', '390')
        .put({ kind: 'decision', what: 'rewind', about: ['low'], why: 'shorted turns' }),
    () =>
      twin()
        .ready()
        .read('low', '240')
        .put({ kind: 'decision', what: 'rewind', about: ['low'], why: 'shorted turns' }),
  ],
  [
    'ac-on-open',
    () => {
      const card = pickupCard()
      card.checks.push(plainCheck('ohms', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 3600, max: 4400 }))
      return on(card)
        .ready()
        .read('ohms', 'OL 20M')
        .read('henries', '0.4', { conditions: { hertz: 120 } })
    },
    () => {
      const card = pickupCard()
      card.checks.push(plainCheck('ohms', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 3600, max: 4400 }))
      return on(card)
        .ready()
        .read('ohms', '4.02k')
        .read('henries', '2.4', { conditions: { hertz: 120 } })
    },
  ],
  ['ground-side', () => grounded(['E', 'frame']), () => grounded(['U', 'frame'])],
  [
    'over-volts',
    () => testing({ care: { ...care, maxTestVolts: 250 } }).read('shell', '512V 2.1G', shell),
    () => testing().read('shell', '512V 2.1G', shell),
  ],
  [
    'across-electronics',
    () => testing({ care: { ...care, electronicsBetween: [['frame', '1']] } }).read('shell', '512V 2.1G', shell),
    () => testing({ care: { ...care, electronicsBetween: [['1', '2']] } }).read('shell', '512V 2.1G', shell),
  ],
  ['across-electronics', () => clamped({ plus: drive.minus, minus: drive.plus }), () => clamped(drive)],
  [
    'across-electronics',
    () => clamped({ plus: drive.minus, minus: drive.plus }),
    () => clamped({ plus: drive.minus, minus: drive.plus }, []),
  ],
  [
    'unknown-pins-power',
    () =>
      on(relayCard())
        .ready()
        .read('driven', '0.2', { pair: ['30', '87'], conditions: { drive } }),
    () =>
      on(relayCard())
        .ready()
        .read('coil', '91.0')
        .read('driven', '0.2', { pair: ['30', '87'], conditions: { drive } }),
  ],
  [
    'supply-high',
    () =>
      read8(valve({ care: { ...care, ratedVolts: 12 } }))
        .put(supply(24, 'on'))
        .read('draw', '3.000'),
    () =>
      read8(valve({ care: { ...care, ratedVolts: 12 } }))
        .put(supply(13.5, 'on'))
        .read('draw', '1.700'),
  ],
  [
    'click-only',
    () => {
      const relay = relayCard()
      relay.checks.push(
        plainCheck('click', 'act', { place: 'by ear' }, { kind: 'answer', of: ['yes', 'no'], right: ['yes'] }),
      )
      return answered(on(relay).ready().read('coil', '91.0'), 'click', 'yes')
    },
    () => answered(read8(valve()), 'click', 'clicks'),
  ],
  ['no-ground-after', () => wound(twin().ready().framed('O', 'V')), () => wound(twin().ready()).framed('O', 'V')],
]

describe.each(cases)('%s', (id, fires, not) => {
  const given = (script: Script) => script.state().remarks.map((one) => one.id)
  test('fires', () => expect(given(fires())).toContain(id))
  test('and not at the nearest case that is sound', () => expect(given(not())).not.toContain(id))
})

describe('what no reason overrides', () => {
  test('an answer to power on unknown pins changes nothing', () => {
    const script = on(relayCard())
      .ready()
      .read('driven', '0.2', { pair: ['30', '87'], conditions: { drive } })
      .put({ kind: 'answer', remark: 'unknown-pins-power', reason: 'in a hurry' })
    expect(script.state().holding?.id).toBe('unknown-pins-power')
  })
})

test('sound bars of an armature give no remark at all', () => {
  const script = on(armatureCard()).ready()
  for (let i = 1; i <= 8; i++) script.read('bars', i % 2 ? '0.91' : '0.92', { index: i, contact: 'clips' })
  expect(script.state().remarks).toEqual([])
})
