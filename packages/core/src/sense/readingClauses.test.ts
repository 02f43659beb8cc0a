import { describe, expect, test } from '@jest/globals'
import { fourWireMeter, plainCard, plainCheck, plainTerminals, pocketMeter, Script } from '../testing'
import type { EntryBody, Instrument } from '../document'

const volts: Instrument = {
  id: 'volts',
  name: 'volts and amperes',
  overSign: 'OL',
  ranging: 'auto',
  functions: [
    { quantity: 'voltage', ranges: [{ fullScale: 60, resolution: 0.01, percentOfReading: 0.5, counts: 3 }] },
    { quantity: 'current', ranges: [{ fullScale: 10, resolution: 0.01, percentOfReading: 1, counts: 3 }] },
  ],
}
const card = plainCard({
  family: 'solenoid',
  terminals: plainTerminals('A', 'B', 'frame'),
  windings: [{ id: 'coil', label: 'coil', from: 'A', to: 'B', ohms: 110, tolerancePct: 10, material: 'copper' }],
  checks: [
    plainCheck('coil', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 100, max: 120 }),
    plainCheck('ground', 'resistance', { each: ['A'], to: 'frame' }, { kind: 'open', atLeast: 1e6 }),
    plainCheck('path', 'continuity', { each: ['B'], to: 'frame' }, { kind: 'open', atLeast: 1e6 }),
    plainCheck('draw', 'current', { pair: ['A', 'B'] }, undefined, { limits: [] }),
    plainCheck('drop', 'dc-output', { pair: ['A', 'B'] }, undefined, { limits: [] }),
  ],
})
const begun = () => new Script(card, { instruments: [pocketMeter, fourWireMeter, volts] })
const zeroed = (run: Script, text: string, how: 'hardware' | 'subtract' = 'hardware') =>
  run.put({
    kind: 'lead-check',
    instrument: pocketMeter.id,
    text,
    ohms: how === 'subtract' ? Number(text) : 0,
    u: 0.01,
    how,
  })
const ids = (run: Script) => run.state().remarks.map(({ id }) => id)
const told = (run: Script, id: string) => run.state().remarks.find((one) => one.id === id)
const on = (meter: Instrument, more = {}) => ({ instrument: meter.id, ...more })
const again = (check: string, a: string, b: string, meter = pocketMeter, other = meter) =>
  told(begun().ready().read(check, a, on(meter)).read(check, b, on(other)), 'repeats-apart')

describe('two readings of one point on one meter', () => {
  test('further apart than a hundredth and three digits are told, with both as they were taken', () => {
    expect(again('coil', '110.0', '111.4')).toBeUndefined()
    expect(again('coil', '110.0', '111.5')).toMatchObject({ severity: 'warn', params: { value: 111.5, before: 110 } })
    expect(again('coil', '111.5', '110.0')?.params).toEqual({ value: 110, before: 111.5 })
  })

  test('a prefix that slipped is another matter, and so is another meter', () => {
    expect(again('coil', '110.0', '110.0k')).toBeUndefined()
    expect(again('coil', '110.0k', '110.0')).toBeUndefined()
    expect(again('coil', '110.0', '115.00', pocketMeter, fourWireMeter)).toBeUndefined()
  })

  test('with a lead lifted between them they are of two things; said again alike they are of one', () => {
    const inCircuit = { kind: 'isolation', state: 'in-circuit', parallelOhms: 5000 } as const
    const lifted: EntryBody = { kind: 'isolation', state: 'one-lead-lifted', lifted: ['A'] }
    const between = (...put: Parameters<Script['put']>[0][]) => {
      const run = begun().put(inCircuit).read('coil', '108.0')
      for (const one of put) run.put(one)
      return ids(run.read('coil', '112.0'))
    }
    expect(between(lifted)).not.toContain('repeats-apart')
    expect(between({ ...inCircuit, parallelOhms: 4000 })).not.toContain('repeats-apart')
    expect(between(lifted, inCircuit)).toContain('repeats-apart')
    expect(between()).toContain('repeats-apart')
  })

  test('what was warm and cooled reads less; what rises, or falls by more than heat gives, is told', () => {
    const cooled = (before: string, after: string, what: 'fix' | 'clean' = 'fix') =>
      ids(begun().ready().put({ kind: 'work', what, place: 'coil' }).read('coil', before).read('coil', after))
    expect(cooled('125.0', '112.0')).not.toContain('repeats-apart')
    expect(cooled('112.0', '125.0')).toContain('repeats-apart')
    expect(cooled('170.0', '112.0')).toContain('repeats-apart')
    expect(cooled('125.0', '112.0', 'clean')).toContain('repeats-apart')
  })

  test('leads exchanged turn the sign of amperes, not their size; of volts the sign is the reading', () => {
    expect(again('draw', '2.51', '-2.51', volts)).toBeUndefined()
    expect(again('draw', '2.51', '-2.60', volts)).toBeDefined()
    expect(again('drop', '5.00', '-5.00', volts)).toBeDefined()
  })

  test('a zero made in between takes from the first what it took from the second', () => {
    const run = begun().put({ kind: 'isolation', state: 'loose' }).read('coil', '110.9', on(pocketMeter))
    expect(ids(zeroed(run, '3.0').read('coil', '107.9', on(pocketMeter)))).not.toContain('repeats-apart')
  })

  test('without one, or with one that was taken off both, the difference stands', () => {
    const never = begun().put({ kind: 'isolation', state: 'loose' }).read('coil', '110.9', on(pocketMeter))
    expect(ids(never.read('coil', '107.9', on(pocketMeter)))).toContain('repeats-apart')
    const both = begun().put({ kind: 'isolation', state: 'loose' }).read('coil', '110.9', on(pocketMeter))
    expect(ids(zeroed(both, '3.0', 'subtract').read('coil', '107.9', on(pocketMeter)))).toContain('repeats-apart')
  })
})

describe('a temperature that nobody measured', () => {
  const room = (text: string) =>
    told(
      zeroed(begun().put({ kind: 'isolation', state: 'loose' }), '0.1')
        .put({ kind: 'temperature', part: 'room', roomC: 20 })
        .read('coil', text, on(pocketMeter)),
      'temperature-decides',
    )

  test('decides where ten degrees more or less would turn the reading', () => {
    expect(room('101.5')).toMatchObject({ severity: 'warn', params: { assumed: 20, from: 'room' } })
    expect(room('118.5')).toBeDefined()
  })

  test('does not where they would not, in the middle or far outside', () => {
    expect(room('110.0')).toBeUndefined()
    expect(room('90.0')).toBeUndefined()
    expect(room('140.0')).toBeUndefined()
  })

  test('was measured, and decides nothing', () =>
    expect(told(begun().ready(20).read('coil', '101.5', on(pocketMeter)), 'temperature-decides')).toBeUndefined())
})

describe('a ground test', () => {
  const to = (check: string, terminal: string, text: string) =>
    told(
      begun()
        .ready()
        .put({ kind: 'proof', of: 'same-metal', terminal: 'frame' })
        .read(check, text, on(pocketMeter, { pair: [terminal, 'frame'] })),
      'ground-ceiling',
    )

  test('on a low range sees hard shorts only, and says up to what', () => {
    expect(to('ground', 'A', 'OL 600')).toMatchObject({ severity: 'note', params: { bound: 600 } })
    expect(to('ground', 'A', 'OL 1.99M')).toBeDefined()
    expect(to('ground', 'A', 'OL 2M')).toBeUndefined()
    expect(to('ground', 'A', 'OL 40M')).toBeUndefined()
  })

  test('as a path or none is no more than that on any range', () => expect(to('path', 'B', 'OL 40M')).toBeDefined())

  test('that found something needs no such note', () => expect(to('ground', 'A', '3.4')).toBeUndefined())
})

describe('a reading at its limit', () => {
  const at = (text: string, run = begun().ready(20)) => told(run.read('coil', text, on(pocketMeter)), 'at-limit')

  test('is told by what: the meter’s doubt', () => {
    expect(at('100.3')).toMatchObject({ severity: 'note', params: { by: 'meter' } })
    expect(at('119.7')?.params['margin']).toBeCloseTo(0.3, 6)
  })

  test('or the temperature’s alone', () => {
    const warm = zeroed(begun().put({ kind: 'isolation', state: 'loose' }), '0.1').put({
      kind: 'temperature',
      part: 'room',
      roomC: 20,
    })
    expect(at('102.0', warm)?.params['by']).toBe('temperature')
  })

  test('clear of it, on either side, is not', () => {
    expect(at('110.0')).toBeUndefined()
    expect(at('90.0')).toBeUndefined()
  })
})

describe('while it was held', () => {
  test('it had not settled, or it moved', () => {
    expect(ids(begun().ready().read('coil', '~110.0', on(pocketMeter)))).toContain('not-settled')
    expect(ids(begun().ready().read('coil', '110.0', on(pocketMeter)))).not.toContain('not-settled')
    expect(ids(begun().ready().read('coil', '105..112', on(pocketMeter)))).toContain('unsteady')
    expect(ids(begun().ready().read('coil', '109..112', on(pocketMeter)))).not.toContain('unsteady')
  })
})
