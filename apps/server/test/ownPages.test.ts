import { describe, expect, test } from '@jest/globals'
import request from 'supertest'
import { v7 } from 'uuid'
import { createApp } from '../src'
import { worldOf } from './world'

const world = worldOf('own_pages')

const person = () => ({ id: v7(), name: 'Mara Teller', role: 'bench' })
const change = (headers: Record<string, string>) => {
  const asked = request(world.app).put(`/api/v1/people/${v7()}`)
  for (const [name, value] of Object.entries(headers)) asked.set(name, value)
  return asked
}
const people = async () => (await request(world.app).get('/api/v1/shop')).body.people.length as number

describe('changes come from this shop’s own pages', () => {
  test.each([
    ['another site’s form', { Origin: 'https://elsewhere.example' }],
    ['a page without an origin', { Origin: 'null' }],
    ['an origin that is no address', { Origin: 'nonsense' }],
    ['this machine on another port', { Origin: 'http://127.0.0.1:9' }],
    ['another site, by the browser’s own word', { 'Sec-Fetch-Site': 'cross-site' }],
    ['another name of this domain', { 'Sec-Fetch-Site': 'same-site' }],
  ])('%s is refused, and nothing is kept', async (_what, headers) => {
    const before = await people()
    const answer = await change(headers).send(person())
    expect([answer.status, answer.body.type]).toEqual([403, '/problems/from-elsewhere'])
    expect(await people()).toBe(before)
  })

  test('its own page, and a program that is no browser, are let in', async () => {
    const own = await change({
      Host: 'localhost:4180',
      Origin: 'http://localhost:4180',
      'Sec-Fetch-Site': 'same-origin',
    }).send(person())
    expect(own.status).not.toBe(403)
    expect((await change({}).send(person())).status).not.toBe(403)
  })

  test('what another site asks to see is its own business: no answer says that it may read', async () => {
    const answer = await request(world.app).get('/api/v1/shop').set('Origin', 'https://elsewhere.example')
    expect(answer.headers).not.toHaveProperty('access-control-allow-origin')
    expect(answer.headers['cross-origin-resource-policy']).toBe('same-origin')
  })

  test.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x'])(
    'a body of %s, as a form can send it, is refused',
    async (type) => {
      const answer = await change({ 'Content-Type': type }).send('{"name":"x"}')
      expect([answer.status, answer.body.type]).toEqual([415, '/problems/not-json'])
    },
  )
})

describe('the server answers to its own names', () => {
  test('a name that only leads here is refused, to read as well', async () => {
    const answer = await request(world.app).get('/api/v1/shop').set('Host', 'rebound.example')
    expect([answer.status, answer.body.type]).toEqual([421, '/problems/not-our-name'])
    expect(answer.body.detail).toContain('ALLOWED_HOSTS')
  })

  test('a name it was given is its own', async () => {
    const { connection, heavy } = world
    const app = createApp({
      database: connection.database,
      heavy,
      version: 'test',
      hosts: ['bench.shop.example'],
      house: { house: 'open' },
    })
    expect((await request(app).get('/healthz').set('Host', 'Bench.Shop.example:8443')).status).toBe(200)
    expect((await request(app).get('/healthz').set('Host', 'other.shop.example')).status).toBe(421)
  })
})
