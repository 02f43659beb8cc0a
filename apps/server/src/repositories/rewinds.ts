import type { Rewind, RewindBody, RewindEntry } from '@sure-spool/core'
import { asc, desc, eq, gt } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { rewindEntries, rewinds, units } from '../database/schema'
import type { Proof } from './runs'

export type RewindRow = typeof rewinds.$inferSelect

export async function insertRewind(queries: Queries, row: RewindRow): Promise<void> {
  await queries.insert(rewinds).values(row)
}

/** A rewind's own row; `lock` keeps others from adding to its tape until the transaction ends. */
export async function readRewindRow(queries: Queries, id: string, lock = false): Promise<RewindRow | undefined> {
  const query = queries.select().from(rewinds).where(eq(rewinds.id, id))
  const [row] = await (lock ? query.for('update') : query)
  return row
}

/** What stands on a rewind's tape, in order. */
export async function entriesOfRewind(queries: Queries, rewind: string): Promise<RewindEntry[]> {
  const rows = await queries
    .select()
    .from(rewindEntries)
    .where(eq(rewindEntries.rewind, rewind))
    .orderBy(asc(rewindEntries.n), asc(rewindEntries.id))
  return rows.map(({ body, kind: _kind, seat: _seat, seal: _seal, ...head }) => ({ ...head, ...body }))
}

/** A rewind as a document, with all that stands on its tape. */
export const asRewind = (
  { startedBy: _by, card: _card, before, ...row }: RewindRow,
  entries: RewindEntry[],
): Rewind => ({
  format: 'sure-spool/rewind',
  version: 1,
  ...row,
  ...(before === null ? {} : { before }),
  entries,
})

export async function appendRewindEntries(
  queries: Queries,
  added: (RewindEntry & { receivedAt: string })[],
  proofs: ReadonlyMap<string, Proof> = new Map(),
): Promise<void> {
  if (added.length === 0) return
  await queries.insert(rewindEntries).values(
    added.map(({ id, rewind, n, at, by, receivedAt, ...body }) => ({
      id,
      rewind,
      n,
      at,
      by,
      receivedAt,
      kind: body.kind,
      body: body as RewindBody,
      seat: proofs.get(id)?.seat ?? null,
      seal: proofs.get(id)?.mac ?? null,
    })),
  )
}

const mostListed = 40

/** Rewinds of a unit, or of all units of a card, the newest first; the last forty. */
export const listRewinds = (
  queries: Queries,
  of: { unit: string } | { card: string },
): Promise<{ rewinds: RewindRow; tag: string }[]> =>
  queries
    .select({ rewinds, tag: units.tag })
    .from(rewinds)
    .innerJoin(units, eq(units.id, rewinds.unit))
    .where('unit' in of ? eq(rewinds.unit, of.unit) : eq(rewinds.card, of.card))
    .orderBy(desc(rewinds.startedAt), desc(rewinds.id))
    .limit(mostListed)

/** Every rewind in the order of their ids, a page at a time. */
export const rewindsPage = (queries: Queries, after: string | undefined, limit: number): Promise<RewindRow[]> =>
  queries
    .select()
    .from(rewinds)
    .where(after === undefined ? undefined : gt(rewinds.id, after))
    .orderBy(asc(rewinds.id))
    .limit(limit)
