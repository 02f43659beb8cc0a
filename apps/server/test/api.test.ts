import { describe, expect, test } from '@jest/globals'
import type { EntryBody } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import { entryFor, reading, runOf, worldOf } from './world'

const world = worldOf('api')

const api = () => request(world.app)
const post = (run: string, entries: unknown[]) => api().post(`/api/v1/runs/${run}/entries`).send({ entries })
const count = async (run: string) => (await api().get(`/api/v1/runs/${run}`)).body.run.entries.length as number

describe('the tape', () => {
  test('an entry is kept once, however often it is sent, and answered with the verdicts', async () => {
    const run = runOf(world.shop, 'SQ-0438')
    const entry = entryFor(run, reading('lighting', '1.1', 1.1))
    const before = await count(run.id)
    const first = await post(run.id, [entry])
    expect(first.status).toBe(200)
    expect(first.body.kept).toMatchObject([{ id: entry.id, repeated: false }])
    expect(first.body.state.verdicts.find((row: { check: string }) => row.check === 'lighting')).toBeDefined()
    const again = await post(run.id, [entry])
    expect(again.body.kept).toMatchObject([{ id: entry.id, repeated: true }])
    expect(await count(run.id)).toBe(before + 1)
  })

  test('the same id with another body is a conflict, and the first stays', async () => {
    const run = runOf(world.shop, 'SQ-0438')
    const entry = entryFor(run, reading('trigger', '45', 45), { n: 200 })
    await post(run.id, [entry])
    const other = await post(run.id, [{ ...entry, ...reading('trigger', '46', 46) }])
    expect(other.status).toBe(409)
    expect(other.body).toMatchObject({ type: '/problems/conflict', status: 409 })
    expect(other.headers['content-type']).toContain('application/problem+json')
    const { run: kept } = (await api().get(`/api/v1/runs/${run.id}`)).body
    expect(kept.entries.find((one: { id: string }) => one.id === entry.id).reading.text).toBe('45')
  })

  test('one bad entry in a batch keeps none of it', async () => {
    const run = runOf(world.shop, 'SQ-0438')
    const before = await count(run.id)
    const good = entryFor(run, { kind: 'note', words: 'good' }, { n: 300 })
    const bad = entryFor(run, reading('nowhere', '5', 5), { n: 301 })
    const answer = await post(run.id, [good, bad])
    expect(answer.status).toBe(422)
    expect(answer.body.errors).toEqual([{ path: 'entries[1].check', detail: expect.stringContaining('does not have') }])
    expect(await count(run.id)).toBe(before)
  })

  test('what cannot be gets a sentence with its path, a 4xx, and no row', async () => {
    const run = runOf(world.shop, 'SQ-0438')
    const before = await count(run.id)
    const next = (text: string, value: number) => entryFor(run, reading('trigger', text, value), { n: 400 })
    const bad: [unknown, number, string][] = [
      [next('4..7', 4.7), 422, 'reading.text'],
      [next('12,3,4k', 12), 422, 'reading.text'],
      [next('9'.repeat(10_000), 9), 400, 'reading.text'],
      [next('🔧', 1), 422, 'reading.text'],
      [next('NaN', 1), 422, 'reading.text'],
      [next('1e999', 1), 422, 'reading.text'],
      [next('45 V', 45), 422, 'reading.text'],
      [next('45', 46), 422, 'reading.value'],
      [{ ...next('45', 45), at: '2025-01-01T00:00:00.000Z' }, 422, 'at'],
      [{ ...next('45', 45), at: 'yesterday' }, 400, 'at'],
      [{ ...next('45', 45), by: v7() }, 422, 'by'],
      [{ ...next('45', 45), id: 'short' }, 400, 'id'],
      [{ ...next('45', 45), by: '019a0000-0000-7000-0000-0000000000a1' }, 400, 'by'],
      [{ ...next('45', 45), by: '019a0000-0000-0000-8000-0000000000a1' }, 400, 'by'],
      [{ ...next('45', 45), surprise: true }, 400, 'surprise'],
    ]
    for (const [entry, status, field] of bad) {
      const answer = await post(run.id, [entry])
      expect([field, answer.status]).toEqual([field, status])
      expect(answer.body.errors[0].path).toContain(field)
      expect(answer.body.detail).toMatch(/^Nothing/)
    }
    expect(await count(run.id)).toBe(before)
  })

  test('what stands behind a decision in one batch is held against it: a note goes, a reading takes all with it', async () => {
    const run = runOf(world.shop, 'SQ-0443')
    const second = world.shop.people[0]?.id ?? ''
    const decision = entryFor(run, { kind: 'decision', what: 'return', why: 'sound', second })
    const later = (body: EntryBody) => ({ ...entryFor(run, body), n: decision.n + 1 })
    const before = (await api().get(`/api/v1/runs/${run.id}`)).body.run.entries.length
    const refused = await post(run.id, [decision, later(reading('bars', '0.4', 0.4))])
    expect([refused.status, refused.body.detail]).toEqual([409, expect.stringContaining('entries[1].kind')])
    expect((await api().get(`/api/v1/runs/${run.id}`)).body.run.entries).toHaveLength(before)
    const kept = await post(run.id, [decision, later({ kind: 'note', words: 'rang the owner' })])
    expect([kept.status, kept.body.count]).toEqual([200, before + 2])
  })

  test('who is learning decides with a second person, who can stand for it', async () => {
    const run = runOf(world.shop, 'SQ-0416')
    const [ines, tam, wil] = world.shop.people.map(({ id }) => id)
    const decide = async (by = '', second?: string) => {
      const body = { kind: 'decision', what: 'more-tests', why: 'so', ...(second === undefined ? {} : { second }) }
      const answer = await post(run.id, [entryFor(run, body as EntryBody, { by })])
      return [answer.status, answer.body.errors?.[0].path]
    }
    expect(await decide(wil)).toEqual([422, 'entries[0].second'])
    expect(await decide(wil, wil)).toEqual([422, 'entries[0].second'])
    expect(await decide(wil, v7())).toEqual([422, 'entries[0].second'])
    expect(await decide(tam, wil)).toEqual([422, 'entries[0].second'])
    expect(await decide(wil, tam)).toEqual([200, undefined])
    expect(await decide(tam)).toEqual([200, undefined])
    expect(await decide(tam, ines)).toEqual([200, undefined])
  })

  test('a finished run refuses a reading and takes an outcome; an unknown run is not there', async () => {
    const run = runOf(world.shop, 'SQ-0413')
    expect((await post(run.id, [entryFor(run, reading('low', '300', 300))])).status).toBe(409)
    expect((await post(run.id, [entryFor(run, { kind: 'outcome', what: 'ran-well', words: '' })])).status).toBe(200)
    expect((await post(v7(), [entryFor(run, { kind: 'note', words: 'x' })])).status).toBe(404)
    expect((await post('nonsense', [])).status).toBe(400)
  })

  test('JSON that is cut off, or too large, is told so', async () => {
    const run = runOf(world.shop, 'SQ-0438')
    const cut = await api()
      .post(`/api/v1/runs/${run.id}/entries`)
      .set('Content-Type', 'application/json')
      .send('{"entries":[{')
    expect([cut.status, cut.body.type]).toEqual([400, '/problems/not-json'])
    const large = await post(run.id, [{ words: 'x'.repeat(600_000) }])
    expect(large.status).toBe(413)
  })

  test('benches that write to one run at once lose nothing', async () => {
    const run = runOf(world.shop, 'SQ-0424')
    const before = await count(run.id)
    const notes = Array.from({ length: 12 }, (_, i) =>
      entryFor(run, { kind: 'note', words: `note ${i}` }, { n: 50 + i }),
    )
    const answers = await Promise.all(notes.map((entry) => post(run.id, [entry])))
    expect(answers.map((answer) => answer.status)).toEqual(notes.map(() => 200))
    expect(await count(run.id)).toBe(before + 12)
  })
})

describe('the queue', () => {
  const unit = (changes: object = {}) => ({
    id: v7(),
    tag: `T-${v7().slice(-6)}`,
    history: 'used',
    complaint: ['dead'],
    words: 'made up',
    card: { id: world.shop.cards[0]?.id, revision: world.shop.cards[0]?.revision },
    takenInAt: '2026-11-24T10:00:00.000Z',
    takenInBy: world.shop.people[0]?.id,
    ...changes,
  })

  test('a text that would be kept otherwise than it was sent is refused by its field, and nothing is kept', async () => {
    const send = (words: string) =>
      api()
        .post('/api/v1/units')
        .set('Content-Type', 'application/json')
        .send(JSON.stringify(unit({ words: 'WORDS' })).replace('WORDS', words))
    for (const words of ['\\ud83d', 'a\\u0000', '\\u0007'])
      expect([words, (await send(words)).body.detail]).toEqual([
        words,
        expect.stringContaining('words holds a sign that cannot be kept'),
      ])
    expect((await send('\\ud83d\\udd27 smells\\tburnt')).status).toBe(201)
  })

  test('a unit is taken in once, started, and closed by its decision', async () => {
    const body = unit()
    expect((await api().post('/api/v1/units').send(body)).status).toBe(201)
    expect((await api().post('/api/v1/units').send(body)).status).toBe(201)
    expect(
      (
        await api()
          .post('/api/v1/units')
          .send({ ...body, words: 'other' })
      ).status,
    ).toBe(409)
    // a tag that is on another unit keeps nobody out: the later one is named anew, once, however often it is sent
    const later = unit({ tag: body.tag })
    const renamed = await api().post('/api/v1/units').send(later)
    expect(renamed.status).toBe(201)
    expect(renamed.body.tag).not.toBe(body.tag)
    expect((await api().post('/api/v1/units').send(later)).body.tag).toBe(renamed.body.tag)
    const start = { id: v7(), unit: body.id, startedAt: '2026-11-24T10:05:00.000Z', by: body.takenInBy }
    const started = await api().post('/api/v1/runs').send(start)
    expect(started.status).toBe(201)
    expect((await api().get(`/api/v1/units/${body.id}`)).body).toMatchObject({
      place: 'bench',
      standing: { run: start.id },
    })
    const entry = {
      id: v7(),
      run: start.id,
      n: 1,
      at: '2026-11-24T10:06:00.000Z',
      by: body.takenInBy,
      kind: 'decision',
      what: 'return',
      why: 'nothing to do',
    }
    await post(start.id, [entry])
    expect((await api().get(`/api/v1/units/${body.id}`)).body).toMatchObject({
      place: 'done',
      standing: { closed: true, decision: 'return' },
    })
  })

  test('a unit of a card that is not there, by nobody, or a run of no unit is refused', async () => {
    expect(
      (
        await api()
          .post('/api/v1/units')
          .send(unit({ card: { id: v7(), revision: 1 } }))
      ).status,
    ).toBe(422)
    expect(
      (
        await api()
          .post('/api/v1/units')
          .send(unit({ takenInBy: v7() }))
      ).status,
    ).toBe(422)
    const start = { id: v7(), unit: v7(), startedAt: '2026-11-24T10:05:00.000Z', by: world.shop.people[0]?.id }
    expect((await api().post('/api/v1/runs').send(start)).status).toBe(422)
  })

  test('the list goes on by its cursor without gap or repeat, and another cursor is refused', async () => {
    const seen: string[] = []
    let cursor = ''
    do {
      const { body } = await api().get(`/api/v1/units?limit=7${cursor}`)
      seen.push(...body.units.map((one: { id: string }) => one.id))
      cursor = body.next ? `&cursor=${body.next}` : ''
    } while (cursor !== '')
    expect(new Set(seen).size).toBe(seen.length)
    expect(seen.length).toBeGreaterThanOrEqual(world.shop.units.length)
    expect((await api().get('/api/v1/units?cursor=nonsense')).status).toBe(400)
    expect((await api().get('/api/v1/units?place=attic')).status).toBe(400)
  })

  test('a unit is set aside with what it waits for, and a done one stays', async () => {
    const find = (tag: string) => world.shop.units.find((one) => one.tag === tag)
    const by = world.shop.people[0]?.id
    const moved = await api()
      .put(`/api/v1/units/${find('SQ-0441')?.id}/place`)
      .send({ place: 'blocked', blockedBy: 'a plug', by })
    expect(moved.body).toMatchObject({ place: 'blocked', blockedBy: 'a plug' })
    expect(
      (
        await api()
          .put(`/api/v1/units/${find('SQ-0413')?.id}/place`)
          .send({ place: 'waiting', by })
      ).status,
    ).toBe(409)
  })
})
