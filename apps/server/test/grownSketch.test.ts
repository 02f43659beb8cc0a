import { describe, expect, test } from '@jest/globals'
import type { RunView } from '@sure-spool/contract'
import {
  askedField,
  sketchCard,
  toldOf,
  type Card,
  type Check,
  type EntryBody,
  type RewindBody,
} from '@sure-spool/core'
import { v7 } from 'uuid'
import { cardHelp } from './cardHelp'
import { worldOf } from './world'

const world = worldOf('grown_sketch')
const { api, by, write } = cardHelp(world)

/** A pickup without a card, taken in. */
async function takenIn(
  tag: string,
  windings: Card['windings'] = [],
): Promise<{ unit: string; card: ReturnType<typeof sketchCard> }> {
  const labels = ['brown', 'yellow', 'pink', 'blue']
  const points = labels.map((label, i) => ({ id: `t${i + 1}`, label }))
  const card = { ...sketchCard(v7(), 'pickup', 'drone', points, true), windings }
  expect((await write(card)).status).toBe(200)
  const unit = v7()
  const taken = await api()
    .post('/api/v1/units')
    .send({
      id: unit,
      tag,
      history: 'used',
      complaint: ['dead'],
      words: '',
      takenInAt: '2026-11-25T10:00:00.000Z',
      card: { id: card.id, revision: 1 },
      takenInBy: by(),
    })
  expect(taken.status).toBe(201)
  return { unit, card }
}
let minute = 0
const now = () => new Date(Date.UTC(2026, 10, 25, 11, ++minute)).toISOString()
async function run(unit: string, ...bodies: EntryBody[]): Promise<RunView> {
  const id = v7()
  const begun = await api().post('/api/v1/runs').send({ id, unit, startedAt: now(), by: by() })
  expect(begun.status).toBe(201)
  const entries = bodies.map((body, i) => ({ id: v7(), run: id, n: i + 1, at: now(), by: by(), ...body }))
  if (entries.length > 0) expect((await api().post(`/api/v1/runs/${id}/entries`).send({ entries })).status).toBe(200)
  return begun.body as RunView
}
const asked = (check: Check | { problem: string }): EntryBody => ({ kind: 'ask', check: check as Check })
const closed: EntryBody = { kind: 'decision', what: 'rewind', why: 'both open' }

describe('the sketch of a unit’s next run', () => {
  test('has grown by what its last run was told and asked, and grows no further by itself', async () => {
    const { unit, card } = await takenIn('G-1')
    const told = (id: string, pair: [string, string], label: string) =>
      asked(toldOf(card, id, pair, 'resistance', { text: '5.8k', label }, false))
    await run(
      unit,
      told('1', ['t1', 't2'], 'upper coil'),
      told('2', ['t3', 't4'], 'lower coil'),
      asked(askedField('3', 'upper coil')),
      closed,
    )
    const second = await run(unit, { kind: 'decision', what: 'return', why: 'proved' })
    const grown = second.run.card
    expect(grown).toMatchObject({ id: card.id, state: 'sketch', revision: 2 })
    expect(grown.windings.map(({ label }) => label)).toEqual(['upper coil', 'lower coil'])
    expect(grown.checks.find(({ id }) => id === 't1-t2')).toMatchObject({ label: 'upper coil', required: true })
    expect(grown.checks.find(({ id }) => id === 't1-t3')?.required).toBe(false)
    expect(grown.checks.filter(({ kind }) => kind === 'field').map(({ id }) => id)).toEqual(['c9'])
    expect((await run(unit)).run.card.revision).toBe(2)
  })

  test('of which nothing was asked is the same', async () => {
    const { unit } = await takenIn('G-2')
    await run(unit, closed)
    expect((await run(unit)).run.card.revision).toBe(1)
  })
})

describe('the limits of a unit’s next run', () => {
  test('are what its rewind was planned to, where its card has none', async () => {
    const { unit } = await takenIn('G-3', [{ id: 'w', label: 'coil', from: 't1', to: 't2', material: 'copper' }])
    expect((await run(unit, closed)).run).not.toHaveProperty('limits')
    const rewind = v7()
    const coils = [{ id: 'c1', winding: 'w', label: 'coil' }]
    expect(
      (await api().post('/api/v1/rewinds').send({ id: rewind, unit, startedAt: now(), by: by(), coils })).status,
    ).toBe(201)
    const wire = { awg: 44, build: 'single' as const }
    const bodies: RewindBody[] = [
      { kind: 'plan', coil: 'c1', plan: { turns: 5000, meanTurnMm: 133, wire, from: 'told', why: '' } },
      { kind: 'wound', coil: 'c1', turns: 5000 },
    ]
    const entries = bodies.map((body, i) => ({ id: v7(), rewind, n: i + 1, at: now(), by: by(), ...body }))
    expect((await api().post(`/api/v1/rewinds/${rewind}/entries`).send({ entries })).status).toBe(200)
    const { limits = [] } = (await run(unit)).run
    expect(limits).toMatchObject([{ check: 't1-t2', source: 'rewind', text: '5000 turns planned' }])
    const { body: shop } = await api().get('/api/v1/shop/export')
    const carried = (shop as { runs: { unit: string; limits?: unknown }[] }).runs.filter((one) => one.unit === unit)
    expect(carried.map((one) => one.limits)).toEqual([undefined, limits])
  })
})
