import type { Run, RunState } from '@sure-spool/core'
import { eq, sql, type SQL, type SQLWrapper } from 'drizzle-orm'
import type { MySqlRawQueryResult } from 'drizzle-orm/mysql2'
import { LRUCache } from 'lru-cache'
import { metAnother, type Queries } from '../database/connect'
import { entries, runs, units } from '../database/schema'
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
export async function changedAsRemembered(queries: Queries, run: Run, changes: SQLWrapper[]): Promise<boolean> {
  const all = sql.join(
    changes.map((one) => one.getSQL()),
    sql`; `,
  )
  const trip = sql`begin not atomic
    declare still boolean default false;
    declare exit handler for sqlexception begin rollback; resignal; end;
    start transaction;
    select count(*) into still from ${runs} where ${eq(runs.id, run.id)} for update;
    set still = still and ${stands(run)};
    if still then ${all}; commit; else rollback; end if;
    select still; end`
  try {
    return answerOf<{ still: number }>(await queries.execute(trip))?.still === 1
  } catch (error) {
    if (metAnother(error)) return false
    throw error
  }
}

/** Whether a run is as it is remembered; it is locked in the same trip, for every reading asks it. */
async function standsAs(queries: Queries, { run }: Held, lock: boolean): Promise<boolean> {
  const trip = sql`begin not atomic
    select ${runs.id} from ${runs} where ${eq(runs.id, run.id)} ${sql.raw(lock ? 'for update' : '')};
    select ${stands(run)} as still; end`
  return answerOf<{ still: number }>(await queries.execute(trip))?.still === 1
}

/** That a run's tape and its unit are in the database as they are in a document, to the letter. */
function stands({ id, unit, entries: tape }: Run): SQL {
  const latest = tape.reduce((last, entry) => (entry.id > last ? entry.id : last), '')
  const onTape = sql`from ${entries} where ${eq(entries.run, id)}`
  return sql`(select count(*) ${onTape}) = ${tape.length}
    and (select max(${entries.id}) ${onTape}) <=> ${latest === '' ? null : sql.param(latest, entries.id)}
    and exists (select 1 from ${units} where ${eq(units.id, unit.id)} and ${units.items} <=> ${unit.items ?? null}
      and ${toTheLetter(units.tag, unit.tag)} and ${toTheLetter(units.serial, unit.serial)}
      and ${toTheLetter(units.variant, unit.variant)} and ${toTheLetter(units.words, unit.words)}
      and ${toTheLetter(units.complaint, JSON.stringify(unit.complaint))})`
}

/** Collations let case and blanks at the end pass, so texts are compared by their bytes. */
const toTheLetter = (column: SQLWrapper, text: string | undefined): SQL =>
  sql`binary ${column} <=> binary ${text ?? null}`

/** The one row that a trip of several statements answers with last. */
function answerOf<Row>([answers]: MySqlRawQueryResult): Row | undefined {
  const rows = (answers as unknown as unknown[]).filter((one): one is Row[] => Array.isArray(one))
  return rows.at(-1)?.[0]
}
