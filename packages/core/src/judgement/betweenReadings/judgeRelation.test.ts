import { describe, expect, test } from '@jest/globals'
import type { Card, Relation } from '../../document'
import { chargingCard, fourWireMeter, Script, twinCard } from '../../testing'

const relationOf = (script: Script, id: string) => script.state().relations.find((one) => one.relation.id === id)
const legs = (values: [string, string, string]) => {
  const script = new Script(chargingCard(), { instruments: [fourWireMeter] }).ready()
  ;['uv', 'vw', 'wu'].forEach((check, i) => script.read(check, values[i] ?? '', { contact: 'clips' }))
  return script
}

describe('relations between readings', () => {
  test('a sum holds within twice its uncertainty and one per cent of the whole', () => {
    const sum = relationOf(
      new Script(twinCard()).ready().read('low', '322').read('high', '36.5').read('series', '358.4'),
      'r1',
    )
    expect(sum).toMatchObject({ verdict: 'within' })
    expect(sum?.limits?.max).toBeCloseTo(6.916, 3)
  })

  test('a sum with an open member is not judged, and holds nothing back', () => {
    const script = new Script(twinCard()).ready().read('low', '322').read('high', 'OL').read('series', 'OL')
    expect(relationOf(script, 'r1')).toMatchObject({ verdict: 'none', reason: 'not-finite' })
    expect(script.state().checks.every((check) => check.held === undefined)).toBe(true)
  })

  test('readings at two temperatures are added up at one', () => {
    const script = new Script(twinCard())
      .ready(20)
      .read('low', '318')
      .wait(30)
      .put({ kind: 'temperature', part: 'measured', partC: 60 })
    script
      .wait(30)
      .put({ kind: 'temperature', part: 'measured', partC: 60 })
      .read('high', '42.2')
      .read('series', '410.2')
    expect(relationOf(script, 'r1')?.verdict).toBe('within')
  })

  test('legs alike are within, one apart is outside, and one meter’s gain cancels', () => {
    expect(relationOf(legs(['0.6204', '0.6188', '0.6212']), 'r1')).toMatchObject({ verdict: 'within' })
    expect(relationOf(legs(['0.6204', '0.7411', '0.6212']), 'r1')).toMatchObject({
      verdict: 'outside',
      oddReadsHigh: true,
    })
    expect(relationOf(legs(['0.6204', '0.6188', '0.6212']), 'r1')?.u).toBeLessThan(0.1)
  })

  test('a relation that rests on a guess warns and never fails', () => {
    const card = chargingCard()
    card.sources.push({ id: 'g', grade: 'guess', title: 'a guess' })
    card.relations = card.relations.map((relation) => ({ ...relation, source: 'g' }))
    const script = new Script(card, { instruments: [fourWireMeter] })
      .ready()
      .read('uv', '0.6204')
      .read('vw', '0.7411')
      .read('wu', '0.6212')
    expect(relationOf(script, 'r1')).toMatchObject({ verdict: 'borderline', reason: 'guess' })
  })

  test('a ratio that nobody published is no narrower than its windings’ bands allow together', () => {
    const wide = relationOf(new Script(twinCard()).ready().read('low', '345').read('high', '34'), 'r2')
    expect(wide?.limits).toMatchObject({ min: 286.2 / 40.15, max: 349.8 / 32.85 })
    const card = twinCard()
    card.relations = card.relations.map((relation) => (relation.id === 'r2' ? { ...relation, source: 's1' } : relation))
    expect(relationOf(new Script(card).ready().read('low', '345').read('high', '34'), 'r2')?.limits?.max).toBeCloseTo(
      8.71 * 1.12,
      9,
    )
  })

  test('equal windings, a reading above another, and a twin of another day', () => {
    const relation = (one: Relation): Card => ({ ...twinCard(), relations: [one] })
    const head = { id: 'x', label: 'x', source: 's1' }
    const equal = relation({ ...head, kind: 'equal', checks: ['low', 'trigger'], withinPct: 5 })
    expect(relationOf(new Script(equal).ready().read('low', '318').read('trigger', '92'), 'x')?.verdict).toBe('outside')
    const above = relation({ ...head, kind: 'above', check: 'low', than: 'trigger', by: 100 })
    expect(relationOf(new Script(above).ready().read('low', '318').read('trigger', '92'), 'x')?.verdict).toBe('within')
    const twin = new Script(relation({ ...head, kind: 'twin', check: 'low', withinPct: 5 }))
    twin.run.compare = [{ as: 'twin', tag: 'other', figures: [{ check: 'low', value: 318, u: 1 }] }]
    expect(relationOf(twin.ready().read('low', '319'), 'x')?.verdict).toBe('within')
    expect(relationOf(twin.again('low', '380'), 'x')?.verdict).toBe('outside')
  })
})
