import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { RewindView } from '@sure-spool/contract'
import type { Coil, RewindBody, RewindEntry } from '@sure-spool/core'
import { sit } from '../testing/atBench'
import type { FakeServer } from '../testing/fakeServer'
import { beginOutbox, left } from '../testing/outgoing'
import { beginStores, endStores } from '../testing/stores'
import { arrived } from '../testing/until'
import { forgetCopy } from './browserDatabase'
import { useOutbox } from './outbox'
import { useRewind } from './rewind'

let server: FakeServer
beforeEach(async () => {
  server = (await beginOutbox())
    .on('POST', /^\/rewinds$/, { body: {} })
    .on('POST', /^\/rewinds\/.*\/entries$/, { body: { kept: [], count: 1 } })
  await sit(server, 'technician')
})
afterEach(async () => {
  await arrived()
  endStores()
})

const unit = { id: 'u', tag: 'T-1', card: 'c', model: 'M' }
const coils: Coil[] = [{ id: 'c1', winding: 'low', label: 'low' }]
const begin = () => useRewind().begin(unit, undefined, coils)
const turns = (count: number): RewindBody => ({ kind: 'original', coil: 'c1', facts: { turns: count } })
const words = () => useRewind().rewind?.entries.map(({ kind }) => kind)
/** Another tab, or this one opened again: nothing but what the browser keeps. */
async function openAgain(id: string): Promise<void> {
  await useOutbox().settle()
  endStores()
  beginStores()
  await sit(server, 'technician')
  await useRewind().open(id)
}

describe('a rewind', () => {
  test('is begun, gone on with, and sent in its order', async () => {
    const id = await begin()
    useRewind().add(turns(31))
    useRewind().add({ kind: 'note', words: 'burnt at the core' })
    expect(useRewind().state?.coils[0]?.original.turns).toBe(31)
    expect(useRewind().lastEntry?.kind).toBe('note')
    await useOutbox().settle()
    expect(server.of('POST', /rewinds/).map(({ path }) => path)).toEqual([
      '/rewinds',
      `/rewinds/${id}/entries`,
      `/rewinds/${id}/entries`,
    ])
    expect(server.of('POST', /^\/rewinds$/)[0]?.body).toMatchObject({ id, unit: 'u', by: 'p', coils })
    expect(await left()).toEqual([])
  })

  test('is begun while the server is away, and opened again with all that was entered', async () => {
    server.away = true
    const id = await begin()
    useRewind().add(turns(31))
    await openAgain(id)
    expect([words(), useRewind().missing]).toEqual([['original'], ''])
    expect(useRewind().unit).toEqual(unit)
  })

  test('is opened with what another bench has added, and keeps what waits here', async () => {
    const id = await begin()
    await useOutbox().settle()
    const { rewind } = useRewind()
    if (!rewind) throw new Error('nothing was begun')
    const theirs = { id: 'e1', rewind: id, n: 1, at: rewind.startedAt, by: 'q', kind: 'note', words: 'theirs' }
    const view: RewindView = { rewind: { ...rewind, entries: [theirs as RewindEntry] }, unit }
    server.on('GET', new RegExp(`^/rewinds/${id}$`), { body: view })
    server.refuse('POST', /entries$/, 503)
    useRewind().add(turns(31))
    await openAgain(id)
    expect(words()?.toSorted()).toEqual(['note', 'original'])
  })

  test('what the server refused does not come back as if it waited', async () => {
    const id = await begin()
    await useOutbox().settle()
    const { rewind } = useRewind()
    server.on('GET', new RegExp(`^/rewinds/${id}$`), { body: { rewind, unit } })
    server.refuse('POST', /entries$/, 422, 'names a coil that it does not have')
    useRewind().add(turns(31))
    await useOutbox().settle()
    expect(useOutbox().aside).toMatchObject([{ kind: 'rewind-entry', aside: { status: 422 } }])
    // what this browser keeps of it is let go: only the server and what waits are asked
    await forgetCopy(`rewind ${id}`)
    await openAgain(id)
    expect(words()).toEqual([])
  })

  test('what was taken back is not the last entry any more', async () => {
    await begin()
    useRewind().add(turns(31))
    useRewind().add({ kind: 'note', words: 'x' })
    const last = useRewind().lastEntry
    useRewind().add({ kind: 'take-back', entry: last?.id ?? '', reason: 'undone' })
    expect(useRewind().lastEntry?.kind).toBe('original')
  })

  test('who only reads begins none and adds nothing', async () => {
    const id = await begin()
    await sit(server, 'reader')
    await expect(begin()).rejects.toThrow('only reads')
    useRewind().add(turns(31))
    expect([useRewind().rewind?.id, words()]).toEqual([id, []])
  })

  test.each([
    ['the server does not know', false, 'not there'],
    ['was never opened here, and the server is away', true, 'never opened on this browser'],
  ])('one that %s says so', async (_what, away, said) => {
    server.away = away
    await useRewind().open('01a22a06-0000-7000-8000-000000000000')
    expect(useRewind().missing).toContain(said)
    expect(useRewind().rewind).toBeUndefined()
  })
})
