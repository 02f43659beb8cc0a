import { describe, expect, test } from '@jest/globals'
import type { Shop } from '@sure-spool/contract'
import request from 'supertest'
import { v7 } from 'uuid'
import { worldOf } from './world'

const world = worldOf('shop_file')

const api = () => request(world.app)

describe('a file obeys the rules of the bench', () => {
  const file = (change: (run: Shop['runs'][number], shop: Shop) => void) => {
    const shop = structuredClone(world.shop)
    const source = shop.runs.find(({ entries }) => entries.some(({ kind }) => kind === 'reading'))
    if (!source) throw new Error('the demo has no run with a reading')
    const run = structuredClone(source)
    run.id = v7()
    for (const entry of run.entries) entry.run = run.id
    const ids = new Map(run.entries.map(({ id }) => [id, v7()]))
    const renamed = JSON.stringify(run).replace(/[0-9a-f-]{36}/g, (id) => ids.get(id) ?? id)
    shop.runs = [JSON.parse(renamed) as Shop['runs'][number]]
    const [own] = shop.runs
    if (own) change(own, shop)
    return api().post('/api/v1/shop/import').send(shop)
  }
  const firstReading = (run: Shop['runs'][number]) => {
    const entry = run.entries.find(({ kind }) => kind === 'reading')
    if (entry?.kind !== 'reading') throw new Error('no reading')
    return entry
  }
  test('what it carries is taken, entry by entry', async () => {
    const answer = await file(() => undefined)
    expect([answer.status, answer.body.detail]).toEqual([200, undefined])
    expect(answer.body.runs).toBe(1)
  })
  const stranger = v7()
  const refused: [string, (run: Shop['runs'][number], shop: Shop) => void, number, string][] = [
    ['an entry of another run', (run) => (firstReading(run).run = v7()), 422, 'names another run'],
    [
      'a figure that its text does not say',
      (run) => (firstReading(run).reading.value = 1234.5),
      422,
      'is not what the text',
    ],
    [
      'somebody nobody knows',
      (run) => (firstReading(run).by = stranger),
      422,
      'names a person this shop does not know',
    ],
    [
      'what somebody decided who is learning, alone',
      (run) => {
        const { run: of } = firstReading(run)
        const [at, who] = [run.entries.at(-1)?.at ?? '', world.shop.people[2]?.id]
        const decided = { kind: 'decision', what: 'return', why: 'so' }
        run.entries.push({ id: v7(), run: of, n: 900, at, by: who, ...decided } as never)
      },
      422,
      'decides with a second person',
    ],
    ['a run begun by nobody known', (run) => (run.startedBy = stranger), 422, 'a person that is neither'],
    ['a meter that is nowhere', (run) => run.instruments.push('m99'), 422, 'a meter that is neither'],
    [
      'two entries of one id',
      (run) => run.entries.push({ ...firstReading(run), n: 999 }),
      409,
      'has the id of another entry',
    ],
    [
      'a reading behind the decision',
      (run) => {
        const { run: of, by: who } = firstReading(run)
        const at = run.entries.at(-1)?.at ?? ''
        const decided = { kind: 'decision', what: 'return', why: 'so', second: world.shop.people[0]?.id }
        const decision = { id: v7(), run: of, n: 900, at, by: who, ...decided }
        run.entries.push(decision as never, { ...firstReading(run), id: v7(), n: 901, at })
      },
      409,
      'this run is closed',
    ],
    [
      'another run under a known id',
      (run) => Object.assign(run, { id: world.shop.runs[0]?.id, startedAt: '2020-01-01T00:00:00.000Z' }),
      409,
      'is another run here',
    ],
    [
      'another unit under a known id',
      (_run, shop) => Object.assign(shop.units[0] ?? {}, { takenInAt: '2020-01-01T00:00:00.000Z' }),
      409,
      'is another unit here',
    ],
  ]
  test.each(refused)('and refuses %s, with nothing kept', async (_what, change, status, words) => {
    const before = (await api().get('/api/v1/units?limit=1')).body.counts
    const answer = await file(change)
    expect([answer.status, answer.body.detail]).toEqual([status, expect.stringContaining(words)])
    expect((await api().get('/api/v1/units?limit=1')).body.counts).toEqual(before)
  })
})
