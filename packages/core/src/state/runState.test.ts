import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Entry } from '../document'
import { chargingCard, coarseCard, fourWireMeter, knobMeter, pocketMeter, draws, Script, twinCard } from '../testing'
import { runState, type RunState } from './runState'
import { summarise } from './summary'

const sound = () =>
  new Script(twinCard())
    .ready()
    .read('low', '322')
    .read('high', '36.5')
    .read('series', '358.4')
    .read('trigger', '91')
    .framed('O', 'V')
const finding = (script: Script) => script.state().finding

describe('the finding', () => {
  test('a sound part has no fault found, and never more than that', () => {
    expect(finding(sound())).toMatchObject({ word: 'no-fault-found', faults: [], open: [] })
    expect(sound().state().untested).toEqual(['look', 'flex'])
  })

  test('a low coil needs no second reading, and the series that reads low with it is explained', () => {
    const script = new Script(twinCard())
      .ready()
      .read('low', '251')
      .read('high', '36.5')
      .read('series', '287')
      .read('trigger', '91')
      .framed('O', 'V')
    expect(finding(script)).toMatchObject({ word: 'fault-found', faults: [{ check: 'low', side: 'low' }] })
    expect(script.state().explained).toEqual(['series'])
  })

  test('an open coil is undecided until it is read twice', () => {
    const once = new Script(twinCard())
      .ready()
      .read('low', '322')
      .read('high', 'OL')
      .read('series', 'OL')
      .read('trigger', '91')
      .framed('O', 'V')
    expect(finding(once)).toMatchObject({ word: 'undecided', open: [{ why: 'take-again', check: 'high' }] })
    expect(finding(once.again('high', 'OL'))).toMatchObject({ word: 'fault-found', faults: [{ check: 'high' }] })
  })

  test('under ten ohms the second reading must be by clips', () => {
    const script = new Script(chargingCard(), { instruments: [fourWireMeter] })
      .ready()
      .read('uv', '0.62')
      .read('vw', '0.7502')
      .again('vw', '0.7502')
    expect(finding(script).open.map((one) => one.why)).toContain('clip-on')
    expect(finding(script.again('vw', '0.7502', { contact: 'clips' })).word).toBe('fault-found')
  })

  test('a failed sum holds all it joins, and a joint that stays after clipping is a fault', () => {
    const script = new Script(twinCard())
      .ready()
      .read('low', '322')
      .read('high', '52.1')
      .read('series', '358.4')
      .read('trigger', '91')
      .framed('O', 'V')
    expect(finding(script).word).toBe('undecided')
    script.again('high', '52.0', { contact: 'clips' }).again('low', '322', { contact: 'clips' })
    expect(finding(script)).toMatchObject({ word: 'fault-found' })
  })

  test('a meter that cannot settle a check does not hold the finding while it leans within', () => {
    const script = new Script(coarseCard(), { instruments: [knobMeter] })
      .ready()
      .read('lighting', '0.6', { contact: 'clips' })
      .read('ignition', '1.2', { contact: 'clips' })
      .read('earth', '0.1')
      .framed('Y1', 'R')
    expect(finding(script)).toMatchObject({ word: 'no-fault-found', continuityOnly: ['lighting', 'ignition'] })
  })

  test('low volts at speed fail when read twice', () => {
    const at = { conditions: { rpm: 1200 } }
    const script = new Script(coarseCard()).ready().read('volts', '9.8', at)
    expect(finding(script).open.map((one) => one.why)).toContain('take-again')
    expect(finding(script.again('volts', '9.8', at)).faults).toMatchObject([{ check: 'volts' }])
  })
})

describe('the tape', () => {
  test('a retake that clears an outside is named, one corrected as mistyped is not', () => {
    const retaken = new Script(twinCard()).ready().read('low', '322').read('high', '52.1').again('high', '36.5')
    expect(retaken.state().retaken).toEqual(['high'])
    const mistyped = new Script(twinCard()).ready().read('low', '522').again('low', '322', { mistyped: true })
    expect(mistyped.state().retaken).toEqual([])
  })

  test('taking back a retake makes what it superseded count again', () => {
    const script = new Script(twinCard()).ready().read('low', '322').again('low', '251')
    const retake = script.run.entries.at(-1)?.id ?? ''
    script.put({ kind: 'take-back', entry: retake, reason: 'wrong pair' })
    expect(script.state().checks.find((one) => one.check.id === 'low')?.verdict).toBe('within')
  })

  test('after work only the winding worked on is read anew, a rewind with its own limits', () => {
    const script = sound().put({ kind: 'work', what: 'rewind', place: 'low' })
    const verdicts = () => Object.fromEntries(summarise(script.state()).verdicts.map((row) => [row.check, row.verdict]))
    expect(verdicts()).toMatchObject({ low: 'none', high: 'within', series: 'none', trigger: 'within' })
    script.read('low', '275')
    expect(verdicts()['low']).toBe('within')
  })

  test('the same entries give the same state in any order and in any batches', () => {
    const { run } = sound()
    const expected = JSON.stringify(summarise(runState(run)))
    fc.assert(
      fc.property(fc.shuffledSubarray(run.entries, { minLength: run.entries.length }), (entries: Entry[]) => {
        expect(JSON.stringify(summarise(runState({ ...run, entries })))).toBe(expected)
      }),
      { numRuns: draws(50) },
    )
  })

  test('a tape judged entry by entry as it grows is judged as the whole is', () => {
    const step = fc.oneof(
      fc.record({
        read: fc.constantFrom('low', 'high', 'series', 'trigger'),
        text: fc.constantFrom('322', '36.5', '358', 'OL', '0.5', '250'),
      }),
      fc.record({ again: fc.constantFrom('low', 'high', 'series'), text: fc.constantFrom('322', '36.4', '357') }),
      fc.constantFrom('zero', 'warm', 'answer', 'take-back', 'note', 'jack', 'rewind' as const),
    )
    fc.assert(
      fc.property(fc.array(step, { maxLength: 14 }), (steps) => {
        const script = new Script(twinCard()).ready().read('low', '322').read('high', '36.5').read('series', '400')
        for (const one of steps) {
          if (typeof one === 'object') {
            const known = script.run.entries.some(
              (entry) => entry.kind === 'reading' && entry.check === ('again' in one ? one.again : ''),
            )
            if ('read' in one) script.read(one.read, one.text)
            else if (known) script.again(one.again, one.text)
          } else if (one === 'zero')
            script.put({ kind: 'lead-check', instrument: 'm2', text: '0.4', ohms: 0.4, u: 0.05, how: 'subtract' })
          else if (one === 'warm') script.put({ kind: 'temperature', part: 'measured', partC: 45, roomC: 20 })
          else if (one === 'answer') script.put({ kind: 'answer', remark: 'sum-off', reason: 'looked at it' })
          else if (one === 'take-back')
            script.put({ kind: 'take-back', entry: script.run.entries.at(-1)?.id ?? '', reason: 'slip' })
          else if (one === 'note') script.put({ kind: 'note', words: 'made up' })
          else if (one === 'jack') script.put({ kind: 'proof', of: 'jack' })
          else script.put({ kind: 'work', what: 'rewind', place: 'low' })
          script.state()
        }
        const fresh = structuredClone(script.run)
        const told = (state: RunState) => [summarise(state), state.remarks, state.step, state.finding]
        expect(told(script.state())).toEqual(told(runState(fresh)))
      }),
      { numRuns: draws(150) },
    )
  })

  test('exchanging the leads changes nothing', () => {
    const pairs = (a: [string, string], b: [string, string]) =>
      new Script(twinCard()).ready().read('low', '322', { pair: a }).read('high', '36.5', { pair: b }).state()
    const there = summarise(pairs(['O', 'G'], ['O', 'T']))
    const back = summarise(pairs(['G', 'O'], ['T', 'O']))
    expect(back.verdicts.map((row) => row.verdict)).toEqual(there.verdicts.map((row) => row.verdict))
  })

  test('no verdict carries a figure that is not a number', () => {
    const text = fc.constantFrom('322', 'OL', '0', '-5', '1.', '<0.1', '>5M', '21.5-22.5', '2m', '322k', '~318', '1E9')
    const check = fc.constantFrom('low', 'high', 'series', 'trigger', 'flex')
    fc.assert(
      fc.property(fc.array(fc.tuple(check, text), { maxLength: 8 }), (taken) => {
        const script = new Script(twinCard())
        for (const [id, figure] of taken) script.read(id, figure)
        const state = script.state()
        const figures = [...state.evaluations.values()].flatMap(({ net, netU, judged, u, conformance, margin }) => [
          net,
          netU,
          judged,
          u,
          conformance,
          margin,
        ])
        expect(figures.some((figure) => Number.isNaN(figure))).toBe(false)
        expect(JSON.stringify(summarise(state))).not.toContain('null')
      }),
    )
  })
})

test('an optional test that read outside keeps the finding open while a question about it waits', () => {
  const script = new Script(twinCard())
    .ready()
    .read('low', '318')
    .read('high', '36.5')
    .read('trigger', '92')
    .framed('O', 'V')
  expect(script.state().finding.word).toBe('no-fault-found')
  script.read('flex', '3.2', { pair: ['O', 'frame'], conditions: { state: ['flexed'] } })
  const state = script.state()
  expect(state.holding?.id).toBe('prefix-decides')
  expect(state.finding).toMatchObject({ word: 'undecided', open: [{ why: 'held', check: 'flex' }] })
})

test('the last decision decides whether a run is closed: more tests open it again, and what was said stays on the tape', () => {
  const decided = (...what: ('return' | 'more-tests' | 'rewind')[]) =>
    what.reduce(
      (script, one) => script.put({ kind: 'decision', what: one, why: 'made up' }),
      new Script(twinCard()).ready().read('low', '322'),
    )
  expect(decided('return').state().closed).toBe(true)
  expect(decided('more-tests').state().closed).toBe(false)
  expect(decided('return', 'more-tests').state().closed).toBe(false)
  expect(decided('return', 'rewind').state().closed).toBe(true)
})

describe('two meters at one point stand side by side (METHODS 11.18)', () => {
  const both = (first: string, second: string) =>
    new Script(twinCard(), { instruments: [pocketMeter, knobMeter] })
      .ready()
      .read('low', first, { instrument: pocketMeter.id })
      .read('low', second, { instrument: knobMeter.id })
  const judged = (script: Script) => script.state().checks.find(({ check }) => check.id === 'low')?.points

  test('the surest figure is judged, whichever came last', () => {
    expect(judged(both('322', '321'))).toHaveLength(1)
    expect(judged(both('322', '321'))?.[0]?.evaluation?.entry.reading.value).toBe(322)
  })
  test('read open by both it stands: the other meter is the second touch, whichever came first', () => {
    expect(both('OL 40M', 'OL 20M').state().finding.faults).toMatchObject([{ check: 'low' }])
    expect(both('OL 20M', 'OL 20M').state().finding.faults).toMatchObject([{ check: 'low' }])
  })
  test('open on one and finite below that bound on the other holds both', () => {
    const { holding } = both('322', 'OL 20M').state()
    expect(holding).toMatchObject({ id: 'tests-disagree', severity: 'stop' })
    expect(holding?.holds).toHaveLength(2)
    expect(both('322', 'OL 200').state().holding?.id).not.toBe('tests-disagree')
  })
})
