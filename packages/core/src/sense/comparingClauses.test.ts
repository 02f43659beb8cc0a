import { describe, expect, test } from '@jest/globals'
import { fourWireMeter, plainCard, plainCheck, plainTerminals, pocketMeter, Script } from '../testing'
import type { Instrument } from '../document'

const card = plainCard({
  family: 'ignition-stator',
  terminals: plainTerminals('A', 'B', 'C', 'frame'),
  windings: [
    { id: 'one', label: 'one', from: 'A', to: 'B', ohms: 100, tolerancePct: 10, material: 'copper' },
    { id: 'two', label: 'two', from: 'B', to: 'C', ohms: 100, tolerancePct: 10, material: 'copper' },
  ],
  checks: [
    plainCheck('one', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 100, max: 120 }),
    plainCheck('two', 'resistance', { pair: ['B', 'C'] }, { kind: 'band', min: 100, max: 120 }),
    plainCheck('ground', 'resistance', { each: ['A'], to: 'frame' }, { kind: 'open', atLeast: 1e6 }),
    plainCheck('henries', 'inductance', { pair: ['A', 'B'] }, { kind: 'band', min: 0.1, max: 0.2 }),
    plainCheck('farads', 'capacitance', { pair: ['A', 'frame'] }, { kind: 'band', min: 1e-9, max: 2e-9 }),
  ],
})
const bridge: Instrument = {
  id: 'bridge',
  name: 'bridge',
  overSign: 'OL',
  ranging: 'auto',
  functions: [
    { quantity: 'inductance', ranges: [{ fullScale: 2, resolution: 0.001, percentOfReading: 0.5, counts: 2 }] },
    { quantity: 'capacitance', ranges: [{ fullScale: 2e-6, resolution: 1e-12, percentOfReading: 0.5, counts: 2 }] },
  ],
}
const script = () => new Script(card, { instruments: [pocketMeter, fourWireMeter, bridge] })
const told = (run: Script, id: string) => run.state().remarks.find((one) => one.id === id)
const zero = (text: string, ohms = 0) =>
  ({
    kind: 'lead-check',
    instrument: pocketMeter.id,
    text,
    ohms,
    u: 0.01,
    how: ohms > 0 ? 'subtract' : 'hardware',
  }) as const
const first = { instrument: pocketMeter.id }
const second = { instrument: fourWireMeter.id }

describe('leads that are poor', () => {
  test.each([
    ['over half an ohm, zeroed in the meter', '0.51', 0, true],
    ['half an ohm', '0.50', 0, false],
    ['over half an ohm, taken off', '0.51', 0.51, true],
    ['little', '0.12', 0.12, false],
  ])('%s', (_what, text, ohms, fires) => {
    const run = script().ready().put(zero(text, ohms)).read('one', '110.0', first)
    expect(told(run, 'poor-leads') !== undefined).toBe(fires)
  })

  test('of leads that nobody checked nothing is said', () => {
    const run = script().put({ kind: 'isolation', state: 'loose' }).read('one', '110.0', first)
    expect(told(run, 'poor-leads')).toBeUndefined()
  })
})

describe('two meters on one point', () => {
  const read = (a: string, b: string, by = second) =>
    told(script().ready().read('one', a, first).read('one', b, by), 'meters-disagree')

  test('apart by more than both doubts are told, with the other’s figure and name', () => {
    const remark = read('110.0', '117.0')
    expect(remark).toMatchObject({ severity: 'warn', params: { meter: pocketMeter.name } })
    expect(remark?.params['other']).toBeCloseTo(110, 6)
    expect(read('117.0', '110.0')).toBeDefined()
  })

  test('within them, or one meter twice, are not', () => {
    expect(read('110.0', '110.4')).toBeUndefined()
    expect(read('110.0', '117.0', first)).toBeUndefined()
  })

  test('open on one and finite below that on the other is a stop that holds both', () => {
    const run = script().ready().read('one', 'OL 40M', first).read('one', '110.0', second)
    const stop = told(run, 'tests-disagree')
    expect(stop).toMatchObject({ severity: 'stop', params: { meter: pocketMeter.name } })
    expect(stop?.holds).toHaveLength(2)
  })

  test('a bound below the figure contradicts nothing, and neither does one meter’s own', () => {
    const low = script().ready().read('one', 'OL 60', first).read('one', '110.0', second)
    expect(told(low, 'tests-disagree')).toBeUndefined()
    const own = script().ready().read('one', 'OL 40M', first).read('one', '110.0', first)
    expect(told(own, 'tests-disagree')).toBeUndefined()
    const beep = script().ready().read('one', '<35', first).read('one', '20.0', second)
    expect(told(beep, 'tests-disagree')).toBeUndefined()
  })

  test('taken back it contradicts nothing any more', () => {
    const run = script().ready().read('one', 'OL 40M', first)
    run.put({ kind: 'take-back', entry: run.run.entries.at(-1)?.id ?? '', reason: 'slipped' })
    expect(told(run.read('one', '110.0', second), 'tests-disagree')).toBeUndefined()
  })
})

describe('a little under its least', () => {
  const unknown = () => script().put({ kind: 'isolation', state: 'loose' }).put(zero('0.1'))
  const percent = (run: Script) => told(run, 'low-by-a-little')?.params['percent']

  test('nobody knowing how warm it is, is told with how much', () => {
    expect(percent(unknown().read('one', '92.0', first))).toBeCloseTo(8, 0)
  })

  test('by more than a little, within, or measured, is not', () => {
    expect(percent(unknown().read('one', '87.0', first))).toBeUndefined()
    expect(percent(unknown().read('one', '105.0', first))).toBeUndefined()
    expect(percent(script().ready(20).read('one', '92.0', first))).toBeUndefined()
  })

  test('to the frame it is no matter of warmth', () => {
    expect(percent(unknown().read('ground', '950k', { ...first, pair: ['A', 'frame'] }))).toBeUndefined()
  })
})

describe('henries or farads of what reads open', () => {
  const read = (ohms: [string, string], ac: [string, string]) => {
    const [check, text] = ohms
    const run = script()
      .ready()
      .read(check, text, check === 'ground' ? { ...first, pair: ['A', 'frame'] } : first)
    return told(run.read(ac[0], ac[1], { instrument: bridge.id }), 'ac-on-open')
  }

  test('say nothing of it, and that is said with the pair that is open', () =>
    expect(read(['one', 'OL 40M'], ['henries', '150m'])).toMatchObject({ severity: 'note', params: { check: 'one' } }))

  test.each([
    ['the pair is whole', ['one', '110.0'], ['henries', '150m']],
    ['another pair is open', ['two', 'OL 40M'], ['henries', '150m']],
    ['it is open where it should be', ['ground', 'OL 40M'], ['farads', '1.5n']],
  ] as [string, [string, string], [string, string]][])('count where %s', (_what, ohms, ac) =>
    expect(read(ohms, ac)).toBeUndefined(),
  )
})
