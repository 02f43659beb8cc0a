import { describe, expect, test } from '@jest/globals'
import type { CardList } from '@sure-spool/contract'
import request from 'supertest'
import { createApp } from '../src'
import { cardHelp, names } from './cardHelp'
import { worldOf } from './world'

const world = worldOf('find_cards')
const { draft, write, publish, find } = cardHelp(world)

describe('finding a card', () => {
  test('by maker and model, spelling tolerated, kind, part number with and without its dash', async () => {
    expect(names(await find({ find: 'orrinvale 18' }))[0]).toBe('Orrinvale 18 twin')
    expect(names(await find({ find: 'orinvale twin' }))[0]).toContain('twin')
    expect(names(await find({ find: 'compressor' })).every((name) => name.startsWith('Brindlecote'))).toBe(true)
    expect(names(await find({ find: '181140' }))).toEqual(['Orrinvale 18 twin'])
    expect(names(await find({ find: '18-1140' }))[0]).toBe('Orrinvale 18 twin')
  })

  test('by the wires in its plug and the number of cavities', async () => {
    expect(names(await find({ find: 'violet/white 6 pin' }))).toEqual(['Orrinvale 18 twin'])
    expect(names(await find({ find: '6-way' }))).toContain('Orrinvale 18 twin')
  })

  test('a wire is one of the card or is not: a wrong one narrows to nothing before it is loosened', async () => {
    const six = names(await find({ find: 'violet/white 6 way' }))
    expect(six).toEqual(['Orrinvale 18 twin'])
    expect(names(await find({ find: 'orrinvale violet/white' }))).toContain('Orrinvale 18 twin')
    const none = await find({ find: 'orrinvale pink/brown' })
    expect(none.loosely).toBe(true)
    expect((await find({ find: 'pink/brown 39 way' })).loosely).toBe(true)
    expect((await find({ find: '39 way' })).cards).toEqual([])
  })

  test('a revision with another wire is found by it, and no longer by the old one', async () => {
    const card = draft({ name: { maker: 'Fernhollow', model: 'other loom', partNumbers: [], fits: [] } })
    const first = await write(card)
    await publish(card, first.body.hash)
    expect(names(await find({ find: 'fernhollow violet/white' }))).toEqual(['Fernhollow other loom'])
    const next = structuredClone({ ...card, revision: 2 })
    const violet = next.terminals.find((one) => one.wire?.tracer === 'white')
    if (!violet) throw new Error('the twin has a violet wire with a white tracer')
    Object.assign(violet, { label: 'green/red', wire: { base: 'green', tracer: 'red' } })
    const second = await write(next)
    await publish(next, second.body.hash)
    expect(names(await find({ find: 'fernhollow green/red' }))).toEqual(['Fernhollow other loom'])
    expect((await find({ find: 'fernhollow violet/white' })).loosely).toBe(true)
  })

  test('words that no card holds all of find those that hold some, and it is said', async () => {
    const list = await find({ find: 'duskwater compressor' })
    expect(list.loosely).toBe(true)
    expect(names(list).length).toBeGreaterThan(1)
    expect(await find({ find: 'qqqqzz' })).toEqual({ cards: [] })
  })

  test('by what was measured, ranked, with what is off and what is missing', async () => {
    const list = await find({ read: 'about 318 and 36, both open to frame' })
    expect(names(list)[0]).toBe('Orrinvale 18 twin')
    expect(list.cards[0]?.fit).toMatchObject({ missing: [], openMissing: false })
    expect(list.cards[0]?.fit?.matches.map((one) => one.check)).toEqual(['low', 'high'])
    const comma = await find({ read: '0,62 xyz', comma: 'true' })
    expect(names(comma)[0]).toContain('60')
  })

  test('within a family, and page by page without a repeat', async () => {
    const all = await find({ limit: '200' })
    const first = await find({ limit: '10' })
    const second = await find({ limit: '10', cursor: first.next ?? '' })
    expect(names(second)).toEqual(names(all).slice(10, 20))
    const relays = await find({ family: 'relay' })
    expect(relays.cards.every((card) => card.family === 'relay')).toBe(true)
    expect(relays.cards.length).toBeGreaterThan(1)
  })

  test('a card published by one server is found by another at once', async () => {
    const other = createApp({
      database: world.connection.database,
      heavy: world.heavy,
      version: 'test',
      house: { house: 'open' },
    })
    await request(other).get('/api/v1/cards').query({ find: 'nettlebrook' })
    const card = draft({ name: { maker: 'Nettlebrook', model: 'NB-1', partNumbers: [], fits: [] } })
    const { hash } = (await write(card)).body
    expect(names(await find({ find: 'nettlebrook' }))).toEqual([])
    expect((await publish(card, hash)).status).toBe(200)
    expect(names(await find({ find: 'nettlebrook' }))).toEqual(['Nettlebrook NB-1'])
    const there = (await request(other).get('/api/v1/cards').query({ find: 'nettlebrook' })).body as CardList
    expect(names(there)).toEqual(['Nettlebrook NB-1'])
  })
})
