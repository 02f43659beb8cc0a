import { expect, test } from '@jest/globals'
import request from 'supertest'
import { worldOf } from './world'

const world = worldOf('cursors')

const card = '019a0000-1800-7000-8000-000000000018'
const lists: [string, () => string, string[]][] = [
  ['cards by name', () => '/cards?limit=1', ['id']],
  ['cards that were found', () => '/cards?limit=1&find=stator', ['from']],
  ['the queue', () => '/units?limit=1', ['takenInAt', 'id']],
  ['a unit’s runs', () => `/units/${world.shop.units[0]?.id}/runs?limit=1`, ['startedAt', 'id']],
  ['a card’s record', () => `/cards/${card}/record?limit=1`, ['startedAt', 'run']],
  ['the audit', () => '/shop/audit?limit=1', ['id']],
]
const sealed = (place: unknown) => Buffer.from(JSON.stringify(place)).toString('base64url')
const day = '2026-11-25T10:00:00.000Z'
const whole = {
  startedAt: day,
  takenInAt: day,
  run: card,
  id: card,
  maker: '🧵'.repeat(200),
  model: '🧵'.repeat(200),
  from: '3',
}
const from = async (path: string, cursor: string) =>
  (await request(world.app).get(`/api/v1${path}${path.includes('?') ? '&' : '?'}cursor=${cursor}`)).status

test.each(lists)('%s begins at a place of its own, and at no other', async (_what, path, keys) => {
  expect(await from(path(), sealed(whole))).toBe(200)
  for (const key of keys)
    for (const odd of ['soon', '', 3, null, `${day} and so on`])
      expect([key, odd, await from(path(), sealed({ ...whole, [key]: odd }))]).toEqual([key, odd, 400])
  for (const place of [{}, [], null, 'text', 7]) expect(await from(path(), sealed(place))).toBe(400)
  for (const cursor of ['x', '%20', 'eyJ9']) expect(await from(path(), cursor)).toBe(400)
})
