import { readdirSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  figuresOf,
  fitFigures,
  indexFigures,
  parseFindings,
  searchFigures,
  marksOf,
  searchTerms,
  wordsOf,
  type CardFigure,
} from '.'
import { demoCard } from '../testing'

const twin = demoCard('orrinvale-18-twin')

describe('what was measured, as it is said', () => {
  test.each([
    ['about 318 and 36.2, both open to frame', [318, 36.2], true],
    ['318 36', [318, 36], false],
    ['4.35k; 8.7k', [4350, 8700], false],
    ['0.62 Ω each', [0.62], false],
    ['OL', [], true],
    ['', [], false],
  ])('%s', (text, values, open) => {
    const found = parseFindings(text)
    expect(found.figures.map((one) => one.value)).toEqual(values)
    expect(found.open).toBe(open)
    expect(found.unread).toEqual([])
  })

  test('another unit is another quantity, a decimal comma is one, and what is no figure is handed back', () => {
    expect(parseFindings('1.1 H').figures[0]).toMatchObject({ quantity: 'inductance', value: 1.1 })
    expect(parseFindings('36,5 und 318', true).figures.map((one) => one.value)).toEqual([36.5, 318])
    expect(parseFindings('318 and rusty').unread).toEqual(['rusty'])
  })

  test('any text is read without throwing, and figures are above zero', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 600 }), fc.boolean(), (text, comma) => {
        for (const { value } of parseFindings(text, comma).figures) expect(value).toBeGreaterThan(0)
      }),
    )
  })
})

describe('a card by its figures', () => {
  test('of the twin: its coils, the two in series, and that it is open to frame', () => {
    const { figures, open } = figuresOf(twin)
    expect(open).toBe(true)
    expect(figures.map((one) => Math.round(one.expected))).toEqual(expect.arrayContaining([318, 37, 92, 355]))
  })

  test('each measured figure goes to one of the card, and what fits nothing is said', () => {
    const fit = fitFigures(parseFindings('about 318, 36 and 5 k, open to frame'), figuresOf(twin))
    expect(fit.matches.map((one) => one.check)).toEqual(['low', 'high'])
    expect(fit.missing).toEqual(['5 k'])
    expect(fit.openMissing).toBe(false)
  })

  test('leads that nobody zeroed are tolerated and said', () => {
    const stator = figuresOf(demoCard('orrinvale-60-charging'))
    const [match] = fitFigures(parseFindings('1.05'), stator).matches
    expect(match?.leadsOhms).toBeGreaterThan(0.2)
    expect(match?.leadsOhms).toBeLessThan(0.6)
    expect(fitFigures(parseFindings('0.63'), stator).matches[0]?.leadsOhms).toBeUndefined()
  })

  const figure = fc.record({
    check: fc.constantFrom('a', 'b', 'c'),
    label: fc.constant('a check'),
    quantity: fc.constantFrom<CardFigure['quantity']>('resistance', 'voltage'),
    expected: fc.double({ min: 0.1, max: 1e4, noNaN: true }),
    share: fc.double({ min: 0, max: 0.4, noNaN: true }),
    metal: fc.boolean(),
  })
  const cards = fc.array(fc.record({ figures: fc.array(figure, { maxLength: 4 }), open: fc.boolean() }), {
    maxLength: 30,
  })

  test('the index finds every card that trying them all one by one would find', () => {
    fc.assert(
      fc.property(cards, fc.double({ min: 0.1, max: 1e4, noNaN: true }), (some, value) => {
        const found = {
          figures: [{ text: String(value), quantity: 'resistance' as const, value }],
          open: false,
          unread: [],
        }
        const all = some.flatMap((one, card) => (fitFigures(found, one).matches.length > 0 ? [card] : []))
        expect(
          searchFigures(indexFigures(some), found, 1000)
            .map((one) => one.card)
            .sort((a, b) => a - b),
        ).toEqual(all)
      }),
    )
  })

  test('the card a figure was taken from is among the best', () => {
    const names = ['orrinvale-18-twin', 'orrinvale-60-charging', 'duskwater-dv24', 'wexmoor-changeover-24']
    const index = indexFigures(names.map((name) => figuresOf(demoCard(name))))
    expect(searchFigures(index, parseFindings('about 318 and 36, both open to frame'), 5)[0]?.card).toBe(0)
    expect(searchFigures(index, parseFindings('21.6'), 5)[0]?.card).toBe(2)
    expect(searchFigures(index, parseFindings('open'), 5)).toEqual([])
  })
})

describe('a card by its words', () => {
  test('wires by both colours, plugs by their ways, part numbers with and without their dashes', () => {
    const words = wordsOf(twin)
    expect(words.wires).toContain('violet/white')
    expect(words.plugs).toBe('6way 5way grid 3way row 2way row')
    expect(words.part).toBe('18-1140 181140')
    expect(marksOf(words)).toEqual(
      expect.arrayContaining(['orange', 'violet', 'violet/white', 'grey', 'tan', '6way', '5way']),
    )
  })
})

test.each([
  ['Stator 6 pin, 3-way', ['6way', '3way'], 'stator'],
  ['violet/white 6 cavities', ['violet/white', '6way'], ''],
  ['Orrinvale 18', [], 'orrinvale 18'],
  ['viol', [], 'viol'],
  ['violet/', [], 'violet/'],
  ['', [], ''],
])('%p asks for the marks %j and the words %p', (text, marks, words) => {
  expect(searchTerms(text)).toEqual({ marks, words })
})

test('every mark of a card is one that a search for it asks for', () => {
  for (const card of readdirSync('demo/cards').map((file) => demoCard(file.replace('.json', '')))) {
    const marks = marksOf(wordsOf(card))
    expect(searchTerms(marks.join(' '))).toEqual({ marks, words: '' })
  }
})
