import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { knobMeter, pocketMeter, fourWireMeter, draws, twinCard, valveCard } from '../testing'
import {
  chanceFrom,
  display,
  drive,
  hold,
  meterOf,
  networkOf,
  ohmsBetween,
  partOf,
  testInsulation,
  type Fault,
} from '.'

const cold = { celsius: 20 }
const twin = (...faults: Fault[]) => partOf(twinCard(), faults)
const held = (part: ReturnType<typeof twin>, at: [string, string], seed = 1, seconds = 4) => {
  const chance = chanceFrom(seed)
  const meter = meterOf(pocketMeter, chance)
  return display(meter, 'resistance', hold(part, { at, meter, seconds, ...cold }, chance))
}

describe('a part', () => {
  test('reads what its card says, each pair through everything else', () => {
    expect(ohmsBetween(twin(), ['O', 'G'], cold)).toBeCloseTo(318, 9)
    expect(ohmsBetween(twin(), ['G', 'T'], cold)).toBeCloseTo(354.5, 9)
    expect(ohmsBetween(twin(), ['O', 'V'], cold)).toBe(Infinity)
    expect(ohmsBetween(twin(), ['O', 'frame'], cold)).toBe(Infinity)
  })

  test('warms as copper does', () => {
    expect(ohmsBetween(twin(), ['O', 'G'], { celsius: 80 })).toBeCloseTo((318 * 314.5) / 254.5, 9)
  })

  const faults: [Fault, pair: [string, string], ohms: number][] = [
    [{ kind: 'open-winding', winding: 'low' }, ['O', 'G'], Infinity],
    [{ kind: 'open-lead', terminal: 'O' }, ['O', 'T'], Infinity],
    [{ kind: 'open-lead', terminal: 'O' }, ['G', 'T'], 354.5],
    [{ kind: 'shorted-turns', winding: 'high', fraction: 0.2 }, ['O', 'T'], 29.2],
    [{ kind: 'resistive-joint', terminal: 'O', ohms: 5 }, ['O', 'G'], 323],
    [{ kind: 'resistive-joint', terminal: 'O', ohms: 5 }, ['G', 'T'], 354.5],
    [{ kind: 'ground-leak', winding: 'low', position: 0.5, ohms: 1000 }, ['O', 'frame'], 1159],
    [{ kind: 'bridge', a: 'O', b: 'V', ohms: 10 }, ['O', 'V'], 10],
    [{ kind: 'crossed-pins', a: 'G', b: 'T' }, ['O', 'G'], 36.5],
  ]
  test.each(faults)('with %j', (...[fault, pair, ohms]) => {
    expect(ohmsBetween(twin(fault), pair, cold)).toBeCloseTo(ohms, 9)
  })

  test('has faults that show only when it is warm, or bent', () => {
    const hot = twin({ kind: 'open-winding', winding: 'low', above: 60 })
    expect([20, 80].map((celsius) => ohmsBetween(hot, ['O', 'G'], { celsius }))).toEqual([
      expect.closeTo(318),
      Infinity,
    ])
    const bent = twin({ kind: 'ground-leak', winding: 'low', position: 0, ohms: 2, flexed: true })
    expect(ohmsBetween(bent, ['O', 'frame'], cold)).toBe(Infinity)
    expect(ohmsBetween(bent, ['O', 'frame'], { ...cold, flexed: true })).toBeCloseTo(2, 9)
  })

  test('keeps every terminal in its network, whatever is wrong with it', () => {
    const { nodes } = networkOf(twin({ kind: 'open-lead', terminal: 'G' }), cold)
    expect(nodes).toEqual(expect.arrayContaining(['frame', 'O', 'G', 'T', 'V', 'VW']))
  })
})

describe('a meter', () => {
  test('settles within its accuracy and its leads of what is there, from every seed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const { settled, text } = held(twin(), ['O', 'G'], seed)
        expect(settled.state).toBe('settled')
        expect(Math.abs(Number(text) - 318.11)).toBeLessThan(0.005 * 318 + 0.4)
      }),
      { numRuns: draws(100) },
    )
  })

  test('shows the same from the same seed', () => {
    expect(held(twin(), ['O', 'T'], 7)).toEqual(held(twin(), ['O', 'T'], 7))
    expect(held(twin(), ['O', 'T'], 7)).not.toEqual(held(twin(), ['O', 'T'], 8))
  })

  test('shows over-range with the range it stood on, and a knob stays where it was set', () => {
    expect(held(twin(), ['O', 'frame']).text).toBe('OL 40M')
    const chance = chanceFrom(3)
    const meter = meterOf(knobMeter, chance)
    const samples = hold(twin(), { at: ['O', 'G'], meter, seconds: 3, range: 200, ...cold }, chance)
    expect(samples.every((one) => 'over' in one && one.range === 200)).toBe(true)
  })

  test('of two that a zero takes off, the leads are gone; four wires never had them', () => {
    const chance = chanceFrom(5)
    const meter = { ...meterOf(pocketMeter, chance), gainError: 0, noise: 0, zeroed: 0.11 }
    const contact = { ohms: 0, beginsAt: 0, bounce: 0 }
    const part = partOf(valveCard())
    const zeroed = hold(part, { at: ['1', '2'], meter, contact, seconds: 4, ...cold }, chance)
    expect(display(meter, 'resistance', zeroed).text).toBe('8.00')
    expect(meterOf(fourWireMeter, chance).leadOhms).toBe(0)
  })

  test('that lets go now and then is unsteady', () => {
    const chance = chanceFrom(11)
    const meter = meterOf(pocketMeter, chance)
    const contact = { ohms: 0.05, beginsAt: 2, bounce: 0.4 }
    const { settled, drops } = display(
      meter,
      'resistance',
      hold(twin(), { at: ['O', 'G'], meter, contact, seconds: 6, ...cold }, chance),
    )
    expect(settled.state).toBe('unsteady')
    expect(drops).toBeGreaterThan(0)
  })
})

describe('an insulation tester', () => {
  const tested = (part: ReturnType<typeof twin>) =>
    testInsulation(part, { at: ['O', 'frame'], celsius: 20, seconds: 30 }, chanceFrom(2))

  test('sees ohms rise while the insulation takes up its charge, with its volts up', () => {
    const samples = tested(twin())
    expect(samples[0]?.ohms).toBeLessThan((samples.at(-1)?.ohms ?? 0) / 2)
    expect(samples.at(-1)?.volts).toBeGreaterThan(475)
  })

  test('sags on a leak', () => {
    const samples = tested(twin({ kind: 'ground-leak', winding: 'low', position: 0.5, ohms: 5e4 }))
    expect(samples.at(-1)?.volts).toBeLessThan(200)
    expect(samples.at(-1)?.ohms).toBeLessThan(6e4)
  })
})

describe('a bench supply', () => {
  const supply = { volts: 12, limitAmps: 3, sourceOhms: 0.1 }
  const driven = (limitAmps: number, seconds = 300) =>
    drive(partOf(valveCard()), { at: ['1', '2'], celsius: 20, seconds, supply: { ...supply, limitAmps } })

  test('warms the part, and its current falls', () => {
    const samples = driven(3)
    expect(samples[0]?.amps).toBeCloseTo(12 / 8.1, 9)
    expect(samples.at(-1)?.celsius).toBeGreaterThan(60)
    expect(samples.at(-1)?.amps).toBeLessThan(samples[0]?.amps ?? 0)
  })

  test('holds its limit and lets its volts fall', () => {
    expect(driven(0.5, 1)[0]).toMatchObject({ amps: 0.5, volts: 4, limiting: true })
  })
})
