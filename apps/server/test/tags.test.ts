import { expect, test } from '@jest/globals'
import { tagsInBlock, type ShopView, type TagBlock, type Unit } from '@sure-spool/contract'
import request from 'supertest'
import { v7 } from 'uuid'
import { worldOf } from './world'

const world = worldOf('tags')

const api = () => request(world.app)
const by = () => world.shop.people[0]?.id ?? ''
const reserve = async () => {
  const { status, body } = await api().post('/api/v1/shop/tags').send({ by: by() })
  expect(status).toBe(201)
  return body as TagBlock
}
const nextTag = async () => ((await api().get('/api/v1/shop')).body as ShopView).nextTag
const takeIn = async (tag: string) => {
  const { card } = world.shop.units[0] ?? {}
  const unit = { id: v7(), tag, history: 'used', complaint: ['none'], words: '', card }
  const body = { ...unit, takenInAt: new Date().toISOString(), takenInBy: by() }
  return (await api().post('/api/v1/units').send(body)).body as Unit
}

test('a bench gets numbers behind all there are, the next bench those behind them, and who has none the one behind', async () => {
  const first = Number((await nextTag()).slice('SQ-'.length))
  const block = await reserve()
  expect(block).toEqual({ prefix: 'SQ-', from: first, to: first + tagsInBlock - 1 })
  expect(await reserve()).toMatchObject({ from: block.to + 1, to: block.to + tagsInBlock })
  expect(await nextTag()).toBe(`SQ-0${block.to + tagsInBlock + 1}`)
})

test('forty benches at once: no number is two benches’ own', async () => {
  const blocks = await Promise.all(Array.from({ length: 40 }, reserve))
  const from = blocks.map((one) => one.from).sort((a, b) => a - b)
  expect(new Set(from).size).toBe(40)
  expect(from.every((one, i) => i === 0 || one - (from[i - 1] ?? 0) === tagsInBlock)).toBe(true)
}, 60_000)

test('a bench’s own numbers stay as they are given; a part that must be renamed takes none of them', async () => {
  const { from, to } = await reserve()
  expect((await takeIn(`SQ-0${from}`)).tag).toBe(`SQ-0${from}`)
  expect((await takeIn(`SQ-0${from}`)).tag).toBe(`SQ-0${to + 1}`)
  expect((await takeIn(`SQ-0${from + 1}`)).tag).toBe(`SQ-0${from + 1}`)
})

test('with another prefix numbers begin anew', async () => {
  const { settings } = (await api().get('/api/v1/shop')).body as ShopView
  await api()
    .put('/api/v1/shop/settings')
    .send({ settings: { ...settings, tagPrefix: 'HB-' }, by: by() })
  expect(await reserve()).toEqual({ prefix: 'HB-', from: 1, to: tagsInBlock })
})

test.each([
  ['letters between', 'SQ-99x77'],
  ['a prefix of another writing', 'sq-900001'],
  ['ten digits, which nobody counts', 'SQ-9000000001'],
  ['the prefix behind something', 'old SQ-900002'],
  ['nothing behind the prefix', 'SQ-'],
])('%s: such a tag counts for no next one', async (_what, tag) => {
  const before = await nextTag()
  expect((await takeIn(tag)).tag).toBe(tag)
  expect(await nextTag()).toBe(before)
})

test('a prefix with signs of its own is taken as it is written', async () => {
  const { settings } = (await api().get('/api/v1/shop')).body as ShopView
  const tagged = (tagPrefix: string) =>
    api()
      .put('/api/v1/shop/settings')
      .send({ settings: { ...settings, tagPrefix }, by: by() })
  for (const prefix of ['%_', '(.*)', '🧵é-', '\\\\']) {
    expect((await tagged(prefix)).status).toBe(200)
    await takeIn(`${prefix}0041`)
    expect(await nextTag()).toBe(`${prefix}0042`)
  }
  await tagged(settings.tagPrefix)
})
