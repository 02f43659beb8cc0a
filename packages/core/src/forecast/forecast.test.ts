import { describe, expect, test } from '@jest/globals'
import type { EntryBody } from '../document'
import type { NextReading } from '../state'
import { chargingCard, demoCard, Script, twinCard, valveCard } from '../testing'
import { forecastOf } from './forecastOf'

const ahead = (script: Script, check: string, question: Partial<NextReading> = {}) => {
  const pair = script.state().prepared.checks.get(check)?.points[0]?.pair
  return forecastOf(script.state(), {
    check,
    at: '2026-03-02T11:00:00.000Z',
    by: 'p',
    instrument: 'm2',
    ...(pair ? { pair } : {}),
    ...question,
  })
}
const twin = (celsius?: number) => new Script(twinCard()).ready(celsius)
const leads = (ohms: number): EntryBody => ({
  kind: 'lead-check',
  instrument: 'm2',
  text: String(ohms),
  ohms,
  u: 0.02,
  how: 'subtract',
})

describe('ohms', () => {
  test('the windings of this unit add up, once all of them are read', () => {
    const script = twin().read('low', '236.4')
    expect(ahead(script, 'series')).toBeUndefined()
    expect(ahead(script.read('high', '36.70'), 'series')).toEqual({
      quantity: 'resistance',
      from: 'parts',
      value: expect.closeTo(273.1, 6),
    })
  })

  test('leads that are taken off by figure stand in what the display will show', () => {
    const script = twin().put(leads(0.1)).read('low', '236.4').read('high', '36.70')
    expect(ahead(script, 'series')).toMatchObject({ value: expect.closeTo(273.0, 6), leads: 0.1 })
    expect(ahead(script, 'trigger')).toMatchObject({ from: 'card', value: expect.closeTo(92.1, 6), leads: 0.1 })
  })

  test('two pairs of three pins tell the third', () => {
    const pins = new Script(demoCard('brindlecote-c3')).ready(16).put(leads(0.21))
    pins.read('pins', '5.08', { pair: ['C', 'R'] })
    expect(ahead(pins, 'pins', { pair: ['R', 'S'] })).not.toMatchObject({ from: 'parts' })
    pins.read('pins', '12.01', { pair: ['C', 'S'] })
    expect(ahead(pins, 'pins', { pair: ['R', 'S'] })).toMatchObject({
      from: 'parts',
      value: expect.closeTo(16.88, 6),
      leads: 0.21,
    })
    const open = new Script(demoCard('brindlecote-c3')).ready(16).read('pins', 'OL 40M', { pair: ['C', 'S'] })
    expect(ahead(open, 'pins', { pair: ['R', 'S'] })).toMatchObject({ from: 'parts', open: true })
  })

  test('nothing leads through an open winding, whether or not the others are read', () => {
    const script = twin().read('high', 'OL')
    expect(ahead(script, 'series')).toEqual({ quantity: 'resistance', from: 'parts', open: true })
    expect(ahead(twin().put(leads(0.1)).read('high', 'OL'), 'series')).not.toHaveProperty('leads')
  })

  test('a reading that is held, or gone, tells nothing', () => {
    const held = twin().read('low', '322').read('high', '36.7k')
    expect(held.state().holding).toBeDefined()
    expect(ahead(held, 'series')).toBeUndefined()
    const back = twin().read('low', '322').read('high', '36.7')
    back.put({ kind: 'take-back', entry: back.run.entries.at(-1)?.id ?? '', reason: 'another pair' })
    expect(ahead(back, 'series')).toBeUndefined()
  })

  test('a part of a sum is the whole less the others', () => {
    const script = twin().read('series', '358.4')
    expect(ahead(script, 'low')).toBeUndefined()
    expect(ahead(script.read('high', '36.5'), 'low')).toMatchObject({ from: 'whole', value: expect.closeTo(321.9, 6) })
    expect(ahead(twin().read('series', '30').read('high', '36.5'), 'low')).toBeUndefined()
  })

  test('a part that is not at the reference: the card’s figures at its temperature', () => {
    const told = ahead(twin(12), 'low')
    expect(told).toMatchObject({ from: 'card', partC: 12 })
    expect([told?.value, told?.low, told?.high].map((ohms) => ohms?.toFixed(1))).toEqual(['308.0', '277.2', '338.8'])
    expect(told).not.toHaveProperty('guessed')
    const card = twinCard()
    const checks = card.checks.map((one) => ({
      ...one,
      limits: one.limits.map((limit) => ({ ...limit, assumed: true as const })),
    }))
    expect(ahead(new Script({ ...card, checks }).ready(12), 'low')).toMatchObject({ from: 'card', guessed: true })
    expect(ahead(twin(20), 'low')).toBeUndefined()
    expect(ahead(new Script(twinCard()), 'low')).toBeUndefined()
    expect(ahead(twin(12), 'frame')).toBeUndefined()
  })

  test('in circuit: the part and what stands beside it; beyond a break that alone', () => {
    const inCircuit: EntryBody = { kind: 'isolation', state: 'in-circuit', parallelOhms: 1000 }
    const script = twin(20).put(inCircuit)
    expect(ahead(script, 'low')).toMatchObject({ from: 'card', parallel: 1000, value: expect.closeTo(241.3, 1) })
    expect(ahead(twin(20).read('high', 'OL').put(inCircuit), 'series')).toEqual({
      quantity: 'resistance',
      from: 'parts',
      open: true,
      parallel: 1000,
      value: 1000,
    })
    expect(ahead(twin(20).put({ kind: 'isolation', state: 'in-circuit' }), 'low')).toBeUndefined()
  })

  test('a pair that was read bare, in circuit again: both together; isolated as it was nothing is foretold', () => {
    const inCircuit: EntryBody = { kind: 'isolation', state: 'in-circuit', parallelOhms: 1000 }
    const read = twin(20).read('low', '322')
    expect(ahead(read, 'low')).toBeUndefined()
    expect(ahead(twin(20).read('low', '322').put(inCircuit), 'low')).toMatchObject({
      from: 'own',
      bare: 322,
      parallel: 1000,
      value: expect.closeTo((322 * 1000) / 1322, 6),
    })
    expect(ahead(twin(20).read('low', 'OL').put(inCircuit), 'low')?.from).not.toBe('own')
  })

  test('a pair that was read cold, once the part is warmed: by its metal’s law, from 5 % on', () => {
    const warmed = (partC: number) =>
      twin(20)
        .read('low', '322')
        .put({ kind: 'decision', what: 'more-tests', why: 'hot' })
        .put({ kind: 'temperature', part: 'measured', partC })
    expect(ahead(warmed(65), 'low')).toMatchObject({
      from: 'own',
      bare: 322,
      partC: 65,
      value: expect.closeTo((322 * 299.5) / 254.5, 6),
    })
    expect(ahead(warmed(30), 'low')?.from).toBe('card')
    expect(ahead(warmed(65), 'trigger')?.from).toBe('card')
  })

  test('through windings that were read cold, and a whole less its parts: as warm as the part is now', () => {
    const warmed = (script: Script) => script.put({ kind: 'temperature', part: 'hot', partC: 65 })
    const factor = 299.5 / 254.5
    const series = ahead(warmed(twin(20).read('low', '322').read('high', '36.5')), 'series')
    expect(series).toMatchObject({ from: 'parts', value: expect.closeTo(358.5 * factor, 6) })
    const high = ahead(warmed(twin(20).read('low', '322').read('series', '358.4')), 'high')
    expect(high).toMatchObject({ from: 'whole', value: expect.closeTo(36.4 * factor, 6) })
  })

  test('legs of a star have no reading of their own: the card says it', () => {
    const script = new Script(chargingCard()).ready(40).read('uv', '0.67')
    expect(ahead(script, 'vw')).toMatchObject({ from: 'card', partC: 40 })
  })
})

describe('amperes and volts', () => {
  const supply = (volts: number, on = false): EntryBody => ({
    kind: 'supply',
    text: String(volts),
    volts,
    u: 0.05,
    while: on ? 'on' : 'off',
  })
  const valve = () => new Script(valveCard()).ready(31)

  test('volts over the ohms this coil reads, warm as it is, and what stands in series', () => {
    expect(ahead(valve().put(supply(24)), 'draw')).toBeUndefined()
    expect(ahead(valve().read('coil', '8.00'), 'draw')).toBeUndefined()
    const script = valve().read('coil', '8.00').put(supply(24))
    expect(ahead(script, 'draw')).toEqual({ quantity: 'current', from: 'volts', volts: 24, ohms: 8, value: 3 })
    expect(ahead(script, 'draw', { conditions: { seriesOhms: 4 } })?.value).toBeCloseTo(2, 6)
    expect(ahead(script.put(supply(22, true)), 'draw')?.value).toBeCloseTo(2.75, 6)
  })

  test('a lamp in series by its law, with its share of its power', () => {
    const script = valve().read('coil', '23.3').put(supply(24.9, true))
    const told = ahead(script, 'draw', { conditions: { lamp: { volts: 24, watts: 21 } } })
    expect(told?.value).toBeCloseTo(0.58, 2)
    expect(told?.lampShare).toBeCloseTo(0.31, 2)
  })

  test('how bright a lamp should be, by the ohms between the same points, and what the coil keeps', () => {
    const script = new Script(demoCard('duskwater-dv24')).ready(31)
    expect(ahead(script.put(supply(25.4)), 'lamp')).toBeUndefined()
    script.read('coil', '23.30')
    expect(ahead(script, 'lamp')?.lampShare).toBeCloseTo(0.32, 1)
    const told = ahead(script.put(supply(24.9, true)), 'lamp')
    expect(told).toMatchObject({ from: 'volts', ohms: expect.closeTo(23.3, 1), volts: 24.9 })
    expect([told?.value, told?.lampShare, told?.coilVolts].map((one) => one?.toFixed(2))).toEqual([
      '0.58',
      '0.31',
      '13.52',
    ])
    expect(
      ahead(new Script(demoCard('duskwater-dv24')).ready(31).put(supply(24)).read('coil', 'OL'), 'lamp'),
    ).toBeUndefined()
  })

  test('alternating volts at another speed, in proportion', () => {
    const script = new Script(chargingCard()).ready()
    expect(ahead(script, 'volts')).toBeUndefined()
    script.read('volts', '11.9', { pair: ['U', 'V'], conditions: { rpm: 850 } })
    expect(ahead(script, 'volts', { pair: ['U', 'V'] })).toMatchObject({
      from: 'speed',
      rpm: 3000,
      value: expect.closeTo(42, 6),
    })
    expect(ahead(script, 'volts', { pair: ['V', 'W'] })).toBeUndefined()
    script.read('volts', '41.9', { pair: ['U', 'V'], conditions: { rpm: 3000 } })
    expect(ahead(script, 'volts', { pair: ['U', 'V'] })).toBeUndefined()
  })
})
