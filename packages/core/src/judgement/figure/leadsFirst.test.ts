import { describe, expect, test } from '@jest/globals'
import type { Limit } from '../../document'
import { plainCard, plainCheck, plainTerminals, pocketMeter, Script } from '../../testing'

const card = (limit: Limit) =>
  plainCard({
    family: 'solenoid',
    terminals: plainTerminals('a', 'b'),
    windings: [{ id: 'coil', label: 'coil', from: 'a', to: 'b', material: 'resistive' }],
    checks: [plainCheck('coil', 'resistance', { pair: ['a', 'b'] }, limit)],
  })
/** Un-zeroed unless said otherwise. */
const read = (limit: Limit, text: string, zero?: 'hardware' | 'carried') => {
  const script = new Script(card(limit)).put({ kind: 'isolation', state: 'loose' })
  if (zero) script.put({ kind: 'lead-check', instrument: pocketMeter.id, text: '0.2', ohms: 0.2, u: 0.02, how: zero })
  const [one] = script.read('coil', text).state().evaluations.values()
  return one
}
const band = (min: number, max: number): Limit => ({ kind: 'band', min, max })

describe('un-zeroed leads decide only where they can turn the verdict (METHODS 2)', () => {
  test('nothing is taken off, and no doubt of theirs enters', () => {
    expect(read(band(45, 60), '52')).toMatchObject({ net: 52, judged: 52, verdict: 'within' })
    expect(read(band(45, 60), '52')?.parts?.lead).toBe(0)
    expect(read(band(45, 60), '52', 'carried')).toMatchObject({ net: 52, leads: { from: 'carried' } })
  })
  test.each([
    ['inside with them and without', band(45, 60), '52', 'within', undefined],
    ['half an ohm less is under the least', band(51.6, 60), '52', 'borderline', 'zero-leads-first'],
    ['a low reading is low', band(60, 70), '52', 'outside', 'below-minimum'],
    ['above by less than an ohm', band(45, 51.2), '52', 'borderline', 'zero-leads-first'],
    ['above by more than an ohm and its own doubt', band(45, 50), '52', 'outside', 'above-maximum'],
    ['above by an ohm, without them too near to tell', band(45, 50.9), '52', 'borderline', 'near-limit'],
    ['under an at most it is under it', { kind: 'atMost', value: 60 }, '52', 'within', undefined],
    ['over an at most by less than an ohm', { kind: 'atMost', value: 51.2 }, '52', 'borderline', 'zero-leads-first'],
    ['of what is closed too', { kind: 'closed', atMost: 0.15 }, '0.3', 'borderline', 'zero-leads-first'],
    ['an at least', { kind: 'atLeast', value: 51.7 }, '52', 'borderline', 'zero-leads-first'],
    ['far over an at least', { kind: 'atLeast', value: 40 }, '52', 'within', undefined],
  ] as const)('%s', (_, limit, text, verdict, reason) => {
    const one = read(limit, text)
    expect([one?.verdict, one?.reason]).toEqual([verdict, reason])
  })
  test('a zero decides it', () => {
    expect(read(band(51.6, 60), '52', 'hardware')?.reason).not.toBe('zero-leads-first')
    expect(read(band(51.6, 60), '52', 'carried')?.reason).toBe('zero-leads-first')
  })
  test('it stops at entry, and is a word beforehand', () => {
    const script = new Script(card(band(0.46, 0.66))).put({ kind: 'isolation', state: 'loose' }).read('coil', '0.88')
    const { holding } = script.state()
    expect(holding).toMatchObject({ id: 'leads-matter', severity: 'stop' })
    expect(holding?.params['from']).toBeCloseTo(0.22, 6)
    expect(holding?.params['to']).toBeCloseTo(0.42, 6)
  })
})

describe('which way it leans', () => {
  test.each([
    ['inside as read', band(51.6, 60), 'within'],
    ['above as read', band(45, 51.2), 'outside'],
  ] as const)('%s', (_what, limit, leaning) => {
    expect(read(limit, '52')).toMatchObject({ verdict: 'borderline', reason: 'zero-leads-first', leaning })
  })
  test('a limit without a least is not crossed from above', () => {
    expect(read({ kind: 'atMost', value: 60 }, '0.3')).toMatchObject({ verdict: 'within' })
  })
  test('what the leads could be is brought to the reference with the winding', () => {
    const at = (min: number) => {
      const copper = plainCard({
        family: 'solenoid',
        terminals: plainTerminals('a', 'b'),
        windings: [{ id: 'coil', label: 'coil', from: 'a', to: 'b', material: 'copper' }],
        checks: [plainCheck('coil', 'resistance', { pair: ['a', 'b'] }, band(min, 90))],
      })
      const check = copper.checks[0]
      const warm = {
        ...copper,
        checks: check ? [{ ...check, limits: check.limits.map((one) => ({ ...one, referenceC: 20 })) }] : [],
      }
      const script = new Script(warm).put({ kind: 'isolation', state: 'loose' })
      script.put({ kind: 'temperature', part: 'measured', partC: 60, roomC: 20 })
      const [one] = script.read('coil', '52.00').state().evaluations.values()
      return one
    }
    // half an ohm of leads is 0.43 at the reference: 44.94 as read, 44.51 without them
    const factor = (234.5 + 20) / (234.5 + 60)
    expect(at(40)?.judged).toBeCloseTo(52 * factor, 1)
    expect(at(44.6)?.reason).toBe('zero-leads-first')
    expect(at(44.45)?.reason).toBe('near-limit')
  })
})
