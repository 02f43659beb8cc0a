import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { watch } from 'vue'
import type { FakeServer } from '../testing/fakeServer'
import { batchesOf, beginOutbox, begun, card, entry, idsIn, left, put, unit } from '../testing/outgoing'
import { endStores } from '../testing/stores'
import { arrived, until } from '../testing/until'
import { browserDatabase } from './browserDatabase'
import { jot, jotted } from './journal'
import { useOutbox } from './outbox'

let server: FakeServer
beforeEach(async () => {
  server = await beginOutbox()
})
afterEach(async () => {
  await arrived()
  endStores()
})

const batches = () => batchesOf(server)

describe('what was taken here goes up', () => {
  test('it is jotted in the very moment, and waits until the server has it', async () => {
    const outbox = put(entry('a'))
    expect(jotted().map(({ id }) => id)).toEqual(['a'])
    expect(outbox.waiting).toBe(1)
    await until(() => outbox.waiting === 0)
    expect(batches()).toEqual([['a']])
    expect([jotted(), await left()]).toEqual([[], []])
  })

  test('nobody is told that all is kept before it was counted, nor while something is only jotted', async () => {
    jot(entry('left over'))
    const outbox = useOutbox()
    expect(outbox.keeping).toBeUndefined()
    await outbox.begin()
    expect([outbox.keeping, outbox.waiting]).toEqual([0, 0])
    put(entry('a'), entry('b'))
    expect(outbox.keeping).toBe(2)
    await outbox.settle()
    expect(outbox.keeping).toBe(0)
  })

  test('what is put while the waiting is counted is not forgotten by the count', async () => {
    const outbox = useOutbox()
    await outbox.begin()
    const { outgoing } = await browserDatabase()
    const counted = outgoing.toArray.bind(outgoing)
    let puts = 0
    outgoing.toArray = (async () => {
      const all = await counted()
      if (puts++ === 0) put(entry('meanwhile'))
      return all
    }) as typeof outgoing.toArray
    const told: [keeping: number | undefined, jotted: number][] = []
    const stop = watch(
      () => outbox.keeping,
      (keeping) => told.push([keeping, jotted().length]),
      { flush: 'sync' },
    )
    await outbox.settle()
    await until(() => outbox.waiting === 0)
    stop()
    outgoing.toArray = counted
    expect(told[0]).toEqual([1, 1])
    // it is said that all is kept only when nothing is merely jotted
    expect(told.filter(([keeping]) => keeping === 0)).toEqual([[0, 0]])
  })

  test('in the order in which it was made: the card, the unit on it, its run, then its entries together', async () => {
    const outbox = put(card('1'), unit('2', '1'), begun('3', '2'), entry('4', '3'), entry('5', '3'))
    await outbox.settle()
    expect(server.asked.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'PUT /cards/1/revisions/1',
      'POST /units',
      'POST /runs',
      'POST /runs/3/entries',
    ])
    expect(batches()).toEqual([['4', '5']])
  })

  test('entries of one run go together until another run, and never more than a hundred', async () => {
    const many = Array.from({ length: 130 }, (_, i) => entry(`e${i}`))
    const outbox = put(...many, entry('x', 'other'), entry('y'))
    await outbox.settle()
    expect(batches().map((one) => one.length)).toEqual([100, 30, 1, 1])
    expect(server.of('POST', /entries$/).map(({ path }) => path)).toEqual([
      '/runs/r/entries',
      '/runs/r/entries',
      '/runs/other/entries',
      '/runs/r/entries',
    ])
  })

  test('who listens is told what the server made of it, until they stop listening', async () => {
    const outbox = useOutbox()
    const told: string[] = []
    const stop = outbox.onKept(({ run, kept }) => told.push(`${run} ${kept.state.finding}`))
    outbox.put(entry('a'))
    await outbox.settle()
    stop()
    outbox.put(entry('b'))
    await outbox.settle()
    expect(told).toEqual(['r undecided'])
  })

  test('what an earlier tab only jotted goes up when the next one begins', async () => {
    jot(entry('a'))
    const outbox = useOutbox()
    await outbox.begin()
    expect(batches()).toEqual([['a']])
  })

  test('what is put while something is on its way goes up behind it', async () => {
    const outbox = useOutbox()
    server.on('POST', /entries$/, ({ body }) => {
      if (idsIn(body).includes('a')) outbox.put(entry('b'))
      return { body: { count: 1, state: { finding: 'undecided' } } }
    })
    outbox.put(entry('a'))
    await until(async () => batches().length === 2 && (await left()).length === 0)
    expect(batches()).toEqual([['a'], ['b']])
  })
})

describe('while the server is away', () => {
  test('everything stays, nothing is set aside, and it goes up by itself when it is back', async () => {
    server.away = true
    const outbox = put(entry('a'), entry('b'))
    await outbox.settle()
    expect([outbox.away, outbox.waiting, outbox.aside]).toEqual([true, 2, []])
    expect(await left()).toEqual(['a', 'b'])
    server.away = false
    await until(() => outbox.waiting === 0)
    expect(outbox.away).toBe(false)
    expect(batches()).toEqual([['a', 'b']])
  })

  test.each([
    [429, 'a flood'],
    [503, 'a database that is gone'],
  ])('%i, %s, is not final: it waits, and is tried again', async (status) => {
    let times = 0
    server.on('POST', /entries$/, () => {
      times++
      return times === 1
        ? { status, body: { type: 't', title: 't', status, detail: 'later' }, headers: { 'Retry-After': '0' } }
        : { body: { count: 1, state: { finding: 'undecided' } } }
    })
    const outbox = put(entry('a'))
    await outbox.settle()
    expect([outbox.away, outbox.aside]).toEqual([true, []])
    await until(() => outbox.waiting === 0)
    expect(times).toBe(2)
  })

  test('the server’s own word on when to ask again is kept', async () => {
    server.refuse('POST', /entries$/, 429, 'too many', { 'Retry-After': '2' })
    const outbox = put(entry('a'))
    await outbox.settle()
    await arrived(120)
    expect(server.of('POST', /entries$/)).toHaveLength(1)
    expect(outbox.away).toBe(true)
    // it is asked when the browser says that it is on line again
    server.on('POST', /entries$/, { body: { count: 1, state: { finding: 'undecided' } } })
    await outbox.begin()
    window.dispatchEvent(new Event('online'))
    await until(() => outbox.waiting === 0)
  })
})

describe('what the server refuses for good', () => {
  const refusing = (...ids: string[]) =>
    server.on('POST', /entries$/, ({ body }) =>
      idsIn(body).some((id) => ids.includes(id))
        ? { status: 422, body: { type: 't', title: 't', status: 422, detail: 'cannot be' } }
        : { body: { count: 1, state: { finding: 'undecided' } } },
    )

  test('is set aside by itself, and the rest of its batch goes up', async () => {
    refusing('b')
    const outbox = put(entry('a'), entry('b'), entry('c'))
    await outbox.settle()
    expect(outbox.aside.map(({ id, aside }) => [id, aside])).toEqual([['b', { status: 422, detail: 'cannot be' }]])
    expect(outbox.waiting).toBe(0)
    expect(await left()).toEqual(['b'])
    expect(batches()).toEqual([['a', 'b', 'c'], ['a'], ['b'], ['c']])
  })

  test('even where it is the last one, or the only one', async () => {
    refusing('b')
    const outbox = put(entry('a'), entry('b'))
    await outbox.settle()
    expect(await left()).toEqual(['b'])
    outbox.put(entry('c'))
    await outbox.settle()
    expect(outbox.aside.map(({ id }) => id)).toEqual(['b'])
    expect(batches().at(-1)).toEqual(['c'])
  })

  test('takes with it what rests on it, and no more; these are not sent', async () => {
    server.refuse('POST', /^\/units$/, 409, 'the tag is taken')
    const outbox = put(unit('1', 'c'), begun('2', '1'), entry('3', '2'), begun('4', 'else'), entry('5', '4'))
    await outbox.settle()
    expect(outbox.aside.map(({ id, aside }) => [id, aside?.detail])).toEqual([
      ['1', 'the tag is taken'],
      ['2', 'refers to one that was refused'],
      ['3', 'refers to one that was refused'],
    ])
    expect(server.of('POST', /^\/runs$/).map(({ body }) => (body as { id: string }).id)).toEqual(['4'])
    expect(batches()).toEqual([['5']])
  })

  test('a take-back of a reading that was refused is not sent in the same batch either', async () => {
    refusing('a')
    const outbox = put(entry('a'), entry('back', 'r', { kind: 'take-back', entry: 'a', reason: 'x' }), entry('c'))
    await outbox.settle()
    expect(outbox.aside.map(({ id }) => id)).toEqual(['a', 'back'])
    expect(batches().slice(1)).toEqual([['a'], ['c']])
  })
})
