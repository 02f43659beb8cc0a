import type { Entry, EntryBody, Instrument, Run } from '@sure-spool/core'
import { and, asc, desc, eq, gt, lt, or } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { insertText } from '../database/insertText'
import { cardRevisions, entries, readings, runs, runStates, units } from '../database/schema'
import { readRevision } from './revisions'

export type RunRow = typeof runs.$inferSelect

export async function insertRun(queries: Queries, run: RunRow): Promise<void> {
  await queries.insert(runs).values(run)
}

/** A run's own row; `lock` keeps others from adding to its tape until the transaction ends. */
export async function readRunRow(queries: Queries, id: string, lock = false): Promise<RunRow | undefined> {
  const query = queries.select().from(runs).where(eq(runs.id, id))
  const [row] = await (lock ? query.for('update') : query)
  return row
}

export async function entriesOf(queries: Queries, run: string): Promise<Entry[]> {
  const rows = await queries.select().from(entries).where(eq(entries.run, run)).orderBy(asc(entries.n), asc(entries.id))
  return rows.map(asEntry)
}

const asEntry = ({ body, kind: _kind, seat: _seat, seal: _seal, ...head }: typeof entries.$inferSelect): Entry => ({
  ...head,
  ...body,
})

/** What proves an entry: the seat it was made in, and the seal made with that seat's key. */
export type Proof = { seat: string; mac: string }

/** What adds entries to the tape, with their readings' figures as columns. */
export function appending(
  added: (Entry & { receivedAt: string })[],
  proofs: ReadonlyMap<string, Proof> = new Map(),
): string[] {
  if (added.length === 0) return []
  const onTape = insertText(
    entries,
    added.map(({ id, run, n, at, by, receivedAt, ...body }) => ({
      id,
      run,
      n,
      at,
      by,
      receivedAt,
      kind: body.kind,
      body: body as EntryBody,
      seat: proofs.get(id)?.seat ?? null,
      seal: proofs.get(id)?.mac ?? null,
    })),
  )
  const rows = added.flatMap((entry) => {
    if (entry.kind !== 'reading') return []
    const { kind, text, value = null, low = null, high = null, instrument = null } = entry.reading
    return [{ entry: entry.id, run: entry.run, check: entry.check, kind, text, value, low, high, instrument }]
  })
  return rows.length > 0 ? [onTape, insertText(readings, rows)] : [onTape]
}

/** A run as a document, with its card and all its entries. */
export async function readRun(queries: Queries, row: RunRow): Promise<Run | undefined> {
  const [head] = await queries
    .select({ unit: units, hash: cardRevisions.hash })
    .from(units)
    .innerJoin(cardRevisions, and(eq(cardRevisions.card, row.card), eq(cardRevisions.revision, row.revision)))
    .where(eq(units.id, row.unit))
  if (!head) return undefined
  const { unit } = head
  const card = await readRevision(queries, row.card, row.revision, head.hash)
  if (!card) return undefined
  return {
    format: 'sure-spool/run',
    version: 1,
    id: row.id,
    unit: {
      id: unit.id,
      tag: unit.tag,
      ...(unit.serial === null ? {} : { serial: unit.serial }),
      ...(unit.variant === null ? {} : { variant: unit.variant }),
      ...(unit.items === null ? {} : { items: unit.items }),
      history: row.history as Run['unit']['history'],
      complaint: unit.complaint as Run['unit']['complaint'],
      words: unit.words,
    },
    card,
    rule: row.rule as Run['rule'],
    instruments: row.instruments as Instrument[],
    startedAt: row.startedAt,
    ...(row.limits === null ? {} : { limits: row.limits }),
    ...(row.compare === null ? {} : { compare: row.compare }),
    entries: await entriesOf(queries, row.id),
  }
}

/** A unit's runs, the newest first, from behind a place on. */
export async function runRowsOfUnit(
  queries: Queries,
  unit: string,
  after: { startedAt: string; id: string } | undefined,
  limit: number,
): Promise<RunRow[]> {
  return queries
    .select()
    .from(runs)
    .where(
      and(
        eq(runs.unit, unit),
        after === undefined
          ? undefined
          : or(lt(runs.startedAt, after.startedAt), and(eq(runs.startedAt, after.startedAt), lt(runs.id, after.id))),
      ),
    )
    .orderBy(desc(runs.startedAt), desc(runs.id))
    .limit(limit)
}

/** The run a unit was in last. */
export const lastRunRow = async (queries: Queries, unit: string): Promise<RunRow | undefined> =>
  (await runRowsOfUnit(queries, unit, undefined, 1))[0]

/** The last closed run of a unit that was begun behind one moment and, where there is one, before another. */
export async function closedRunBetween(
  queries: Queries,
  unit: string,
  after: string,
  before: string | undefined,
): Promise<{ row: RunRow; cameBack: boolean } | undefined> {
  const [found] = await queries
    .select({ row: runs, cameBack: runStates.cameBack })
    .from(runs)
    .innerJoin(runStates, and(eq(runStates.run, runs.id), eq(runStates.closed, true)))
    .where(
      and(
        eq(runs.unit, unit),
        gt(runs.startedAt, after),
        before === undefined ? undefined : lt(runs.startedAt, before),
      ),
    )
    .orderBy(desc(runs.startedAt), desc(runs.id))
    .limit(1)
  return found
}

/** Every run in the order of their ids, a page at a time. */
export const runsPage = (queries: Queries, after: string | undefined, limit: number): Promise<RunRow[]> =>
  queries
    .select()
    .from(runs)
    .where(after === undefined ? undefined : gt(runs.id, after))
    .orderBy(asc(runs.id))
    .limit(limit)
