import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { contradictionsIn } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import fc from 'fast-check'
import { setOptional, withoutCheck, withoutSource, withoutTerminal, withoutVariant, withoutWinding } from './takeOff'

const cards = ['orrinvale-18-twin', 'wexmoor-changeover-24', 'lanternreed-two-coil', 'brindlecote-c3'].map(
  (name) => JSON.parse(readFileSync(`demo/cards/${name}.json`, 'utf8')) as Card,
)

describe('taking something off a card', () => {
  const cut = fc.constantFrom(
    (card: Card, at: number) => withoutTerminal(card, card.terminals[at % card.terminals.length]?.id ?? ''),
    (card: Card, at: number) => withoutWinding(card, card.windings[at % Math.max(1, card.windings.length)]?.id ?? ''),
    (card: Card, at: number) => withoutCheck(card, card.checks[at % Math.max(1, card.checks.length)]?.id ?? ''),
    (card: Card, at: number) => withoutSource(card, card.sources[at % Math.max(1, card.sources.length)]?.id ?? ''),
  )

  test('never leaves a reference to nothing behind, whatever is cut and in what order', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cards), fc.array(fc.tuple(cut, fc.nat(20)), { maxLength: 5 }), (source, cuts) => {
        const card = structuredClone(source)
        for (const [make, at] of cuts) if (card.terminals.length > 1) make(card, at)
        expect(contradictionsIn(card)).toEqual([])
      }),
    )
  })

  test('a terminal goes with what was joined to it, driven over it and lies behind it', () => {
    const card = structuredClone(cards[0]) as Card
    const [one, other] = card.checks.filter(({ at }) => 'pair' in at && !at.pair.includes('T'))
    if (!one || !other) throw new Error('the twin has checks away from tan')
    one.conditions = { joined: [['T', 'frame']], drive: { plus: 'T', minus: 'O' } }
    other.conditions = {
      state: ['flexed'],
      joined: [
        ['T', 'O'],
        ['O', 'frame'],
      ],
    }
    card.care.electronicsBetween = [['T', 'O']]
    withoutTerminal(card, 'T')
    expect(one).not.toHaveProperty('conditions')
    expect(other.conditions).toEqual({ state: ['flexed'], joined: [['O', 'frame']] })
    expect(card.care).not.toHaveProperty('electronicsBetween')
    expect(contradictionsIn(card)).toEqual([])
  })

  test('a variant goes, and what was for it alone is for all', () => {
    const card = structuredClone(cards[0]) as Card
    card.variants = [
      { id: 'v1', label: 'long shaft' },
      { id: 'v2', label: 'short shaft' },
    ]
    const [plug, check] = [card.plugs[0], card.checks[0]]
    for (const one of card.plugs) delete one.only
    if (!plug || !check) throw new Error('the twin has a plug and checks')
    plug.only = ['v1']
    check.only = ['v1', 'v2']
    withoutVariant(card, 'v1')
    expect([plug.only, check.only]).toEqual([undefined, ['v2']])
    expect(contradictionsIn(card)).toEqual([])
  })

  test('a check goes with the relations that join it', () => {
    const [twin] = cards
    const card = structuredClone(twin) as Card
    withoutCheck(card, 'low')
    expect(card.relations).toEqual([])
  })
})

test('what may be absent is taken off by nothing, an empty text or an empty list, and kept by 0 and false', () => {
  const one: { text?: string; list?: string[]; count?: number; flag?: boolean } = { text: 'a', list: ['a'], count: 1 }
  setOptional(one, 'text', '')
  setOptional(one, 'list', [])
  setOptional(one, 'count', 0)
  setOptional(one, 'flag', false)
  expect(one).toEqual({ count: 0, flag: false })
  setOptional(one, 'count', undefined)
  expect(one).toEqual({ flag: false })
})
