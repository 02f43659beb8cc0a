import type { Run, RunState } from '@sure-spool/core'
import { sql } from 'drizzle-orm'
import { LRUCache } from 'lru-cache'
import { escape } from 'mysql2'
import { parse } from 'uuid'
import { metAnother, type Queries } from '../database/connect'
import { readRun, readRunRow, type RunRow } from './runs'

/** A run that somebody works on, as it was judged last. */
export interface Held {
  row: RunRow
  run: Run
  /** of the run as it is; none where it was just read */
  state?: RunState
}
const remembered = new LRUCache<string, Held & { state: RunState }>({ max: 100 })

/** A run as it is remembered, without a look at whether the database has gone on. */
export const rememberedRun = (id: string): (Held & { state: RunState }) | undefined => remembered.get(id)

/** Keeps a run as the database now has it. Only one that is committed: its row never changes, and its tape only grows. */
export function rememberRun(held: Held & { state: RunState }): void {
  remembered.set(held.run.id, held)
}

/**
 * A run as it is remembered, where the database has not gone on without it, so that what was judged is not judged again; else as it is read.
 * @param lock keeps others from adding to its tape until the transaction ends
 */
export async function runById(queries: Queries, id: string, lock = false): Promise<Held | undefined> {
  const known = remembered.get(id)
  if (known && (await standsAs(queries, known, lock))) return known
  const row = await readRunRow(queries, id, lock)
  const run = row && (await readRun(queries, row))
  return row && run ? { row, run } : undefined
}

/**
 * Makes changes to a run that was remembered, and keeps them, in one trip: only where the database has not gone on without it meanwhile.
 * @returns whether it did; what another server kept first, and what two wrote at once, is left to a transaction
 * @throws the first change's own error, and then nothing was changed
 */
export async function changedAsRemembered(queries: Queries, run: Run, changes: string[]): Promise<boolean> {
  const trip = `begin not atomic
    declare still boolean default false;
    declare exit handler for sqlexception begin rollback; resignal; end;
    start transaction;
    select count(*) into still from runs where id = ${bytes(run.id)} for update;
    set still = still and ${stands(run)};
    if still then ${changes.join('; ')}; commit; else rollback; end if;
    select still; end`
  try {
    return await stillOf(queries, trip)
  } catch (error) {
    if (metAnother(error)) return false
    throw error
  }
}

/** Whether a run is as it is remembered; it is locked in the same trip, for every reading asks it. */
const standsAs = (queries: Queries, { run }: Held, lock: boolean): Promise<boolean> =>
  stillOf(
    queries,
    `begin not atomic
    select id from runs where id = ${bytes(run.id)} ${lock ? 'for update' : ''};
    select ${stands(run)} as still; end`,
  )

/**
 * That a run's tape and its unit are in the database as they are in a document, to the letter: collations let case and blanks at the end
 * pass, so texts are compared by their bytes.
 */
function stands({ id, unit, entries }: Run): string {
  const latest = entries.reduce((last, entry) => (entry.id > last ? entry.id : last), '')
  const texts = {
    tag: unit.tag,
    serial: unit.serial ?? null,
    variant: unit.variant ?? null,
    words: unit.words,
    complaint: JSON.stringify(unit.complaint),
  }
  return `(select count(*) = ${entries.length} and max(id) <=> ${latest === '' ? 'null' : bytes(latest)}
      from entries where run = ${bytes(id)})
    and exists (select 1 from units where id = ${bytes(unit.id)} and items <=> ${escape(unit.items ?? null)} and
      ${Object.entries(texts)
        .map(([column, text]) => `binary ${column} <=> binary ${escape(text)}`)
        .join(' and ')})`
}

const bytes = (id: string): string => escape(Buffer.from(parse(id)))

/** What a trip of several statements answers with last. */
async function stillOf(queries: Queries, trip: string): Promise<boolean> {
  const [answers] = await queries.execute(sql.raw(trip))
  const rows = (answers as unknown as unknown[]).filter((one): one is { still: number }[] => Array.isArray(one))
  return rows.at(-1)?.[0]?.still === 1
}
