import { describe, expect, test } from '@jest/globals'
import { routes } from '@sure-spool/contract/openapi'
import request from 'supertest'
import { v7 } from 'uuid'
import { createApp } from '../src'
import { worldOf } from './world'

const world = worldOf('whole')

const api = () => request(world.app)

describe('cards', () => {
  test('are found by words in any order, and shown with their record', async () => {
    const { body } = await api().get('/api/v1/cards?find=stator%20orrin')
    expect(body.cards.map((card: { model: string }) => card.model)).toContain('60 charging stator')
    const [card] = (await api().get('/api/v1/cards?find=18')).body.cards
    const record = (await api().get(`/api/v1/cards/${card.id}/record`)).body
    const closed = world.shop.runs.filter(
      (run) =>
        run.card.id === card.id &&
        run.entries.some((entry) => entry.kind === 'decision' && entry.what !== 'more-tests'),
    )
    const counted = Object.values(record.findings as Record<string, number>).reduce((sum, one) => sum + one, 0)
    expect(counted).toBe(closed.length)
    expect(record.findings['fault-found']).toBeGreaterThan(0)
    expect(record.readings.some((one: { cameBack: boolean }) => one.cameBack)).toBe(true)
    expect((await api().get(`/api/v1/cards/${v7()}`)).status).toBe(404)
    const odd = await api().get(`/api/v1/cards?find=${encodeURIComponent("%' OR 1=1 --")}`)
    expect(odd.body.loosely).toBe(true)
  })
})

describe('the server as a whole', () => {
  test('every route of the contract answers, and the document says OpenAPI 3.1', async () => {
    const { body } = await api().get('/api/v1/openapi.json')
    expect(body.openapi).toBe('3.1.0')
    for (const route of routes) {
      expect(body.paths[route.path][route.method]).toBeDefined()
      const path = `/api/v1${route.path.replace('{id}', v7())}`
      const answer = await api()
        [route.method](path)
        .send(route.body ? {} : undefined)
      expect([path, answer.status === 404 && /is not an address/.test(answer.body.detail)]).toEqual([path, false])
      expect(answer.status).toBeLessThan(500)
    }
  })

  test('says what it is, keeps a strict policy, and gives every request an id', async () => {
    const health = await api().get('/healthz')
    expect(health.body.alive).toBe(true)
    expect((await api().get('/readyz')).body.ready).toBe(true)
    expect(health.headers['content-security-policy']).toContain("script-src 'self'")
    expect(health.headers['content-security-policy']).not.toContain('upgrade-insecure-requests')
    expect(health.headers['x-content-type-options']).toBe('nosniff')
    expect(health.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/)
    expect((await api().get('/healthz').set('X-Request-Id', 'mine-1')).headers['x-request-id']).toBe('mine-1')
    expect((await api().get('/api/v1/nothing')).body.type).toBe('/problems/not-found')
  })

  test('a flood is told to wait, and nothing is lost by it', async () => {
    const app = createApp({
      database: world.connection.database,
      heavy: world.heavy,
      version: 'test',
      requestsAMinute: 3,
      house: { house: 'open' },
    })
    const statuses = []
    for (let i = 0; i < 5; i++) statuses.push((await request(app).get('/api/v1/shop')).status)
    expect(statuses).toEqual([200, 200, 200, 429, 429])
  })
})
