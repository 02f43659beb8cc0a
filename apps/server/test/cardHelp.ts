import type { CardList } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import type { World } from './world'

/** What tests of cards ask of the application, as the person who is first in the shop. */
export function cardHelp(world: World) {
  const api = () => request(world.app)
  const by = () => world.shop.people[0]?.id ?? ''
  const cardNamed = (model: string): Card => {
    const card = world.shop.cards.find(({ name }) => name.model === model)
    if (!card) throw new Error(`the demo has no card ${model}`)
    return card as Card
  }
  const draft = (changes: Partial<Card> = {}): Card => ({
    ...structuredClone(cardNamed('18 twin')),
    id: v7(),
    revision: 1,
    state: 'draft',
    ...changes,
  })
  const write = (card: Card, more: object = {}) =>
    api()
      .put(`/api/v1/cards/${card.id}/revisions/${card.revision}`)
      .send({ card, by: by(), ...more })
  const publish = (card: Card, hash: string) =>
    api().post(`/api/v1/cards/${card.id}/revisions/${card.revision}/publish`).send({ by: by(), hash })
  const find = async (query: Record<string, string>): Promise<CardList> =>
    (await api().get('/api/v1/cards').query(query)).body as CardList
  return { api, by, cardNamed, draft, write, publish, find }
}

export const names = (list: CardList): string[] => list.cards.map((card) => `${card.maker} ${card.model}`)
