import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { formatBound, formatFigure, formatParts } from './format'
import { parseKindLimit } from './parseKindLimit'
import { parseReading } from './parseReading'
import { plainUnits, withUnit, type ShownUnits } from './shownUnits'

const customary: ShownUnits = { temperature: '°F', length: 'in' }

describe('what is shown', () => {
  test.each([
    [20, 'temperature', plainUnits, '20\u2009°C'],
    [20, 'temperature', customary, '68\u2009°F'],
    [-40, 'temperature', customary, '−40\u2009°F'],
    [0.4064, 'length', customary, '16\u2009in'],
    [0.41, 'length', plainUnits, '410\u2009mm'],
    [318, 'resistance', customary, '318\u2009Ω'],
  ] as const)('%p as %s', (value, quantity, units, text) => {
    expect(formatBound(value, quantity, { units })).toBe(text)
  })

  test('a step in °C is 1.8 steps in °F: no decimals that nobody took', () => {
    expect(formatParts(21.3, 'temperature', { units: customary, resolution: 0.1 })).toEqual({
      digits: '70.3',
      unit: '°F',
    })
    expect(formatParts(21, 'temperature', { units: customary, resolution: 1 }).digits).toBe('70')
  })
})

describe('what is typed', () => {
  test.each([
    ['104', 'temperature', '104 °F'],
    ['40 °C', 'temperature', '40 °C'],
    ['40C', 'temperature', '40C'],
    ['16', 'length', '16 in'],
    ['16..18', 'length', '16..18 in'],
    ['40 cm', 'length', '40 cm'],
    ['318', 'resistance', '318'],
    ['OL', 'temperature', 'OL'],
    ['warm', 'temperature', 'warm'],
    ['', 'length', ''],
  ] as const)('%p as %s is kept as %p', (text, quantity, kept) => {
    expect(withUnit(text, quantity, customary, false)).toBe(kept)
  })

  test('a shop of °C and metres changes no text', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom('temperature' as const, 'length' as const), (text, quantity) => {
        expect(withUnit(text, quantity, plainUnits, false)).toBe(text)
      }),
    )
  })

  test('what is shown in a shop’s units is read back as the same value', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 290, noNaN: true }),
        fc.constantFrom('temperature' as const, 'length' as const),
        fc.boolean(),
        (value, quantity, decimalComma) => {
          const resolution = 1e-6
          const text = formatFigure(value, quantity, { units: customary, resolution, decimalComma })
          const read = parseReading({ text, quantity, decimalComma })
          expect(read.kind).toBe('value')
          expect(Math.abs((read.value ?? NaN) - value)).toBeLessThan(2e-6)
        },
      ),
    )
  })
})

describe('limits by length', () => {
  const read = (text: string) => parseKindLimit('per-length', { text, quantity: 'resistance' })
  test.each([
    ['5.6k ±20%', 5600],
    ['5.6k ±20% a metre', 5600],
    ['5.6k ±20%/m', 5600],
    ['500 ±20% a foot', 500 / 0.3048],
    ['500 ±20% per ft', 500 / 0.3048],
    ['42 ±20% an inch', 42 / 0.0254],
    ['42 ±20%/in', 42 / 0.0254],
  ])('%p', (text, value) => {
    expect(read(text)).toEqual({ kind: 'perMetre', value: expect.closeTo(value, 6), tolerancePct: 20 })
  })
  test.each(['5.6k ±20% a mile', '500 a foot', 'a foot', '300–500 a foot'])('%p is none', (text) => {
    expect(read(text)).toHaveProperty('problem')
  })
})

describe('a curve’s places', () => {
  test('may carry a unit where it is known what they are', () => {
    const input = { text: '68 °F: 1050; 104 °F: 512 ±8%', quantity: 'resistance' } as const
    expect(parseKindLimit('curve', { ...input, x: 'temperature' })).toEqual({
      kind: 'curve',
      points: [
        { x: expect.closeTo(20, 9), ohms: 1050 },
        { x: expect.closeTo(40, 9), ohms: 512 },
      ],
      tolerancePct: 8,
    })
    expect(parseKindLimit('curve', input)).toEqual({ problem: 'number' })
  })
})
