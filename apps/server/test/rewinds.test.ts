import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { RewindKept, RewindList, RewindView, Shop } from '@sure-spool/contract'
import { typedReading, type RewindBody } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import { begin, type World } from './world'

let world: World
beforeAll(async () => {
  world = await begin('rewinds')
}, 60_000)
afterAll(() => world.end())

const api = () => request(world.app)
const by = () => world.shop.people[0]?.id ?? ''
const unit = () => world.shop.units[0]
const head = (changes: object = {}) => ({
  id: v7(),
  unit: unit()?.id,
  startedAt: '2026-11-25T10:00:00.000Z',
  by: by(),
  coils: [
    { id: 'c1', winding: 'low', label: 'pole 1' },
    { id: 'c2', winding: 'low', label: 'pole 2' },
  ],
  ...changes,
})
const started = async () => {
  const answer = await api().post('/api/v1/rewinds').send(head())
  expect(answer.status).toBe(201)
  return answer.body as RewindView
}
let n = 0
const entry = (rewind: string, body: RewindBody, changes: object = {}) => ({
  id: v7(),
  rewind,
  n: ++n,
  at: '2026-11-25T10:05:00.000Z',
  by: by(),
  ...body,
  ...changes,
})
const put = (rewind: string, ...entries: object[]) => api().post(`/api/v1/rewinds/${rewind}/entries`).send({ entries })

describe('a rewind', () => {
  test('is begun once, gone on with, and given out as a document with its unit', async () => {
    const body = head()
    expect((await api().post('/api/v1/rewinds').send(body)).status).toBe(201)
    expect((await api().post('/api/v1/rewinds').send(body)).status).toBe(201)
    const other = { ...body, coils: [{ id: 'c1', winding: 'low', label: 'another' }] }
    expect((await api().post('/api/v1/rewinds').send(other)).status).toBe(409)
    const turns = entry(body.id, { kind: 'original', coil: 'c1', facts: { turns: 31 } })
    const kept = (await put(body.id, turns)).body as RewindKept
    expect(kept).toMatchObject({ count: 1, kept: [{ id: turns.id, repeated: false }] })
    expect((await put(body.id, turns)).body).toMatchObject({ count: 1, kept: [{ id: turns.id, repeated: true }] })
    const view = (await api().get(`/api/v1/rewinds/${body.id}`)).body as RewindView
    expect(view.unit).toMatchObject({ id: unit()?.id, tag: unit()?.tag })
    expect(view.rewind.entries).toMatchObject([{ kind: 'original', facts: { turns: 31 } }])
    expect(view.rewind.instruments.length).toBeGreaterThan(0)
    for (const where of [`/units/${unit()?.id}`, `/cards/${unit()?.card.id}`]) {
      const { rewinds } = (await api().get(`/api/v1${where}/rewinds`)).body as RewindList
      expect(rewinds.map(({ id }) => id)).toContain(body.id)
    }
  })

  test.each([
    ['another rewind’s', { rewind: v7() }, 422, 'entries[0].rewind'],
    ['a coil that it does not have', { coil: 'c9' }, 422, 'entries[0].coil'],
    ['a stranger’s', { by: v7() }, 422, 'by'],
    ['turns below nought', { facts: { turns: -1 } }, 400, 'entries[0].facts.turns'],
  ])('%s entry is refused, and nothing of it is kept', async (_what, changes, status, path) => {
    const { rewind } = await started()
    const good = entry(rewind.id, { kind: 'note', words: 'kept with none' })
    const answer = await put(rewind.id, entry(rewind.id, { kind: 'original', coil: 'c1', facts: {} }, changes), good)
    expect(answer.status).toBe(status)
    expect(answer.body.errors[0].path).toBe(path)
    expect(((await api().get(`/api/v1/rewinds/${rewind.id}`)).body as RewindView).rewind.entries).toEqual([])
  })

  test('a reading must be what its text says, and a known id keeps its body', async () => {
    const { rewind } = await started()
    const made = typedReading('4.81 mm', 'length', false)
    if ('problem' in made) throw new Error('4.81 mm is a length')
    const gauge = entry(rewind.id, { kind: 'gauge', coil: 'c1', strands: 5, candidates: [], reading: made.reading })
    const wrong = { ...gauge, id: v7(), reading: { ...made.reading, value: 4.81 } }
    expect((await put(rewind.id, wrong)).status).toBe(422)
    expect((await put(rewind.id, gauge)).status).toBe(200)
    expect((await put(rewind.id, { ...gauge, strands: 6 })).status).toBe(409)
    const back = entry(rewind.id, { kind: 'take-back', entry: v7(), reason: 'gone' })
    expect((await put(rewind.id, back)).status).toBe(422)
  })

  test('one that is nowhere is not found; a unit that is nowhere has none', async () => {
    expect((await api().get(`/api/v1/rewinds/${v7()}`)).status).toBe(404)
    expect((await put(v7(), entry(v7(), { kind: 'note', words: 'x' }))).status).toBe(404)
    expect(
      (
        await api()
          .post('/api/v1/rewinds')
          .send(head({ unit: v7() }))
      ).status,
    ).toBe(422)
    expect(
      (
        await api()
          .post('/api/v1/rewinds')
          .send(head({ coils: [] }))
      ).status,
    ).toBe(400)
    expect((await api().get(`/api/v1/units/${v7()}/rewinds`)).body).toEqual({ rewinds: [] })
  })

  test('it moves house with the shop, whole, and only where its people and units are known', async () => {
    const { rewind } = await started()
    await put(rewind.id, entry(rewind.id, { kind: 'note', words: 'moved with the house' }))
    const file = (await api().get('/api/v1/shop/export')).body as Shop
    const carried = file.rewinds?.find(({ id }) => id === rewind.id)
    expect(carried).toMatchObject({
      unit: unit()?.id,
      coils: rewind.coils,
      entries: [{ words: 'moved with the house' }],
    })
    const other = await begin('rewinds_moved', { empty: true })
    try {
      const taken = await request(other.app)
        .post('/api/v1/shop/import')
        .type('application/json')
        .send(JSON.stringify(file))
      expect(taken.status).toBe(200)
      const there = (await request(other.app).get(`/api/v1/rewinds/${rewind.id}`)).body as RewindView
      expect(there.rewind).toEqual(((await api().get(`/api/v1/rewinds/${rewind.id}`)).body as RewindView).rewind)
    } finally {
      await other.end()
    }
  })
})
