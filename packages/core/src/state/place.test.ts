import { describe, expect, test } from '@jest/globals'
import type { Card, EntryBody, Place } from '../document'
import { chargingCard, demoCard, Script } from '../testing'
import { stepWaits } from './nextStep'
import { runState } from './runState'

const at = (where: Place): EntryBody => ({ kind: 'place', where })
const battery: [string, string] = ['bat', 'frame']
const charge = (script: Script, volts: string) =>
  script.read('charge', volts, { pair: battery, conditions: { rpm: 3000, load: 'the lamps' } })
const rest = (script: Script, volts: string, state = 'engine off for an hour') =>
  script.read('rest', volts, { pair: battery, conditions: { state: [state] } })
const openChecks = (script: Script) => script.state().finding.open.flatMap(({ check }) => check ?? [])
const status = (script: Script, id: string) => script.state().steps.find(({ step }) => step.id === id)

describe('on the machine and on the bench', () => {
  test('it is on the bench until said otherwise, and what belongs to the machine is not required there', () => {
    const script = new Script(chargingCard())
    expect(openChecks(script)).toContain('uv')
    expect(openChecks(script)).not.toContain('charge')
    script.put(at('machine'))
    expect(openChecks(script)).toContain('charge')
    script.put({ kind: 'take-back', entry: script.run.entries.at(-1)?.id ?? '', reason: 'not yet' })
    expect(openChecks(script)).not.toContain('charge')
  })

  test('steps of the place come first, those of the other wait and are never next', () => {
    const script = new Script(chargingCard()).put(at('machine'))
    expect(script.state().step).toBe('volts:U-V')
    expect(charge(script, '14.1').state().step).toBe('peak')
    const { steps, prepared } = script.put(at('bench')).state()
    expect(steps.filter(({ step }) => stepWaits(step, prepared)).map(({ step }) => step.id)).toEqual([
      'volts:U-V',
      'volts:U-W',
      'volts:V-W',
      'rest',
      'charge',
      'peak',
    ])
    expect(['look', 'isolate', 'uv']).toContain(script.state().step)
    expect(script.state().leftOut).not.toContain('volts:U-V')
  })

  test('what waits is listed as not tested and holds nothing; where nothing at all was read nothing is known', () => {
    const checks = chargingCard().checks.filter(({ id }) => id === 'charge' || id === 'rest')
    const card: Card = { ...chargingCard(), checks, relations: [] }
    const unread = new Script(card).state()
    expect(unread.finding).toMatchObject({ word: 'undecided', open: [{ why: 'not-read', check: 'rest' }] })
    const script = rest(new Script(card).put(at('machine')), '12.6').put(at('bench'))
    expect(script.state().finding).toMatchObject({ word: 'no-fault-found', open: [] })
    expect(script.state().untested).toEqual(['charge'])
  })

  test('what was read at one place stands at the other', () => {
    const script = charge(charge(new Script(chargingCard()).put(at('machine')), '12.3'), '12.3').put(at('bench'))
    expect(script.state().finding.faults.map(({ check }) => check)).toContain('charge')
  })
})

describe('a rise over a figure that is not judged', () => {
  test('rests on it all the same (METHODS 11.22)', () => {
    const script = rest(new Script(chargingCard()).put(at('machine')), '12.41', 'off ten minutes')
    charge(charge(script, '12.33'), '12.31')
    const { checks, relations } = script.state()
    expect(checks.find(({ check }) => check.id === 'rest')).toMatchObject({ reason: 'conditions-not-met' })
    expect(relations.find(({ relation }) => relation.id === 'r2')).toMatchObject({
      verdict: 'outside',
      value: expect.closeTo(-0.1, 6),
    })
  })
})

describe('asked again, as a fact of its own', () => {
  const volts = (script: Script, rpm: number) =>
    script.read('volts', '11.9', { pair: ['U', 'V'], conditions: { rpm, load: 'none' } })

  test('at the card’s speed, once the set-up is done', () => {
    const script = volts(new Script(chargingCard()).put(at('machine')), 850)
    expect(status(script, 'volts:U-V')).toMatchObject({ status: 'again', later: true, anew: true })
    expect(script.state().step).toBe('volts:U-W')
    expect(status(volts(script, 2950), 'volts:U-V')).not.toHaveProperty('anew')
  })

  test('under another state it is done: the next stands beside it', () => {
    const script = rest(new Script(chargingCard()).put(at('machine')), '12.41', 'off ten minutes')
    expect(status(script, 'rest')).toMatchObject({ status: 'done', anew: true })
    expect(status(rest(script, '12.45'), 'rest')).not.toHaveProperty('anew')
  })

  test('after work on the part: what failed before it, wherever the work was, and not what was right', () => {
    const script = charge(charge(rest(new Script(chargingCard()).put(at('machine')), '12.6'), '12.3'), '12.3')
    expect(status(script, 'charge')).toMatchObject({ status: 'done' })
    script.put({ kind: 'work', what: 'splice', place: 'W' })
    expect(status(script, 'charge')).toMatchObject({ status: 'again', anew: true })
    expect(status(script, 'rest')?.status).toBe('done')
    expect(status(charge(script, '14.1'), 'charge')?.status).toBe('done')
  })
})

describe('test by test, or coil by coil', () => {
  const worked = (order: 'tests' | 'coils') =>
    runState(new Script(demoCard('duskwater-capstan')).ready().read('clutch', '9.04').run, undefined, order)
  test('the order changes what comes next, and no verdict', () => {
    const [tests, coils] = [worked('tests'), worked('coils')]
    expect([tests.step, coils.step]).toEqual(['brake', 'supply'])
    expect(coils.finding).toEqual(tests.finding)
    expect(coils.checks.map(({ verdict }) => verdict)).toEqual(tests.checks.map(({ verdict }) => verdict))
  })
})

describe('a ground test by a pocket meter and by a tester', () => {
  test('is one point: the figure at volts is judged, and the low range holds nothing back', () => {
    const tester = demoCard('brindlecote-c3')
    const script = new Script(tester)
      .ready()
      .framed()
      .read('shell', 'OL 60', { pair: ['C', 'frame'] })
    expect(script.state().finding.open.map(({ check }) => check)).toContain('shell')
    script.read('shell', '37M 502V', { pair: ['C', 'frame'], instrument: 't1' })
    const shell = script.state().checks.find(({ check }) => check.id === 'shell')
    expect(shell).toMatchObject({ verdict: 'within' })
    expect(shell?.points).toHaveLength(1)
  })
})
