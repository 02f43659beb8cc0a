import { beforeEach, describe, expect, test } from '@jest/globals'
import type { Entry, Run } from '@sure-spool/core'
import { Script, twinCard } from '@sure-spool/core/testing'
import { fakeStorage } from '../testing/fakeStorage'
import { browserDatabase, forgetCopy, keepCopy, keepRunCopy, merged, readCopy, readRunCopy } from './browserDatabase'
import { jot, jotted, unjot } from './journal'
import { moveJournal } from './moveJournal'
import { withThoseThatRefer, type Outgoing } from './outgoing'

const noteBody = (id: string, n = 1): Entry => ({
  id,
  run: 'r',
  n,
  at: '2026-03-02T09:00:00.000Z',
  by: 'p',
  kind: 'note',
  words: id,
})
const note = (id: string, n = 1): Outgoing => ({ id, kind: 'entry', run: 'r', body: noteBody(id, n) })
const run = (entries: Entry[]): Run => ({ ...new Script(twinCard()).run, id: 'r', entries })

beforeEach(async () => {
  globalThis.localStorage = fakeStorage()
  const database = await browserDatabase()
  await Promise.all([database.outgoing.clear(), database.runs.clear(), database.copies.clear()])
})

describe('the journal', () => {
  test('what is jotted is there at once, oldest first, until it is taken off', () => {
    jot(note('b'))
    jot(note('a'))
    localStorage.setItem('another.program', 'x')
    expect(jotted().map((item) => item.id)).toEqual(['a', 'b'])
    unjot('a')
    expect(jotted().map((item) => item.id)).toEqual(['b'])
  })

  test('moves into the database once, in order, each entry onto its run’s copy', async () => {
    await keepRunCopy(run([]))
    jot(note('a', 1))
    jot(note('b', 2))
    await Promise.all([moveJournal(), moveJournal()])
    const { outgoing } = await browserDatabase()
    expect((await outgoing.orderBy('seq').toArray()).map(({ id }) => id)).toEqual(['a', 'b'])
    expect((await readRunCopy('r'))?.entries.map(({ id }) => id)).toEqual(['a', 'b'])
    expect(jotted()).toEqual([])
  })

  test('a run’s copy never has an entry that is only jotted: with a browser killed then, nothing would send it', async () => {
    jot(note('b', 2))
    await keepRunCopy(run([noteBody('a', 1), noteBody('b', 2)]))
    expect((await readRunCopy('r'))?.entries.map(({ id }) => id)).toEqual(['a'])
    await moveJournal()
    expect((await readRunCopy('r'))?.entries.map(({ id }) => id)).toEqual(['a', 'b'])
    expect((await (await browserDatabase()).outgoing.toArray()).map(({ id }) => id)).toEqual(['b'])
  })

  test('an entry of a run that is not here is kept to go up all the same', async () => {
    jot(note('a'))
    await moveJournal()
    expect(await (await browserDatabase()).outgoing.count()).toBe(1)
    expect(await readRunCopy('r')).toBeUndefined()
  })
})

describe('the browser’s database', () => {
  test('keeps copies by name, the last one', async () => {
    await keepCopy('shop', { name: 'one' })
    await keepCopy('shop', { name: 'two' })
    expect(await readCopy('shop')).toEqual({ name: 'two' })
    await forgetCopy('shop')
    expect(await readCopy('shop')).toBeUndefined()
  })

  test('of two tabs neither takes the other’s entry off a run', async () => {
    await Promise.all([keepRunCopy(run([noteBody('a', 1)])), keepRunCopy(run([noteBody('b', 2)]))])
    expect((await readRunCopy('r'))?.entries.map(({ id }) => id)).toEqual(['a', 'b'])
  })

  test('entries are merged by id in tape order, the later word for one that both have', () => {
    const fresh = { ...noteBody('a', 1), words: 'said again' } as Entry
    expect(merged([noteBody('b', 2), noteBody('a', 1)], [fresh])).toEqual([fresh, noteBody('b', 2)])
  })
})

describe('what rests on a refused item', () => {
  const at = '2026-03-02T09:00:00.000Z'
  const card = { id: 'c', kind: 'card', body: { card: {}, by: 'p' } } as unknown as Outgoing
  const unit = { id: 'u', kind: 'unit', body: { card: { id: 'c', revision: 1 } } } as unknown as Outgoing
  const begun = { id: 'r', kind: 'run', body: { unit: 'u' } } as unknown as Outgoing
  const reading = (id: string, supersedes?: string): Outgoing =>
    ({
      id,
      kind: 'entry',
      run: 'r2',
      body: { id, run: 'r2', n: 1, at, by: 'p', kind: 'reading', check: 'k', reading: { text: '1', supersedes } },
    }) as unknown as Outgoing
  const back = (id: string, entry: string): Outgoing =>
    ({ id, kind: 'entry', run: 'r2', body: { id, run: 'r2', n: 2, at, by: 'p', kind: 'take-back', entry } }) as Outgoing
  const ids = (item: Outgoing, all: Outgoing[]) => withThoseThatRefer(item, all).map(({ id }) => id)

  test('a unit rests on its card, its run on the unit, an entry on the run', () => {
    const other = { id: 'u2', kind: 'unit', body: { card: { id: 'another', revision: 1 } } } as unknown as Outgoing
    expect(ids(card, [card, unit, other, begun, note('e')])).toEqual(['c', 'u', 'r', 'e'])
    expect(ids(unit, [card, unit, begun])).toEqual(['u', 'r'])
  })

  test('a retake rests on what it takes the place of, a take-back on what it takes back; others do not', () => {
    const all = [reading('a'), reading('b', 'a'), back('x', 'b'), reading('c'), back('y', 'c'), note('z')]
    expect(ids(reading('a'), all)).toEqual(['a', 'b', 'x'])
  })
})
