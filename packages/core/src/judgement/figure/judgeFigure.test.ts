import { describe, expect, test } from '@jest/globals'
import type { Limit } from '../../document'
import { plainCard, plainCheck, Script, sceneOf } from '../../testing'

const terminals = ['A', 'B', 'C', 'D', 'frame'].map((id) => ({ id, label: id, aliases: [] }))
const windings = [
  { id: 'one', label: 'one', from: 'A', to: 'B', material: 'copper' as const },
  { id: 'two', label: 'two', from: 'C', to: 'D', material: 'copper' as const },
]
/** What is made of a text typed for one check of a part of two windings and a frame. */
const judged = (
  text: string,
  limit?: Limit,
  { at = { pair: ['A', 'B'] }, kind = 'resistance', source = 's1', setting = {}, ...more }: Options = {},
) => {
  const card = plainCard({
    family: 'other',
    terminals,
    windings,
    checks: [plainCheck('it', kind, at, limit, { source, ...more })],
  })
  return sceneOf(new Script(card).ready().read('it', text, { contact: 'clips', ...setting })).of('it')
}
type Check = ReturnType<typeof plainCheck>
interface Options extends Partial<Pick<Check, 'at' | 'kind' | 'conditions' | 'items'>> {
  source?: string
  setting?: Parameters<Script['read']>[2]
}
const band = (min: number, max: number): Limit => ({ kind: 'band', min, max })

describe('the digits', () => {
  test('counts are counts of the display; what the person rounded counts apart', () => {
    const { parts, resolution, rounding } = judged('0.4', band(0.3, 0.5))
    expect([resolution, rounding]).toEqual([0.01, 0.1])
    expect(parts?.accuracy).toBeCloseTo((0.005 * 0.4 + 3 * 0.01) / Math.sqrt(3), 12)
    expect(parts?.resolution).toBeCloseTo(0.1 / Math.sqrt(12), 12)
  })

  test('47, 47.0 and 47.00 give one verdict, and the finer ones one uncertainty', () => {
    const [rough, asShown, finer] = ['47', '47.00', '47.000'].map((text) => judged(text, band(43, 51)))
    expect([rough, asShown, finer].map((one) => one?.verdict)).toEqual(['within', 'within', 'within'])
    expect(asShown?.u).toBe(finer?.u)
    expect(finer?.rounding).toBeUndefined()
  })
})

describe('a spread', () => {
  const between = (text: string, more: Options = {}) => {
    const { verdict, reason, leaning } = judged(text, band(90, 110), more)
    return [verdict, reason ?? leaning]
  }

  test('that lies whole on one side of its limits has that verdict', () => {
    expect(between('97-104')).toEqual(['within', 'within'])
    expect(between('130-150')).toEqual(['outside', 'above-maximum'])
    expect(between('50-60')).toEqual(['outside', 'below-minimum'])
  })

  test('over a limit, or from one side to the other, it is unsteady: nothing by tips, out by clips', () => {
    expect(between('100-120')).toEqual(['outside', 'unsteady'])
    expect(between('100-120', { setting: { contact: 'tips' } })).toEqual(['none', 'unsteady'])
    expect(between('50-150')).toEqual(['outside', 'unsteady'])
  })

  test('on a lead, or while it is bent, moving is the fault', () => {
    expect(
      between('97-104', { conditions: { state: ['flexed'] }, setting: { conditions: { state: ['flexed'] } } }),
    ).toEqual(['outside', 'unsteady'])
  })

  test('without a limit it says nothing', () => {
    expect(judged('97-104', undefined, { setting: { contact: 'tips' } })).toMatchObject({
      verdict: 'none',
      reason: 'unsteady',
    })
  })
})

describe('a pair joined by a winding that reads open', () => {
  const open = (text: string, limit?: Limit, more: Options = {}) => judged(text, limit, more).reason === 'open-circuit'

  test('is broken from 100 times its largest figure, and 10 kΩ at least', () => {
    expect(open('OL 60k', band(90, 110))).toBe(true)
    expect(open('OL 11k', band(90, 110))).toBe(true)
    expect(open('OL 10.9k', band(90, 110))).toBe(false)
    expect(open('OL 10k', band(9, 11))).toBe(true)
    expect(open('OL 6k', band(9, 11))).toBe(false)
    expect(judged('OL 6k', band(9, 11)).reason).toBe('above-maximum')
  })

  test('without any figure from 1 MΩ, and whatever the source of one', () => {
    expect(open('OL 1M')).toBe(true)
    expect(open('OL 600k')).toBe(false)
    expect(judged('OL 60k', band(90, 110), { source: 'g' })).toMatchObject({
      verdict: 'outside',
      reason: 'open-circuit',
    })
  })

  test('is not one where open is expected, or nothing is wound between', () => {
    expect(open('OL 40M', { kind: 'open', atLeast: 1e6 })).toBe(false)
    expect(open('OL 40M', undefined, { at: { pair: ['A', 'C'] } })).toBe(false)
    expect(open('OL 40M', undefined, { at: { pair: ['A', 'frame'] } })).toBe(false)
  })

  test('an item of a set of leads is broken too, though nobody typed its length', () => {
    const lead = (text: string, setting: Options['setting']) =>
      judged(
        text,
        { kind: 'perMetre', value: 15_000, tolerancePct: 20 },
        { kind: 'per-length', at: { place: 'the lead' }, items: 2, setting },
      )
    expect(lead('OL 40M', { index: 1 })).toMatchObject({ verdict: 'outside', reason: 'open-circuit' })
    expect(lead('OL 40M', { index: 1, x: 0.4 })).toMatchObject({ verdict: 'outside', reason: 'open-circuit' })
    expect(lead('OL 60k', { index: 1 })).toMatchObject({ verdict: 'none', reason: 'range-too-low' })
    expect(lead('6.2k', { index: 1 })).toMatchObject({ verdict: 'none', reason: 'place-missing' })
    expect(lead('6.2k..7.9k', { index: 1 })).toMatchObject({ verdict: 'outside', reason: 'unsteady' })
    expect(lead('6.2k..6.3k', { index: 1 })).toMatchObject({ verdict: 'none', reason: 'place-missing' })
    expect(lead('6.2k..OL', { index: 1 })).toMatchObject({ verdict: 'outside', reason: 'unsteady' })
  })
})

describe('a hard path where none should be', () => {
  const toFrame = { at: { pair: ['A', 'frame'] } } satisfies Options
  const open: Limit = { kind: 'open', atLeast: 1e6 }
  const shorted = (...args: Parameters<typeof judged>) => judged(...args).reason === 'shorted'

  test('is a short to the frame, or to another winding, under 1 kΩ', () => {
    expect(judged('3.4', open, toFrame)).toMatchObject({ verdict: 'outside', reason: 'shorted', leaning: 'outside' })
    expect(shorted('999', open, toFrame)).toBe(true)
    expect(shorted('1.00k', open, toFrame)).toBe(false)
    expect(shorted('18', open, { at: { pair: ['A', 'C'] } })).toBe(true)
  })

  test('whatever the source says, and without any limit', () => {
    expect(shorted('3.4', open, { ...toFrame, source: 'g' })).toBe(true)
    expect(shorted('3.4', undefined, toFrame)).toBe(true)
  })

  test('by an insulation test it is one before it is a leak, at whatever volts', () => {
    const test: Limit = { kind: 'insulation', minOhms: 1e8, minVolts: 475 }
    expect(shorted('200', test, { ...toFrame, kind: 'insulation', conditions: { testVolts: 500 } })).toBe(true)
    expect(judged('500V 2M', test, { ...toFrame, kind: 'insulation', conditions: { testVolts: 500 } }).reason).toBe(
      'leakage',
    )
  })

  test('is none within a winding, under a maximum, between terminals that are joined for the test, or in volts', () => {
    expect(shorted('3.4', undefined)).toBe(false)
    expect(shorted('3.4', { kind: 'atMost', value: 5 }, toFrame)).toBe(false)
    const joined: [string, string][] = [['frame', 'A']]
    expect(shorted('3.4', open, { ...toFrame, conditions: { joined } })).toBe(false)
    expect(shorted('3.4', { kind: 'atLeast', value: 9 }, { ...toFrame, kind: 'dc-output' })).toBe(false)
  })

  test('a spread is one where all of it is; what is only less than so much where that is under it', () => {
    expect(shorted('3-900', open, { ...toFrame, setting: { contact: 'tips' } })).toBe(true)
    expect(shorted('3-1100', open, { ...toFrame, setting: { contact: 'tips' } })).toBe(false)
    expect(shorted('<900', open, toFrame)).toBe(true)
    expect(shorted('<1100', open, toFrame)).toBe(false)
    expect(shorted('>3', open, toFrame)).toBe(false)
  })

  test('stands at once: no contact gives it', () => {
    const card = plainCard({
      family: 'other',
      terminals,
      windings,
      checks: [plainCheck('it', 'resistance', toFrame.at, open, { source: 'g' })],
    })
    const { finding } = new Script(card)
      .ready()
      .put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
      .read('it', '3.4 Ω')
      .state()
    expect(finding).toMatchObject({ word: 'fault-found', faults: [{ check: 'it', side: 'low' }] })
  })
})

describe('an insulation check', () => {
  const insulation = (text: string, limit: Limit) =>
    judged(text, limit, { kind: 'insulation', at: { pair: ['A', 'frame'] } })

  test('with a least figure is judged as a test, with its leakage', () => {
    expect(insulation('30M', { kind: 'atLeast', value: 20e6 })).toMatchObject({ verdict: 'within' })
    expect(insulation('3M', { kind: 'atLeast', value: 20e6 }).verdict).toBe('outside')
  })

  test('with two sides, or an upper one, is judged by them as any figure', () => {
    expect(insulation('3M', band(1e6, 2e6))).toMatchObject({ verdict: 'outside', reason: 'above-maximum' })
    expect(insulation('1.5M', band(1e6, 2e6)).verdict).toBe('within')
    expect(insulation('3M', { kind: 'atMost', value: 2e6 })).toMatchObject({
      verdict: 'outside',
      reason: 'above-maximum',
    })
  })
})

test('an open winding leans the way it is', () => {
  expect(judged('OL 40M', band(90, 110))).toMatchObject({
    verdict: 'outside',
    leaning: 'outside',
    reason: 'open-circuit',
  })
})
