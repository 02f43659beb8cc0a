import type { Entry, Run } from '@sure-spool/core'
import type { NewRun, NewUnit, WrittenCard } from '@sure-spool/contract'
import type { Dexie as DexieType, EntityTable, Table } from 'dexie'

/** Something the server has not acknowledged: it stays here until it has. */
export type Outgoing = { seq?: number; id: string; aside?: { status: number; detail: string } } & (
  | { kind: 'card'; body: WrittenCard }
  | { kind: 'unit'; body: NewUnit }
  | { kind: 'run'; body: NewRun }
  | { kind: 'entry'; run: string; body: Entry }
)

export interface KeptDatabase {
  runs: EntityTable<{ id: string; run: Run }, 'id'>
  outgoing: Table<Outgoing, number>
  copies: Table<{ key: string; value: unknown }, string>
}

let opened: Promise<DexieType & KeptDatabase> | undefined

/** The browser's own store, opened once and loaded only when it is first needed. */
export function kept(): Promise<DexieType & KeptDatabase> {
  opened ??= import('dexie').then(({ Dexie }) => {
    const database = new Dexie('sure-spool') as DexieType & KeptDatabase
    database.version(1).stores({ runs: 'id', outgoing: '++seq, id, kind, run', copies: 'key' })
    return database
  })
  return opened
}

const journalPrefix = 'spool.journal.'

/**
 * Notes something outgoing at once, before anything is drawn: this store is written while the key is still down, so that a tab
 * closed in the next millisecond loses nothing.
 */
export function jot(item: Outgoing): void {
  localStorage.setItem(journalPrefix + item.id, JSON.stringify(item))
}

/** Takes a note off the journal, once the browser's own database has it. */
export const unjot = (id: string): void => localStorage.removeItem(journalPrefix + id)

/** What was jotted and never reached the database: a tab was closed in between. Oldest first. */
export function jotted(): Outgoing[] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(journalPrefix))
    .sort()
    .flatMap((key) => {
      const text = localStorage.getItem(key)
      return text === null ? [] : [JSON.parse(text) as Outgoing]
    })
}

/** A copy of what the server last said, for when it is away. */
export async function keepCopy(key: string, value: unknown): Promise<void> {
  await (await kept()).copies.put({ key, value: plain(value) })
}

export async function readCopy<T>(key: string): Promise<T | undefined> {
  return (await (await kept()).copies.get(key))?.value as T | undefined
}

/** A reactive object as the plain one that a database can clone. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
