import { describe, expect, test } from '@jest/globals'
import type { Card } from '@sure-spool/core'
import { v7 } from 'uuid'
import { hashOf } from '../src/canonical'
import { cardHelp } from './cardHelp'
import { worldOf } from './world'

const world = worldOf('cards_file')
const { api, by, cardNamed, draft } = cardHelp(world)

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
      const ids = all.flatMap((one) => (typeof one === 'object' && 'id' in one ? [one.id] : []))
      const kept = await Promise.all(ids.map(async (id) => (await api().get(`/api/v1/cards/${id}`)).status))
      expect(kept).toEqual(ids.map(() => 404))
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
      { bytes, lines: true, by: null },
      { told: () => controller.abort(), signal: controller.signal },
    )
    await expect(work).rejects.toMatchObject({ kind: 'called-off' })
    expect((await api().get(`/api/v1/cards/${cards[0]?.id}`)).status).toBe(404)
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
