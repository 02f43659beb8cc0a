import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { quantities } from '../document'
import { randomText, draws } from '../testing'
import { formatFigure } from './format'
import { parseReading } from './parseReading'
import { textMismatch, typedReading } from './typedReading'

const problems = [
  'empty',
  'too-long',
  'number',
  'unit',
  'comma',
  'point',
  'prefix-unclear',
  'milli-or-mega',
  'unit-missing',
]

describe('parseReading', () => {
  test('texts of any kind: nothing throws, nothing is NaN, every problem is a known one', () => {
    const sound = (text: string, quantity: (typeof quantities)[number], decimalComma: boolean): boolean => {
      const { kind, problem, value, low, high, resolution, testVoltage } = parseReading({
        text,
        quantity,
        decimalComma,
      })
      const figures = [value, low, high, resolution, testVoltage].every(
        (one) => one === undefined || Number.isFinite(one),
      )
      return figures && (problem === undefined ? kind !== 'invalid' : problems.includes(problem))
    }
    fc.assert(fc.property(randomText, fc.constantFrom(...quantities), fc.boolean(), sound), { numRuns: draws(100_000) })
  }, 120_000)

  test('what was formatted is read back within half its last digit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 9e9, noNaN: true }),
        fc.integer({ min: 0, max: 3 }),
        fc.boolean(),
        (value, digits, decimalComma) => {
          const resolution = 10 ** (Math.floor(Math.log10(value)) - digits)
          const text = formatFigure(value, 'resistance', { resolution, decimalComma })
          const parsed = parseReading({ text, quantity: 'resistance', decimalComma })
          expect(parsed.kind).toBe('value')
          expect(Math.abs((parsed.value ?? 0) - value)).toBeLessThanOrEqual(resolution * 0.5000001)
        },
      ),
    )
  })

  test('a nought with an exponent beyond all figures is no number: its last digit would stand for infinity', () => {
    expect(parseReading({ text: '0E800', quantity: 'resistance' })).toMatchObject({
      kind: 'invalid',
      problem: 'number',
    })
    expect(parseReading({ text: '0E800-0E800', quantity: 'voltage' })).toMatchObject({ kind: 'invalid' })
    expect(parseReading({ text: '0E3', quantity: 'resistance' })).toMatchObject({
      kind: 'value',
      value: 0,
      resolution: 1000,
    })
  })

  test('a doubled decimal mark is no spread, and what no instrument sends is no number', () => {
    expect(parseReading({ text: '4..7', quantity: 'resistance' })).toMatchObject({ kind: 'invalid', problem: 'number' })
    expect(parseReading({ text: '1e999', quantity: 'resistance' })).toMatchObject({
      kind: 'invalid',
      problem: 'number',
    })
    expect(parseReading({ text: '9'.repeat(10_000), quantity: 'resistance' })).toMatchObject({ problem: 'too-long' })
    expect(parseReading({ text: '300..320', quantity: 'resistance' })).toMatchObject({
      kind: 'spread',
      low: 300,
      high: 320,
    })
  })

  test('a field takes gauss and never giga, a speed its turns and a gain its decibels', () => {
    expect(parseReading({ text: '250 G', quantity: 'field' })).toMatchObject({ kind: 'value', value: 0.025 })
    expect(parseReading({ text: '3000 rpm', quantity: 'speed' })).toMatchObject({ kind: 'value', value: 3000 })
    expect(parseReading({ text: '-3 dB', quantity: 'gain' })).toMatchObject({ kind: 'value', value: -3 })
  })
})

describe('typedReading', () => {
  test('a leading tilde means that it had not settled, and the text is kept as typed', () => {
    expect(typedReading('~ 318', 'resistance', false)).toMatchObject({
      reading: { text: '~ 318', kind: 'value', value: 318, settled: false },
    })
  })

  test('a reading whose figures are not what its text says is caught, whichever field parts', () => {
    const made = typedReading('21.5-22.5k', 'resistance', false)
    if ('problem' in made) throw new Error('must parse')
    expect(textMismatch(made.reading, 'resistance')).toBeNull()
    expect(textMismatch({ ...made.reading, high: 22 }, 'resistance')).toBe('high')
    expect(textMismatch({ ...made.reading, kind: 'value' }, 'resistance')).toBe('kind')
    expect(textMismatch({ ...made.reading, text: 'red' }, 'resistance')).toBe('text')
  })
})
