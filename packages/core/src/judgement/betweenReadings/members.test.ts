import { describe, expect, test } from '@jest/globals'
import type { Instrument, Relation } from '../../document'
import { fourWireMeter, plainCard, plainCheck, plainTerminals, pocketMeter, Script } from '../../testing'
import { figuresOf, single } from './members'

const legs = ['a', 'b', 'c']
const even: Relation = { id: 'even', label: 'even', source: 's1', kind: 'unbalance', checks: legs, maxPct: 3 }
const card = plainCard({
  family: 'charging-stator',
  terminals: plainTerminals('a1', 'a2', 'b1', 'b2', 'c1', 'c2'),
  windings: legs.map((id) => ({ id, label: id, from: `${id}1`, to: `${id}2`, material: 'copper' as const })),
  checks: legs.map((id) => plainCheck(id, 'resistance', { pair: [`${id}1`, `${id}2`] }, undefined, { limits: [] })),
  relations: [even],
})
const meters: Instrument[] = [pocketMeter, fourWireMeter]
const script = () => new Script(card, { instruments: meters }).ready(20)
const by = (meter: Instrument) => ({ instrument: meter.id })
const read = (texts: string[], meter = pocketMeter) =>
  texts.reduce((run, text, i) => run.read(legs[i] ?? '', text, by(meter)), script())
const relation = (run: Script) => run.state().relations[0]
const evaluations = (run: Script) => [...run.state().evaluations.values()]

describe('legs against their mean', () => {
  test('alike are within, and the one farthest off is named with its side', () => {
    expect(relation(read(['100.0', '100.5', '99.8']))?.verdict).toBe('within')
    const low = relation(read(['100.0', '90.0', '100.4']))
    expect([low?.verdict, low?.odd?.check.id, low?.oddReadsHigh]).toEqual(['outside', 'b', false])
    const high = relation(read(['112.0', '100.0', '100.4']))
    expect([high?.odd?.check.id, high?.oddReadsHigh]).toEqual(['a', true])
    expect(low?.value).toBeCloseTo((100 * (290.4 / 3 - 90)) / (290.4 / 3), 3)
    expect(low?.limits).toEqual({ max: 3 })
  })

  test('one missing or open says nothing of the others', () => {
    expect(relation(read(['100.0', '100.5']))).toMatchObject({ verdict: 'none', reason: 'not-read' })
    expect(relation(read([]))).toMatchObject({ verdict: 'none', reason: 'not-read', members: [] })
    expect(relation(read(['100.0', '100.5', 'OL 40M']))).toMatchObject({ verdict: 'none', reason: 'not-finite' })
  })

  test('a meter that cannot tell so little is said to', () => {
    expect(relation(read(['1.0', '1.0', '1.0']))?.meterCannot).toBe(true)
    expect(relation(read(['100.0', '100.5', '99.8']))?.meterCannot).toBe(false)
  })
})

describe('figures that are held against one another', () => {
  const u = (run: Script, zeroApart = false) => figuresOf(evaluations(run), zeroApart).figures.map((one) => one.u)

  test('of one meter on one range its gain cancels: counts, digits and contact are left', () => {
    const range = pocketMeter.functions[0]?.ranges.find(({ fullScale }) => fullScale >= 100)
    if (!range) throw new Error('no range')
    const { counts = 0, resolution } = range
    const own = Math.hypot((counts * resolution) / Math.sqrt(3), resolution / Math.sqrt(12), 0.01 / Math.sqrt(3))
    for (const one of u(read(['100.0', '100.5']))) expect(one).toBeCloseTo(own, 9)
  })

  test('by four wires no contact stands in them', () => {
    const [one] = u(read(['100.00', '100.50'], fourWireMeter))
    const range = evaluations(read(['100.00', '100.50'], fourWireMeter))[0]?.range
    const { counts = 0, resolution = 0 } = range ?? {}
    expect(one).toBeCloseTo(Math.hypot((counts * resolution) / Math.sqrt(3), resolution / Math.sqrt(12)), 9)
  })

  test('of two meters, or two ranges, each has its whole doubt', () => {
    const two = script().read('a', '100.0', by(pocketMeter)).read('b', '100.50', by(fourWireMeter))
    const [pocket] = u(two)
    const [one] = evaluations(two)
    const { accuracy = 0, resolution = 0, spread = 0, lead = 0 } = one?.parts ?? {}
    expect(pocket).toBeCloseTo(Math.hypot(accuracy, resolution, spread, lead), 9)
    const ranges = u(script().read('a', '50.00', by(pocketMeter)).read('b', '700', by(pocketMeter)))
    expect(ranges[1]).toBeGreaterThan((0.5 / 100) * 700 * (1 / Math.sqrt(3)))
  })

  test('what the leads add stands apart where it is the same in all, else in each', () => {
    const two = script().read('a', '100.0', by(pocketMeter)).read('b', '100.50', by(fourWireMeter))
    const apart = figuresOf(evaluations(two), true)
    const inEach = figuresOf(evaluations(two), false)
    expect(apart.uLead).toBeGreaterThan(0)
    expect(inEach.uLead).toBe(0)
    expect(apart.figures[0]?.u).toBeLessThan(inEach.figures[0]?.u ?? 0)
  })

  test('warm metal is brought to the first one’s temperature', () => {
    const run = script().read('a', '100.0', by(pocketMeter))
    run.put({ kind: 'work', what: 'clean', place: 'b' })
    run.put({ kind: 'temperature', part: 'measured', partC: 60 })
    run.read('b', '110.0', by(pocketMeter))
    const { scales, figures } = figuresOf(evaluations(run), false)
    expect(scales[0]).toBe(1)
    expect(scales[1]).toBeCloseTo((234.5 + 20) / (234.5 + 60), 6)
    expect(figures[1]?.value).toBeCloseTo(110 * (254.5 / 294.5), 3)
  })
})

describe('one figure a check', () => {
  const of = (run: Script, ...checks: string[]) => {
    const all = evaluations(run)
    return single(checks, (check) => all.filter((one) => one.check.id === check))
  }

  test('the last of each; not read, or not finite, where one is', () => {
    const run = read(['100.0', '100.5'])
    expect(of(run, 'a', 'b')).toHaveLength(2)
    expect(of(run, 'a', 'c')).toBe('not-read')
    expect(of(read(['100.0', 'OL 40M']), 'a', 'b')).toBe('not-finite')
    expect(of(read(['100.0', 'OL 40M']), 'c', 'b')).toBe('not-read')
  })
})
