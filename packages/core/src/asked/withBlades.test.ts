import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card } from '../document'
import { pocketMeter, Script } from '../testing'
import { withBlades } from './withBlades'

const cardNamed = (name: string) => JSON.parse(readFileSync(`demo/cards/${name}.json`, 'utf8')) as Card
const unit = { id: 'u', tag: 'A', history: 'used' as const, complaint: [], words: '', variant: 'counted' }
const on = (name: string) => new Script(cardNamed(name), { unit, instruments: [pocketMeter] }).ready()
const beep = (script: Script, check: string, pair: [string, string], beeps: boolean, drive?: [string, string]) =>
  script.put({
    kind: 'reading',
    check,
    reading: {
      taken: 'typed',
      text: beeps ? 'beep' : 'no beep',
      decimalComma: false,
      kind: beeps ? 'below' : 'above',
      value: 35,
      method: 'beeper',
      instrument: 'm2',
      pair,
      conditions: { drive: drive ? { plus: drive[0], minus: drive[1] } : null },
    },
  })
const steps = (script: Script) => script.state().steps.map(({ step }) => step.id)
const contactSteps = (script: Script) => steps(script).filter((id) => /^(rest|driven)/.test(id))
const relay = (script: Script) => script.state().roles.find((one) => one.kind === 'relay')

describe('a relay without markings', () => {
  test('four blades: every pair at rest until one reads like the coil, then the one pair off it', () => {
    const script = on('wexmoor-make-12')
    expect(contactSteps(script)).toHaveLength(6)
    beep(script, 'rest', ['1', '2'], false)
    // no beep may be the coil: it is unread
    expect(contactSteps(script)).toHaveLength(6)
    script.read('rest', '83.1', { pair: ['1', '3'], conditions: { drive: null } })
    const state = script.state()
    expect(state.checks.find(({ check }) => check.id === 'coil')).toMatchObject({ verdict: 'within' })
    expect(contactSteps(script)).toEqual(['rest:2-4', 'driven:2-4'])
    expect(state.step).toBe('rest:2-4')
  })

  test('it operates one way, the other is asked for last, and no direction is its own', () => {
    const script = on('wexmoor-make-12').read('rest', '83.1', { pair: ['1', '3'], conditions: { drive: null } })
    beep(script, 'rest', ['2', '4'], false)
    beep(script, 'driven', ['2', '4'], true, ['1', '3'])
    script.read('driven', '0.22', { pair: ['2', '4'], conditions: { drive: { plus: '1', minus: '3' } } })
    expect(relay(script)).toMatchObject({ coil: ['1', '3'], normallyOpen: ['2', '4'], polarised: undefined })
    expect(contactSteps(script)).toEqual(['rest:2-4', 'driven:2-4', 'driven-turned:2-4'])
    beep(script, 'driven-turned', ['2', '4'], true, ['3', '1'])
    expect(relay(script)).toMatchObject({ polarised: false, missing: [] })
    expect(script.state().remarks.map(({ id }) => id)).not.toContain('part-warm')
  })

  test('five blades: a drive that breaks the supply down tells the diode, and only the other way is asked', () => {
    const script = on('wexmoor-changeover-24')
      .put({ kind: 'look', check: 'look', place: 'blades and housing', what: ['sound'] })
      .read('rest', '298', { pair: ['1', '4'], conditions: { drive: null } })
    beep(script, 'rest', ['2', '3'], false)
    script.read('rest', '0.07', { pair: ['2', '5'], conditions: { drive: null } })
    expect(steps(script)).not.toContain('rest:3-5')
    script.put({ kind: 'supply', text: '24.3', volts: 24.3, u: 0.1, while: 'off' })
    expect(contactSteps(script)).toContain('driven:2-3')
    script.put({ kind: 'supply', text: '0.8V 0.2A', volts: 0.8, u: 0.01, while: 'on', limitAmps: 0.2, check: 'driven' })
    const driven = script.state().checks.find(({ check }) => check.id === 'driven')
    expect(driven?.check.conditions?.drive).toEqual({ plus: '4', minus: '1' })
    expect(script.state().checks.some(({ check }) => check.id === 'driven-turned')).toBe(false)
    const way = { drive: { plus: '4', minus: '1' } }
    script.read('driven', '0.08', { pair: ['2', '3'], conditions: way })
    beep(script, 'driven', ['2', '5'], false, ['4', '1'])
    expect(relay(script)).toMatchObject({
      coil: ['1', '4'],
      common: '2',
      normallyClosed: ['2', '5'],
      normallyOpen: ['2', '3'],
      polarised: true,
      drive: { plus: '4', minus: '1' },
      missing: [],
    })
    expect(script.state().finding.word).toBe('no-fault-found')
  })

  test('a supply that sags is no diode, and one that was entered for no test tells none', () => {
    const script = on('wexmoor-changeover-24').read('rest', '298', { pair: ['1', '4'], conditions: { drive: null } })
    script.put({ kind: 'supply', text: '2V', volts: 2, u: 0.01, while: 'on', check: 'driven' })
    script.put({ kind: 'supply', text: '0.8', volts: 0.8, u: 0.01, while: 'on' })
    script.put({ kind: 'supply', text: '0.8', volts: 0.8, u: 0.01, while: 'off', check: 'driven' })
    expect(script.state().checks.some(({ check }) => check.id === 'driven-turned')).toBe(true)
  })

  test('the coil’s reading taken back leaves every pair to be read again', () => {
    const script = on('wexmoor-make-12').read('rest', '83.1', { pair: ['1', '3'], conditions: { drive: null } })
    const entry = script.run.entries.at(-1)?.id ?? ''
    script.put({ kind: 'take-back', entry, reason: 'undone' })
    expect(contactSteps(script)).toHaveLength(6)
    expect(steps(script)).not.toContain('coil')
  })

  test('of two pairs that read like a coil none is taken for it', () => {
    const script = on('wexmoor-make-12')
      .read('rest', '83.1', { pair: ['1', '3'], conditions: { drive: null } })
      .read('rest', '84', { pair: ['2', '4'], conditions: { drive: null } })
    expect(steps(script)).not.toContain('coil')
    expect(script.state().finding.word).toBe('undecided')
  })

  test('a contact that beeps driven and at rest stays closed, at once; one that never beeps stays open', () => {
    const closed = on('wexmoor-changeover-24').read('rest', '298', { pair: ['1', '4'], conditions: { drive: null } })
    beep(closed, 'rest', ['2', '3'], false)
    beep(closed, 'rest', ['2', '5'], true)
    beep(closed, 'driven', ['2', '3'], true, ['1', '4'])
    beep(closed, 'driven', ['2', '5'], true, ['1', '4'])
    expect(closed.state().causes).toMatchObject([{ kind: 'contact-closed', of: ['2', '5'] }])
    const open = on('wexmoor-make-12').read('rest', '83.1', { pair: ['1', '3'], conditions: { drive: null } })
    beep(open, 'rest', ['2', '4'], false)
    open.put({
      kind: 'reading',
      check: 'click',
      reading: { taken: 'typed', text: 'clicks', decimalComma: false, kind: 'answer', answer: 'clicks' },
    })
    beep(open, 'driven', ['2', '4'], false, ['1', '3'])
    expect(open.state().finding.word).toBe('undecided')
    beep(open, 'driven-turned', ['2', '4'], false, ['3', '1'])
    expect(open.state().causes).toMatchObject([{ kind: 'contact-open', of: ['2', '4'] }])
  })

  test('a relay whose blades are marked is itself', () => {
    const { run } = new Script(cardNamed('wexmoor-make-12'), { unit: { ...unit, variant: 'marked' } }).ready()
    expect(withBlades(run)).toBe(run)
  })
})
