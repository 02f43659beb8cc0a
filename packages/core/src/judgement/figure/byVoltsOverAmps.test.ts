import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Card, Instrument } from '../../document'
import { textMismatch, typedReading, voltsOverAmps } from '../../quantity'
import { draws, plainCard, plainCheck, Script } from '../../testing'
import { ofBoth } from './byVoltsOverAmps'

const coarse: Instrument = {
  id: 'coarse',
  name: 'C1',
  overSign: 'OL',
  ranging: 'auto',
  functions: [
    { quantity: 'resistance', ranges: [{ fullScale: 600, resolution: 0.1, percentOfReading: 0.8, counts: 3 }] },
    { quantity: 'voltage', ranges: [{ fullScale: 6, resolution: 0.001, percentOfReading: 0.5, counts: 2 }] },
  ],
}
const ampsAlone: Instrument = {
  id: 'amps',
  name: 'A1',
  overSign: 'OL',
  ranging: 'auto',
  functions: [{ quantity: 'current', ranges: [{ fullScale: 10, resolution: 0.01, percentOfReading: 1, counts: 2 }] }],
}
const card: Card = plainCard({
  family: 'charging-stator',
  terminals: ['a', 'b'].map((id) => ({ id, label: id, aliases: [] })),
  windings: [{ id: 'ring', label: 'ring', from: 'a', to: 'b', material: 'copper' }],
  checks: [plainCheck('ring', 'resistance', { pair: ['a', 'b'] }, { kind: 'band', min: 0.666, max: 0.814 })],
})
const ring = () => new Script(card, { instruments: [coarse, ampsAlone] }).ready()

describe('ohms from volts and amperes', () => {
  test.each([
    ['0.744 V / 1.00 A', 0.744],
    ['1.00A 0.744V', 0.744],
    ['744mV, 1.00A', 0.744],
    ['12.1V;2.2A', 5.5],
  ])('%s', (text, ohms) => {
    const made = typedReading(text, 'resistance', false)
    expect('reading' in made && made.reading).toMatchObject({ kind: 'value', method: 'volts-over-amps' })
    expect('reading' in made && made.reading.value).toBeCloseTo(ohms, 12)
  })

  test('with a comma for the decimal mark', () => {
    expect(voltsOverAmps('0,744V / 1,00A', true)).toEqual({ volts: 0.744, voltsStep: 0.001, amps: 1, ampsStep: 0.01 })
  })

  test.each(['0.744 V', '1.00 A', '0.744 / 1.00', '0.744 V / 0.00 A', '0.744 V 1.00 V', 'V A'])(
    '%s is not both',
    (text) => expect(voltsOverAmps(text, false)).toBeUndefined(),
  )

  test('they are ohms only: no other quantity takes them', () => {
    expect(typedReading('0.744 V / 1.00 A', 'voltage', false)).toHaveProperty('problem')
  })

  test('a file whose figures are not those of its text is refused by the field', () => {
    const made = typedReading('0.744 V / 1.00 A', 'resistance', false)
    if (!('reading' in made)) throw new Error('no reading')
    expect(textMismatch(made.reading, 'resistance')).toBeNull()
    expect(textMismatch({ ...made.reading, value: 0.7 }, 'resistance')).toBe('value')
    expect(textMismatch({ ...made.reading, amps: 2 }, 'resistance')).toBe('amps')
    expect(textMismatch({ ...made.reading, volts: 2 }, 'resistance')).toBe('volts')
  })

  test('its relative parts are added by their squares, whatever the size', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 5000 }), fc.integer({ min: 20, max: 900 }), (mV, cA) => {
        const [volts, amps] = [mV / 1000, cA / 100]
        const text = `${volts.toFixed(3)} V / ${amps.toFixed(2)} A`
        const both = ofBoth(
          { taken: 'typed', text, decimalComma: false, kind: 'value' },
          { ...coarse, functions: [...coarse.functions, ...ampsAlone.functions] },
        )
        const part = (percent: number, counts: number, step: number, value: number) =>
          Math.hypot(((percent / 100) * value + counts * step) / Math.sqrt(3), step / Math.sqrt(12)) / value
        const expected = Math.hypot(part(0.5, 2, 0.001, volts), part(1, 2, 0.01, amps)) * (volts / amps)
        expect(both?.u).toBeCloseTo(expected, 9)
      }),
      { numRuns: draws(50) },
    )
  })
})

describe('beside the ohms of a meter', () => {
  test('a meter of one decimal cannot tell; volts over amperes can, no leads stand in them, and they judge', () => {
    const script = ring().read('ring', '1.8')
    expect(script.state().checks[0]?.verdict).not.toBe('within')
    script.read('ring', '1.00 A, 0.744 V', { instrument: 'coarse' })
    const { checks, evaluations, finding } = script.state()
    const [first, second] = [...evaluations.values()]
    expect(checks[0]?.points).toHaveLength(1)
    expect(checks[0]?.points[0]?.evaluation).toBe(second)
    expect(second).toMatchObject({ verdict: 'within', leads: { from: 'four-wire' }, accuracyAssumed: false })
    expect(second?.net).toBeCloseTo(0.744, 9)
    expect(first?.instrument?.id).toBe('coarse')
    expect(finding.word).toBe('no-fault-found')
  })

  test('the two are held against each other', () => {
    const script = ring().read('ring', '4.0').read('ring', '1.00 A, 0.744 V', { instrument: 'coarse' })
    expect(script.state().remarks.map(({ id }) => id)).toContain('meters-disagree')
  })

  test('figures too rough for the window are said to be so', () => {
    const script = ring().read('ring', '1 A, 0.7 V', { instrument: 'coarse' })
    expect(script.state().remarks.map(({ id }) => id)).toContain('meter-cannot')
    const fine = ring().read('ring', '1.00 A, 0.744 V', { instrument: 'coarse' })
    expect(fine.state().remarks.map(({ id }) => id)).not.toContain('meter-cannot')
  })

  test('without a meter that has amperes the accuracy is assumed, and said to be', () => {
    const script = new Script(card, { instruments: [coarse] }).ready().read('ring', '1.00 A, 0.744 V')
    expect([...script.state().evaluations.values()][0]?.accuracyAssumed).toBe(true)
  })
})

describe('the doubt of each of the two', () => {
  type Range = Instrument['functions'][number]['ranges'][number]
  const meter = (range: Partial<Range>): Instrument => ({
    ...coarse,
    functions: [
      { quantity: 'voltage', ranges: [{ fullScale: 6, resolution: 0.001, ...range } as Range] },
      { quantity: 'current', ranges: [{ fullScale: 10, resolution: 0.01, percentOfReading: 1, counts: 2 }] },
    ],
  })
  const both = (text: string, range: Partial<Range>) => {
    const made = typedReading(text, 'resistance', false)
    if (!('reading' in made)) throw new Error('no reading')
    const found = ofBoth(made.reading, meter(range))
    if (!found) throw new Error('not both')
    return found
  }
  test('is assumed only where the meter states neither per cent nor counts', () => {
    expect(both('0.744 V / 1.00 A', { percentOfReading: 0.5, counts: 2 }).assumed).toBe(false)
    expect(both('0.744 V / 1.00 A', { percentOfReading: 0.5 }).assumed).toBe(false)
    expect(both('0.744 V / 1.00 A', { counts: 2 }).assumed).toBe(false)
    expect(both('0.744 V / 1.00 A', {}).assumed).toBe(true)
  })
  test('a figure written more coarsely than the meter shows it is rounded besides', () => {
    const range = { percentOfReading: 0.5, counts: 2 }
    const fine = both('0.744 V / 1.00 A', range)
    const rough = both('0.74 V / 1.00 A', range)
    expect(rough.parts.resolution).toBeGreaterThan(fine.parts.resolution)
    // half a step of a hundredth, rectangular, beside the meter's own digit
    const amps = (0.74 * (0.01 / 2)) / Math.sqrt(3)
    expect(rough.parts.resolution).toBeGreaterThan(Math.hypot(0.005 / Math.sqrt(3), amps) * 0.99)
  })
})
