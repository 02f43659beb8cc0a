import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { CardList, FiguresKept, FiguresPreview } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import { createApp } from '../src'
import { hashOf } from '../src/canonical'
import { begin, type World } from './world'

let world: World
beforeAll(async () => {
  world = await begin('cards')
}, 60_000)
afterAll(() => world.end())

const api = () => request(world.app)
const by = () => world.shop.people[0]?.id ?? ''
const find = async (query: Record<string, string>): Promise<CardList> =>
  (await api().get('/api/v1/cards').query(query)).body as CardList
const names = (list: CardList) => list.cards.map((card) => `${card.maker} ${card.model}`)
const cardNamed = (model: string) => world.shop.cards.find((card) => card.name.model === model) as Card
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

describe('finding a card', () => {
  test('by maker and model, spelling tolerated, kind, part number with and without its dash', async () => {
    expect(names(await find({ find: 'orrinvale 18' }))[0]).toBe('Orrinvale 18 twin')
    expect(names(await find({ find: 'orinvale twin' }))[0]).toContain('twin')
    expect(names(await find({ find: 'compressor' })).every((name) => name.startsWith('Brindlecote'))).toBe(true)
    expect(names(await find({ find: '181140' }))).toEqual(['Orrinvale 18 twin'])
    expect(names(await find({ find: '18-1140' }))[0]).toBe('Orrinvale 18 twin')
  })

  test('by the wires in its plug and the number of cavities', async () => {
    expect(names(await find({ find: 'violet/white 6 pin' }))).toEqual(['Orrinvale 18 twin'])
    expect(names(await find({ find: '6-way' }))).toContain('Orrinvale 18 twin')
  })

  test('a wire is one of the card or is not: a wrong one narrows to nothing before it is loosened', async () => {
    const six = names(await find({ find: 'violet/white 6 way' }))
    expect(six).toEqual(['Orrinvale 18 twin'])
    expect(names(await find({ find: 'orrinvale violet/white' }))).toContain('Orrinvale 18 twin')
    const none = await find({ find: 'orrinvale pink/brown' })
    expect(none.loosely).toBe(true)
    expect((await find({ find: 'pink/brown 39 way' })).loosely).toBe(true)
    expect((await find({ find: '39 way' })).cards).toEqual([])
  })

  test('a revision with another wire is found by it, and no longer by the old one', async () => {
    const card = draft({ name: { maker: 'Fernhollow', model: 'other loom', partNumbers: [], fits: [] } })
    const first = await write(card)
    await publish(card, first.body.hash)
    expect(names(await find({ find: 'fernhollow violet/white' }))).toEqual(['Fernhollow other loom'])
    const next = structuredClone({ ...card, revision: 2 })
    const violet = next.terminals.find((one) => one.wire?.tracer === 'white')
    if (!violet) throw new Error('the twin has a violet wire with a white tracer')
    Object.assign(violet, { label: 'green/red', wire: { base: 'green', tracer: 'red' } })
    const second = await write(next)
    await publish(next, second.body.hash)
    expect(names(await find({ find: 'fernhollow green/red' }))).toEqual(['Fernhollow other loom'])
    expect((await find({ find: 'fernhollow violet/white' })).loosely).toBe(true)
  })

  test('words that no card holds all of find those that hold some, and it is said', async () => {
    const list = await find({ find: 'duskwater compressor' })
    expect(list.loosely).toBe(true)
    expect(names(list).length).toBeGreaterThan(1)
    expect(await find({ find: 'qqqqzz' })).toEqual({ cards: [] })
  })

  test('by what was measured, ranked, with what is off and what is missing', async () => {
    const list = await find({ read: 'about 318 and 36, both open to frame' })
    expect(names(list)[0]).toBe('Orrinvale 18 twin')
    expect(list.cards[0]?.fit).toMatchObject({ missing: [], openMissing: false })
    expect(list.cards[0]?.fit?.matches.map((one) => one.check)).toEqual(['low', 'high'])
    const comma = await find({ read: '0,62 xyz', comma: 'true' })
    expect(names(comma)[0]).toContain('60')
  })

  test('within a family, and page by page without a repeat', async () => {
    const all = await find({ limit: '200' })
    const first = await find({ limit: '10' })
    const second = await find({ limit: '10', cursor: first.next ?? '' })
    expect(names(second)).toEqual(names(all).slice(10, 20))
    const relays = await find({ family: 'relay' })
    expect(relays.cards.every((card) => card.family === 'relay')).toBe(true)
    expect(relays.cards.length).toBeGreaterThan(1)
  })

  test('a card published by one server is found by another at once', async () => {
    const other = createApp({ database: world.connection.database, heavy: world.heavy, version: 'test' })
    await request(other).get('/api/v1/cards').query({ find: 'nettlebrook' })
    const card = draft({ name: { maker: 'Nettlebrook', model: 'NB-1', partNumbers: [], fits: [] } })
    const { hash } = (await write(card)).body
    expect(names(await find({ find: 'nettlebrook' }))).toEqual([])
    expect((await publish(card, hash)).status).toBe(200)
    expect(names(await find({ find: 'nettlebrook' }))).toEqual(['Nettlebrook NB-1'])
    const there = (await request(other).get('/api/v1/cards').query({ find: 'nettlebrook' })).body as CardList
    expect(names(there)).toEqual(['Nettlebrook NB-1'])
  })
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

describe('cards in and out as JSON', () => {
  const take = (cards: Card[], more: object = {}) =>
    api()
      .post('/api/v1/cards/import')
      .send({ cards, by: by(), ...more })

  const preview = (cards: Card[]) =>
    api()
      .post('/api/v1/cards/preview')
      .send({
        by: by(),
        cards: cards.map((card) => ({
          id: card.id,
          revision: card.revision,
          state: card.state,
          hash: hashOf(card),
          maker: card.name.maker,
          model: card.name.model,
        })),
      })

  test('a preview sends heads alone, and what is kept on it must still be as it was shown', async () => {
    const [one, other] = [draft({ state: 'published' }), draft({ state: 'published' })]
    const shown = (await preview([cardNamed('18 twin'), one, other])).body
    expect(shown.rows.map((row: { what: string }) => row.what)).toEqual(['same', 'new', 'new'])
    const kept = await take([one, other], { preview: shown.preview })
    expect(kept.body).toMatchObject({ kept: 2 })
    const late = await take([one, other, draft({ state: 'published' })], { preview: shown.preview })
    expect([late.status, late.body.detail]).toEqual([409, expect.stringContaining('has changed since you looked')])
    expect((await preview([])).status).toBe(400)
  })

  describe('as lines, the head first', () => {
    const lines = (...all: unknown[]) =>
      api()
        .post('/api/v1/cards/import')
        .set('Content-Type', 'application/x-ndjson')
        .send(all.map((one) => (typeof one === 'string' ? one : JSON.stringify(one))).join('\n'))

    test('takes each card, and answers with its progress where that is asked', async () => {
      const cards = Array.from({ length: 250 }, () => draft({ state: 'published' }))
      const answer = await lines({ by: by() }, ...cards)
        .set('Accept', 'application/x-ndjson')
        .buffer(true)
        .parse((response, done) => {
          let text = ''
          response.on('data', (piece: Buffer) => (text += piece.toString()))
          response.on('end', () => done(null, text))
        })
      const told = String(answer.body)
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as { done?: number; of?: number; result?: { kept: number } })
      expect(told.slice(0, -1)).toEqual([100, 200, 250].map((done) => ({ done, of: 250 })))
      expect(told.at(-1)?.result?.kept).toBe(250)
      expect((await api().get(`/api/v1/cards/${cards[249]?.id}`)).status).toBe(200)
    })

    test.each([
      ['a line that is cut off', () => [{ by: by() }, draft(), '{"id":'], 400, 'line 3 is not JSON'],
      ['a head that names nobody', () => [{ by: 'me' }, draft()], 400, 'by must be a UUID'],
      ['no cards', () => [{ by: by() }], 400, 'there is none'],
      ['a card that cannot be', () => [{ by: by() }, draft(), { ...draft(), checks: 1 }], 400, 'cards[1].checks'],
      ['a line longer than a card', () => [{ by: by() }, 'x'.repeat(1_000_001)], 413, 'line 2 is longer'],
    ])('%s is refused, and nothing of it is kept', async (_what, body, status, words) => {
      const all = body()
      const answer = await lines(...all)
      expect([answer.status, answer.body.detail]).toEqual([status, expect.stringContaining(words)])
      const [, first] = all as { id?: string }[]
      if (first?.id !== undefined) expect((await api().get(`/api/v1/cards/${first.id}`)).status).toBe(404)
    })

    test('another content type is refused, and a refusal in the middle of progress is the last line', async () => {
      const other = await api().post('/api/v1/cards/import').set('Content-Type', 'text/plain').send('x')
      expect([other.status, other.body.detail]).toEqual([415, expect.stringContaining('text/plain')])
      const cards = Array.from({ length: 150 }, () => draft({ state: 'published' }))
      const answer = await lines({ by: by() }, ...cards, { ...draft(), version: 9 })
        .set('Accept', 'application/x-ndjson')
        .buffer(true)
        .parse((response, done) => {
          let text = ''
          response.on('data', (piece: Buffer) => (text += piece.toString()))
          response.on('end', () => done(null, text))
        })
      const last = String(answer.body).trim().split('\n').at(-1) ?? ''
      expect(JSON.parse(last).problem).toMatchObject({ status: 400, errors: [{ path: 'cards[150].version' }] })
      expect((await api().get(`/api/v1/cards/${cards[0]?.id}`)).status).toBe(404)
    })
  })

  test('work that nobody waits for any more is called off, and nothing of it is kept', async () => {
    const cards = Array.from({ length: 400 }, () => draft({ state: 'published' }))
    const bytes = new TextEncoder().encode([{ by: by() }, ...cards].map((one) => JSON.stringify(one)).join('\n'))
    const controller = new AbortController()
    const work = world.heavy.run(
      'import-cards',
      { bytes, lines: true },
      { told: () => controller.abort(), signal: controller.signal },
    )
    await expect(work).rejects.toMatchObject({ kind: 'called-off' })
    expect((await api().get(`/api/v1/cards/${cards[0]?.id}`)).status).toBe(404)
  })

  test('a thread that dies is told, and the next work gets another', async () => {
    const cards = Array.from({ length: 300 }, () => draft({ state: 'published' }))
    const body = () => new TextEncoder().encode([{ by: by() }, ...cards].map((one) => JSON.stringify(one)).join('\n'))
    const work = world.heavy.run(
      'import-cards',
      { bytes: body(), lines: true },
      { told: () => void world.heavy.close() },
    )
    await expect(work).rejects.toMatchObject({ status: 503 })
    const again = JSON.parse(await world.heavy.run('import-cards', { bytes: body(), lines: true })) as { kept: number }
    expect(again.kept).toBe(300)
  })

  test('round trip: what is given out is taken in as the same', async () => {
    const file = (await api().get('/api/v1/cards/export')).body
    expect(file).toMatchObject({ format: 'sure-spool/cards', version: 1 })
    const again = await take(file.cards)
    expect(again.body.kept).toBe(0)
    expect(new Set(again.body.rows.map((row: { what: string }) => row.what))).toEqual(new Set(['same']))
    const one = (
      await api()
        .get('/api/v1/cards/export')
        .query({ ids: cardNamed('18 twin').id })
    ).body
    expect(one.cards).toEqual([cardNamed('18 twin')])
  })

  test('the same revision with another body waits for a word and is never overwritten', async () => {
    const mine = cardNamed('DV-24 deck-valve solenoid')
    const theirs = { ...mine, name: { ...mine.name, note: 'theirs' } }
    const fresh = draft({ state: 'published' })
    const shown = await preview([theirs, fresh])
    expect(shown.body.rows).toMatchObject([{ what: 'conflict' }, { what: 'new' }])
    const refused = await take([theirs, fresh])
    expect(refused.status).toBe(409)
    expect((await api().get(`/api/v1/cards/${fresh.id}`)).status).toBe(404)
    const key = `${mine.id}@${mine.revision}`
    const kept = await take([theirs, fresh], { resolve: { [key]: 'keep' } })
    expect(kept.body).toMatchObject({ kept: 1, rows: [{ what: 'kept' }, { what: 'new' }] })
    const next = await take([theirs], { resolve: { [key]: 'next' } })
    expect(next.body.rows[0]).toMatchObject({ what: 'next', as: mine.revision + 1 })
    const { card, revisions } = (await api().get(`/api/v1/cards/${mine.id}`)).body
    expect(card).toEqual(mine)
    expect(revisions.at(-1)).toMatchObject({ revision: mine.revision + 1, state: 'draft' })
  })

  test('one bad card takes none in, with its path; a newer version says so', async () => {
    const [good, bad] = [draft({ state: 'published' }), draft({ state: 'published' })]
    bad.terminals = [...bad.terminals, { id: 'O', label: 'again', aliases: [] }]
    const answer = await take([good, bad])
    expect(answer.body.errors[0]).toMatchObject({ path: 'cards[1].terminals[6].id' })
    expect((await api().get(`/api/v1/cards/${good.id}`)).status).toBe(404)
    const newer = await take([{ ...good, version: 2 } as unknown as Card])
    expect(newer.body.errors[0]).toEqual({
      path: 'cards[0].version',
      detail: 'is a version this program does not know; it reads version 1',
    })
    const curve = structuredClone(cardNamed('tank sender'))
    const limit = curve.checks
      .flatMap((check) => check.limits)
      .find((one) => one.limit !== 'derived' && one.limit.kind === 'curve')
    if (limit && limit.limit !== 'derived' && limit.limit.kind === 'curve') limit.limit.points.reverse()
    const bent = await take([{ ...curve, id: v7() }])
    expect(bent.status).toBe(400)
    expect(bent.body.errors[0].detail).toContain('out of order')
  })
})

describe('figures as CSV', () => {
  const send = async (text: string | Buffer) => {
    const answer = await api()
      .post('/api/v1/cards/figures')
      .query({ by: by() })
      .set('Content-Type', 'text/csv')
      .send(text)
    return { status: answer.status, body: answer.body as FiguresPreview & { detail: string } }
  }
  const keep = async ({ preview }: FiguresPreview) => {
    const answer = await api().post(`/api/v1/cards/figures/${preview}/keep`).send({ by: by() })
    return { status: answer.status, body: answer.body as FiguresKept & { detail: string } }
  }
  const rows = (body: FiguresPreview & { detail?: string }) => {
    if (!body.rows) throw new Error(body.detail)
    return body.rows.map((row) => row.what)
  }

  test('what is given out changes nothing when it comes back', async () => {
    const { text } = await api().get('/api/v1/cards/figures.csv')
    expect(text).toContain('limit (Ω)')
    const { body } = await send(text)
    expect(new Set(rows(body))).toEqual(new Set(['same']))
    expect(body.drafts).toEqual([])
  })

  test('says row by row what will happen, and does it only when asked', async () => {
    const text = [
      'maker,model,check,kind,from,to,limit (Ω),source,grade',
      'Fernhollow,F2,coil,resistance,red,black,318 ±10%,shop book,told',
      'Fernhollow,F2,second coil,,red,white,0.66–0.90,shop book,told',
      'Fernhollow,F2,coil,,red,black,320 ±5%,bench,measured',
      'Fernhollow,F2,third,,red,green,about right,shop book,told',
      'Fernhollow,F2,fourth,,red,green,=1+1,shop book,told',
      ',,lost,,a,b,5 ±5%,,',
    ].join('\n')
    const { body } = await send(text)
    expect(rows(body)).toEqual(['new-card', 'new-check', 'another-limit', 'refused', 'refused', 'refused'])
    expect(body.rows[3]).toMatchObject({ row: 5, detail: expect.stringContaining('cannot be read') })
    expect(body.rows[4]?.detail).toContain('formula')
    const [made] = body.drafts
    expect((await api().get(`/api/v1/cards/${made?.id}`)).status).toBe(404)
    const kept = await keep(body)
    const { card } = (await api().get(`/api/v1/cards/${kept.body.drafts[0]?.id}`)).body as { card: Card }
    expect(card).toMatchObject({ state: 'draft', revision: 1, name: { maker: 'Fernhollow', model: 'F2' } })
    expect(card.checks.map((check) => check.limits.length)).toEqual([0, 2, 1])
    expect(card.checks[1]?.limits[0]?.limit).toEqual({ kind: 'nominal', value: 318, minusPct: 10, plusPct: 10 })
  })

  test('a published card gets a draft of its next revision and stays as it is', async () => {
    const card = cardNamed('C3 cold-room compressor')
    const check = card.checks.find((one) => one.kind === 'insulation')
    const text = `maker;model;check;limit (insulation MΩ);for;source;grade\nBrindlecote;C3 cold-room compressor;${check?.label};> 5;rewound;shop;measured`
    const { body } = await send(text)
    expect(body).toMatchObject({ delimiter: ';', drafts: [{ id: card.id, revision: card.revision + 1 }] })
    const stale = await send(text)
    expect((await keep(body)).status).toBe(200)
    expect((await keep(body)).status).toBe(404)
    expect(await keep(stale.body)).toMatchObject({
      status: 409,
      body: { detail: expect.stringContaining('has changed since you looked') },
    })
    const next = (await api().get(`/api/v1/cards/${card.id}/revisions/${card.revision + 1}`)).body as Card
    expect(next.checks.find((one) => one.id === check?.id)?.limits.at(-1)?.limit).toEqual({
      kind: 'insulation',
      minOhms: 5e6,
    })
    expect((await api().get(`/api/v1/cards/${card.id}`)).body.card).toEqual(card)
  })

  test('byte-order mark, UTF-16, decimal commas and another delimiter are read', async () => {
    const table = 'maker;model;check;from;to;limit (kΩ)\r\nFernhollow;F9;coil;a;b;4,35 ±7%'
    const marked = await send(`\uFEFF${table}`)
    expect(marked.body).toMatchObject({ decimalComma: true, rows: [{ what: 'new-card' }] })
    const wide = await send(Buffer.from(`\uFEFF${table}`, 'utf16le'))
    const made = (await keep(wide.body)).body.drafts[0]
    const { card } = (await api().get(`/api/v1/cards/${made?.id}`)).body as { card: Card }
    expect(card.checks[1]?.limits[0]?.limit).toMatchObject({ value: 4350 })
  })

  test('the wrong encoding, no columns, no rows, too large: a sentence, and nothing is kept', async () => {
    const latin = Buffer.from('maker,model,check,limit (Ω)\nB\xf6hm,x,c,5 ±5%', 'latin1')
    expect(await send(latin)).toMatchObject({ status: 422, body: { detail: expect.stringContaining('UTF-8') } })
    expect((await send('a,b\n1,2')).body.detail).toContain('names no column "model"')
    expect((await send('maker,model,check,limit (Ω)')).body.detail).toContain('no rows')
    expect((await send('model,check,limit (furlong)\nx,y,5')).body.detail).toContain('furlong')
    expect((await send('x'.repeat(9_000_000))).status).toBe(413)
  })

  test('twenty thousand rows onto one card are read one after another, what is too many stays out', async () => {
    const row = (i: number) => `Fernhollow,F20,check ${i % 400},,red,black,${i + 1} ±10%,book ${i % 90}`
    const table = [
      'maker,model,check,kind,from,to,limit (Ω),source',
      ...Array.from({ length: 19_999 }, (_, i) => row(i)),
    ]
    const { body } = await send(table.join('\n'))
    const count = (what: string) => body.rows.filter((one) => one.what === what).length
    expect(body.rows).toHaveLength(19_999)
    expect(body.drafts).toHaveLength(1)
    expect(count('refused')).toBeGreaterThan(0)
    expect(body.rows.find((one) => one.what === 'refused')?.detail).toMatch(/more than (400 checks|40 limits)/)
    expect((await send([...table, row(0), row(1)].join('\n'))).body.detail).toContain('at most 20000')
  })

  test('formulas in names are defused on the way out', async () => {
    const card = draft({ name: { maker: '=cmd()', model: '@sum', partNumbers: [], fits: [] } })
    await publish(card, (await write(card)).body.hash)
    const { text } = await api().get('/api/v1/cards/figures.csv').query({ ids: card.id })
    expect(text).toContain("'=cmd()")
    expect(text).toContain("'@sum")
    const { body } = await send(text)
    expect(body.rows.filter((row) => row.what !== 'same')).toEqual([])
  })
})
