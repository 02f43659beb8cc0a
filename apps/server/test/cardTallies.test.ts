import { describe, expect, test } from '@jest/globals'
import type { CardList, CardRecord } from '@sure-spool/contract'
import type { Entry, EntryBody, Run } from '@sure-spool/core'
import { eq } from 'drizzle-orm'
import request from 'supertest'
import { v7 } from 'uuid'
import { importShop, rebuildStates } from '../src'
import { inTransaction } from '../src/database/connect'
import { bringUpToDate } from '../src/database/migrations'
import { cardTallies } from '../src/database/schema'
import { tallyAll } from '../src/repositories/cardTallies'
import { undoLast } from './undoLast'
import { worldOf } from './world'

const world = worldOf('tallies')

const api = () => request(world.app)
const card = '019a0000-1800-7000-8000-000000000018'
const by = () => world.shop.people.find(({ access }) => access !== 'learner')?.id ?? ''
const record = async (query = '') => (await api().get(`/api/v1/cards/${card}/record${query}`)).body as CardRecord
const counts = async () => {
  const { readings: _readings, next: _next, ...rest } = await record()
  return rest
}
const takenIn = async () =>
  ((await api().get('/api/v1/cards?find=18%20twin')).body as CardList).cards.find(({ id }) => id === card)?.units

async function takeIn(): Promise<string> {
  const id = v7()
  const unit = {
    id,
    tag: `T-${id.slice(-6)}`,
    history: 'used',
    complaint: ['none'],
    words: '',
    card: { id: card, revision: 3 },
    takenInAt: '2026-11-25T10:00:00.000Z',
    takenInBy: by(),
  }
  expect((await api().post('/api/v1/units').send(unit)).status).toBe(201)
  return id
}
const start = async (unit: string, minute = 0): Promise<Run> => {
  const startedAt = `2026-11-25T11:${String(minute).padStart(2, '0')}:00.000Z`
  return (await api().post('/api/v1/runs').send({ id: v7(), unit, startedAt, by: by() })).body.run as Run
}
let n = 1
const put = async (run: Pick<Run, 'id'>, ...bodies: EntryBody[]): Promise<Entry[]> => {
  const at = '2026-11-25T12:00:00.000Z'
  const entries = bodies.map((body) => ({ id: v7(), run: run.id, n: n++, at, by: by(), ...body }) as Entry)
  expect((await api().post(`/api/v1/runs/${run.id}/entries`).send({ entries })).status).toBe(200)
  return entries
}
const decide = (what: 'return' | 'replace' | 'exchange' | 'more-tests'): EntryBody => ({
  kind: 'decision',
  what,
  why: 'as read',
})

/** What is counted as it changes is what counting all rows gives. */
async function holds(): Promise<void> {
  const { database } = world.connection
  const rows = () => database.select().from(cardTallies).orderBy(cardTallies.card)
  const counted = await rows()
  await inTransaction(database, tallyAll)
  expect(counted).toEqual(await rows())
}
const since = (before: CardRecord['findings'], now: CardRecord['findings']) =>
  Object.fromEntries(Object.entries(now).map(([word, count]) => [word, count - before[word as keyof typeof before]]))

describe('a card’s tallies', () => {
  test('of a shop’s file are those of its rows', async () => {
    expect(await takenIn()).toBe(world.shop.units.filter((unit) => unit.card.id === card).length)
    expect((await counts()).units).toBeGreaterThan(5)
    await holds()
  })

  test('count a unit as it is taken in, and not again when it is sent again', async () => {
    const before = (await takenIn()) ?? 0
    await takeIn()
    expect(await takenIn()).toBe(before + 1)
    await importShop(world.connection.database, world.shop, null)
    expect(await takenIn()).toBe(before + 1)
    await holds()
  })

  test('count a run while it is closed: open and reopened it counts for nothing', async () => {
    const before = await counts()
    const run = await start(await takeIn())
    await put(run, { kind: 'note', words: 'still open' })
    expect(await counts()).toEqual(before)

    await put(run, decide('replace'))
    const closed = await counts()
    expect(since(before.findings, closed.findings)).toEqual({ 'fault-found': 0, undecided: 1, 'no-fault-found': 0 })
    expect(closed.units).toBe(before.units + 1)

    await put(run, decide('more-tests'))
    expect(await counts()).toEqual(before)
    await put(run, decide('replace'))
    expect(await counts()).toEqual(closed)
    await holds()
  })

  test('count a unit once, however many of its runs are closed, two at the same moment too', async () => {
    const before = await counts()
    const unit = await takeIn()
    const first = await start(unit, 1)
    await put(first, decide('replace'))
    const others = [await start(unit, 2), await start(unit, 3), await start(unit, 4)]
    await Promise.all(others.map((run) => put(run, decide('replace'))))
    const now = await counts()
    expect(now.units).toBe(before.units + 1)
    expect(now.findings.undecided).toBe(before.findings.undecided + 4)
    await holds()
  })

  test('count two units that are closed for the first time at once as two', async () => {
    const before = await counts()
    const runs = await Promise.all(
      [takeIn(), takeIn(), takeIn(), takeIn()].map(async (unit, i) => start(await unit, 10 + i)),
    )
    await Promise.all(runs.map((run) => put(run, decide('replace'))))
    expect((await counts()).units).toBe(before.units + 4)
    await holds()
  })

  test('count what came back, and after a pass by itself; a run that only came back undecided is no such', async () => {
    const before = await counts()
    const run = await start(await takeIn(), 20)
    await put(run, decide('replace'), { kind: 'outcome', what: 'came-back', words: 'dead again' })
    const now = await counts()
    expect(now).toMatchObject({ cameBack: before.cameBack + 1, cameBackAfterPass: before.cameBackAfterPass })
    await holds()
  })

  test('count what came back after it had passed', async () => {
    const passed = world.shop.runs.find(
      (one) =>
        one.card.id === card &&
        one.entries.some((entry) => entry.kind === 'decision' && entry.what === 'return') &&
        one.entries.every(({ kind }) => kind !== 'outcome'),
    )
    if (!passed) throw new Error('none of them was returned and is still out')
    const before = await counts()
    n = 900
    await put(passed, { kind: 'outcome', what: 'came-back', words: 'dead when it is hot' })
    const now = await counts()
    expect(now).toMatchObject({ cameBack: before.cameBack + 1, cameBackAfterPass: before.cameBackAfterPass + 1 })
    expect(now.findings).toEqual(before.findings)
    await holds()
  })

  test('lose nothing that is taken in while a file is', async () => {
    const before = (await takenIn()) ?? 0
    await Promise.all([
      importShop(world.connection.database, world.shop, null),
      ...Array.from({ length: 12 }, () => takeIn()),
    ])
    expect(await takenIn()).toBe(before + 12)
    await holds()
  })

  test('are made from the rows of a shop that was kept before there were any', async () => {
    const before = [await record('?limit=200'), await takenIn()]
    const { pool } = world.connection
    for (const statement of undoLast) await pool.query(statement)
    await bringUpToDate(pool, 'apps/server/drizzle')
    expect([await record('?limit=200'), await takenIn()]).toEqual(before)
    await holds()
  })

  test('are made anew with the states', async () => {
    const before = await counts()
    await world.connection.database
      .update(cardTallies)
      .set({ tested: 4000, undecided: -3 })
      .where(eq(cardTallies.card, card))
    expect((await counts()).units).toBe(4000)
    await rebuildStates(world.connection.database)
    expect(await counts()).toEqual(before)
  }, 60_000)
})

describe('a card’s record', () => {
  test('comes in pages of runs, the newest first, each once and the counts on every page', async () => {
    const whole = await record('?limit=200')
    expect(whole.next).toBeUndefined()
    const pages: CardRecord[] = []
    for (let next: string | undefined = ''; next !== undefined; next = pages.at(-1)?.next)
      pages.push(await record(`?limit=3${next === '' ? '' : `&cursor=${next}`}`))
    expect(pages.length).toBeGreaterThan(3)
    expect(pages.flatMap(({ readings }) => readings)).toEqual(whole.readings)
    expect(new Set(pages.map(({ units }) => units))).toEqual(new Set([whole.units]))
    const runs = Object.values(whole.findings).reduce((sum, one) => sum + one)
    expect((await record(`?limit=${runs}`)).next).toBeUndefined()
    expect((await record(`?limit=${runs - 1}`)).next).toBeDefined()
    for (const { readings } of pages) expect(new Set(readings.map(({ run }) => run)).size).toBeLessThanOrEqual(3)
  })
})
