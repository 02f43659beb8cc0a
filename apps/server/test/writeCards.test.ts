import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { v7 } from 'uuid'
import { cardHelp, names } from './cardHelp'
import { begin, type World } from './world'

let world: World
beforeAll(async () => {
  world = await begin('write_cards')
}, 60_000)
afterAll(() => world.end())
const { api, by, draft, write, publish, find } = cardHelp(() => world)

describe('writing a card', () => {
  test('a draft is written again only from what it stands on, published once, and never changes after', async () => {
    const card = draft()
    const first = await write(card)
    expect(first.body).toMatchObject({ revision: 1, state: 'draft' })
    expect((await write(card)).body.hash).toBe(first.body.hash)
    const second = { ...card, name: { ...card.name, note: 'second' } }
    expect((await write(second)).status).toBe(409)
    const written = await write(second, { replaces: first.body.hash })
    expect(written.status).toBe(200)
    expect((await publish(card, first.body.hash)).body.detail).toContain('changed since you read it')
    const published = await publish(card, written.body.hash)
    expect(published.body.state).toBe('published')
    expect((await publish(card, written.body.hash)).status).toBe(200)
    expect(
      (await write({ ...second, name: { ...card.name, note: 'third' } }, { replaces: published.body.hash })).status,
    ).toBe(409)
    const { card: shown, revisions } = (await api().get(`/api/v1/cards/${card.id}`)).body
    expect(shown).toMatchObject({ state: 'published', name: { note: 'second' } })
    expect(revisions).toMatchObject([{ revision: 1, state: 'published', by: by() }])
  })

  test('a revision follows the last one; one draft at a time; a draft can be dropped, what is published cannot', async () => {
    const card = draft()
    await publish(card, (await write(card)).body.hash)
    expect((await write({ ...card, revision: 3 })).body.detail).toContain('next revision of this card is 2')
    const next = { ...card, revision: 2 }
    expect((await write(next)).status).toBe(200)
    expect((await write({ ...card, revision: 3 })).body.detail).toContain('is a draft already')
    expect((await find({ state: 'draft' })).cards.map((one) => one.id)).toContain(card.id)
    const drop = (revision: number) =>
      api().delete(`/api/v1/cards/${card.id}/revisions/${revision}`).query({ by: by() })
    expect((await drop(2)).body).toEqual({ dropped: true })
    expect((await drop(1)).status).toBe(409)
    expect((await drop(2)).status).toBe(404)
    const one = (await api().get(`/api/v1/cards/${card.id}/revisions/1`)).body
    expect(one.state).toBe('published')
  })

  test('what cannot be is refused with its path, and nothing is kept', async () => {
    const card = draft()
    const nowhere = { ...card, windings: [{ ...card.windings[0], to: 'ZZ' }] }
    const answer = await api().put(`/api/v1/cards/${card.id}/revisions/1`).send({ card: nowhere, by: by() })
    expect(answer.status).toBe(400)
    expect(answer.body.errors[0]).toMatchObject({ path: 'card.windings[0].to' })
    expect((await write(card, { by: v7() })).status).toBe(422)
    expect((await api().get(`/api/v1/cards/${card.id}`)).status).toBe(404)
    const long = await write({ ...card, name: { ...card.name, model: 'x'.repeat(10_000) } })
    expect(long.body.errors[0]).toEqual({ path: 'card.name.model', detail: 'is longer than 200 characters' })
    const empty = { ...card, checks: [], relations: [], hints: [] }
    expect((await publish(empty, (await write(empty)).body.hash)).body.detail).toContain('without a check')
  })

  test('a sketch is measured against and never listed', async () => {
    const sketch = draft({ state: 'sketch', name: { maker: '', model: 'Unmarked thing', partNumbers: [], fits: [] } })
    expect((await write(sketch)).body.state).toBe('sketch')
    expect((await write(sketch)).status).toBe(200)
    expect(names(await find({ find: 'unmarked thing' }))).not.toContain(' Unmarked thing')
    const unit = {
      id: v7(),
      tag: 'SK-1',
      history: 'used',
      complaint: ['none'],
      words: '',
      takenInAt: '2026-11-25T10:00:00.000Z',
    }
    const taken = await api()
      .post('/api/v1/units')
      .send({ ...unit, card: { id: sketch.id, revision: 1 }, takenInBy: by() })
    expect(taken.status).toBe(201)
    expect((await publish(sketch, 'x')).status).toBe(409)
  })
})
