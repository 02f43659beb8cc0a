import { describe, expect, test } from '@jest/globals'
import { runState, summarise, type Entry, type Run } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import { eq } from 'drizzle-orm'
import { databaseCode } from '../src/database/codes'
import { inOneTrip } from '../src/database/connect'
import { appending } from '../src/repositories/runs'
import { checkStates, units } from '../src/database/schema'
import { keepJudged } from '../src/services/keepJudged'
import { readingsCsv } from '../src/services/readingsCsv'
import { Script, twinCard, valveCard } from '@sure-spool/core/testing'
import { entryFor, reading, runOf, worldOf } from './world'

const world = worldOf('memory')

const open = () => runOf(world.shop, 'SQ-0438')
const post = (entries: unknown[]) => request(world.app).post(`/api/v1/runs/${open().id}/entries`).send({ entries })
const view = async () =>
  (await request(world.app).get(`/api/v1/runs/${open().id}`)).body as { run: Run; state: unknown }

describe('a run that the server remembers', () => {
  test('answers as the database would, though another server wrote in between', async () => {
    const first = entryFor(open(), reading('source', '350', 350))
    expect((await post([first])).status).toBe(200)
    const elsewhere: Entry & { receivedAt: string } = {
      ...entryFor(open(), reading('source', '12', 12)),
      n: first.n + 1,
      receivedAt: '2026-11-24T15:00:01.000Z',
    }
    const { database } = world.connection
    await inOneTrip(database, appending([elsewhere]))
    const last = { ...entryFor(open(), reading('source', '351', 351)), n: first.n + 2 }
    expect((await post([last])).body.count).toBe((await view()).run.entries.length)
    const { run, state } = await view()
    expect(run.entries.slice(-3).map((entry) => entry.id)).toEqual([first.id, elsewhere.id, last.id])
    expect(state).toEqual(JSON.parse(JSON.stringify(summarise(runState(run)))))
  })

  test('is not ahead of the database when a batch was refused', async () => {
    const before = await view()
    const good = { ...entryFor(open(), reading('source', '349', 349)), n: 400 }
    const stranger = { ...entryFor(open(), reading('source', '348', 348)), n: 401, by: v7() }
    expect((await post([good, stranger])).status).toBe(422)
    expect((await view()).run.entries).toHaveLength(before.run.entries.length)
    expect((await post([good])).body.kept).toMatchObject([{ id: good.id, repeated: false }])
    expect((await view()).run.entries.at(-1)?.id).toBe(good.id)
  })

  test('keeps one of two batches that were judged at once, and judges the other again on top of it', async () => {
    const before = await view()
    const entries = Array.from({ length: 8 }, (_, i) => ({
      ...entryFor(open(), reading('source', String(340 + i), 340 + i)),
      n: 410 + i,
    }))
    const answers = await Promise.all(entries.map((entry) => post([entry])))
    expect(answers.map(({ status }) => status)).toEqual(entries.map(() => 200))
    const counts = answers.map(({ body }) => body.count as number).sort((a, b) => a - b)
    expect(counts).toEqual(entries.map((_, i) => before.run.entries.length + i + 1))
    const { run, state } = await view()
    expect(run.entries).toHaveLength(before.run.entries.length + 8)
    expect(state).toEqual(JSON.parse(JSON.stringify(summarise(runState(structuredClone(run))))))
  })

  test('keeps nothing of a batch whose second entry is of another run', async () => {
    const theirs = world.shop.runs.find(({ id }) => id !== open().id)?.entries[0]?.id ?? ''
    const before = await view()
    const good = { ...entryFor(open(), reading('source', '349', 349)), n: 430 }
    const taken = { ...entryFor(open(), reading('source', '347', 347)), id: theirs, n: 431 }
    expect((await post([good, taken])).status).toBe(409)
    expect(await view()).toEqual(before)
    expect((await post([good])).body.count).toBe(before.run.entries.length + 1)
  })

  test('keeps words that would be something else in a statement, to the letter', async () => {
    const words = String.raw`why? 5 ?? "a" 'b' \' ; commit; -- /* :x ${'`'}y${'`'} \n %s é 💡 ${'\t'}end`
    const note = { ...entryFor(open(), reading('source', '350', 350)), n: 440, kind: 'note', words }
    const { check: _check, reading: _reading, ...entry } = note as Record<string, unknown>
    expect((await post([entry])).status).toBe(200)
    expect((await view()).run.entries.at(-1)).toMatchObject({ kind: 'note', words })
    expect((await post([entry])).body.kept).toMatchObject([{ repeated: true }])
  })

  test('gives the same verdicts as its document judged from nothing, entry after entry', async () => {
    const card = await view()
    let n = 500
    for (const value of [348, 20, 351, 352]) {
      const kept = await post([{ ...entryFor(open(), reading('source', String(value), value)), n: n++ }])
      const { run } = await view()
      expect(kept.body.state).toEqual(JSON.parse(JSON.stringify(summarise(runState(structuredClone(run))))))
    }
    expect((await view()).run.entries).toHaveLength(card.run.entries.length + 4)
  })
})

describe('what is sent in one trip', () => {
  const rowsOf = async () => {
    const { database } = world.connection
    const rows = await database.select().from(checkStates).where(eq(checkStates.run, open().id))
    return rows.sort((a, b) => a.check.localeCompare(b.check))
  }

  test('leaves of each check what a rebuild makes, though only what changed is written', async () => {
    for (const [n, value] of [9, 350].entries())
      await post([{ ...entryFor(open(), reading('source', String(value), value)), n: 600 + n }])
    const written = await rowsOf()
    expect(written.length).toBeGreaterThan(2)
    const { run } = await view()
    await keepJudged(world.connection.database, runState(structuredClone(run)))
    expect(await rowsOf()).toEqual(written)
  })

  test.each([
    ['a tag', { tag: 'SQ-9438' }],
    ['words', { words: 'came with a new plug' }],
    ['a complaint', { complaint: ['no-spark'] }],
    ['a serial number', { serial: 'T-77' }],
    ['its tag in small letters', { tag: 'sq-0438' }],
    ['a blank behind its tag', { tag: 'SQ-0438 ' }],
  ])('a unit that got %s meanwhile is read as it is', async (_, change) => {
    await view()
    const { database } = world.connection
    const { unit } = (await view()).run
    const [before] = await database.select().from(units).where(eq(units.id, unit.id))
    await database.update(units).set(change).where(eq(units.id, unit.id))
    const next = { ...entryFor(open(), reading('source', '350', 350)), n: 1000 + (await view()).run.entries.length }
    expect((await post([next])).status).toBe(200)
    expect((await view()).run.unit).toMatchObject(change)
    await database
      .update(units)
      .set(before ?? {})
      .where(eq(units.id, unit.id))
    expect((await view()).run.unit).toEqual(unit)
  })

  test('the first change that fails ends them, and fails as it would alone', async () => {
    const { database } = world.connection
    const entry = (n: number) => ({
      ...entryFor(open(), reading('source', '350', 350)),
      n,
      receivedAt: '2026-11-24T15:00:01.000Z',
    })
    const [one, other] = [entry(700), entry(701)]
    const failing = database.transaction((queries) =>
      inOneTrip(
        queries,
        [one, one, other].flatMap((each) => appending([each])),
      ),
    )
    expect(databaseCode(await failing.catch((error: unknown) => error))).toBe('ER_DUP_ENTRY')
    const { run } = await view()
    expect(run.entries.some(({ id }) => id === one.id || id === other.id)).toBe(false)
    await expect(inOneTrip(database, [])).resolves.toBeUndefined()
  })
})

describe('readings as CSV', () => {
  const rows = (script: Script) => readingsCsv(script.run).split('\r\n')

  test('one row a reading, the unit in the header, what is out of use named', () => {
    const [head, ...all] = rows(new Script(twinCard()).ready().read('low', '322').again('low', '321'))
    expect(head).toContain('net of leads (SI)')
    expect(all).toHaveLength(2)
    expect(all[0]).toMatch(/,retaken$/)
    expect(all[1]).toMatch(/,within,.*,20,$/)
  })

  test('a cell that a spreadsheet would run is defused', () => {
    const script = new Script(twinCard(), { unit: { tag: '=HYPERLINK("x")' } }).ready().read('low', '-322')
    const [, row = ''] = rows(script)
    expect(row).toContain(`"'=HYPERLINK(""x"")"`)
    expect(row).toContain(`'-322`)
  })

  test('an over-range and an insulation reading carry their bound and their verdict', () => {
    const [, open, shell] = rows(
      new Script(valveCard())
        .ready()
        .read('coil', 'OL 20M')
        .read('shell', '512V 310M', { pair: ['1', 'frame'] }),
    )
    expect(open).toContain('outside,open-circuit')
    expect(shell).toContain('within,insulation-holds')
  })
})
