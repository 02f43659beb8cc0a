import { describe, expect, it } from '@jest/globals'
import { conditionWordsOf, typedConditions } from '.'

const words = { loads: ['lamps on'], states: ['at rest', 'flexed'] }

describe('conditions typed behind a reading', () => {
  it.each([
    ['2570 rpm', { rpm: 2570 }],
    ['850rpm', { rpm: 850 }],
    ['120 Hz', { hertz: 120 }],
    ['1 kHz', { hertz: 1000 }],
    ['lamps', { load: 'lamps on' }],
    ['at rest', { state: ['at rest'] }],
    ['AT', { state: ['at rest'] }],
    ['bent', { state: ['flexed'] }],
    ['off ten minutes', { state: ['off ten minutes'] }],
    ['3000 rpm, lamps on', { rpm: 3000, load: 'lamps on' }],
    ['3000 rpm; bent', { rpm: 3000, state: ['flexed'] }],
    ['at rest, held', { state: ['at rest', 'held'] }],
    ['bent at the clamp', { state: ['flexed'], where: 'the clamp' }],
    ['at 4 cm from coil end', { where: '4 cm from coil end' }],
    ['at 3000 rpm', { rpm: 3000 }],
    ['at 120 Hz, at the boot', { hertz: 120, where: 'the boot' }],
    ['at idle', { state: ['at idle'] }],
    ['24V 5W lamp', { lamp: { volts: 24, watts: 5 } }],
    ['12 V 21 W in series', { lamp: { volts: 12, watts: 21 } }],
    ['4.7k in series', { seriesOhms: 4700 }],
    ['100 Ω in series, 3000 rpm', { seriesOhms: 100, rpm: 3000 }],
    ['200k range', { range: 200e3 }],
    ['on 20kΩ range; bent', { range: 20e3, state: ['flexed'] }],
    ['joint added', { state: ['joint added'] }],
  ])('%s', (text, typed) => expect(typedConditions(text, words, false)).toEqual(typed))

  it('keeps the shop’s decimal mark apart from the comma between two', () => {
    expect(typedConditions('2570,5 rpm, bent', words, true)).toEqual({ rpm: 2570.5, state: ['flexed'] })
  })

  it.each([
    ['', 'empty'],
    ['850', 'unit'],
    ['8.5.0 rpm', 'number'],
    ['2.4.0V 5W lamp', 'number'],
    ['4.7.1k in series', 'number'],
    ['2.0.0k range', 'number'],
    ['24 V lamp', 'unit'],
  ])('“%s” is refused', (text, problem) => expect(typedConditions(text, words, false)).toEqual({ problem }))

  it('knows the card’s words, and that a lead can be bent', () => {
    const checks = [{ conditions: { load: 'lamps on', state: ['warm'] } }, { conditions: { load: 'lamps on' } }]
    expect(conditionWordsOf({ checks: checks as never })).toEqual({ loads: ['lamps on'], states: ['warm', 'flexed'] })
  })
})
