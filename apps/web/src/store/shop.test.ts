import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { nextTick } from 'vue'
import { shopView } from '../testing/atBench'
import { beginBrowser } from '../testing/browser'
import { FakeServer } from '../testing/fakeServer'
import { beginStores, endStores } from '../testing/stores'
import { browserDatabase } from './browserDatabase'
import { useShop } from './shop'

const view = shopView

let server: FakeServer
let page: ReturnType<typeof beginBrowser>
beforeEach(async () => {
  page = beginBrowser()
  await (await browserDatabase()).copies.clear()
  server = new FakeServer().on('GET', /^\/shop$/, { body: view() })
  beginStores()
})
afterEach(endStores)

test('the shop is what the server says, and what it last said while that is away', async () => {
  const shop = useShop()
  expect([shop.known, shop.person]).toEqual([false, undefined])
  await shop.load()
  expect([shop.known, shop.settings.name, shop.nextTag]).toEqual([true, 'Bench', 'B-0001'])
  server.away = true
  beginStores()
  const again = useShop()
  await again.load()
  expect([again.known, again.settings.name]).toEqual([true, 'Bench'])
})

test('what the server answers to a change is in force at once and kept', async () => {
  await useShop().take(view({ nextTag: 'B-0002' }))
  server.away = true
  beginStores()
  const again = useShop()
  await again.load()
  expect(again.nextTag).toBe('B-0002')
})

test('units are the shop’s, or metres and °C', async () => {
  const shop = useShop()
  const plain = shop.units
  await shop.take(view({ settings: { ...view().settings, units: { ...plain, temperature: 'fahrenheit' } as never } }))
  expect(shop.units).not.toEqual(plain)
})

describe('who is at the bench', () => {
  test('is the first, until another steps up; behind the last comes the first', async () => {
    const shop = useShop()
    await shop.load()
    const order = [0, 1, 2, 3].map(() => {
      const id = shop.person?.id
      shop.nextPerson()
      return id
    })
    expect(order).toEqual(['a', 'b', 'c', 'a'])
  })

  test('who is gone is at the bench no longer: it is the first again', async () => {
    const shop = useShop()
    await shop.load()
    shop.choosePerson('b')
    expect(shop.person?.id).toBe('b')
    await shop.take(view({ people: view().people.filter(({ id }) => id !== 'b') }))
    expect(shop.person?.id).toBe('a')
  })

  test('with nobody in the shop nobody steps up', () => {
    const shop = useShop()
    shop.nextPerson()
    expect(shop.person).toBeUndefined()
  })
})

test('the light is what the system prefers, as that turns, until somebody chooses', async () => {
  const shop = useShop()
  const painted = async () => (await nextTick(), page.documentElement.dataset['theme'])
  expect([shop.theme, await painted()]).toEqual(['light', 'light'])
  page.system.dark(true)
  expect(await painted()).toBe('dark')
  shop.turnTheme()
  expect(await painted()).toBe('light')
  shop.turnTheme()
  page.system.dark(false)
  expect(await painted()).toBe('dark')
})
