import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import * as core from '.'
import { draws } from './testing'

const ohms = fc.double({ min: 0, max: 1e9, noNaN: true })
const positive = fc.double({ min: 1e-6, max: 1e9, noNaN: true })
const u = fc.double({ min: 0, max: 1e6, noNaN: true })
const open = fc.oneof(ohms, fc.constant('Infinity' as const))
const celsius = fc.double({ min: -40, max: 180, noNaN: true })
const metal = fc.constantFrom('copper' as const, 'aluminium' as const)
const figure = fc.record({ value: ohms, u })
const terminals = ['a', 'b', 'c', 'd']
const pair = fc.constantFrom(
  ...terminals.flatMap((one, i) => terminals.slice(i + 1).map((other) => [one, other] as const)),
)
const drive = fc.constantFrom(null, { plus: 'a', minus: 'b' }, { plus: 'b', minus: 'a' })
const observation = fc.tuple(pair, open, drive).map(([[a, b], value, energised]) => ({ a, b, ohms: value, energised }))
const winding = fc.tuple(pair, positive, fc.double({ min: 0, max: 50, noNaN: true }))
const windings = fc
  .array(winding, { maxLength: 6 })
  .map((all) =>
    all.map(([[from, to], value, tolerancePct], i) => ({ id: `w${i}`, from, to, ohms: value, tolerancePct })),
  )
const geometry = {
  shape: fc.oneof(
    fc.record({ kind: fc.constant('round' as const), coreMm: positive }),
    fc.record({ kind: fc.constant('rectangle' as const), a: positive, b: positive }),
  ),
  overallMm: fc.double({ min: 0.02, max: 3, noNaN: true }),
  traverseMm: fc.double({ min: 1, max: 200, noNaN: true }),
  packing: fc.double({ min: 0.1, max: 1, noNaN: true }),
}

/** Every function that gives figures, with inputs of its own types: whatever they are, no output holds NaN and nothing throws. */
const functions: [name: string, calls: fc.Arbitrary<() => unknown>][] = [
  ['netOfLeads', fc.record({ ohms, leadOhms: ohms, uOhms: u, uLead: u }).map((one) => () => core.netOfLeads(one))],
  [
    'settle',
    fc
      .record({
        samples: fc.array(fc.record({ t: u, value: fc.oneof(ohms, fc.constant('over' as const)) })),
        counts: u,
        resolution: u,
      })
      .map((one) => () => core.settle(one)),
  ],
  [
    'correctToReference',
    fc
      .record({ ohms, u, partC: celsius, uPartC: u, refC: celsius, uRefC: u, material: metal })
      .map((one) => () => core.correctToReference(one)),
  ],
  [
    'sumCheck',
    fc
      .record({ parts: fc.array(figure), whole: figure, sharedOhms: ohms, uLead: u })
      .map((one) => () => core.sumCheck(one)),
  ],
  ['twinCheck', fc.record({ a: figure, b: figure, allowedPct: u }).map((one) => () => core.twinCheck(one))],
  ['unbalance', fc.record({ values: fc.array(ohms) }).map((one) => () => core.unbalance(one))],
  ['threeTerminal', fc.record({ ab: open, bc: open, ca: open, u }).map((one) => () => core.threeTerminal(one))],
  [
    'judgeInsulation',
    fc
      .record(
        {
          volts: ohms,
          testVolts: ohms,
          ohms,
          low: ohms,
          high: ohms,
          kind: fc.constantFrom(
            'value' as const,
            'above' as const,
            'over' as const,
            'below' as const,
            'spread' as const,
          ),
          minOhms: positive,
          settled: fc.boolean(),
        },
        { requiredKeys: ['minOhms', 'settled'] },
      )
      .map((one) => () => core.judgeInsulation(one)),
  ],
  ['absorption', fc.record({ ohms30: ohms, ohms60: ohms, ohms600: ohms }).map((one) => () => core.absorption(one))],
  ['insulationAt40', fc.record({ ohms, windingC: celsius }).map((one) => () => core.insulationAt40(one))],
  [
    'currentCheck',
    fc
      .record({ volts: ohms, ohms, amps: ohms, seriesOhms: ohms, refC: celsius, material: metal })
      .map((one) => () => core.currentCheck(one)),
  ],
  [
    'lampInSeries',
    fc
      .record({ volts: ohms, coilOhms: ohms, lampVolts: positive, lampWatts: positive })
      .map((one) => () => core.lampInSeries(one)),
  ],
  [
    'relayRoles',
    fc.array(observation, { maxLength: 12 }).map((observations) => () => core.relayRoles({ terminals, observations })),
  ],
  ['barToBar', fc.record({ values: fc.array(open), allowedPct: u }).map((one) => () => core.barToBar(one))],
  ['perLength', fc.record({ ohms, metres: ohms }).map((one) => () => core.perLength(one))],
  [
    'senderCurve',
    fc
      .record(
        {
          points: fc.uniqueArray(fc.record({ x: ohms, ohms: positive }), { minLength: 1, selector: (one) => one.x }),
          tolerancePct: u,
          x: ohms,
          value: ohms,
          u,
          scale: fc.constant('log' as const),
        },
        { requiredKeys: ['points', 'tolerancePct', 'x', 'value', 'u'] },
      )
      .map((one) => () => core.senderCurve(one)),
  ],
  [
    'sweep',
    fc
      .record({ samples: fc.array(fc.record({ x: ohms, ohms: open })), dropOhms: u })
      .map((one) => () => core.sweep(one)),
  ],
  ['toleranceFromGood', fc.record({ values: fc.array(ohms), u }).map((one) => () => core.toleranceFromGood(one))],
  [
    'pairTolerance',
    windings.map((some) => () => core.pairTolerance({ nodes: terminals, windings: some, a: 'a', b: 'd' })),
  ],
  [
    'wire',
    fc
      .oneof(
        fc.record({ awg: fc.double({ min: 0, max: 56, noNaN: true }) }),
        fc.record({ bareMm: fc.double({ min: 0.005, max: 10, noNaN: true }) }),
      )
      .map((one) => () => core.wire(one)),
  ],
  [
    'gaugeFromOverall',
    fc
      .record({ overallMm: positive, build: fc.constantFrom('single' as const, 'heavy' as const), uMm: u })
      .map((one) => () => core.gaugeFromOverall(one)),
  ],
  ['windCoil', fc.record({ ...geometry, turns: ohms, ohmsPerMetre: positive }).map((one) => () => core.windCoil(one))],
  ['turnsFor', fc.record({ ...geometry, ohms20: ohms, ohmsPerMetre: positive }).map((one) => () => core.turnsFor(one))],
  [
    'progress',
    fc
      .record({
        ...geometry,
        turnsSoFar: ohms,
        ohmsSoFar: ohms,
        atC: celsius,
        target: fc.record({ turns: ohms, ohms20: ohms }),
      })
      .map((one) => () => core.progress(one)),
  ],
]

const holdsNaN = (found: unknown): boolean =>
  typeof found === 'number'
    ? Number.isNaN(found)
    : found !== null && typeof found === 'object' && Object.values(found).some(holdsNaN)

describe.each(functions)('%s', (_name, calls) => {
  test('gives no NaN and throws nothing, whatever it is given', () => {
    fc.assert(
      fc.property(calls, (call) => {
        expect(holdsNaN(call())).toBe(false)
      }),
      { numRuns: draws(300) },
    )
  })
})

describe('pair resistance by hand', () => {
  const three = fc.tuple(positive, positive, positive)
  const network = (windings: [string, string, number][], a: string, b: string) =>
    Number(
      core.pairResistance({
        nodes: ['a', 'b', 'c', 'n'],
        windings: windings.map(([from, to, value], i) => ({ id: `w${i}`, from, to, ohms: value })),
        a,
        b,
      }),
    )
  const near = (found: number, expected: number) => expect(Math.abs(found / expected - 1)).toBeLessThan(1e-9)

  test('series, parallel, star and delta', () => {
    fc.assert(
      fc.property(three, ([x, y, z]) => {
        near(
          network(
            [
              ['a', 'n', x],
              ['n', 'b', y],
            ],
            'a',
            'b',
          ),
          x + y,
        )
        near(
          network(
            [
              ['a', 'b', x],
              ['a', 'b', y],
            ],
            'a',
            'b',
          ),
          1 / (1 / x + 1 / y),
        )
        near(
          network(
            [
              ['a', 'n', x],
              ['b', 'n', y],
              ['c', 'n', z],
            ],
            'a',
            'c',
          ),
          x + z,
        )
        near(
          network(
            [
              ['a', 'b', x],
              ['b', 'c', y],
              ['c', 'a', z],
            ],
            'a',
            'b',
          ),
          1 / (1 / x + 1 / (y + z)),
        )
      }),
    )
  })
})
