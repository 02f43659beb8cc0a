import { describe, expect, test } from '@jest/globals'
import type { CardRecord, ShopView, UnitRuns } from '@sure-spool/contract'
import { typedReading, type EntryBody, type Instrument, type Run } from '@sure-spool/core'
import request from 'supertest'
import { v7 } from 'uuid'
import { entryFor, reading, worldOf } from './world'

const world = worldOf('shop')

const api = () => request(world.app)
const by = () => world.shop.people[0]?.id ?? ''
const shop = async () => (await api().get('/api/v1/shop')).body as ShopView
const newUnit = (changes: object = {}) => ({
  id: v7(),
  tag: `N-${v7().slice(-6)}`,
  history: 'used',
  complaint: ['none'],
  words: '',
  card: { id: '019a0000-1800-7000-8000-000000000018', revision: 3 },
  takenInAt: '2026-11-25T10:00:00.000Z',
  takenInBy: by(),
  ...changes,
})
const takeIn = async (changes: object = {}) => {
  const unit = newUnit(changes)
  expect((await api().post('/api/v1/units').send(unit)).status).toBe(201)
  return unit
}
const start = async (unit: string, startedAt: string) =>
  (await api().post('/api/v1/runs').send({ id: v7(), unit, startedAt, by: by() })).body.run as Run

describe('kit and habits', () => {
  test('a habit is in force for the next run at once; a run begun keeps its own', async () => {
    const before = await start((await takeIn()).id, '2026-11-25T11:00:00.000Z')
    const { settings } = await shop()
    const answer = await api()
      .put('/api/v1/shop/settings')
      .send({ settings: { ...settings, rule: 'simple', decimalComma: true }, by: by() })
    expect(answer.body.settings).toMatchObject({ rule: 'simple', decimalComma: true })
    expect((await start((await takeIn()).id, '2026-11-25T11:05:00.000Z')).rule).toBe('simple')
    expect((await api().get(`/api/v1/runs/${before.id}`)).body.run.rule).toBe('guarded')
    await api().put('/api/v1/shop/settings').send({ settings, by: by() })
  })

  test('a meter changed or taken off stays what it was in the runs it read, through export and import too', async () => {
    const [meter] = (await shop()).instruments as Instrument[]
    if (!meter) throw new Error('the demo shop has meters')
    const run = await start((await takeIn()).id, '2026-11-25T12:00:00.000Z')
    const changed = { ...meter, zero: 'subtract', dueOn: '2027-03-02', name: 'Renamed' }
    const put = await api().put(`/api/v1/shop/instruments/${meter.id}`).send({ instrument: changed, by: by() })
    expect(put.body.instruments[0]).toEqual(changed)
    expect((await api().get(`/api/v1/runs/${run.id}`)).body.run.instruments[0]).toEqual(meter)
    const exported = (await api().get('/api/v1/shop/export')).body
    const carried = exported.runs.find((one: { id: string }) => one.id === run.id).instruments
    expect(carried).toContainEqual(meter)
    const off = await api().delete(`/api/v1/shop/instruments/${meter.id}`).query({ by: by() })
    expect((off.body.instruments as Instrument[]).map((one) => one.id)).not.toContain(meter.id)
    expect((await api().get(`/api/v1/runs/${run.id}`)).body.run.instruments[0]).toEqual(meter)
    await api().put(`/api/v1/shop/instruments/${meter.id}`).send({ instrument: meter, by: by() })
  })

  test('a bad meter, another address and a stranger are refused', async () => {
    const [meter] = (await shop()).instruments
    const put = (id: string, instrument: unknown, who = by()) =>
      api().put(`/api/v1/shop/instruments/${id}`).send({ instrument, by: who })
    expect((await put('x', meter)).status).toBe(422)
    expect((await put(meter?.id ?? '', meter, v7())).status).toBe(422)
    const upside = { ...meter, functions: [{ quantity: 'resistance', ranges: [{ fullScale: 0, resolution: 1 }] }] }
    expect((await put(meter?.id ?? '', upside)).body.errors[0].path).toContain('fullScale')
    expect((await api().delete('/api/v1/shop/instruments/none').query({ by: by() })).status).toBe(404)
  })

  test('a person is entered, renamed, and may then stand on a tape', async () => {
    const person = { id: v7(), name: 'Ada Frith', role: 'learning', access: 'learner' }
    const put = (body: object, id = person.id) => api().put(`/api/v1/shop/people/${id}`).send(body)
    expect((await put({ person, by: by() })).body.people).toContainEqual(person)
    const { access: _access, ...renamed } = { ...person, name: 'Ada Frith-Moss' }
    expect((await put({ person: renamed, by: person.id })).status).toBe(403)
    expect((await put({ person: renamed, by: by() })).body.people).toContainEqual({ ...renamed, access: 'learner' })
    const owner = { ...world.shop.people[0], access: 'technician' }
    expect((await put({ person: owner, by: by() }, by())).body.errors).toEqual([
      { path: 'person.access', detail: 'is that of the last owner' },
    ])
    expect((await put({ person, by: by() }, v7())).status).toBe(422)
    expect((await put({ person: { ...person, name: '' }, by: by() })).status).toBe(400)
  })
})

describe('the next run of a unit', () => {
  test('begins with what failed, is compared with what was read, and is rewound where it was', async () => {
    const unit = await takeIn()
    const first = await start(unit.id, '2026-11-25T13:00:00.000Z')
    const source = { ...first, startedBy: by() } as unknown as Parameters<typeof entryFor>[0]
    const at = (minute: number) => ({ at: `2026-11-25T13:${String(minute).padStart(2, '0')}:00.000Z`, n: minute })
    const typed = typedReading('OL 40M', 'resistance', false, { instrument: 'm2', contact: 'clips' })
    if ('problem' in typed) throw new Error(typed.problem)
    const touch = entryFor(source, { kind: 'reading', check: 'high', reading: typed.reading }, at(4))
    const second = { ...typed.reading, supersedes: touch.id, reason: 'second touch' }
    const entries = [
      entryFor(source, { kind: 'isolation', state: 'loose' }, at(1)),
      entryFor(source, { kind: 'temperature', part: 'measured', partC: 20 }, at(1)),
      entryFor(source, { kind: 'lead-check', instrument: 'm2', text: '0.1', ohms: 0, u: 0.02, how: 'hardware' }, at(2)),
      entryFor(source, reading('low', '318', 318), at(3)),
      touch,
      entryFor(source, { kind: 'reading', check: 'high', reading: second }, at(5)),
      entryFor(source, { kind: 'decision', what: 'rewind', about: ['high'], why: 'open' }, at(6)),
    ]
    const kept = await api().post(`/api/v1/runs/${first.id}/entries`).send({ entries })
    expect(kept.body.detail ?? kept.body.state.finding).toBe('fault-found')
    const next = await start(unit.id, '2026-11-25T15:00:00.000Z')
    expect(next.unit.history).toBe('rewound')
    expect(next.compare).toMatchObject([{ as: 'earlier', run: first.id, failed: ['high'] }])
    expect(next.compare?.[0]?.figures.map((one) => one.check)).toEqual(['low'])
    const { runs } = (await api().get(`/api/v1/units/${unit.id}/runs`)).body as UnitRuns
    expect(runs.map((one) => [one.run, one.finding, one.history])).toEqual([
      [next.id, 'undecided', 'rewound'],
      [first.id, 'fault-found', 'used'],
    ])
    expect(runs[1]?.decision).toEqual({ what: 'rewind', why: 'open' })
    expect(runs[1]?.findings).toMatchObject([{ finding: 'fault-found', revision: 3, decision: 'rewind' }])
    const page = (await api().get(`/api/v1/units/${unit.id}/runs?limit=1`)).body as UnitRuns
    const rest = (await api().get(`/api/v1/units/${unit.id}/runs?limit=1&cursor=${page.next}`)).body as UnitRuns
    expect(rest.runs.map((one) => one.run)).toEqual([first.id])
  })

  test('an outcome stands on the closed run, and the model’s record counts what came back', async () => {
    const done = world.shop.units.find((unit) => unit.place === 'done' && unit.card.id.endsWith('0018'))
    const { runs } = (await api().get(`/api/v1/units/${done?.id}/runs`)).body as UnitRuns
    const [last] = runs
    const source = world.shop.runs.find((run) => run.id === last?.run)
    if (!last || !source) throw new Error('a done unit has a run')
    const entry = entryFor(source, { kind: 'outcome', what: 'came-back', words: 'no spark warm' }, { n: 900 })
    expect(
      (
        await api()
          .post(`/api/v1/runs/${last.run}/entries`)
          .send({ entries: [entry] })
      ).status,
    ).toBe(200)
    const again = (await api().get(`/api/v1/units/${done?.id}/runs`)).body as UnitRuns
    expect(again.runs[0]?.outcome).toMatchObject({ what: 'came-back', words: 'no spark warm' })
    expect((await api().get(`/api/v1/units/${v7()}/runs`)).status).toBe(404)
  })
})

test('a unit that read right, was exchanged and cured what it came from counts against the next pass of its model', async () => {
  const run = world.shop.runs.find(
    (one) =>
      one.entries.some((entry) => entry.kind === 'decision' && entry.what === 'return') && one.card.id.endsWith('0018'),
  )
  if (!run) throw new Error('none of them was returned')
  const cured = async () =>
    ((await api().get(`/api/v1/cards/${run.card.id}/record`)).body as CardRecord).curedByExchange
  const put = async (body: EntryBody, n: number) =>
    (
      await api()
        .post(`/api/v1/runs/${run.id}/entries`)
        .send({ entries: [entryFor(run, body, { n })] })
    ).status
  const before = await cured()
  expect(await put({ kind: 'decision', what: 'exchange', why: 'still doubted' }, 901)).toBe(200)
  expect(await cured()).toBe(before)
  expect(await put({ kind: 'outcome', what: 'ran-well', words: 'the other one cured it' }, 902)).toBe(200)
  expect(await cured()).toBe(before + 1)
})

describe('one unit has one open run', () => {
  const begin = async (unit: string, more: object = {}) =>
    (
      await api()
        .post('/api/v1/runs')
        .send({ id: v7(), unit, startedAt: '2026-11-25T12:00:00.000Z', by: by(), ...more })
    ).body.run as Run

  test('of twenty that begin it at once all go on with one; a second one is begun on purpose', async () => {
    const { id } = await takeIn()
    const all = await Promise.all(Array.from({ length: 20 }, () => begin(id, { goOn: true })))
    expect(new Set(all.map((run) => run.id)).size).toBe(1)
    const second = await begin(id)
    expect(second.id).not.toBe(all[0]?.id)
    expect((await begin(id, { goOn: true })).id).toBe(second.id)
  })

  test('one that was closed is not gone on with', async () => {
    const { id } = await takeIn()
    const first = await begin(id, { goOn: true })
    const decided = { kind: 'decision', what: 'return', why: 'so' }
    const entry = { id: v7(), run: first.id, n: 1, at: '2026-11-25T12:01:00.000Z', by: by(), ...decided }
    expect(
      (
        await api()
          .post(`/api/v1/runs/${first.id}/entries`)
          .send({ entries: [entry] })
      ).status,
    ).toBe(200)
    expect((await begin(id, { goOn: true })).id).not.toBe(first.id)
  })
})

describe('a tray', () => {
  test('its units are listed alone', async () => {
    const tray = v7()
    const units = [await takeIn({ tray }), await takeIn({ tray }), await takeIn()]
    const listed = (await api().get(`/api/v1/units?tray=${tray}`)).body.units as { id: string; tray: string }[]
    expect(listed.map((unit) => unit.id).sort()).toEqual([units[0]?.id, units[1]?.id].sort())
    expect(listed[0]?.tray).toBe(tray)
  })
})

test('a unit is found by its tag, and by no other that is like it', async () => {
  const unit = await takeIn({ tag: 'BESIDE-1' })
  await takeIn({ tag: 'BESIDE-10' })
  const found = (await api().get('/api/v1/units?tag=BESIDE-1')).body.units as { id: string }[]
  expect(found.map(({ id }) => id)).toEqual([unit.id])
  expect((await api().get('/api/v1/units?tag=BESIDE-2')).body.units).toEqual([])
})

describe('tags', () => {
  const takenIn = async (tag: string) => {
    const answer = await api().post('/api/v1/units').send(newUnit({ tag }))
    expect(answer.status).toBe(201)
    return answer.body.tag as string
  }
  test('twenty that come at once for one tag are twenty units with tags of their own', async () => {
    const given = await Promise.all(Array.from({ length: 20 }, () => takenIn('CL-0007')))
    expect(new Set(given).size).toBe(20)
    expect(given.filter((one) => one === 'CL-0007')).toHaveLength(1)
    expect(given.every((one) => /^CL-\d{4}$/.test(one))).toBe(true)
  }, 60_000)
  test('compare exactly: accents, case, signs and a blank at the end', async () => {
    for (const tag of ['Zoe', 'zoe', 'Zoé', 'Zoe ', '🔧1', '🔩1']) expect(await takenIn(tag)).toBe(tag)
    expect(await takenIn('Zoe')).toBe('Zoe-2')
  })
})
