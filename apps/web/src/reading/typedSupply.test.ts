import { expect, test } from '@jest/globals'
import { typedSupply } from './typedSupply'

const point = { decimalComma: false }

test.each([
  ['24.3', { volts: 24.3 }],
  ['24.3V', { volts: 24.3 }],
  ['24.3 V', { volts: 24.3 }],
  ['24.3V 0.2A', { volts: 24.3, amps: 0.2 }],
  ['24.3 0.2A', { volts: 24.3, amps: 0.2 }],
  ['0.8V @ 200mA', { volts: 0.8, amps: 0.2 }],
])('%s', (text, supply) => {
  expect(typedSupply(text, point)).toEqual(supply)
})

test.each(['', 'OL', '24 V 2 A 3 A', '12V 3V', '-12'])('“%s” is no supply', (text) => {
  expect(typedSupply(text, point)).toBeNull()
})

test('at a step that reads something else volts need their sign', () => {
  expect(typedSupply('0.8', point, true)).toBeNull()
  expect(typedSupply('0.8V 0.20A', point, true)).toEqual({ volts: 0.8, amps: 0.2 })
  expect(typedSupply('0.20A', point, true)).toBeNull()
})

test('the shop’s decimal mark holds', () => {
  expect(typedSupply('24,3V 0,2A', { decimalComma: true })).toEqual({ volts: 24.3, amps: 0.2 })
})
