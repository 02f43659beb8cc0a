import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { shopView } from '../testing/atBench'
import { beginBrowser } from '../testing/browser'
import { FakeServer } from '../testing/fakeServer'
import { beginStores, endStores } from '../testing/stores'
import { browserDatabase } from './browserDatabase'
import { useShop } from './shop'

let server: FakeServer
beforeEach(async () => {
  beginBrowser()
  await (await browserDatabase()).copies.clear()
  server = new FakeServer()
  beginStores()
})
afterEach(endStores)

/** A shop whose server gives this browser the numbers from 11 on, so many at a time. */
async function shopWith(many: number, changes: Parameters<typeof shopView>[0] = {}) {
  let from = 11
  server.on('GET', /^\/shop$/, { body: shopView(changes) }).on('POST', /^\/shop\/tags$/, () => {
    const block = { prefix: 'B-', from, to: from + many - 1 }
    from += many + 100
    return { status: 201, body: block }
  })
  const shop = useShop()
  await shop.load()
  return shop
}
const asked = () => server.of('POST', /tags/).length
const give = (shop: ReturnType<typeof useShop>, count: number) =>
  Array.from({ length: count }, () => {
    const tag = shop.nextTag
    shop.tagGiven(tag)
    return tag
  })

test('a bench gives its own numbers, also while the server is away', async () => {
  const shop = await shopWith(10)
  expect(asked()).toBe(1)
  server.away = true
  expect(give(shop, 10)).toEqual(['11', '12', '13', '14', '15', '16', '17', '18', '19', '20'].map((n) => `B-00${n}`))
  // all are given: what follows is a guess, and goes on behind them
  expect(give(shop, 2)).toEqual(['B-0021', 'B-0022'])
})

test('more are asked for as soon as few are left, and go on with the numbers the server gave', async () => {
  const shop = await shopWith(10)
  give(shop, 5)
  expect(asked()).toBe(1)
  give(shop, 1)
  await new Promise((done) => setTimeout(done, 20))
  expect(asked()).toBe(2)
  expect(give(shop, 5)).toEqual(['B-0017', 'B-0018', 'B-0019', 'B-0020', 'B-0121'])
})

test('a tag that somebody typed takes none of them', async () => {
  const shop = await shopWith(10)
  shop.tagGiven('X-7')
  shop.tagGiven('B-0013')
  expect(shop.nextTag).toBe('B-0011')
})

test('with another prefix the old numbers are not given', async () => {
  const shop = await shopWith(10)
  await shop.take(shopView({ settings: { ...shopView().settings, tagPrefix: 'H-' }, nextTag: 'H-0003' }))
  expect(give(shop, 2)).toEqual(['H-0003', 'H-0004'])
})

test('who only reads asks for none; without any the tag is the server’s guess', async () => {
  const shop = await shopWith(10, { people: [{ id: 'a', name: 'A', role: 'owner', access: 'reader' }] })
  expect([asked(), shop.nextTag]).toEqual([0, 'B-0001'])
})

test('a server that gives none leaves the guess', async () => {
  server.on('GET', /^\/shop$/, { body: shopView() }).refuse('POST', /tags/, 429)
  const shop = useShop()
  await shop.load()
  expect(give(shop, 2)).toEqual(['B-0001', 'B-0002'])
})
