import { expect, test } from '@jest/globals'
import { formatBound, formatFigure, prefixFor } from './format'

const plain = (text: string) => text.replace('\u2009', ' ')

test('figures carry as many digits as the meter gave', () => {
  expect(plain(formatFigure(318, 'resistance', { resolution: 1 }))).toBe('318 Ω')
  expect(plain(formatFigure(11_400, 'resistance', { resolution: 100 }))).toBe('11.4 kΩ')
  expect(plain(formatFigure(7400, 'resistance', { resolution: 10 }))).toBe('7.40 kΩ')
  expect(plain(formatFigure(0.0571, 'resistance', { resolution: 1e-4 }))).toBe('57.1 mΩ')
})

test('bounds carry no digit that nobody typed, and the shop’s decimal mark', () => {
  expect(plain(formatBound(2e7, 'resistance'))).toBe('20 MΩ')
  expect(plain(formatBound(0.15, 'resistance', { decimalComma: true }))).toBe('0,15 Ω')
  expect(formatBound(Infinity, 'resistance')).toContain('∞')
})

test('a figure is spoken of in the prefix of its size', () => {
  expect([318, 11_400, 1e6].map((value) => prefixFor(value, 'resistance'))).toEqual(['', 'k', 'M'])
})
