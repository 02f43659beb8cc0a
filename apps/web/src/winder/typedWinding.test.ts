import { describe, expect, test } from '@jest/globals'
import { typedEnds, typedLay, typedLeft, typedStep, typedStrands, typedTurns, typedWinding } from './typedWinding'

const point = { decimalComma: false }

describe('typed at the winder', () => {
  test.each([
    ['31', { turns: 31 }],
    ['12, 11, 8', { turns: 31, layers: 3 }],
    ['12 11 8', { turns: 31, layers: 3 }],
    ['12+11+8', { turns: 31, layers: 3 }],
  ])('turns: %s', (text, found) => expect(typedTurns(text)).toEqual(found))
  test.each(['', 'many', '31 and a half', '-3'])('“%s” are no turns', (text) => expect(typedTurns(text)).toBeNull())

  test.each([
    ['cw from outside', { lay: 'cw', seenFrom: 'outside' }],
    ['counter-clockwise seen from the cover', { lay: 'ccw', seenFrom: 'the cover' }],
    ['clockwise', { lay: 'cw' }],
    ['ccw', { lay: 'ccw' }],
  ])('lay: %s', (text, found) => expect(typedLay(text)).toEqual(found))
  test.each(['', 'sideways', 'cwx'])('“%s” is no lay', (text) => expect(typedLay(text)).toBeNull())

  test('ends', () => {
    expect(typedEnds('deep at the right lug; over the top to the left lug')).toEqual({
      start: 'deep at the right lug',
      finish: 'over the top to the left lug',
    })
    expect(typedEnds('start inside, finish at the lug')).toEqual({ start: 'inside', finish: 'at the lug' })
    expect(typedEnds('  ')).toBeNull()
  })

  test.each([
    ['0.968', 1, 0.000968],
    ['5x 4.81', 5, 0.00481],
    ['4.81 x5', 5, 0.00481],
    ['13 × 0.72 mm', 13, 0.00072],
  ])('micrometer: %s', (text, strands, value) => {
    const found = typedStrands(text, point)
    expect(found?.strands).toBe(strands)
    expect(found?.reading.value).toBeCloseTo(value, 12)
  })
  test.each(['', 'thick', '0', '0x 4.81', '5x'])('“%s” is no micrometer reading', (text) =>
    expect(typedStrands(text, point)).toBeNull(),
  )

  test('while winding: turns, or turns with ohms and warmth', () => {
    expect(typedWinding('1200', point, undefined)).toEqual({ turns: 1200 })
    expect(typedWinding('2400 2.74k @ 22', point, 'm2')).toMatchObject({
      turns: 2400,
      partC: 22,
      reading: { value: 2740, instrument: 'm2', text: '2.74k' },
    })
    expect(typedWinding('2400 2.74k', point, undefined)).toMatchObject({ turns: 2400, reading: { value: 2740 } })
    for (const text of ['', 'half', '1200 @ 22', '2400 OL', '2400 2.74k @ warm'])
      expect(typedWinding(text, point, undefined)).toBeNull()
  })

  test.each([
    ['wax, 66 C, 8 min', { what: 'fix', material: 'wax', atC: 66, seconds: 480 }],
    ['bake 110 C 2 h', { what: 'fix', atC: 110, seconds: 7200 }],
    ['leads soldered and sleeved', { what: 'leads' }],
    ['no fixing', { what: 'fix' }],
    ['taped', { what: 'tape' }],
  ])('step: %s', (text, found) => expect(typedStep(text)).toMatchObject({ kind: 'step', ...found, words: text }))
  test('°F is kept in °C, and what is none of the steps is none', () => {
    expect(typedStep('wax 150 F')?.atC).toBeCloseTo(65.6, 1)
    expect(typedStep('had lunch')).toBeNull()
  })
})

describe('what came off', () => {
  test.each([
    ['17.2 m', { left: { metres: 17.2 } }],
    ['154 g', { left: { grams: 154 } }],
    ['0.2 kg', { left: { grams: 200 } }],
    ['17.2 m 154 g', { left: { metres: 17.2, grams: 154 } }],
    ['17.2m, 0.466 ohm @ 20', { left: { metres: 17.2, ohms20: 0.466 } }],
    ['4.36k @ 20', { left: { ohms20: 4360 } }],
    ['4.36k ohm @ 20', { left: { ohms20: 4360 } }],
    ['4.36kΩ @ 20', { left: { ohms20: 4360 } }],
    ['2.4 H', { henries: 2.4 }],
    ['1.2mH 17.2 m', { left: { metres: 17.2 }, henries: 0.0012 }],
  ])('%s', (text, found) => expect(typedLeft(text, point)).toEqual(found))

  test('ohms are brought to 20 °C from their warmth', () => {
    expect(typedLeft('17.2 m 0.466 ohm @ 60', point)?.left?.ohms20).toBeCloseTo(0.4027, 4)
    expect(typedLeft('0.466 ohm @ 68F', point)?.left?.ohms20).toBeCloseTo(0.466, 6)
  })
  test('with a decimal comma', () =>
    expect(typedLeft('17,2 m 0,466 ohm @ 20', { decimalComma: true })?.left).toEqual({ metres: 17.2, ohms20: 0.466 }))
  test.each(['', 'thick', '0.055', '0 m', '5 V', '17.2 m of it', '17.2 m @ warm', '17.2 m 0.466 ohm', '-3 g'])(
    '“%s” is none of it',
    (text) => expect(typedLeft(text, point)).toBeNull(),
  )
})
