import { describe, expect, test } from '@jest/globals'
import type { Card, Relation } from '../document'
import { chargingCard, plainCard, plainCheck, plainTerminals, type Script } from '../testing'
import { causes, on } from '../testing/causing'

/** The charging stator, whose volts have no limits of their own: while it charges there are to be more than at rest. */
const charging = (): Card => {
  const card = chargingCard()
  const checks = card.checks.map((check) => (['rest', 'charge'].includes(check.id) ? { ...check, limits: [] } : check))
  return { ...card, checks }
}
const battery = { pair: ['bat', 'frame'] as [string, string] }
const atRest = { ...battery, conditions: { state: ['engine off for an hour'] } }
const charges = { ...battery, conditions: { rpm: 3000, load: 'the lamps' } }
const volts = (script: Script, running: string) =>
  script.read('rest', '12.60 V', atRest).read('charge', running, charges)
const legs = (uv: string, vw: string, wu: string) => {
  const script = on(charging())
  for (let i = 0; i < 2; i++)
    for (const [check, ohms] of [
      ['uv', uv],
      ['vw', vw],
      ['wu', wu],
    ] as const)
      script.read(check, ohms, { contact: 'clips' })
  return script
}

describe('volts that are no more while it charges', () => {
  test('come of an open leg, where there is one', () => {
    expect(causes(volts(legs('OL 40M', '0.65', 'OL 40M'), '12.7 V'))).toEqual(['winding-open u <r2,uv,wu>'])
  })

  test('are their own cause where the windings are as they should be', () => {
    expect(causes(volts(legs('0.65', '0.65', '0.65'), '12.7 V'))).toEqual(['output charge <r2>'])
    expect(causes(volts(legs('0.65', '0.65', '0.65'), '13.9 V'))).toEqual([])
  })
})

describe('ohms that are to be above others', () => {
  const pairOf = (id: string): [string, string] => [`${id}1`, `${id}2`]
  const band = { kind: 'band' as const, min: 90, max: 110 }
  const card = (...relations: Relation[]) =>
    plainCard({
      family: 'other',
      terminals: plainTerminals('a1', 'a2', 'b1', 'b2', 'c1', 'c2'),
      windings: ['a', 'b', 'c'].map((id) => ({
        id,
        label: id,
        from: `${id}1`,
        to: `${id}2`,
        material: 'copper' as const,
      })),
      checks: ['a', 'b', 'c'].map((id) => plainCheck(id, 'resistance', { pair: pairOf(id) }, band)),
      relations,
      sources: [{ id: 's1', grade: 'maker', title: 'book' }],
    })
  const head = { id: 'r', label: 'r', source: 's1' }
  const read = (of: Card, a: string, b: string, c: string) => {
    const script = on(of)
    for (let i = 0; i < 2; i++)
      for (const [check, ohms] of [
        ['a', a],
        ['b', b],
        ['c', c],
      ] as const)
        script.read(check, ohms, { contact: 'clips' })
    return causes(script)
  }

  test('are no matter of another winding that is open', () => {
    const above = card({ ...head, kind: 'above', check: 'a', than: 'b', by: 5 })
    expect(read(above, '100.0', '100.0', 'OL 40M')).toEqual(['winding-open c <c>', 'output a <r>'])
  })

  test('that should be the same and are not name the one that reads low', () => {
    const equal = card({ ...head, kind: 'equal', checks: ['a', 'b', 'c'], withinPct: 2 })
    expect(read(equal, '100.0', '95.0', '100.2')).toEqual(['unlike b <r>'])
    expect(read(equal, '100.0', '100.1', '100.2')).toEqual([])
  })

  test('in a ratio that is off name the winding, high or low', () => {
    const ratio = card({ ...head, kind: 'ratio', of: 'a', to: 'b', ratio: 1, withinPct: 2 })
    expect(read(ratio, '92.0', '100.0', '100.0')).toEqual(['winding-low a <r>'])
    expect(read(ratio, '108.0', '100.0', '100.0')).toEqual(['winding-high a <r>'])
  })
})
