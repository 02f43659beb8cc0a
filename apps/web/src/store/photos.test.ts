import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { sit } from '../testing/atBench'
import type { FakeServer } from '../testing/fakeServer'
import { beginOutbox, left } from '../testing/outgoing'
import { endStores } from '../testing/stores'
import { arrived } from '../testing/until'
import { asFiled } from './asideItems'
import { browserDatabase } from './browserDatabase'
import { useOutbox } from './outbox'
import type { Outgoing } from './outgoing'
import { forgetOldPhotos, photoAddress, readPhotoCopy } from './photoCopies'
import { usePhotos } from './photos'
import { fitting } from './shrink'

let server: FakeServer
beforeEach(async () => {
  server = (await beginOutbox()).on('POST', /^\/photos$/, { body: { id: 'p', receivedAt: '' } })
  await (await browserDatabase()).photos.clear()
  await sit(server, 'technician')
})
afterEach(async () => {
  await arrived()
  endStores()
})

const picture = new Uint8Array([0xff, 0xd8, 0xff, 1, 2, 3])
const made = () => Promise.resolve({ bytes: picture, width: 800, height: 600 })
const take = () => usePhotos().take(new Blob(['x']), made)

describe('a photo', () => {
  test('is in this browser before anything names it, and goes up with what does', async () => {
    const id = await take()
    expect(usePhotos().pending).toEqual({ photo: id })
    expect(await readPhotoCopy(id)).toMatchObject({ by: 'p', width: 800, data: btoa('\xff\xd8\xff\x01\x02\x03') })
    expect(await left()).toEqual([])
    expect(usePhotos().named()).toEqual({ photo: id })
    await useOutbox().settle()
    const [sent] = server.of('POST', /photos/)
    expect(sent?.body).toEqual(await readPhotoCopy(id))
    expect((sent?.body as { sha256: string }).sha256).toBe(bytesToHex(sha256(picture)))
    expect(usePhotos().named()).toEqual({})
    expect(server.of('POST', /photos/)).toHaveLength(1)
  })

  test('waits while the server is away, and is shown from here', async () => {
    server.away = true
    const id = await take()
    usePhotos().named()
    await useOutbox().settle()
    expect(await left()).toEqual([id])
    expect(await photoAddress(id)).toMatch(/^data:image\/jpeg;base64,/)
    expect(await photoAddress('one of another bench')).toBe('/api/v1/photos/one%20of%20another%20bench')
  })

  test('that nobody names never goes up', async () => {
    await take()
    usePhotos().leave()
    expect([usePhotos().named(), await left()]).toEqual([{}, []])
  })

  test('whose picture is gone from the browser is set aside with that sentence', async () => {
    const id = await take()
    usePhotos().named()
    await (await browserDatabase()).photos.delete(id)
    await useOutbox().settle()
    expect(useOutbox().aside).toMatchObject([{ id, aside: { status: 410 } }])
    expect(useOutbox().aside[0]?.aside?.detail).toContain('not in this browser any more')
  })

  test('that is set aside is saved with its picture, and taken in again with it', async () => {
    const id = await take()
    const { data } = (await readPhotoCopy(id)) ?? {}
    server.refuse('POST', /^\/photos$/, 422, 'is no JPEG')
    usePhotos().named()
    await useOutbox().settle()
    const filed = JSON.parse(JSON.stringify(await asFiled(useOutbox().aside))) as Outgoing[]
    expect(filed).toMatchObject([{ id, picture: data }])
    await useOutbox().throwAway(id, 'to another bench')
    await (await browserDatabase()).photos.delete(id)
    server.on('POST', /^\/photos$/, { body: { id, receivedAt: '' } })
    expect(await useOutbox().takeInAgain(filed)).toBe(1)
    expect((await readPhotoCopy(id))?.data).toBe(data)
    expect(server.of('POST', /^\/photos$/).at(-1)?.body).toMatchObject({ id, data })
  })

  test('a place is tapped, moved, and taken away by a second tap on it', async () => {
    const id = await take()
    const photos = usePhotos()
    photos.point({ x: 0.31, y: 0.4 })
    expect(photos.pending).toEqual({ photo: id, spot: { x: 0.31, y: 0.4 } })
    photos.point({ x: 1.2, y: -0.1 })
    expect(photos.pending).toEqual({ photo: id, spot: { x: 1, y: 0 } })
    photos.point({ x: 0.99, y: 0.01 })
    expect(photos.pending).toEqual({ photo: id })
    photos.leave()
    photos.point({ x: 0.5, y: 0.5 })
    expect(photos.pending).toBeUndefined()
  })

  test('is not taken by who only reads, and a file that is no picture keeps nothing', async () => {
    await expect(usePhotos().take(new Blob(['x']), () => Promise.reject(new Error('no picture')))).rejects.toThrow(
      'no picture',
    )
    expect([usePhotos().busy, usePhotos().pending]).toEqual([false, undefined])
    await sit(server, 'reader')
    await expect(take()).rejects.toThrow('only reads')
  })

  test('of long ago is let go of once the server has it', async () => {
    server.away = true
    const waiting = await take()
    usePhotos().named()
    await useOutbox().settle()
    const gone = await take()
    const later = new Date(Date.now() + 31 * 86_400_000)
    await forgetOldPhotos(new Date())
    expect(await readPhotoCopy(gone)).toBeDefined()
    await forgetOldPhotos(later)
    expect([await readPhotoCopy(gone), (await readPhotoCopy(waiting))?.id]).toEqual([undefined, waiting])
  })
})

test.each([
  [4000, 3000, 1600, 1200],
  [3000, 4000, 1200, 1600],
  [800, 600, 800, 600],
  [10_000, 3, 1600, 1],
])('%d × %d fits into %d × %d', (width, height, w, h) =>
  expect(fitting({ width, height }, 1600)).toEqual({ width: w, height: h }),
)
