import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { Audit, ShopView } from '@sure-spool/contract'
import { createConnection, type Connection } from 'mysql2/promise'
import request from 'supertest'
import { v7 } from 'uuid'
import { databaseCode } from '../src/database/codes'
import { recoverOwner } from '../src'
import { Browser, owner, setupCode } from './doorHelp'
import { entryFor, runOf, worldOf } from './world'

const world = worldOf('grants', { house: { house: 'shut', secure: false, setupCode }, ownUser: true })
let driver: Connection
const bench = new Browser(world)
beforeAll(async () => {
  driver = await createConnection(world.url)
}, 60_000)
afterAll(() => driver.end())

describe('the server’s own user of the database', () => {
  const refused = async (sql: string) =>
    driver.query(sql).then(
      () => 'taken',
      (error: unknown) => databaseCode(error),
    )

  test.each(['entries', 'readings', 'findings', 'audit'])(
    'adds to %s, and changes and removes nothing there',
    async (table) => {
      expect(await refused(`DELETE FROM ${table}`)).toBe('ER_TABLEACCESS_DENIED_ERROR')
      expect(await refused(`UPDATE ${table} SET run = NULL`)).toMatch(/ER_(TABLEACCESS|COLUMNACCESS)_DENIED_ERROR/)
      expect(await refused(`TRUNCATE ${table}`)).toBe('ER_TABLEACCESS_DENIED_ERROR')
    },
  )

  test('adds to rewinds and their tapes, and removes nothing there', async () => {
    for (const table of ['rewinds', 'rewind_entries'])
      expect(await refused(`DELETE FROM ${table}`)).toBe('ER_TABLEACCESS_DENIED_ERROR')
    expect(await refused('UPDATE rewind_entries SET n = 0')).toMatch(/ER_(TABLEACCESS|COLUMNACCESS)_DENIED_ERROR/)
  })

  test.each(['runs', 'units', 'people', 'benches', 'seats', 'secrets'])('removes nothing from %s', async (table) => {
    expect(await refused(`DELETE FROM ${table}`)).toBe('ER_TABLEACCESS_DENIED_ERROR')
  })

  test('makes, changes and drops no table', async () => {
    expect(await refused('CREATE TABLE more (id int)')).toBe('ER_TABLEACCESS_DENIED_ERROR')
    expect(await refused('DROP TABLE entries')).toBe('ER_TABLEACCESS_DENIED_ERROR')
    expect(await refused('DROP TRIGGER published_is_not_changed')).toBe('ER_TABLEACCESS_DENIED_ERROR')
    expect(await refused("UPDATE card_revisions SET body = '{}' WHERE state = 'published'")).toBe('ER_SIGNAL_EXCEPTION')
  })

  test('can do all of the work: the first run, taking in, measuring, deciding, writing a card', async () => {
    expect((await bench.comeIn('/door/first', owner)).status).toBe(201)
    const run = runOf(world.shop, 'SQ-0438')
    const by = bench.seat?.person ?? ''
    const note = entryFor(run, { kind: 'note', words: 'seen' }, { by })
    const decision = { ...entryFor(run, { kind: 'decision', what: 'return', why: 'so' }, { by }), n: note.n + 1 }
    expect((await bench.ask('post', `/runs/${run.id}/entries`).send({ entries: [note, decision] })).status).toBe(200)
    const card = { ...world.shop.cards[0], id: run.id, revision: 1, state: 'draft' }
    expect((await bench.ask('put', `/cards/${run.id}/revisions/1`).send({ card, by })).status).toBe(200)
    expect((await bench.ask('delete', `/cards/${run.id}/revisions/1`).query({ by })).status).toBe(200)
    const [unit] = world.shop.units
    const coils = [{ id: 'c1', winding: 'low', label: 'low' }]
    const startedAt = '2026-11-25T10:00:00.000Z'
    const begun = { id: v7(), unit: unit?.id, startedAt, by, coils }
    expect((await bench.ask('post', '/rewinds').send(begun)).status).toBe(201)
    const wound = { id: v7(), rewind: begun.id, n: 1, at: startedAt, by, kind: 'wound', coil: 'c1', turns: 31 }
    expect((await bench.ask('post', `/rewinds/${begun.id}/entries`).send({ entries: [wound] })).status).toBe(200)
    expect((await bench.ask('post', '/shop/import').send(world.shop)).status).toBe(200)
    expect((await request(world.app).get('/readyz')).status).toBe(200)
  })
})

test('a change of habits and of a meter says about what it was, and with what', async () => {
  const by = bench.seat?.person
  const { settings } = (await bench.ask('get', '/shop')).body as ShopView
  const instrument = { ...world.shop.instruments[0], id: 'mz', name: 'Meter Z' }
  await bench.ask('put', '/shop/instruments/mz').send({ instrument, by })
  await bench.ask('delete', '/shop/instruments/mz').query({ by })
  await bench.ask('put', '/shop/settings').send({ settings, by })
  const { lines } = (await bench.ask('get', '/shop/audit?limit=3')).body as Audit
  expect(lines.map(({ what, about, detail }) => [what, about, detail])).toEqual([
    ['settings', settings.name, settings],
    ['meter-off', 'Meter Z', { id: 'mz' }],
    ['meter', 'Meter Z', { id: 'mz' }],
  ])
})

test('a file makes somebody an owner only where an owner takes it in', async () => {
  const shop = (name: string) => ({
    ...world.shop,
    cards: [],
    units: [],
    runs: [],
    people: [{ id: v7(), name, role: 'bench', access: 'owner' }],
  })
  const access = async (browser: Browser, name: string) => {
    expect((await browser.ask('post', '/shop/import').send(shop(name))).status).toBe(200)
    const { people } = (await browser.ask('get', '/shop')).body as ShopView
    return people.find((one) => one.name === name)?.access
  }
  expect(await access(bench, 'Oda Finn')).toBe('owner')
  const tam = '019a0000-0000-7000-8000-0000000000a2'
  await bench.ask('put', `/shop/people/${tam}/secrets`).send({ by: bench.seat?.person, pin: '2580' })
  const other = new Browser(world)
  other.cookie = bench.cookie
  expect(await other.sit(tam, '2580')).toBe(201)
  expect(await access(other, 'Una Finn')).toBe('technician')
})

test('an owner who cannot come in is let in from the machine itself, with all their seats ended', async () => {
  const { name, pin, password } = await recoverOwner(world.connection.database, 'tam reyes-holt')
  expect([name, pin, password]).toEqual(['Tam Reyes-Holt', expect.stringMatching(/^\d{6}$/), expect.any(String)])
  const away = new Browser(world)
  const { status, body } = await away.comeIn('/door/away', { name, password })
  expect(status).toBe(201)
  await recoverOwner(world.connection.database, name)
  expect((await away.ask('get', '/shop')).status).toBe(401)
  expect((await away.comeIn('/door/away', { name, password })).status).toBe(403)
  expect(body.seat.person).toBe('019a0000-0000-7000-8000-0000000000a2')
})
