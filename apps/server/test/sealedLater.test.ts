import { beforeAll, describe, expect, test } from '@jest/globals'
import { createHash } from 'node:crypto'
import { v7 } from 'uuid'
import { Browser, owner, setupCode } from './doorHelp'
import { worldOf } from './world'

const world = worldOf('sealed_later', { house: { house: 'shut', secure: false, setupCode } })
const bench = new Browser(world)
let person = ''
beforeAll(async () => {
  const { status, body } = await bench.comeIn('/door/first', owner)
  expect(status).toBe(201)
  person = body.seat.person
}, 60_000)

/** Sends a body with its seal, as the outbox does when nobody sits there any more. */
const later = (path: string, body: object, { seat, mac }: { seat: string; mac: string }, whole: object = body) =>
  bench.ask('post', path).set('Sure-Spool-Seal', `${seat}.${mac}`).send(whole)

describe('what was made and sealed at a bench comes in when the seat is over', () => {
  const picture = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0xff, 0xd9])
  const at = '2026-11-25T10:00:00.000Z'

  test('a rewind, its entries, and a photo', async () => {
    const begun = {
      id: v7(),
      unit: world.shop.units[0]?.id,
      startedAt: at,
      by: person,
      coils: [{ id: 'c1', winding: 'low', label: 'low' }],
    }
    const entry = { id: v7(), rewind: begun.id, n: 1, at, by: person, kind: 'note', words: 'burnt at the core' }
    const head = {
      id: v7(),
      at,
      by: person,
      width: 8,
      height: 6,
      sha256: createHash('sha256').update(picture).digest('hex'),
    }
    const seals = [bench.seal(begun), bench.seal(entry), bench.seal(head)] as const
    await bench.ask('delete', `/door/seats/${bench.seat?.id}`)
    bench.seat = undefined
    const data = picture.toString('base64')

    expect((await bench.ask('post', '/rewinds').send(begun)).status).toBe(401)
    expect((await bench.ask('post', '/photos').send({ ...head, data })).status).toBe(401)
    expect((await later('/rewinds', { ...begun, startedAt: '2026-11-24T10:00:00.000Z' }, seals[0])).status).toBe(403)
    expect((await later('/rewinds', begun, seals[0])).status).toBe(201)
    const put = (one: object) =>
      bench.ask('post', `/rewinds/${begun.id}/entries`).send({ entries: [one], seals: [seals[1]] })
    expect((await put({ ...entry, words: 'sound' })).status).toBe(403)
    expect((await put(entry)).status).toBe(200)
    expect((await later('/photos', { ...head, width: 9 }, seals[2], { ...head, width: 9, data })).status).toBe(403)
    expect((await later('/photos', head, seals[2], { ...head, data })).status).toBe(201)
    expect((await bench.ask('get', `/photos/${head.id}`)).status).toBe(401)
  })
})
