import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card } from '../document'
import { coarseCard, chargingCard, fourWireMeter, knobMeter, pocketMeter, Script, twinCard } from '../testing'
import type { RemarkId } from './rule'
import { readingRules } from './rules'

const loose = { kind: 'isolation', state: 'loose' } as const
const warm = { kind: 'temperature', part: 'measured', partC: 20 } as const
const on = (card: Card = twinCard(), instruments = [pocketMeter]) => new Script(card, { instruments })
const coarse = () => on(coarseCard()).put(loose).put(warm)
const zeroed = (script: Script) =>
  script.put({
    kind: 'lead-check',
    instrument: script.run.instruments[0]?.id ?? '',
    text: '0.1',
    ohms: 0,
    u: 0.018,
    how: 'hardware',
  })
const whole = (script: Script) =>
  script.read('low', '322').read('high', '36.5').read('series', '358.4').read('trigger', '91')
const flexed = { conditions: { state: ['flexed'] } }

/** For each rule a tape where it fires, and the nearest one where it must not. */
const cases: [id: RemarkId, fires: () => Script, not: () => Script][] = [
  ['over-on-low-range', () => on().ready().read('low', 'OL 200'), () => on().ready().read('low', 'OL 2k')],
  [
    'near-full-scale',
    () => on(twinCard(), [knobMeter]).ready().read('low', '310').read('trigger', '188'),
    () => on(twinCard(), [knobMeter]).ready().read('low', '310').read('trigger', '99'),
  ],
  [
    'meter-cannot',
    () => zeroed(on(coarseCard(), [knobMeter]).put(loose).put(warm)).read('lighting', '0.6'),
    () => on(coarseCard(), [fourWireMeter]).put(loose).put(warm).read('lighting', '0.5601'),
  ],
  [
    'coarse-range',
    () => on(twinCard(), [knobMeter]).ready().read('low', '310', { range: 2e6 }),
    () => on(twinCard(), [knobMeter]).ready().read('low', '310', { range: 2e3 }),
  ],
  [
    'one-or-over',
    () => on(twinCard(), [knobMeter]).ready().read('low', '1'),
    () => on(twinCard(), [knobMeter]).ready().read('low', '1.0'),
  ],
  ['zero-or-open', () => on().ready().read('low', '0'), () => on().ready().read('low', '0.5')],
  ['prefix-jump', () => on().ready().read('low', '318k'), () => on().ready().read('low', '3180')],
  [
    'prefix-decides',
    () =>
      on()
        .ready()
        .read('frame', '20', { pair: ['O', 'frame'] }),
    () =>
      on()
        .ready()
        .read('frame', '20M', { pair: ['O', 'frame'] }),
  ],
  ['milli-or-mega', () => on().ready().read('low', '2m'), () => on().ready().read('low', '2 mΩ')],
  ['negative', () => on().ready().read('low', '-318'), () => on().ready().read('low', '318')],
  ['fits-another', () => on().ready().read('low', '36.4'), () => on().ready().read('low', '60')],
  [
    'same-as-last',
    () => on().ready().read('low', '322').read('series', '322'),
    () => on().ready().read('high', '36.5').read('trigger', '91'),
  ],
  ['not-isolated', () => on().put(warm).read('low', '318'), () => on().put(loose).put(warm).read('low', '318')],
  ['leads-matter', () => coarse().read('lighting', '0.7'), () => on().put(loose).put(warm).read('low', '318')],
  ['stale-zero', () => on().ready().wait(61).read('low', '318'), () => on().ready().wait(58).read('low', '318')],
  [
    'reads-like-leads',
    () =>
      on(coarseCard())
        .put(loose)
        .put(warm)
        .put({ kind: 'lead-check', instrument: 'm2', text: '0.5', ohms: 0.5, u: 0.02, how: 'subtract' })
        .read('lighting', '0.51'),
    () =>
      on(coarseCard())
        .put(loose)
        .put(warm)
        .put({ kind: 'lead-check', instrument: 'm2', text: '0.1', ohms: 0.1, u: 0.02, how: 'subtract' })
        .read('lighting', '0.66'),
  ],
  [
    'meter-unproved',
    () =>
      on()
        .put(loose)
        .read('frame', 'OL', { pair: ['O', 'frame'] }),
    () =>
      on()
        .put(loose)
        .put({ kind: 'proof', of: 'tips' })
        .read('frame', 'OL', { pair: ['O', 'frame'] }),
  ],
  [
    'frame-unproved',
    () =>
      on()
        .ready()
        .read('frame', 'OL', { pair: ['O', 'frame'] }),
    () => on().ready().framed('O'),
  ],
  [
    'temperature-decides',
    () => zeroed(on().put(loose).put({ kind: 'temperature', part: 'room', roomC: 20 })).read('low', '345'),
    () => on().ready().read('low', '345'),
  ],
  ['not-settled', () => on().ready().read('low', '~318'), () => on().ready().read('low', '318')],
  ['unsteady', () => on().ready().read('low', '290-340'), () => on().ready().read('low', '317-319')],
  [
    'repeats-apart',
    () => on().ready().read('low', '318').again('low', '330'),
    () => on().ready().read('low', '318').again('low', '320'),
  ],
  [
    'beyond-physics',
    () => on().ready().read('low', '340').read('series', '300'),
    () => on().ready().read('low', '340').read('series', '339'),
  ],
  [
    'condition-missing',
    () => on(coarseCard()).put(loose).read('volts', '19'),
    () =>
      on(coarseCard())
        .put(loose)
        .read('volts', '19', { conditions: { rpm: 1200 } }),
  ],
  [
    'sum-off',
    () => on().ready().read('low', '322').read('high', '52.1').read('series', '358.4'),
    () => on().ready().read('low', '322').read('high', '36.5').read('series', '361'),
  ],
  [
    'one-open-of-three',
    () => on().ready().read('low', '322').read('high', '36.5').read('series', 'OL'),
    () => on().ready().read('low', '322').read('high', 'OL').read('series', 'OL'),
  ],
  [
    'open-adds-nothing',
    () => on().ready().read('low', '322').read('high', 'OL').read('series', 'OL'),
    () => on().ready().read('low', '322').read('high', 'OL'),
  ],
  [
    'shared-resistance',
    () => on().ready().read('low', '325.0').read('high', '39.0').read('series', '354.0'),
    () => on().ready().read('low', '325').read('high', '39.0').read('series', '363'),
  ],
  [
    'sister-ratio',
    () => zeroed(on().put(loose)).read('low', '292').read('high', '42.5'),
    () => on().ready().read('low', '292').read('high', '42.5'),
  ],
  ['at-limit', () => on().ready().read('low', '348'), () => on().ready().read('low', '322')],
  ['leak-over-break', () => on().ready().read('low', '2.4M'), () => on().ready().read('low', '400')],
  [
    'ground-ceiling',
    () =>
      on()
        .ready()
        .read('frame', 'OL 1M', { pair: ['O', 'frame'] }),
    () =>
      on()
        .ready()
        .read('frame', 'OL 20M', { pair: ['O', 'frame'] }),
  ],
  ['windings-untested', () => whole(on().ready()).framed('O'), () => whole(on().ready()).framed('O', 'V')],
  ['static-only', () => whole(on().ready()).framed('O', 'V'), () => on().ready().read('low', '251').framed('O', 'V')],
  [
    'flex-the-lead',
    () => new Script(twinCard(), { unit: { complaint: ['intermittent'] } }).ready().read('low', '318'),
    () =>
      new Script(twinCard(), { unit: { complaint: ['intermittent'] } })
        .ready()
        .read('low', '318')
        .read('flex', 'OL', flexed),
  ],
  [
    'retest-missing',
    () => on().ready().read('low', '251').put({ kind: 'work', what: 'rewind', place: 'low' }),
    () => on().ready().read('low', '251').put({ kind: 'work', what: 'rewind', place: 'low' }).read('low', '300'),
  ],
]
const given = (script: Script, id: RemarkId) => script.state().remarks.some((one) => one.id === id)

describe.each(cases)('%s', (id, fires, not) => {
  test('fires', () => expect(given(fires(), id)).toBe(true))
  test('and not at the nearest case that is sound', () => expect(given(not(), id)).toBe(false))
})

describe('how remarks are given', () => {
  test('of remarks on one cause only the severest, and a warning once a run', () => {
    const both = on().ready().read('high', '318k')
    expect(
      both.state().remarks.filter((one) => one.id === 'prefix-jump' || one.id === 'fits-another').length,
    ).toBeLessThanOrEqual(1)
    const twice = on().ready().read('low', '~318').again('low', '~318')
    expect(twice.state().remarks.filter((one) => one.id === 'not-settled')).toHaveLength(1)
  })

  test('a stop holds its reading until it is answered, taken again or taken back', () => {
    const held = on().ready().read('low', '318k')
    expect(held.state()).toMatchObject({ holding: { id: 'prefix-jump' }, step: 'low' })
    const kept = on().ready().read('low', '318k').put({ kind: 'answer', remark: 'prefix-jump', reason: 'it shows so' })
    expect(kept.state().holding).toBeUndefined()
    expect(kept.state().checks.find((one) => one.check.id === 'low')?.held).toBeUndefined()
    expect(on().ready().read('low', '318k').again('low', '318').state().holding).toBeUndefined()
  })

  test('an answer given at set-up answers the firing that follows', () => {
    const script = on()
      .put(warm)
      .put({ kind: 'answer', remark: 'not-isolated', reason: 'nothing in parallel' })
      .read('low', '318')
      .read('high', '36.5')
    expect(script.state().remarks.find((one) => one.id === 'not-isolated')?.answered).toBeDefined()
    expect(script.state().holding).toBeUndefined()
  })

  test('a zero that reaches back means that the leads never mattered', () => {
    const script = coarse()
      .read('lighting', '0.77')
      .put({ kind: 'lead-check', instrument: 'm2', text: '0.21', ohms: 0.21, u: 0.018, how: 'subtract' })
    expect(given(script, 'leads-matter')).toBe(false)
  })

  test('four wires on three legs: nothing to say but what ohms cannot show', () => {
    const script = on(chargingCard(), [fourWireMeter])
      .ready()
      .read('uv', '0.6204')
      .read('vw', '0.6188')
      .read('wu', '0.6212')
      .framed('U')
    expect(script.state().remarks.map((one) => `${one.id} ${JSON.stringify(one.params)}`)).toEqual([
      'windings-untested {"groups":"P","pins":"P Q"}',
      expect.stringContaining('static-only'),
    ])
  })
})

test('docs/sense.md lists every rule on a reading (npm run rules writes it)', () => {
  const page = readFileSync('docs/sense.md', 'utf8')
  expect(readingRules.map((rule) => rule.id).filter((id) => !page.includes(`\`${id}\``))).toEqual([])
})
