import { beforeEach, describe, expect, test } from '@jest/globals'
import { beginBrowser } from '../testing/browser'
import { FakeServer } from '../testing/fakeServer'
import { ask, Away, isFinal, Refused } from './api'
import { follow } from './follow'
import { followingTag } from './followingTag'

let server: FakeServer
let seen: RequestInit[] = []
beforeEach(() => {
  beginBrowser()
  server = new FakeServer().on('GET', /./, { body: { fine: true } }).on('POST', /./, { body: {} })
  seen = []
  const answer = globalThis.fetch
  globalThis.fetch = ((url: string, init: RequestInit = {}) => {
    seen.push(init)
    return answer(url, init)
  }) as typeof fetch
})
const failing = (promise: Promise<unknown>) =>
  promise.then(
    () => undefined,
    (error: unknown) => error,
  )

describe('a question to the server', () => {
  test('is JSON both ways, a file goes as it is, nothing goes with nothing', async () => {
    expect(await ask('/shop')).toEqual({ fine: true })
    await ask('/x', { method: 'POST', body: { a: 1 } })
    await ask('/x', { method: 'POST', file: { bytes: new Uint8Array([1]), type: 'text/csv' } })
    await ask('/x', { method: 'POST' })
    expect(seen.map(({ body }) => body)).toEqual([undefined, '{"a":1}', new Uint8Array([1]), undefined])
    expect(seen.map(({ headers }) => (headers as Record<string, string>)['Content-Type'])).toEqual([
      undefined,
      'application/json',
      'text/csv',
      undefined,
    ])
  })

  test.each([400, 404, 409, 413, 422])('refused with %i it says why', async (status) => {
    server.refuse('GET', /./, status, 'because')
    const error = await failing(ask('/x'))
    expect(error).toBeInstanceOf(Refused)
    expect(error).toMatchObject({ status, message: 'because' })
    expect(isFinal(error)).toBe(true)
  })

  test.each([429, 500, 503])('with %i it is away, and nothing is final', async (status) => {
    server.refuse('GET', /./, status, 'later')
    const error = await failing(ask('/x'))
    expect(error).toBeInstanceOf(Away)
    expect(error).toMatchObject({ message: 'later', retryAfterMs: 0 })
    expect(isFinal(error)).toBe(false)
  })

  test('that nobody answers, or that a page in between answers, is away', async () => {
    server.away = true
    expect(await failing(ask('/x'))).toBeInstanceOf(Away)
    globalThis.fetch = (() => Promise.resolve(new Response('<html>', { status: 404 }))) as typeof fetch
    expect(await failing(ask('/x'))).toMatchObject({ message: 'The server answered 404.' })
  })

  test.each([
    ['2', 2000, 2000],
    ['600', 60_000, 60_000],
    [new Date(Date.now() + 20_000).toUTCString(), 10_000, 20_000],
    [new Date(Date.now() - 20_000).toUTCString(), 0, 0],
    ['soon', 0, 0],
  ])('says how long it asked to be left alone: %s', async (said, least, most) => {
    server.refuse('GET', /./, 429, 'later', { 'Retry-After': said })
    const { retryAfterMs } = (await failing(ask('/x'))) as Away
    expect(retryAfterMs).toBeGreaterThanOrEqual(least)
    expect(retryAfterMs).toBeLessThanOrEqual(most)
  })

  test('can be called off', async () => {
    const controller = new AbortController()
    globalThis.fetch = ((_url: string, init: RequestInit) =>
      new Promise((_resolve, reject) =>
        init.signal?.addEventListener('abort', () => reject(new Error('called off'))),
      )) as typeof fetch
    const asked = failing(ask('/x', undefined, controller.signal))
    controller.abort()
    expect(await asked).toMatchObject({ message: 'called off' })
  })
})

describe('long work', () => {
  const told: number[][] = []
  const followed = () =>
    follow('/x', { method: 'POST' }, { told: (...how) => void told.push(how), signal: new AbortController().signal })
  const answering = (...pieces: string[]) => {
    told.length = 0
    globalThis.fetch = (() =>
      Promise.resolve(
        new Response(
          new ReadableStream<Uint8Array>({
            start(controller) {
              for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece))
              controller.close()
            },
          }),
        ),
      )) as typeof fetch
  }

  test('tells how far it is, and ends in its result, wherever its lines are cut', async () => {
    answering('{"done":1,"of":3}\n{"do', 'ne":2,"of":3}\n', '{"result":{"kept":3}}\n')
    expect(await followed()).toEqual({ kept: 3 })
    expect(told).toEqual([
      [1, 3],
      [2, 3],
    ])
  })

  test('refused in the middle it says why', async () => {
    answering('{"done":1,"of":3}\n{"problem":{"status":409,"detail":"changed since"}}\n')
    expect(await failing(followed())).toMatchObject({ status: 409, message: 'changed since' })
  })

  test('broken off before its end it is away', async () => {
    answering('{"done":1,"of":3}\n{"resu')
    expect(await failing(followed())).toMatchObject({ message: 'The connection broke off before it was done.' })
  })
})

test.each([
  ['SQ-0009', 'SQ-0010'],
  ['SQ-0999', 'SQ-1000'],
  ['99', '100'],
  ['boat', 'boat-2'],
  ['7b', '7b-2'],
])('behind the tag %s comes %s', (tag, next) => expect(followingTag(tag)).toBe(next))
