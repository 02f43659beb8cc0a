import type { PhotoHead } from '@sure-spool/contract'
import { asc, eq, gt } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { photos } from '../database/schema'

export type PhotoRow = PhotoHead & { bytes: Buffer; receivedAt: string }

/** A photo with its picture. */
export async function readPhoto(queries: Queries, id: string): Promise<PhotoRow | undefined> {
  const [row] = await queries.select().from(photos).where(eq(photos.id, id))
  return row
}

export async function insertPhoto(
  queries: Queries,
  row: PhotoRow & { seat: string | null; seal: string | null },
): Promise<void> {
  await queries.insert(photos).values(row)
}

/** Every photo in the order of their ids, a page at a time. */
export const photosPage = (queries: Queries, after: string | undefined, limit: number): Promise<PhotoRow[]> =>
  queries
    .select()
    .from(photos)
    .where(after === undefined ? undefined : gt(photos.id, after))
    .orderBy(asc(photos.id))
    .limit(limit)
