import { ProblemError } from './problem'

/** A place in a list, as text that means nothing to the client. */
export const encodeCursor = (place: Record<string, string>): string =>
  Buffer.from(JSON.stringify(place)).toString('base64url')

/** @throws ProblemError 400 for a cursor that this server did not make */
export function decodeCursor<T>(cursor: string, keys: (keyof T & string)[]): T {
  try {
    const place: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8'))
    if (
      place !== null &&
      typeof place === 'object' &&
      keys.every((key) => typeof (place as Record<string, unknown>)[key] === 'string')
    )
      return place as T
  } catch {
    // falls through: whatever it was, it is not a cursor
  }
  throw new ProblemError(400, 'not-valid', 'The cursor is not one this server gave. Begin the list again.', [
    { path: 'cursor', detail: 'is not one this server gave' },
  ])
}
