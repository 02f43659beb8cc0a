import { behindLast, type Rewind, type RewindBody, type RewindEntry, type Stamp } from '../document'

/**
 * The next entry of a rewind's tape (CARD, "Rewind").
 * @example
 * nextRewindEntry({ id: 'w', startedAt: '2026-03-02T09:00:00.000Z', entries: [] }, { kind: 'note', words: 'x' }, { id: 'e', at: '2026-03-02T08:00:00.000Z', by: 'p' }).at
 * // '2026-03-02T09:00:00.000Z'
 */
export const nextRewindEntry = (
  rewind: Pick<Rewind, 'id' | 'startedAt' | 'entries'>,
  body: RewindBody,
  stamp: Stamp,
): RewindEntry => ({ ...behindLast(rewind, stamp), rewind: rewind.id, ...body })
