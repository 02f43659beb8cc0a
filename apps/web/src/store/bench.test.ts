import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { QueueUnit, ShopView } from '@sure-spool/contract'
import { Script, twinCard } from '@sure-spool/core/testing'
import type { Entry, Run } from '@sure-spool/core'
import { beginBrowser } from '../testing/browser'
import { FakeServer } from '../testing/fakeServer'
import { beginStores, endStores } from '../testing/stores'
import { arrived, until } from '../testing/until'
import { useBench } from './bench'
import { browserDatabase, keepRunCopy, readRunCopy } from './browserDatabase'
import { keepCard } from './cardCopies'
import { jotted } from './journal'
import { useOutbox } from './outbox'
import { useShop } from './shop'

const card = twinCard()
const by = '019a0000-0000-7000-8000-0000000000a1'
const run = (entries: Entry[] = []): Run => ({ ...new Script(card).ready().run, id: 'r1', entries })
const begun = (): Run => run(new Script(card, { id: 'r1' }).ready().run.entries)
const view = (one: Run) => ({ body: { run: one, state: { finding: 'undecided' } } })
const unit = (more: Partial<QueueUnit> = {}): QueueUnit => ({
  id: 'u1',
  tag: 'SQ-1',
  history: 'used',
  complaint: ['none'],
  words: '',
  card: { id: card.id, revision: card.revision },
  place: 'waiting',
  takenInAt: '2026-03-02T08:00:00.000Z',
  takenInBy: by,
  maker: '',
  model: '',
  family: '',
  ...more,
})

let server: FakeServer
const browserTab = () => {
  beginStores()
  const shop = useShop()
  void shop.take({
    settings: { ...shop.settings, name: 'a shop' },
    people: [{ id: by, name: 'Ines', role: '' }],
    instruments: [],
    nextTag: '',
  } as ShopView)
  return useBench()
}
beforeEach(async () => {
  beginBrowser()
  const database = await browserDatabase()
  await Promise.all([database.outgoing.clear(), database.runs.clear(), database.copies.clear()])
  server = new FakeServer().on('POST', /entries$/, { body: { count: 0, state: { finding: 'undecided' } } })
})
afterEach(async () => {
  // what is still on its way from the journal belongs to this test, however slow the machine is
  await useOutbox().settle()
  await arrived()
  endStores()
})

describe('a run is opened', () => {
  test('from this browser at once, with what the server has besides', async () => {
    const [first, second] = begun().entries
    if (!first || !second) throw new Error('the script begins with two entries')
    await keepRunCopy(run([first]))
    server.on('GET', /^\/runs\/r1$/, view(run([first, second])))
    const bench = browserTab()
    server.away = true
    await bench.open('r1')
    expect(bench.run?.entries.map(({ id }) => id)).toEqual([first.id])
    server.away = false
    await bench.open('r1')
    expect(bench.run?.entries.map(({ id }) => id)).toEqual([first.id, second.id])
    expect((await readRunCopy('r1'))?.entries).toHaveLength(2)
  })

  test('with what waits here to go up, but not with what was refused', async () => {
    const entries = begun().entries
    const [first, second, third] = entries
    const { outgoing } = await browserDatabase()
    await outgoing.bulkAdd([
      { id: 'w', kind: 'entry', run: 'r1', body: second as Entry },
      { id: 'x', kind: 'entry', run: 'r1', body: third as Entry, aside: { status: 422, detail: 'no' } },
    ])
    server.on('GET', /^\/runs\/r1$/, view(run([first as Entry])))
    const bench = browserTab()
    await bench.open('r1')
    expect(bench.run?.entries.map(({ id }) => id)).toEqual([first?.id, second?.id])
  })

  test('away and never seen here it says so; refused it says why', async () => {
    const bench = browserTab()
    server.away = true
    await bench.open('r1')
    expect(bench.missing).toContain('never opened on this browser')
    server.away = false
    server.refuse('GET', /^\/runs\/r2$/, 404, 'This run is not here.')
    await bench.open('r2')
    expect([bench.missing, bench.run]).toEqual(['This run is not here.', undefined])
  })

  test('another run begins at its own step, with nothing in hand from the last', async () => {
    server.on('GET', /^\/runs\/r1$/, view(begun())).on('GET', /^\/runs\/r2$/, view({ ...begun(), id: 'r2' }))
    const bench = browserTab()
    await bench.open('r1')
    bench.goTo('leads')
    await bench.open('r1')
    expect(bench.cursor).toBe('leads')
    await bench.open('r2')
    expect([bench.cursor, bench.run?.id]).toEqual([null, 'r2'])
  })
})

describe('what is put on the tape', () => {
  const opened = async () => {
    server.on('GET', /^\/runs\/r1$/, view(begun()))
    const bench = browserTab()
    await bench.open('r1')
    return bench
  }
  const readings = (bench: ReturnType<typeof useBench>) =>
    (bench.run?.entries ?? []).flatMap((entry) => (entry.kind === 'reading' ? [entry] : []))

  test('is jotted before it is shown, numbered after the last, and goes up', async () => {
    const bench = await opened()
    const n = bench.run?.entries.at(-1)?.n ?? 0
    const entry = bench.add({ kind: 'note', words: 'oil in the plug' })
    expect(jotted().map(({ id }) => id)).toEqual([entry?.id])
    expect(bench.run?.entries.at(-1)).toMatchObject({ n: n + 1, by, words: 'oil in the plug' })
    await until(() => server.of('POST', /entries$/).length === 1)
    expect((await readRunCopy('r1'))?.entries.at(-1)?.id).toBe(entry?.id)
  })

  test('a figure that cannot be read keeps nothing and says what is wrong', async () => {
    const bench = await opened()
    bench.goTo('low')
    expect(bench.keepTyped('4..7')).not.toBeNull()
    expect(readings(bench)).toEqual([])
    expect(bench.keepTyped('322')).toBeNull()
    expect(readings(bench)[0]).toMatchObject({ check: 'low', reading: { value: 322, text: '322' } })
  })

  test('a figure on a step that has one takes its place, and both stay in the record', async () => {
    const bench = await opened()
    bench.goTo('low')
    bench.keepTyped('322')
    const [first] = readings(bench)
    bench.goTo('low')
    bench.keepTyped('318')
    expect(readings(bench)[1]?.reading).toMatchObject({ supersedes: first?.id, reason: 'taken again' })
    expect(readings(bench)[1]?.reading.mistyped).toBeUndefined()
  })

  test('an open reading wants a second touch, and that is what the next figure is', async () => {
    const bench = await opened()
    bench.goTo('low')
    bench.keepTyped('OL 20M')
    expect(bench.steps.find(({ step }) => step.id === 'low')?.status).toBe('again')
    bench.goTo('low')
    bench.keepTyped('OL 20M')
    expect(readings(bench)[1]?.reading).toMatchObject({ supersedes: readings(bench)[0]?.id, reason: 'second touch' })
  })

  test('what was mistyped is entered again and is no retake; leaving it forgets it', async () => {
    const bench = await opened()
    bench.goTo('low')
    bench.keepTyped('322k')
    const [first] = readings(bench)
    bench.takeAgain(first?.id ?? '', true, 'mistyped')
    expect(bench.stepId).toBe('low')
    bench.goTo(null)
    expect(bench.doing).toBeNull()
    bench.takeAgain(first?.id ?? '', true, 'mistyped')
    bench.keepTyped('322')
    expect(readings(bench)[1]?.reading).toMatchObject({ supersedes: first?.id, mistyped: true })
  })

  test('the path is walked step by step and ends at its ends', async () => {
    const bench = await opened()
    const ids = bench.steps.map(({ step }) => step.id)
    bench.goTo(ids[0] ?? null)
    bench.move(-1)
    expect(bench.stepId).toBe(ids[0])
    bench.move(1)
    expect(bench.stepId).toBe(ids[1])
    bench.goTo('finding')
    bench.move(1)
    expect(bench.stepId).toBe('finding')
  })

  test('undo is of the last entry that stands', async () => {
    const bench = await opened()
    const note = bench.add({ kind: 'note', words: 'one' })
    expect(bench.lastEntry?.id).toBe(note?.id)
    bench.add({ kind: 'take-back', entry: note?.id ?? '', reason: 'undone' })
    expect(bench.lastEntry?.id).not.toBe(note?.id)
    expect(bench.lastEntry?.kind).toBe('lead-check')
  })

  test('another tab of this browser sees it at once, and a tab on another run does not', async () => {
    server.on('GET', /^\/runs\/r2$/, view({ ...begun(), id: 'r2' }))
    const one = await opened()
    const other = await opened()
    const elsewhere = browserTab()
    await elsewhere.open('r2')
    const before = elsewhere.run?.entries.length
    one.add({ kind: 'note', words: 'first' })
    one.add({ kind: 'note', words: 'and second' })
    await until(() => other.run?.entries.length === one.run?.entries.length)
    expect(other.run?.entries.slice(-2)).toEqual(one.run?.entries.slice(-2))
    expect(elsewhere.run?.entries.length).toBe(before)
  })

  test('where the server has more than this tab it is asked for it', async () => {
    const bench = await opened()
    const more = new Script(card, { id: 'r1' }).ready().read('low', '322').read('high', '36.5').run.entries
    server
      .on('POST', /entries$/, { body: { count: more.length + 1, state: { finding: 'undecided' } } })
      .on('GET', /^\/runs\/r1$/, view(run(more)))
    bench.add({ kind: 'note', words: 'here' })
    await until(() => (bench.run?.entries.length ?? 0) > more.length)
    expect(readings(bench).map(({ check }) => check)).toEqual(['low', 'high'])
  })
})

describe('a unit is begun', () => {
  test('the run it has goes on, a closed one does not', async () => {
    const bench = browserTab()
    const standing = { run: 'old', startedAt: '', finding: 'undecided', step: '', done: 0, steps: 1, marks: [] }
    const having = (closed: boolean) => unit({ standing: { ...standing, closed } as QueueUnit['standing'] })
    expect(await bench.startFor(having(false))).toBe('old')
    server.on('POST', /^\/runs$/, ({ body }) => view({ ...begun(), id: (body as { id: string }).id }))
    expect(await bench.startFor(having(true))).not.toBe('old')
  })

  test('here, on the card’s copy, while the server is away, and goes up when it is back', async () => {
    server.away = true
    await keepCard(card)
    const bench = browserTab()
    const id = await bench.startFor(unit())
    expect(bench.run).toMatchObject({ id, card: { id: card.id }, unit: { tag: 'SQ-1' }, entries: [] })
    server.away = false
    server.on('POST', /^\/runs$/, view(begun()))
    await until(() => server.of('POST', /^\/runs$/).length === 1)
  })

  test('not without a copy of its card, and not where the server will not have it', async () => {
    const bench = browserTab()
    server.away = true
    await expect(bench.startFor(unit())).rejects.toThrow('no copy of the card')
    server.away = false
    server.refuse('POST', /^\/runs$/, 409, 'it has a run already')
    await expect(bench.startFor(unit())).rejects.toThrow('it has a run already')
    expect((await (await browserDatabase()).outgoing.toArray()).length).toBe(0)
  })
})
