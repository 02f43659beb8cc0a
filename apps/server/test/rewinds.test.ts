import { describe, expect, test } from '@jest/globals'
import type { RewindKept, RewindList, RewindView, Shop } from '@sure-spool/contract'
import { typedReading, type RewindBody } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import { begin, worldOf } from './world'

const world = worldOf('rewinds')

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
    const { name } = world.shop.cards.find(({ id }) => id === unit()?.card.id) ?? {}
    expect(view.unit).toMatchObject({ id: unit()?.id, tag: unit()?.tag, model: `${name?.maker} ${name?.model}` })
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

  test('is listed with how it was wound, and what it read in the run that proved it', async () => {
    const run = world.shop.runs.find(({ entries }) =>
      entries.some((one) => one.kind === 'decision' && one.what === 'return'),
    )
    const of = world.shop.units.find(({ id }) => id === run?.unit)
    const card = world.shop.cards.find(({ id, revision }) => id === run?.card.id && revision === run.card.revision)
    const [winding] = card?.windings ?? []
    if (!run || !of || !winding) throw new Error('the demo has no unit that was returned')
    const startedAt = new Date(Date.parse(run.startedAt) - 60_000).toISOString()
    const coils = [{ id: 'c1', winding: winding.id, label: winding.label }]
    const body = head({ unit: of.id, startedAt, coils })
    expect((await api().post('/api/v1/rewinds').send(body)).status).toBe(201)
    const listed = async () =>
      ((await api().get(`/api/v1/cards/${of.card.id}/rewinds`)).body as RewindList).rewinds.find(
        ({ id }) => id === body.id,
      )
    expect(await listed()).toMatchObject({ tag: of.tag, coils: 1, wound: [] })
    expect(await listed()).not.toHaveProperty('after')
    const wire = { bareMm: 0.9, build: 'heavy' as const }
    await put(
      body.id,
      entry(body.id, { kind: 'plan', coil: 'c1', plan: { turns: 31, meanTurnMm: 88, wire, from: 'told', why: '' } }),
      entry(body.id, { kind: 'wound', coil: 'c1', turns: 31, lay: 'cw' }),
    )
    expect(await listed()).toMatchObject({
      wound: [{ winding: winding.id, label: winding.label, coils: 1, turns: 31, wire, lay: 'cw' }],
      after: { run: run.id, cameBack: expect.any(Boolean), finding: expect.any(String) },
    })
    // wound again since: that run proved the first one alone
    const later = head({ unit: of.id, startedAt: new Date(Date.parse(run.startedAt) + 1).toISOString(), coils })
    await api().post('/api/v1/rewinds').send(later)
    expect(await listed()).toMatchObject({ after: { run: run.id } })
  })

  test('comes in from its own file at its own unit, as it was, once', async () => {
    const { rewind } = await started()
    await put(rewind.id, entry(rewind.id, { kind: 'note', words: 'from a file' }))
    const whole = ((await api().get(`/api/v1/rewinds/${rewind.id}`)).body as RewindView).rewind
    const other = await begin('rewinds_file')
    const takeIn = (file: object, id = rewind.id, who = by()) =>
      request(other.app).put(`/api/v1/rewinds/${id}`).send({ rewind: file, by: who })
    try {
      expect((await takeIn(whole)).body.rewind).toEqual(whole)
      expect((await takeIn(whole)).body.rewind).toEqual(whole)
      const elsewhere = { ...whole, unit: world.shop.units[1]?.id }
      expect((await takeIn(elsewhere)).status).toBe(409)
      expect((await takeIn(whole, v7())).status).toBe(422)
      const named = v7()
      const stranger = JSON.parse(JSON.stringify(whole).replaceAll(rewind.id, named)) as typeof whole
      stranger.entries = stranger.entries.map((one) => ({ ...one, id: v7(), by: v7() }))
      expect((await takeIn(stranger, named)).body.detail).toContain('.by names a person')
      const nowhere = { ...stranger, unit: v7(), entries: [] }
      expect((await takeIn(nowhere, named)).body.detail).toContain('names a unit that is neither')
      const learner = world.shop.people.find(({ access }) => access === 'learner')?.id
      expect((await takeIn(whole, rewind.id, learner)).status).toBe(403)
      expect((await takeIn({ ...whole, coils: [] })).status).toBe(400)
      expect((await request(other.app).get(`/api/v1/rewinds/${named}`)).status).toBe(404)
    } finally {
      await other.end()
    }
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
