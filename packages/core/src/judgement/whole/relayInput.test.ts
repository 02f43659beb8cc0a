import { describe, expect, test } from '@jest/globals'
import type { Card, Reading } from '../../document'
import { plainCheck, relayCard } from '../../testing'
import type { Evaluation } from '../figure'
import { prepareCard } from '../preparedCard'
import { relayInput } from './contacts'

const drive = { plus: '85', minus: '86' }
const of = (card: Card, readings: Evaluation[] = []) => {
  const checks = [...prepareCard(card).checks.values()].filter(({ kind }) => kind === 'contacts')
  return relayInput(card, checks, readings)
}
const driven = { kind: 'contacts' as const, conditions: { drive } }
const read = (reading: Partial<Reading>, more: object = {}) =>
  ({ check: driven, pair: ['30', '87'], entry: { reading }, ...more }) as unknown as Evaluation
const beep = (kind: 'below' | 'above') => read({ method: 'beeper', kind, value: 35 })
const ohms = (card: Card, one: Evaluation) => of(card, [one]).observations.map(({ ohms: found }) => found)

describe('what is known of a relay', () => {
  test('its blades, each once, and its coil', () => {
    const { terminals, coil, joined } = of(relayCard())
    expect(terminals).toEqual(['30', '85', '86', '87', '87a'])
    expect(coil).toEqual(['85', '86'])
    expect(joined).toEqual([])
  })

  test('blades of a check that reads one pair alone', () => {
    const card = relayCard()
    card.checks = [plainCheck('one', 'contacts', { pair: ['30', '87'] }, { kind: 'closed', atMost: 0.5 })]
    expect(of(card)).toMatchObject({ terminals: ['30', '87'] })
    expect(of(card)).not.toHaveProperty('coil')
  })

  test('of two coils none is the coil', () => {
    const card = relayCard()
    card.windings.push({ id: 'hold', label: 'hold', from: '85', to: '30', material: 'copper' })
    expect(of(card)).not.toHaveProperty('coil')
  })

  test('which way it is driven is settled only by a diode across its coil', () => {
    const between = (...pairs: [string, string][]) => {
      const card = relayCard()
      return of({ ...card, care: { ...card.care, electronicsBetween: pairs } }).drive
    }
    expect(between()).toBeUndefined()
    expect(between(['30', '87'])).toBeUndefined()
    expect(between(['30', '87'], ['86', '85'])).toEqual(drive)
    expect(of(relayCard()).drive).toBeUndefined()
  })

  test('nothing is driven where no check says how', () => {
    const card = relayCard()
    card.care = { ...card.care, electronicsBetween: [['85', '86']] }
    card.checks = card.checks.map(({ conditions: _its, ...check }) => check)
    expect(of(card).drive).toBeUndefined()
  })

  test('what is joined for a check', () => {
    const card = relayCard()
    card.checks = card.checks.map((check) =>
      check.id === 'rest' ? { ...check, conditions: { joined: [['30', '87']] } } : check,
    )
    expect(of(card).joined).toEqual([['30', '87']])
  })
})

describe('what was observed', () => {
  test('a figure in ohms, as it was driven: the reading’s own way before the check’s', () => {
    const seen = (reading: Partial<Reading>) => of(relayCard(), [read(reading, { net: 0.1 })]).observations
    expect(seen({ kind: 'value' })).toEqual([{ a: '30', b: '87', ohms: 0.1, energised: drive }])
    expect(seen({ kind: 'value', conditions: { drive: null } })[0]?.energised).toBeNull()
    const other = { plus: '86', minus: '85' }
    expect(seen({ kind: 'value', conditions: { drive: other } })[0]?.energised).toEqual(other)
  })

  test('a beep is joined, and none is no path where the coil is known', () => {
    expect(ohms(relayCard(), beep('below'))).toEqual([0])
    expect(ohms(relayCard(), beep('above'))).toEqual(['Infinity'])
  })

  test('where it is not known no beep may be the coil, and says nothing', () => {
    const unknown = { ...relayCard(), windings: [] }
    expect(ohms(unknown, beep('above'))).toEqual([])
    expect(ohms(unknown, beep('below'))).toEqual([0])
    expect(ohms(unknown, read({ kind: 'above' }, { bound: 2e7 }))).toEqual(['Infinity'])
  })

  test('what proves nothing, or is of no pair, is no observation', () => {
    expect(ohms(relayCard(), read({ kind: 'over' }, { bound: 2000 }))).toEqual([])
    expect(ohms(relayCard(), read({ kind: 'value' }, { net: 1, pair: undefined }))).toEqual([])
  })
})
