import { describe, expect, test } from '@jest/globals'
import type { Photo, RewindView, Shop } from '@sure-spool/contract'
import { createHash } from 'node:crypto'
import request from 'supertest'
import { v7 } from 'uuid'
import { begin, worldOf } from './world'

const world = worldOf('photos', { ownUser: true })

const api = () => request(world.app)
/** The least that begins and ends as a JPEG does. */
const jpeg = (middle = 'a picture') =>
  Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from(middle), Buffer.from([0xff, 0xd9])])
const photo = (bytes = jpeg(), changes: Partial<Photo> = {}): Photo => ({
  id: v7(),
  at: '2026-11-25T10:00:00.000Z',
  by: world.shop.people[0]?.id ?? '',
  width: 800,
  height: 600,
  sha256: createHash('sha256').update(bytes).digest('hex'),
  data: bytes.toString('base64'),
  ...changes,
})
const put = (one: Photo) => api().post('/api/v1/photos').send(one)
const shown = (id: string) => api().get(`/api/v1/photos/${id}`)

describe('a photo', () => {
  test('is kept once and shown as it came', async () => {
    const one = photo()
    const first = await put(one)
    expect([first.status, first.body.id]).toEqual([201, one.id])
    const again = await put(one)
    expect([again.status, again.body]).toEqual([201, first.body])
    const answer = await shown(one.id)
    expect([answer.status, answer.headers['content-type'], answer.headers['x-content-type-options']]).toEqual([
      200,
      'image/jpeg',
      'nosniff',
    ])
    expect((answer.body as Buffer).toString('base64')).toBe(one.data)
  })

  test.each<[string, () => Partial<Photo>, number, string]>([
    ['that is no JPEG', () => photo(Buffer.from('<svg onload="x"/>')), 422, 'is no JPEG'],
    ['that ends in the middle', () => photo(jpeg().subarray(0, -2)), 422, 'is no JPEG'],
    ['that only ends as one', () => photo(Buffer.from([1, 2, 3, 4, 0xff, 0xd9])), 422, 'is no JPEG'],
    ['that is an end alone', () => photo(Buffer.from([0xff, 0xd9])), 422, 'is no JPEG'],
    ['without room for a marker', () => photo(Buffer.from([0xff, 0xd8, 0xff, 0xd9])), 422, 'is no JPEG'],
    ['of nothing', () => photo(Buffer.from([0xff, 0xd8, 0xff])), 422, 'is no JPEG'],
    ['under another’s fingerprint', () => ({ sha256: '0'.repeat(64) }), 422, 'its fingerprint names'],
    ['of a stranger', () => ({ by: v7() }), 422, 'names a person this shop does not know'],
    ['that is no base64', () => ({ data: 'not base64 at all!' }), 400, 'is no base64'],
    ['that is larger than one may be', () => photo(jpeg('x'.repeat(600_010))), 400, 'is larger than a photo'],
    ['wider than one may be', () => ({ width: 4000 }), 400, 'width'],
  ])('%s is refused, and nothing is kept', async (_what, changes, status, words) => {
    const one = photo(undefined, changes())
    const answer = await put(one)
    expect([answer.status, answer.body.detail]).toEqual([status, expect.stringContaining(words)])
    expect((await shown(one.id)).status).toBe(404)
  })

  test('keeps its picture: another under its id is a conflict', async () => {
    const one = photo()
    await put(one)
    const other = photo(jpeg('another'), { id: one.id })
    expect((await put(other)).status).toBe(409)
    expect(((await shown(one.id)).body as Buffer).toString('base64')).toBe(one.data)
  })

  test('moves house with the shop', async () => {
    const one = photo(jpeg('moved'))
    await put(one)
    const file = (await api().get('/api/v1/shop/export')).body as Shop
    expect(file.photos?.find(({ id }) => id === one.id)).toEqual(one)
    const other = await begin('photos_moved', { empty: true })
    const takeIn = (shop: Shop) => request(other.app).post('/api/v1/shop/import').send(shop)
    try {
      const stranger = { ...file, photos: [{ ...one, by: v7() }] }
      expect((await takeIn(stranger)).body.detail).toContain('photos[0].by names a person')
      expect((await takeIn(file)).status).toBe(200)
      expect((await takeIn(file)).status).toBe(200)
      const there = await request(other.app).get(`/api/v1/photos/${one.id}`)
      expect((there.body as Buffer).toString('base64')).toBe(one.data)
    } finally {
      await other.end()
    }
  })

  test('comes back with the file of the rewind that names it, and no other does', async () => {
    const one = photo(jpeg('of a pole'))
    await put(one)
    const answer = await api().get(`/api/v1/photos/${one.id}/file`)
    expect(answer.body).toEqual(one)
    const [by, unit] = [one.by, world.shop.units[0]?.id]
    const head = { id: v7(), unit, startedAt: one.at, coils: [{ id: 'c1', winding: 'w', label: 'pole 1' }] }
    await api()
      .post('/api/v1/rewinds')
      .send({ ...head, by })
    const note = { id: v7(), rewind: head.id, n: 1, at: one.at, by, kind: 'note', words: 'so it lay', photo: one.id }
    await api()
      .post(`/api/v1/rewinds/${head.id}/entries`)
      .send({ entries: [note] })
    const { rewind } = (await api().get(`/api/v1/rewinds/${head.id}`)).body as RewindView
    const other = await begin('photos_of_a_rewind')
    const takeIn = (...photos: Photo[]) =>
      request(other.app).put(`/api/v1/rewinds/${head.id}`).send({ rewind, photos, by })
    try {
      const strange = await takeIn(one, photo(jpeg('of another part')))
      expect([strange.status, strange.body.detail]).toEqual([
        422,
        expect.stringContaining('photos[1].id is named nowhere in the rewind'),
      ])
      expect((await request(other.app).get(`/api/v1/rewinds/${head.id}`)).status).toBe(404)
      expect((await takeIn()).status).toBe(200)
      for (const _again of [1, 2]) expect((await takeIn(one)).status).toBe(200)
      const there = await request(other.app).get(`/api/v1/photos/${one.id}/file`)
      expect(there.body).toEqual(one)
    } finally {
      await other.end()
    }
  })
})
