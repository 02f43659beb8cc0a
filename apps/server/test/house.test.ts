import { describe, expect, test } from '@jest/globals'
import { summarise, runState, type Run } from '@sure-spool/core'
import { shopSchema, type Shop } from '@sure-spool/contract'
import { eq } from 'drizzle-orm'
import request from 'supertest'
import { connect, createApp, importShop, rebuildStates } from '../src'
import { checkStates, runStates } from '../src/database/schema'
import { exportShop } from '../src/services/exportShop'
import { entryFor, runOf, worldOf } from './world'

const world = worldOf('house')

const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : 1)
/** Without when the server received it: that is its own. */
const asMade = <T extends { id: string; entries: { receivedAt?: string }[] }>(all: readonly T[] = []) =>
  [...all]
    .sort(byId)
    .map((one) => ({ ...one, entries: one.entries.map(({ receivedAt: _receivedAt, ...entry }) => entry) }))
const sorted = (shop: Shop) => ({
  ...shop,
  cards: [...shop.cards].sort(byId),
  units: [...shop.units].sort(byId),
  runs: asMade(shop.runs),
  rewinds: asMade(shop.rewinds),
})

describe('moving house', () => {
  test('what was taken in comes out again, word for word', async () => {
    const pieces: string[] = []
    for await (const piece of exportShop(world.connection.database)) pieces.push(piece)
    const out = shopSchema.parse(JSON.parse(pieces.join('')))
    expect(sorted(out)).toEqual(sorted(shopSchema.parse(world.shop)))
  })

  test('the same document again adds nothing', async () => {
    expect(await importShop(world.connection.database, world.shop, null)).toEqual({
      people: 0,
      instruments: 0,
      cards: 0,
      units: 0,
      runs: 0,
      entries: 0,
    })
  })

  test('a card revision with another body is a conflict, and nothing of the document is kept', async () => {
    const [first, ...rest] = structuredClone(world.shop.cards)
    if (!first) throw new Error('the demo has cards')
    const extra = { ...structuredClone(first), id: '019b0000-0000-7000-8000-00000000000e' }
    const changed = { ...first, name: { ...first.name, note: 'another body' } }
    const body = { ...world.shop, cards: [extra, changed, ...rest] }
    const answer = await request(world.app).post('/api/v1/shop/import').send(body)
    expect(answer.status).toBe(409)
    expect((await request(world.app).get(`/api/v1/cards/${extra.id}`)).status).toBe(404)
  })

  test('a card with a winding to nowhere, and a document of a newer version, are refused with their paths', async () => {
    const cards = structuredClone(world.shop.cards)
    if (cards[0]?.windings[0]) cards[0].windings[0].to = 'nowhere'
    const answer = await request(world.app)
      .post('/api/v1/shop/import')
      .send({ ...world.shop, cards })
    expect(answer.status).toBe(400)
    expect(answer.body.errors).toContainEqual({
      path: 'cards[0].windings[0].to',
      detail: expect.stringContaining('does not have'),
    })
    const newer = await request(world.app)
      .post('/api/v1/shop/import')
      .send({ ...world.shop, version: 2 })
    expect(newer.body.errors[0]).toMatchObject({ path: 'version' })
  })
})

describe('what is computed', () => {
  test('is what core says of the document, and is rebuilt from the entries', async () => {
    const { database } = world.connection
    const run = runOf(world.shop, 'SQ-0402')
    const { body } = await request(world.app).get(`/api/v1/runs/${run.id}`)
    expect(body.state).toEqual(JSON.parse(JSON.stringify(summarise(runState(body.run as Run)))))
    await database.delete(runStates)
    await database.delete(checkStates)
    expect(await rebuildStates(database)).toBe(world.shop.runs.length)
    const [row] = await database.select().from(runStates).where(eq(runStates.run, run.id))
    expect(row).toMatchObject({ finding: 'fault-found', closed: true })
  })
})

describe('when the database goes away', () => {
  test('it is a 503 that says that nothing was kept, never a 5xx of another kind', async () => {
    const gone = await connect(world.url, 'apps/server/drizzle')
    const app = createApp({ database: gone.database, heavy: world.heavy, version: 'test', house: { house: 'open' } })
    await gone.close()
    const run = runOf(world.shop, 'SQ-0438')
    const answer = await request(app)
      .post(`/api/v1/runs/${run.id}/entries`)
      .send({ entries: [entryFor(run, { kind: 'note', words: 'x' })] })
    expect([answer.status, answer.body.type]).toEqual([503, '/problems/database-away'])
    expect((await request(app).get('/readyz')).status).toBe(503)
    expect((await request(app).get('/healthz')).status).toBe(200)
  })
})
