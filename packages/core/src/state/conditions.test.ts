import { describe, expect, test } from '@jest/globals'
import { beepReading } from '../quantity'
import {
  chargingCard,
  compressorCard,
  plainCard,
  plainCheck,
  plainTerminals,
  pocketMeter,
  relayCard,
  Script,
  twinCard,
} from '../testing'
import type { Reading } from '../document'

const output = () => {
  const check = chargingCard().checks.find(
    ({ kind, conditions }) => kind === 'ac-output' && conditions?.rpm !== undefined,
  )
  if (!check || !('among' in check.at || 'pair' in check.at)) throw new Error('the charging card reads at a speed')
  return check
}
const running = () => {
  const { id, kind, limits, conditions } = output()
  return plainCard({
    family: 'charging-stator',
    terminals: plainTerminals('a', 'b'),
    checks: [
      {
        id,
        label: id,
        kind,
        limits,
        required: true,
        at: { pair: ['a', 'b'] },
        conditions: { rpm: conditions?.rpm ?? 0 },
      },
    ],
    sources: chargingCard().sources,
  })
}
const at = (rpm?: number): Partial<Reading> => (rpm === undefined ? {} : { conditions: { rpm } })
const verdict = (script: Script) => script.state().checks.find(({ check }) => check.id === output().id)

describe('a reading stands under its own conditions (METHODS 11.6, 11.18)', () => {
  const stated = output().conditions?.rpm ?? 0
  test('within 3 % of the stated speed it is the check’s', () => {
    expect(verdict(new Script(running()).read(output().id, '42', at(stated * 0.97)))?.verdict).toBe('within')
  })
  test('beyond it is none, and without a speed held', () => {
    expect(verdict(new Script(running()).read(output().id, '42', at(stated * 0.969)))?.reason).toBe(
      'conditions-not-met',
    )
    expect(new Script(running()).read(output().id, '42').state().holding?.id).toBe('condition-missing')
  })
  test('at another speed it is a point of its own, and leaves the worst once one meets the stated', () => {
    const script = new Script(running()).read(output().id, '11.9', at(850)).read(output().id, '42', at(stated))
    const state = verdict(script)
    expect(state?.points).toHaveLength(2)
    expect(state?.verdict).toBe('within')
  })
  test('two near the stated speed are one point', () => {
    const script = new Script(running()).read(output().id, '41', at(stated)).read(output().id, '42', at(stated * 1.01))
    expect(verdict(script)?.points).toHaveLength(1)
  })
})

describe('a beep is under the threshold, no beep over it', () => {
  const beep = (card: ReturnType<typeof twinCard>, check: string, heard: boolean, pair: [string, string]) =>
    new Script(card).put({
      kind: 'reading',
      check,
      reading: beepReading(heard, 35, { instrument: pocketMeter.id, contact: 'tips', pair }),
    })
  const first = (script: Script) => [...script.state().evaluations.values()].at(-1)

  test('to frame a beep is a fault at once', () => {
    expect(first(beep(twinCard(), 'frame', true, ['O', 'frame']))).toMatchObject({
      verdict: 'outside',
      reason: 'shorted',
    })
  })
  test('no beep proves nothing of a megohm', () => {
    const script = beep(twinCard(), 'frame', false, ['O', 'frame'])
    expect(first(script)).toMatchObject({ verdict: 'none', reason: 'range-too-low' })
    expect(script.state().remarks.map(({ id }) => id)).toContain('ground-ceiling')
  })
  test('a closed limit under the threshold still wants its ohms', () => {
    const card = plainCard({
      family: 'relay',
      terminals: plainTerminals('a', 'b'),
      checks: [plainCheck('lead', 'continuity', { pair: ['a', 'b'] }, { kind: 'closed', atMost: 0.2 })],
    })
    expect(first(beep(card, 'lead', true, ['a', 'b']))).toMatchObject({ verdict: 'none', reason: 'range-too-high' })
    expect(first(beep(card, 'lead', false, ['a', 'b']))).toMatchObject({ verdict: 'outside' })
  })
  test('between contacts it is joined or open, whatever the threshold', () => {
    const script = new Script(relayCard()).read('coil', '90', { pair: ['85', '86'] })
    const say = (check: string, heard: boolean, pair: [string, string], drive: Reading['conditions']) =>
      script.put({
        kind: 'reading',
        check,
        reading: beepReading(heard, 35, { instrument: pocketMeter.id, contact: 'tips', pair, conditions: drive }),
      })
    const rest = { drive: null }
    const driven = { drive: { plus: '85', minus: '86' } }
    say('rest', true, ['30', '87a'], rest)
    say('rest', false, ['30', '87'], rest)
    say('rest', false, ['87', '87a'], rest)
    say('driven', false, ['30', '87a'], driven)
    say('driven', true, ['30', '87'], driven)
    say('driven', false, ['87', '87a'], driven)
    expect(script.state().checks.find(({ check }) => check.id === 'driven')?.reason).not.toBe('contact-fault')
  })
  test('a compressor’s pins are no contacts: no beep is not open', () => {
    expect(first(beep(compressorCard(), 'pins', false, ['C', 'S']))?.verdict).toBe('none')
  })
})
