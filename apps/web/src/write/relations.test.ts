import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { cardSchema, contradictionsIn } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { checksFor, relationOf, relationSaid, relationWords, type RelationKind } from './relations'

const cards = readdirSync('demo/cards').map((file) => JSON.parse(readFileSync(`demo/cards/${file}`, 'utf8')) as Card)
const kinds = Object.keys(relationWords) as RelationKind[]
const cardOf = (model: string): Card => {
  const card = cards.find((one) => one.name.model.includes(model))
  if (!card) throw new Error(`no card for ${model}`)
  return structuredClone(card)
}

const byHand = cards.flatMap((card) =>
  kinds.flatMap((kind) => {
    const made = relationOf(card, kind, { id: 'r99', source: card.sources[0]?.id ?? '' })
    return made ? [[kind, card.name.model, card, made] as const] : []
  }),
)

describe('a relation made by hand', () => {
  test('of every kind is offered on some card', () => {
    expect(kinds.filter((kind) => !byHand.some(([one]) => one === kind))).toEqual([])
  })

  test.each(byHand)(
    '%s on %s names checks that are there, and the card stays one that can be kept',
    (_kind, _model, card, made) => {
      const longer = { ...structuredClone(card), relations: [...card.relations, made] }
      expect(cardSchema.safeParse(longer).error).toBeUndefined()
      expect(contradictionsIn(longer)).toEqual([])
      expect(relationSaid(longer, made)).not.toBe('')
    },
  )
})

test('a draw is between amperes and ohms, three of a kind on three pins: cards without them do not offer it', () => {
  const head = { id: 'r9', source: 's1' }
  expect(relationOf(cardOf('18 twin'), 'draw', head)).toBeUndefined()
  expect(relationOf(cardOf('18 twin'), 'kind-of-three', head)).toBeUndefined()
  expect(relationOf(cardOf('DV-24'), 'draw', head)).toMatchObject({ amps: 'draw', ohms: 'coil' })
  expect(relationOf({ ...cardOf('18 twin'), checks: [] }, 'sum', head)).toBeUndefined()
})

test('nobody relates a look to anything', () => {
  expect(checksFor(cardOf('DV-24'), 'equal', 'checks').map(({ value }) => value)).not.toContain('look')
})

test('what holds is said with the checks’ own names', () => {
  const card = cardOf('18 twin')
  const said = card.relations.map((one) => relationSaid(card, one))
  expect(said).toContain('low-speed coil + high-speed coil = both in series')
})
