import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card } from '../document'
import { notTested } from '../state'
import { Script } from '../testing'

const card = JSON.parse(readFileSync('demo/cards/duskwater-winch-armature.json', 'utf8')) as Card
const on = () => new Script(card).ready()
const ids = (script: Script) => script.state().remarks.map(({ id }) => id)
const seen = (script: Script, check: string, answer: string) =>
  script.put({
    kind: 'reading',
    check,
    reading: { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer },
  })

describe('bars on a growler', () => {
  test('nothing at all at the first bar asks whether it is on, and holds it until it is said', () => {
    const script = on().read('volts', '0.000', { index: 1 })
    expect(script.state().holding).toMatchObject({ id: 'condition-missing', params: { condition: 'growler' } })
  })

  test('nothing at one bar of a ring that has read is an open coil, and not asked about', () => {
    const script = on()
    for (let bar = 1; bar <= 8; bar++) script.read('bars', '4.3', { index: bar, instrument: 'g1' })
    script.read('bars', '0.0', { index: 9, instrument: 'g1' })
    expect(ids(script)).not.toContain('condition-missing')
    expect(script.state().causes).toMatchObject([{ kind: 'bars', of: ['9'] }])
  })

  test('a small figure is a figure: two steps of the display are nothing, three are not', () => {
    expect(ids(on().read('volts', '0.002', { index: 1 }))).toContain('condition-missing')
    expect(ids(on().read('volts', '0.003', { index: 1 }))).not.toContain('condition-missing')
  })

  test('the other method says nothing about whether it was on for this one', () => {
    const script = on().read('bars', '4.3', { index: 1, instrument: 'g1' }).read('volts', '0.000', { index: 1 })
    expect(ids(script)).toContain('condition-missing')
  })

  test('a lamp from the shaft asks for no pins by ohms, and sees hard shorts only', () => {
    const script = seen(on(), 'lamp-shaft', 'dark')
    expect(ids(script)).toEqual(expect.arrayContaining(['ground-ceiling']))
    expect(ids(script)).not.toContain('unknown-pins-power')
    expect(ids(seen(on(), 'lamp-bars', 'lit at all 23'))).not.toContain('ground-ceiling')
  })

  test('what was not read of a ring is listed by its numbers', () => {
    const script = on()
      .read('bars', '4.3', { index: 1, instrument: 'g1' })
      .read('bars', '4.3', { index: 3, instrument: 'g1' })
    const items = notTested(script.state()).find(({ what }) => what === 'items')
    expect(items).toMatchObject({ check: 'bars', items: [2, ...Array.from({ length: 20 }, (_, i) => i + 4)] })
    expect(notTested(on().state()).some(({ what }) => what === 'items')).toBe(false)
  })
})
