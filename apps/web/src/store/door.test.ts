import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { canonical } from '@sure-spool/contract/canonical'
import { createHmac } from 'node:crypto'
import type { FakeServer } from '../testing/fakeServer'
import { beginOutbox, entry, put } from '../testing/outgoing'
import { beginStores, endStores } from '../testing/stores'
import { arrived, until } from '../testing/until'
import { keepCopy } from './browserDatabase'
import { useDoor } from './door'
import { currentSeat, seatsHere, sealed } from './seats'

const key = 'ab'.repeat(32)
const bench = { id: 'b', name: 'window bench', kind: 'bench' }
const people = [
  { id: 'ines', name: 'Ines', access: 'owner' },
  { id: 'tam', name: 'Tam', access: 'technician' },
]
const seatOf = (person: string, endsAt = '2099-01-01T00:00:00.000Z') => ({
  id: `seat-${person}`,
  person,
  begunAt: '2026-11-29T08:00:00.000Z',
  endsAt,
  key,
})
let server: FakeServer
/** The seats that the server says are open. */
let open: object[] = []

beforeEach(async () => {
  server = await beginOutbox()
  open = []
  server
    .on('GET', /^\/door$/, () => ({ body: { house: 'shut', bench, people, seats: open } }))
    .on('POST', /^\/door\/seats$/, ({ body }) => {
      const seat = seatOf((body as { person: string }).person)
      open.push(seat)
      return { status: 201, body: seat }
    })
    .on('DELETE', /^\/door\/seats\//, { body: { ended: 1 } })
})
afterEach(async () => {
  await arrived()
  endStores()
})

describe('what stands between whoever comes and the work', () => {
  test.each([
    [{ house: 'open' }, null],
    [{ house: 'empty' }, 'first'],
    [{ house: 'shut' }, 'join'],
    [{ house: 'shut', bench, people, seats: [] }, 'seat'],
  ])('%j: %s', async (said, need) => {
    server.on('GET', /^\/door$/, { body: said })
    const door = useDoor()
    await door.begin()
    expect(door.need).toBe(need)
  })

  test('nothing, where the server never said anything: what is kept here can be worked on', async () => {
    server.away = true
    const door = useDoor()
    await door.begin()
    expect(door.need).toBeNull()
  })

  test('what it said last is believed at once while it is away', async () => {
    await keepCopy('door', { house: 'shut', bench, people, seats: [] })
    server.away = true
    const door = useDoor()
    await door.begin()
    expect(door.need).toBe('seat')
  })
})

describe('a seat', () => {
  test('is taken by a PIN, named to the server from then on, and there again when the tab is opened again', async () => {
    const door = useDoor()
    await door.begin()
    await door.sit('tam', '2580')
    expect([door.need, door.seat?.person]).toEqual([null, 'tam'])
    beginStores()
    const again = useDoor()
    await again.begin()
    expect([again.need, again.seat?.person]).toEqual([null, 'tam'])
  })

  test('that is over, or that the server has ended, is one no more', async () => {
    const door = useDoor()
    await door.begin()
    await door.sit('tam', '2580')
    open = []
    await door.load()
    expect([door.need, seatsHere()]).toEqual(['seat', []])
    localStorage.setItem('spool.seats', JSON.stringify([seatOf('ines', '2020-01-01T00:00:00.000Z')]))
    expect(currentSeat()).toBeUndefined()
  })

  test('two sit at one bench: who sits already goes on without a PIN, the other does not', async () => {
    const door = useDoor()
    await door.begin()
    await door.sit('tam', '2580')
    await door.sit('ines', '4711')
    expect(door.people.map(({ sits }) => sits)).toEqual([true, true])
    expect([door.goOn('tam'), door.seat?.person]).toEqual([true, 'tam'])
    await door.leave()
    expect([door.need, door.goOn('tam')]).toEqual(['seat', false])
    expect(server.of('DELETE', /seat-tam$/)).toHaveLength(1)
  })

  test('is left though the server is away: its key is gone from here', async () => {
    const door = useDoor()
    await door.begin()
    await door.sit('tam', '2580')
    server.away = true
    await door.leave()
    expect([door.need, seatsHere()]).toEqual(['seat', []])
  })

  test('is left everywhere only where the server has done it', async () => {
    const door = useDoor()
    await door.begin()
    await door.sit('tam', '2580')
    server.refuse('POST', /end-all$/, 503)
    await expect(door.leaveEverywhere()).rejects.toThrow('refused')
    expect(door.need).toBeNull()
    server.on('POST', /end-all$/, { body: { ended: 2 } })
    await door.leaveEverywhere()
    expect([door.need, seatsHere()]).toEqual(['seat', []])
  })

  test('where the server says that nobody sits here, somebody is asked to', async () => {
    const door = useDoor()
    await door.begin()
    await door.sit('tam', '2580')
    open = []
    server.refuse('POST', /entries$/, 401)
    await put(entry('a')).settle()
    await until(() => door.need === 'seat')
    expect(seatsHere()).toEqual([])
  })
})

describe('a seal', () => {
  test('goes up with what was made in the seat, also when it was left, and is of the very text', async () => {
    const door = useDoor()
    await door.begin()
    expect(sealed({ a: 1 })).toBeUndefined()
    await door.sit('tam', '2580')
    const item = entry('a')
    const outbox = put(item)
    await door.leave()
    await outbox.settle()
    const { body } = server.of('POST', /entries$/)[0] ?? {}
    const mac = createHmac('sha256', Buffer.from(key, 'hex')).update(canonical(item.body)).digest('hex')
    expect(body).toEqual({ entries: [item.body], seals: [{ seat: 'seat-tam', mac }] })
  })

  test('of a second person is given by their PIN, for that one entry, and they are gone again', async () => {
    const door = useDoor()
    await door.begin()
    const word = await door.wordOf('ines', '4711')
    const item = entry('a')
    const mac = createHmac('sha256', Buffer.from(key, 'hex')).update(canonical(item.body)).digest('hex')
    expect(word(item.body as never)).toEqual({ seat: 'seat-ines', mac })
    expect([door.need, seatsHere()]).toEqual(['seat', []])
    await until(() => server.of('DELETE', /seat-ines$/).length === 1)
  })
})
