import { describe, expect, test } from '@jest/globals'
import { v7 } from 'uuid'
import { modelOf } from '../src/repositories/cards'
import { cardHelp, names } from './cardHelp'
import { worldOf } from './world'

const world = worldOf('write_cards')
const { api, by, draft, write, publish, find } = cardHelp(world)

test('a model is called by its maker too, where it has one; one that is not here by nothing', async () => {
  const { database } = world.connection
  const plain = draft({ name: { maker: '', model: 'Plain', partNumbers: [], fits: [] } })
  await write(plain)
  expect([await modelOf(database, plain.id), await modelOf(database, v7())]).toEqual(['Plain', ''])
})

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
    const ahead = await write({ ...card, sources: card.sources.map((one) => ({ ...one, date: '2962-11-30' })) })
    expect([ahead.status, ahead.body.errors[0]]).toEqual([
      422,
      expect.objectContaining({ path: 'card.sources[0].date' }),
    ])
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

describe('two at once on one card', () => {
  const pairs = 200
  const statuses = async (...asked: Promise<{ status: number }>[]) =>
    (await Promise.all(asked)).map(({ status }) => status).sort()

  test('of two that write over one draft one wins and the other is told, two hundred times over', async () => {
    const card = draft()
    let replaces = (await write(card)).body.hash
    for (let round = 0; round < pairs; round++) {
      const by = (who: string) => write({ ...card, name: { ...card.name, note: `${who} ${round}` } }, { replaces })
      const both = await Promise.all([by('one'), by('other')])
      expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
      replaces = both.find(({ status }) => status === 200)?.body.hash
    }
  }, 120_000)

  test('a draft that is published while it is written stays as it was published', async () => {
    for (let round = 0; round < pairs / 4; round++) {
      const card = draft()
      const { hash } = (await write(card)).body
      const later = { ...card, name: { ...card.name, note: `later ${round}` } }
      const [published, written] = await Promise.all([publish(card, hash), write(later, { replaces: hash })])
      expect([published.status, written.status].sort()).toEqual([200, 409])
      const kept = (await api().get(`/api/v1/cards/${card.id}/revisions/1`)).body
      expect(kept.state).toBe(published.status === 200 ? 'published' : 'draft')
      if (published.status === 200) expect(kept.name.note).not.toBe(later.name.note)
    }
  }, 120_000)

  test('of two that begin one card, and of two that publish it, nothing is written twice', async () => {
    const card = draft()
    const other = { ...card, name: { ...card.name, note: 'the other' } }
    expect(await statuses(write(card), write(other))).toEqual([200, 409])
    const { hash } = (await api().get(`/api/v1/cards/${card.id}`)).body.revisions[0]
    const twice = await statuses(publish(card, hash), publish(card, hash))
    expect(twice.filter((one) => one === 200).length).toBeGreaterThan(0)
    expect(twice.every((one) => one === 200 || one === 409)).toBe(true)
  })

  test('the database itself refuses to change or drop what is published', async () => {
    const card = draft()
    await publish(card, (await write(card)).body.hash)
    const id = card.id.replaceAll('-', '')
    const change = world.connection.pool.query(`UPDATE card_revisions SET state = 'draft' WHERE card = UNHEX('${id}')`)
    await expect(change).rejects.toThrow('a published revision never changes')
    const drop = world.connection.pool.query(`DELETE FROM card_revisions WHERE card = UNHEX('${id}')`)
    await expect(drop).rejects.toThrow('a published revision never goes')
  })
})
