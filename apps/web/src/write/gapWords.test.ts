import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { cardGaps, cardTemplate, type Card } from '@sure-spool/core'
import { contradictionWords, gapWords } from './gapWords'

const twin = () => JSON.parse(readFileSync('demo/cards/orrinvale-18-twin.json', 'utf8')) as Card
const said = (card: Card) => cardGaps(card).gaps.map((gap) => gapWords(card, gap))

describe('what a card leaves out, in words', () => {
  test('of an empty card: it measures nothing, and where to mend it', () => {
    expect(said(cardTemplate('019b0000-0000-7000-8000-000000000001', 'relay'))).toEqual([
      { words: 'It has no model.', section: 'name' },
      { words: 'The construction decides its rules and is not chosen.', section: 'name' },
      { words: 'It has no check: it measures nothing.', section: 'checks' },
    ])
  })

  test('terminals, windings and checks are named as a person names them', () => {
    const card = twin()
    card.checks = card.checks.filter(({ id }) => id !== 'trigger' && id !== 'frame' && id !== 'flex')
    card.windings = card.windings.map((one) => (one.id === 'trigger' ? { ...one, ohms: undefined as never } : one))
    card.sources = card.sources.map((one) => ({ ...one, title: ' ' }))
    const words = said(card).map((one) => one.words)
    expect(words).toEqual(
      expect.arrayContaining([
        'Nothing tests violet/white.',
        'Nothing reads the trigger coil.',
        'The trigger coil has no ohms: nothing can follow from it.',
        'Nothing tests the windings to frame.',
        'A source has no title.',
      ]),
    )
  })

  test('a limit without a floor, and two that no part could meet', () => {
    const card = twin()
    const low = card.checks.find(({ id }) => id === 'low')
    const high = card.checks.find(({ id }) => id === 'high')
    const [first] = high?.limits ?? []
    if (!low || !high || !first) throw new Error('the twin has two coils')
    low.limits = [{ id: 'l1', for: 'any', limit: { kind: 'atMost', value: 400 }, source: 's1' }]
    high.limits = [first, { ...first, id: 'l9', limit: { kind: 'band', min: 90, max: 100 } }]
    const words = cardGaps(card).remarks.map((remark) => contradictionWords(card, remark))
    expect(words[0]).toBe('low-speed coil has no minimum: a short would pass.')
    expect(words[1]).toContain('no part could meet both')
  })
})
