import { beforeEach, expect, test } from '@jest/globals'
import { jot, jotted, kept, keepCopy, readCopy, unjot, type Outgoing } from './kept'

/** The part of a browser's localStorage that the journal uses. */
function fakeStorage(): Storage {
  const values = new Map<string, string>()
  const store = {
    getItem: (key: string) => values.get(key) ?? null,
    setItem: (key: string, value: string) => {
      values.set(key, value)
      Object.defineProperty(store, key, { value, enumerable: true, configurable: true })
    },
    removeItem: (key: string) => {
      values.delete(key)
      Reflect.deleteProperty(store, key)
    },
  }
  for (const name of ['getItem', 'setItem', 'removeItem']) Object.defineProperty(store, name, { enumerable: false })
  return store as unknown as Storage
}
beforeEach(() => {
  globalThis.localStorage = fakeStorage()
})

const note = (id: string): Outgoing => ({
  id,
  kind: 'entry',
  run: 'r',
  body: { id, run: 'r', n: 1, at: '2026-03-02T09:00:00.000Z', by: 'p', kind: 'note', words: id },
})

test('what is jotted is there at once, oldest first, until the database has it', () => {
  jot(note('b'))
  jot(note('a'))
  localStorage.setItem('another.program', 'x')
  expect(jotted().map((item) => item.id)).toEqual(['a', 'b'])
  unjot('a')
  expect(jotted().map((item) => item.id)).toEqual(['b'])
})

test('the browser’s database keeps outgoing items in the order they came, and copies by name', async () => {
  const database = await kept()
  for (const id of ['z', 'y', 'x']) await database.outgoing.add(note(id))
  expect((await database.outgoing.orderBy('seq').toArray()).map((item) => item.id)).toEqual(['z', 'y', 'x'])
  await keepCopy('shop', { name: 'one' })
  await keepCopy('shop', { name: 'two' })
  expect(await readCopy('shop')).toEqual({ name: 'two' })
  expect(await readCopy('nothing')).toBeUndefined()
})
