import { describe, expect, it } from '@jest/globals'
import { inOhms, parseReading } from '.'

describe('ohms said again with one prefix', () => {
  it.each([
    ['3.4', 'M', '3.4 MΩ'],
    ['3.4', '', '3.4 Ω'],
    ['3.4k', 'M', '3.4 MΩ'],
    ['640k 248V', 'k', '640 kΩ 248V'],
    ['500V 2.1', 'G', '500V 2.1 GΩ'],
    ['2.1 @ 500 V', 'G', '2.1 GΩ @ 500 V'],
    ['~0.9 248V', 'M', '~0.9 MΩ 248V'],
    ['2.1..OL', '', '2.1 Ω..OL'],
    ['2.1k to open', 'M', '2.1 MΩ to open'],
    ['21.5-22.5', 'k', '21.5-22.5 kΩ'],
    ['3.7k..11k', 'M', '3.7..11 MΩ'],
  ] as const)('%s in %s is %s', (text, prefix, said) => expect(inOhms(text, prefix)).toBe(said))

  it('says what the prefix says', () => {
    expect(parseReading({ text: inOhms('3.4', 'k'), quantity: 'resistance' }).value).toBe(3400)
    expect(parseReading({ text: inOhms('3.7k..11k', 'M'), quantity: 'resistance' })).toMatchObject({
      low: 3.7e6,
      high: 11e6,
    })
    expect(parseReading({ text: inOhms('640 248V', 'k'), quantity: 'insulation' })).toMatchObject({
      value: 640e3,
      testVoltage: 248,
    })
  })
})
