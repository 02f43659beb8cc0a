import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { FakeServer } from '../testing/fakeServer'
import { batchesOf, beginOutbox, begun, card, entry, left, put, unit } from '../testing/outgoing'
import { endStores } from '../testing/stores'
import { arrived } from '../testing/until'
import { browserDatabase } from './browserDatabase'
import { useOutbox } from './outbox'
import type { Outgoing } from './outgoing'

let server: FakeServer
beforeEach(async () => {
  server = await beginOutbox()
})
afterEach(async () => {
  await arrived()
  endStores()
})

const batches = () => batchesOf(server)

describe('what was set aside', () => {
  const refused = async () => {
    server.refuse('POST', /^\/units$/, 422, 'names a card revision that is not here')
    const outbox = put(unit('1', 'c'), begun('2', '1'), entry('3', '2'))
    await outbox.settle()
    expect(outbox.aside.map(({ id }) => id)).toEqual(['1', '2', '3'])
    return outbox
  }

  test('goes up again with what rests on it, once what was in its way is gone', async () => {
    const outbox = await refused()
    await outbox.sendAgain('1')
    expect(outbox.aside).toHaveLength(3)
    server.on('POST', /^\/units$/, { body: {} })
    await outbox.sendAgain('1')
    expect([outbox.aside, await left()]).toEqual([[], []])
    expect(batches()).toEqual([['3']])
    await outbox.sendAgain('nothing')
  })

  test('keeps what is made of it since beside it: the server is not asked about that', async () => {
    const outbox = await refused()
    outbox.put(entry('4', '2'))
    await outbox.settle()
    expect(outbox.aside.map(({ id, aside }) => [id, aside?.status])).toEqual([
      ['1', 422],
      ['2', 422],
      ['3', 422],
      ['4', 424],
    ])
    expect([server.of('POST', /entries$/), server.of('POST', /import$/)]).toEqual([[], []])
    server.on('POST', /^\/units$/, { body: {} })
    await outbox.sendAgain('1')
    expect([outbox.aside, batches()]).toEqual([[], [['3', '4']]])
  })

  test('is thrown away with a reason, which stays with what it was', async () => {
    const outbox = await refused()
    await outbox.throwAway('2', 'taken in twice')
    expect(outbox.aside.map(({ id }) => id)).toEqual(['1'])
    const kept = (await (await browserDatabase()).copies.get('thrown away'))?.value
    expect(kept).toMatchObject([{ reason: 'taken in twice', items: [{ id: '2' }, { id: '3' }] }])
    await outbox.throwAway('1', 'so')
    expect((await (await browserDatabase()).copies.get('thrown away'))?.value).toHaveLength(2)
  })

  test('is taken in again from its file, what is here already but once', async () => {
    const outbox = await refused()
    const file = JSON.parse(JSON.stringify(outbox.aside)) as Outgoing[]
    await outbox.throwAway('1', 'to another bench')
    server.on('POST', /^\/units$/, { body: {} })
    expect(await outbox.takeInAgain(file)).toBe(3)
    expect([outbox.aside, await left()]).toEqual([[], []])
    server.away = true
    expect(await outbox.takeInAgain(file)).toBe(3)
    expect(await outbox.takeInAgain(file)).toBe(0)
  })
})

describe('a server that came back from an older backup', () => {
  const shop = { settings: {}, people: [{ id: 'p', name: 'P', role: '' }], instruments: [], nextTag: '' }
  const known = async () => {
    const database = await browserDatabase()
    const card = { id: 'c', revision: 2, name: {}, checks: [] }
    const run = {
      id: 'r',
      unit: { id: 'u', tag: 'T', history: 'used' },
      card,
      startedAt: 'then',
      entries: [],
      instruments: [],
    }
    await database.runs.put({ id: 'r', run: run as never })
    await database.copies.put({ key: 'shop', value: shop })
    server.refuse('POST', /entries$/, 404, 'This run is not here.')
  }

  test('gets the run whole, and with it all that waited for it', async () => {
    await known()
    server.on('POST', /^\/shop\/import$/, { body: {} })
    const outbox = put(entry('a'), entry('b'))
    await outbox.settle()
    expect([outbox.aside, await left()]).toEqual([[], []])
    const [sent] = server.of('POST', /^\/shop\/import$/)
    expect(sent?.body).toMatchObject({
      format: 'sure-spool/shop',
      cards: [{ id: 'c' }],
      units: [{ id: 'u', tag: 'T', card: { id: 'c', revision: 2 }, takenInAt: 'then', takenInBy: 'p' }],
      runs: [{ id: 'r', unit: 'u', startedBy: 'p', entries: [{ id: 'a' }, { id: 'b' }] }],
    })
  })

  test('with the part as the queue had it, where that is known', async () => {
    await known()
    server.on('POST', /^\/shop\/import$/, { body: {} })
    const taken = { id: 'u', takenInAt: 'before', takenInBy: 'q', from: 'the harbour', tray: 't' }
    await (await browserDatabase()).copies.put({ key: 'queue', value: { units: [taken] } })
    await put(entry('a')).settle()
    expect(server.of('POST', /^\/shop\/import$/)[0]?.body).toMatchObject({
      units: [{ id: 'u', takenInAt: 'before', takenInBy: 'q', from: 'the harbour', tray: 't' }],
    })
  })

  test('that will not have it, or of which this browser has no copy: it is set aside, and the rest goes on', async () => {
    await known()
    server.refuse('POST', /^\/shop\/import$/, 422, 'cannot be')
    const outbox = put(entry('a'), card('k'))
    await outbox.settle()
    expect(outbox.aside.map(({ id, aside }) => [id, aside])).toEqual([
      ['a', { status: 404, detail: 'This run is not here. Sent whole it was refused too: cannot be' }],
    ])
    expect(server.of('PUT', /^\/cards\//)).toHaveLength(1)
    outbox.put(entry('x', 'elsewhere'))
    await outbox.settle()
    expect(outbox.aside.map(({ id }) => id)).toEqual(['a', 'x'])
  })

  test('is offered it once: what it does not know even then is set aside', async () => {
    await known()
    server.on('POST', /^\/shop\/import$/, { body: {} })
    const outbox = put(entry('a'))
    await outbox.settle()
    await (await browserDatabase()).runs.clear()
    const database = await browserDatabase()
    await database.runs.put({
      id: 'r',
      run: { id: 'r', unit: { id: 'u' }, card: {}, entries: [], instruments: [] } as never,
    })
    await database.outgoing.add(entry('late') as never)
    await outbox.settle()
    expect(server.of('POST', /^\/shop\/import$/)).toHaveLength(2)
    expect(outbox.aside.map(({ id }) => id)).toEqual(['late'])
  })

  test('that is gone again while it is sent: everything waits', async () => {
    await known()
    server.refuse('POST', /^\/shop\/import$/, 503, 'gone')
    const outbox = put(entry('a'))
    await outbox.settle()
    expect([outbox.away, outbox.aside, await left()]).toEqual([true, [], ['a']])
  })
})

test('a unit that another bench was quicker to name is told by both its names', async () => {
  server.on('POST', /^\/units$/, ({ body }) => ({ body: { ...(body as object), tag: 'SQ-2' } }))
  const outbox = useOutbox()
  outbox.put({ id: '1', kind: 'unit', body: { id: '1', tag: 'SQ-1', card: { id: 'c', revision: 1 } } } as Outgoing)
  await outbox.settle()
  expect(outbox.renamed).toEqual([{ from: 'SQ-1', to: 'SQ-2' }])
  outbox.noteRenamed()
  expect(outbox.renamed).toEqual([])
})

test('what a paste carried along and no database keeps is left out before it is jotted', async () => {
  const outbox = put(entry('a', 'r', { words: 'smells\u0007 burnt \ud83d' }))
  await outbox.settle()
  const [sent] = server.of('POST', /entries$/)
  expect(sent?.body).toMatchObject({ entries: [{ words: 'smells burnt ' }] })
})
