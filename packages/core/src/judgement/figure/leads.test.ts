import { describe, expect, test } from '@jest/globals'
import type { EntryBody } from '../../document'
import { fourWireMeter, pocketMeter, sceneOf, Script, twinCard } from '../../testing'
import type { PreparedLimit } from '../preparedCard'
import { leadsMatterAhead, leadsFor, type LeadsApplied } from './leads'

describe('whether leads that nobody zeroed decide', () => {
  const assumed: LeadsApplied = { ohms: 0.2, u: 0.12, from: 'assumed' }
  const limit = (min?: number, max?: number, more: Partial<PreparedLimit> = {}) =>
    ({
      band: { ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) },
      ...more,
    }) as PreparedLimit

  test('over 5 % of what is expected', () => {
    expect(leadsMatterAhead(limit(2, 5.9), assumed)).toBe(true)
    expect(leadsMatterAhead(limit(2, 6), assumed)).toBe(false)
    expect(leadsMatterAhead(limit(2, 6.1), assumed)).toBe(false)
  })

  test('or over 20 % of the window between the limits, however little of the value', () => {
    expect(leadsMatterAhead(limit(99.6, 100.5), assumed)).toBe(true)
    expect(leadsMatterAhead(limit(99.5, 100.6), assumed)).toBe(false)
  })

  test('one limit alone has no window', () => {
    expect(leadsMatterAhead(limit(100), assumed)).toBe(false)
    expect(leadsMatterAhead(limit(undefined, 100), assumed)).toBe(false)
  })

  test('a value that is carried decides as one that is assumed; a zero, a subtraction and four wires never do', () => {
    const from = (how: LeadsApplied['from']) => leadsMatterAhead(limit(0.5, 0.9), { ...assumed, from: how })
    expect((['assumed', 'carried', 'zero', 'subtract', 'four-wire'] as const).map(from)).toEqual([
      true,
      true,
      false,
      false,
      false,
    ])
  })

  test('nothing to decide where there is no limit, none with ends, open is expected, or no leads are known', () => {
    expect(leadsMatterAhead(undefined, assumed)).toBe(false)
    expect(leadsMatterAhead(limit(), assumed)).toBe(false)
    expect(leadsMatterAhead(limit(0.5, 0.9, { expectOpen: 1e6 } as never), assumed)).toBe(false)
    expect(leadsMatterAhead(limit(0.5, 0.9), undefined)).toBe(false)
  })
})

describe('which check of the leads governs a reading', () => {
  const check = (ohms: number, how: 'hardware' | 'subtract' | 'carried', more: object = {}): EntryBody => ({
    kind: 'lead-check',
    instrument: 'm2',
    text: String(ohms),
    ohms,
    u: 0.02,
    how,
    ...more,
  })
  const governing = (script: Script, question: object = {}, meter = pocketMeter) => {
    const { tape } = sceneOf(script)
    return leadsFor(tape, meter, { n: 2, ...question })
  }
  const read = (script: Script) => script.read('low', '322')
  const tape = () => new Script(twinCard())

  test('the last one before it, as the zero, the subtraction or the value that it is', () => {
    expect(governing(read(tape().put(check(0.11, 'hardware'))))).toMatchObject({ ohms: 0.11, from: 'zero' })
    expect(governing(read(tape().put(check(0.11, 'subtract'))))).toMatchObject({ ohms: 0.11, from: 'subtract' })
    expect(governing(read(tape().put(check(0.11, 'carried'))))).toMatchObject({ ohms: 0.11, from: 'carried' })
  })

  test('a later subtraction reaches back; a later zero and a later value do not', () => {
    const after = (how: 'hardware' | 'subtract' | 'carried') =>
      governing(read(tape()).put(check(0.3, how)), { n: 1 }).from
    expect([after('subtract'), after('hardware'), after('carried')]).toEqual(['subtract', 'assumed', 'assumed'])
    const both = read(tape().put(check(0.1, 'hardware'))).put(check(0.3, 'subtract'))
    expect(governing(both)).toMatchObject({ ohms: 0.3, from: 'subtract' })
  })

  test('of its own meter and its own leads', () => {
    expect(governing(read(tape().put(check(0.1, 'hardware'))), {}, { ...pocketMeter, id: 'm9' }).from).toBe('assumed')
    const clips = read(tape().put(check(0.1, 'hardware', { leads: 'clips' })))
    expect([governing(clips).from, governing(clips, { leads: 'clips' }).from]).toEqual(['assumed', 'zero'])
  })

  test('none is assumed to be 0.2 Ω; four wires have none', () => {
    expect(governing(read(tape()))).toEqual({ ohms: 0.2, u: expect.closeTo(0.11547, 5), from: 'assumed' })
    expect(governing(read(tape()), {}, fourWireMeter)).toEqual({ ohms: 0, u: 0, from: 'four-wire' })
  })
})
