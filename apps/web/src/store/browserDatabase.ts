import type { Photo } from '@sure-spool/contract'
import type { Entry, Run } from '@sure-spool/core'
import type { Dexie as DexieType, EntityTable, Table } from 'dexie'
import { jotted } from './journal'
import type { Outgoing } from './outgoing'
import { plain } from './plain'

export interface BrowserTables {
  runs: EntityTable<{ id: string; run: Run }, 'id'>
  outgoing: Table<Outgoing, number>
  copies: Table<{ key: string; value: unknown }, string>
  photos: EntityTable<Photo, 'id'>
}
export type BrowserDatabase = DexieType & BrowserTables

let opened: Promise<BrowserDatabase> | undefined

/** The browser's own store, opened once and loaded only when it is first needed. */
export function browserDatabase(): Promise<BrowserDatabase> {
  opened ??= import('dexie').then(({ Dexie }) => {
    // kept is on the disk, not on its way there: a browser that is killed loses nothing that it called kept
    const database = new Dexie('sure-spool', { chromeTransactionDurability: 'strict' }) as BrowserDatabase
    database.version(1).stores({ runs: 'id', outgoing: '++seq, id, kind, run', copies: 'key' })
    database.version(2).stores({ photos: 'id, at' })
    return database
  })
  return opened
}

/** A copy of what the server last said, for when it is away. */
export async function keepCopy(key: string, value: unknown): Promise<void> {
  await (await browserDatabase()).copies.put({ key, value: plain(value) })
}

export async function readCopy<T>(key: string): Promise<T | undefined> {
  return (await (await browserDatabase()).copies.get(key))?.value as T | undefined
}

export async function forgetCopy(key: string): Promise<void> {
  await (await browserDatabase()).copies.delete(key)
}

/** This browser's copy of a run, as far as it knows it. */
export const readRunCopy = async (id: string): Promise<Run | undefined> =>
  (await (await browserDatabase()).runs.get(id))?.run

/**
 * Keeps a run's copy with every entry that either copy has: another tab may have added to it in the meantime. Read and written in one
 * transaction, so that of two tabs neither takes the other's entry away. What is only jotted is left out: the journal brings it onto the
 * copy with what sends it, so that no copy has an entry which nothing would ever send.
 */
export async function keepRunCopy(run: Run): Promise<void> {
  const notes = new Set(jotted().map(({ id }) => id))
  const entries = plain(run.entries.filter(({ id }) => !notes.has(id)))
  const database = await browserDatabase()
  await database.transaction('rw', database.runs, async () => {
    const before = (await database.runs.get(run.id))?.run.entries ?? []
    await database.runs.put({ id: run.id, run: { ...plain(run), entries: merged(before, entries) } })
  })
}

/** Entries by their ids, the later list's word for one that both have, in tape order. */
export function merged(before: readonly Entry[], fresh: readonly Entry[]): Entry[] {
  const all = new Map([...before, ...fresh].map((entry) => [entry.id, entry]))
  return [...all.values()].sort((a, b) => a.n - b.n)
}
