import { describe, expect, test } from '@jest/globals'
import { knobMeter, pocketMeter, Script, twinCard, type ScriptOptions } from '../testing'
import { settledAt } from './index'

const on = (options: ScriptOptions = {}) => new Script(twinCard(), options).put({ kind: 'isolation', state: 'loose' })
/** Where the first open point on a check is settled. */
const at = (script: Script, check: string) => {
  const state = script.state()
  const open = state.finding.open.find((one) => one.check === check)
  return open && [open.why, settledAt(state, open)]
}

describe('the step that does what would settle an open point', () => {
  test('of what was not read its own step, of one that wants again the very pair', () => {
    const script = on().ready()
    expect(at(script, 'low')).toEqual(['not-read', 'low'])
    expect(at(script.read('high', '52.0'), 'high')).toEqual(['take-again', 'high'])
    const frame = script.put({ kind: 'proof', of: 'same-metal' }).read('frame', 'OL 40M', { pair: ['O', 'frame'] })
    expect(at(frame, 'frame')).toEqual(['not-read', expect.stringContaining('V')])
  })

  test('of what only the leads can turn the leads, of what the warmth can turn the temperature', () => {
    const leads = on().put({ kind: 'temperature', part: 'measured', partC: 20, roomC: 20 }).read('high', '40.3')
    expect(leads.state().evaluations.values().next().value?.reason).toBe('zero-leads-first')
    expect(at(leads.put({ kind: 'answer', remark: 'leads-matter', reason: 'so' }), 'high')).toEqual([
      'borderline',
      'leads',
    ])
    const warm = on()
      .put({ kind: 'lead-check', instrument: 'm2', text: '0.1', ohms: 0, u: 0.018, how: 'hardware' })
      .read('low', '348')
    expect(at(warm, 'low')).toEqual(['borderline', 'temperature'])
    const measured = warm.put({ kind: 'temperature', part: 'measured', partC: 20, roomC: 20 })
    expect(at(measured, 'low')).toEqual(['borderline', 'low'])
  })

  test('of a relation the last that it joins; of a check without a step none', () => {
    const state = on({ instruments: [pocketMeter, knobMeter] })
      .ready()
      .read('low', '318')
      .state()
    const relation = { ...state.relations[0], members: [state.evaluations.values().next().value] } as never
    const open = { why: 'relation' as const, relation: state.relations[0]?.relation.id }
    expect(settledAt({ ...state, relations: [relation] }, open)).toBe('low')
    expect(settledAt(state, { why: 'not-read', check: 'nothing' })).toBeUndefined()
  })
})
