import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { runState, summarise, type Entry, type Run } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import { appendEntries } from '../src/repositories/runs'
import { readingsCsv } from '../src/services/readingsCsv'
import { Script, twinCard, valveCard } from '@sure-spool/core/testing'
import { begin, entryFor, reading, runOf, type World } from './world'

let world: World
beforeAll(async () => {
  world = await begin('memory')
}, 60_000)
afterAll(() => world.end())

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
    await appendEntries(world.connection.database, [elsewhere])
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
