import { momentSchema, uuidSchema } from '@sure-spool/contract'
import { z } from 'zod'
import { ProblemError } from './problem'

/** Where a page of each list ended. */
const placeIn = {
  cards: z.object({ maker: z.string(), model: z.string(), id: uuidSchema }),
  found: z.object({ from: z.string().regex(/^\d{1,9}$/) }),
  queue: z.object({ takenInAt: momentSchema, id: uuidSchema }),
  record: z.object({ startedAt: momentSchema, run: uuidSchema }),
  runs: z.object({ startedAt: momentSchema, id: uuidSchema }),
  audit: z.object({ id: uuidSchema }),
}
type Lists = typeof placeIn
type PlaceIn<List extends keyof Lists> = z.infer<Lists[List]>

/** A place in a list, as text that means nothing to the client. */
export const encodeCursor = <List extends keyof Lists>(_list: List, place: PlaceIn<List>): string =>
  Buffer.from(JSON.stringify(place)).toString('base64url')

/**
 * The place that a cursor of a list names; nothing where there is no cursor.
 * @throws ProblemError 400 for one that this server did not make, or made for another list
 */
export function decodeCursor<List extends keyof Lists>(
  list: List,
  cursor: string | undefined,
): PlaceIn<List> | undefined {
  if (cursor === undefined) return undefined
  const place = placeIn[list].safeParse(textOf(cursor))
  if (place.success) return place.data as PlaceIn<List>
  throw new ProblemError(400, 'not-valid', 'The cursor is not one this server gave. Begin the list again.', [
    { path: 'cursor', detail: 'is not one this server gave' },
  ])
}

function textOf(cursor: string): unknown {
  try {
    return JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8'))
  } catch {
    // whatever it was, it is no cursor
    return undefined
  }
}
