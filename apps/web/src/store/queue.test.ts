import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { NewUnit, Queue, QueueUnit, ShopView } from '@sure-spool/contract'
import { twinCard } from '@sure-spool/core/testing'
import { beginBrowser } from '../testing/browser'
import { FakeServer } from '../testing/fakeServer'
import { beginStores, endStores } from '../testing/stores'
import { arrived, until } from '../testing/until'
import { browserDatabase, keepCopy, readCopy } from './browserDatabase'
import { readCard } from './cardCopies'
import { useQueue } from './queue'
import { useOutbox } from './outbox'
import { useShop } from './shop'

const by = '019a0000-0000-7000-8000-0000000000a1'
const card = { ...twinCard(), state: 'published' as const }
const ref = { id: card.id, revision: card.revision }
const unit = (tag: string, place: QueueUnit['place'], more: Partial<QueueUnit> = {}): QueueUnit => ({
  id: `019a0000-cccc-7000-8000-${tag.padStart(12, '0')}`,
  tag,
  card: ref,
  history: 'used',
  complaint: ['none'],
  words: '',
  takenInAt: '2026-03-01T08:00:00.000Z',
  takenInBy: by,
  place,
  maker: 'Orrinvale',
  model: '18 twin',
  family: 'ignition-stator',
  ...more,
})
const standing = (lastAt?: string): QueueUnit['standing'] => ({
  run: `run of ${lastAt ?? 'nobody'}`,
  startedAt: '2026-03-01T08:00:00.000Z',
  finding: 'undecided',
  step: 'low',
  closed: false,
  done: 1,
  steps: 9,
  marks: [],
  ...(lastAt === undefined ? {} : { lastAt }),
})
const counts: Queue['counts'] = { waiting: 5, bench: 2, blocked: 1, done: 9, upTo: 200 }
const newUnit = (tag: string): NewUnit => {
  const { place: _place, maker: _maker, model: _model, family: _family, ...rest } = unit(tag, 'waiting')
  return rest
}

let server: FakeServer
/** what the server has at each place */
let there: Partial<Record<QueueUnit['place'], QueueUnit[]>> = {}
beforeEach(async () => {
  beginBrowser()
  const database = await browserDatabase()
  await Promise.all([database.outgoing.clear(), database.copies.clear()])
  there = {}
  server = new FakeServer()
    .on('GET', /^\/units\?place=/, ({ path }) => {
      const place = /place=(\w+)/.exec(path)?.[1] as QueueUnit['place']
      return { body: { units: there[place] ?? [], counts } satisfies Queue }
    })
    .on('GET', /^\/cards\/.*\/revisions/, { body: card })
    .on('POST', /^\/units$/, ({ body }) => ({ body }))
    .on('PUT', /place$/, { body: {} })
  beginStores()
  const shop = useShop()
  await shop.take({
    settings: shop.settings,
    people: [{ id: by, name: 'Ines', role: 'bench' }],
    instruments: [],
    nextTag: '0009',
  } as ShopView)
})
afterEach(async () => {
  // what is still on its way from the journal belongs to this test, however slow the machine is
  await useOutbox().settle()
  await arrived()
  endStores()
})
const tags = (units: QueueUnit[]) => units.map(({ tag }) => tag)

describe('the queue', () => {
  test('has its units by where they stand, asked for place by place: of the finished ones the last few', async () => {
    there = {
      bench: [unit('1', 'bench')],
      waiting: [unit('2', 'waiting')],
      blocked: [unit('3', 'blocked')],
      done: [unit('4', 'done')],
    }
    const queue = useQueue()
    await queue.load()
    expect([queue.bench, queue.waiting, queue.blocked, queue.done].map(tags)).toEqual([['1'], ['2'], ['3'], ['4']])
    expect(queue.counts).toEqual(counts)
    expect(server.of('GET', /units/).map(({ path }) => path.replace('/units?', ''))).toEqual([
      'place=bench&limit=60',
      'place=waiting&limit=60',
      'place=blocked&limit=60',
      'place=done&limit=12',
    ])
  })

  test('goes on with the run that was worked on last; one that was never begun has none', async () => {
    there = {
      bench: [
        unit('1', 'bench', { standing: standing('2026-03-01T09:00:00.000Z') }),
        unit('2', 'bench', { standing: standing('2026-03-01T11:00:00.000Z') }),
        unit('3', 'bench', { standing: standing() }),
        unit('4', 'bench'),
      ],
    }
    const queue = useQueue()
    expect(queue.last).toBeUndefined()
    await queue.load()
    expect(queue.last?.tag).toBe('2')
    there = { bench: [unit('4', 'bench'), unit('3', 'bench', { standing: standing() })] }
    await queue.load()
    expect(queue.last?.tag).toBe('3')
  })

  test('with the server away is what it was when it was last seen', async () => {
    there = { waiting: [unit('2', 'waiting')] }
    await useQueue().load()
    server.away = true
    beginStores()
    const again = useQueue()
    await again.load()
    expect([tags(again.waiting), again.counts, again.known]).toEqual([['2'], counts, true])
  })

  test('away and never seen it is not known', async () => {
    server.away = true
    const queue = useQueue()
    await queue.load()
    expect([queue.known, queue.units]).toEqual([false, []])
  })

  test('keeps the cards of what waits and of what is on the bench, for when the server is gone', async () => {
    there = { waiting: [unit('2', 'waiting')] }
    const queue = useQueue()
    await queue.load()
    expect(queue.cardsKept).toBe(true)
    expect(await readCard(ref)).toMatchObject({ id: card.id })
    await queue.load()
    expect(server.of('GET', /revisions/)).toHaveLength(1)
  })

  test('of a finished part no card is fetched; one that is refused is not called kept', async () => {
    there = { done: [unit('4', 'done')] }
    const queue = useQueue()
    await queue.load()
    expect(server.of('GET', /revisions/)).toEqual([])
    server.refuse('GET', /revisions/, 404)
    there = { bench: [unit('1', 'bench')] }
    await queue.load()
    expect(queue.cardsKept).toBe(false)
  })
})

describe('a part that is taken in', () => {
  const named = { maker: 'Orrinvale', model: '18 twin', family: 'ignition-stator' }

  test('stands in the queue at once, is counted, and the next tag follows', async () => {
    const queue = useQueue()
    await queue.load()
    queue.takeIn(newUnit('0009'), named)
    expect(tags(queue.waiting)).toEqual(['0009'])
    expect(queue.waiting[0]).toMatchObject({ place: 'waiting', ...named })
    expect(queue.counts.waiting).toBe(6)
    expect(useShop().nextTag).toBe('0010')
    await until(() => server.of('POST', /units/).length === 1)
    expect(server.of('POST', /units/)[0]?.body).toEqual(newUnit('0009'))
  })

  test('with a tag of its own the shop’s next one stays', async () => {
    const queue = useQueue()
    queue.takeIn(newUnit('X-1'), named)
    expect(useShop().nextTag).toBe('0009')
  })

  test('stays while the server has not listed it, once and no more', async () => {
    const queue = useQueue()
    queue.takeIn(newUnit('0009'), named)
    await queue.load()
    expect([tags(queue.waiting), queue.counts.waiting]).toEqual([['0009'], 6])
    there = { waiting: [unit('0009', 'waiting')] }
    await queue.load()
    expect([tags(queue.waiting), queue.counts.waiting]).toEqual([['0009'], 5])
  })

  test('and not sent yet is there for another tab too, by its bare tag', async () => {
    server.away = true
    await keepCopy('queue', { units: [], counts })
    useQueue().takeIn(newUnit('0009'), named)
    await until(async () => (await (await browserDatabase()).outgoing.count()) === 1)
    beginStores()
    const other = useQueue()
    await other.load()
    expect(tags(other.waiting)).toEqual(['0009'])
  })
})

describe('a part that is moved', () => {
  test('goes where it is put, by who is at the bench, with what it waits for', async () => {
    const queue = useQueue()
    await queue.move(unit('2', 'waiting'), 'blocked', 'a plug')
    await queue.move(unit('2', 'blocked'), 'waiting')
    expect(server.of('PUT').map(({ body }) => body)).toEqual([
      { place: 'blocked', by, blockedBy: 'a plug' },
      { place: 'waiting', by },
    ])
    expect(await readCopy<Queue>('queue')).toMatchObject({ counts })
  })

  test('by nobody stays', async () => {
    const shop = useShop()
    await shop.take({ settings: shop.settings, people: [], instruments: [], nextTag: '' } as ShopView)
    await useQueue().move(unit('2', 'waiting'), 'bench')
    expect(server.asked).toEqual([])
  })
})

test('the tag that comes next is on no part that is known here, whatever this browser remembers of its own numbers', async () => {
  const shop = useShop()
  await shop.take({
    settings: { ...shop.settings, tagPrefix: 'K-' },
    people: shop.people,
    instruments: [],
    nextTag: 'K-0007',
  })
  there = { waiting: [unit('K-0008', 'waiting'), unit('K-0007', 'waiting')], bench: [unit('K-0010', 'bench')] }
  await useQueue().load()
  expect(shop.nextTag).toBe('K-0009')
})
