import type { Rewind, RewindBody, RewindEntry } from '../document'

/**
 * The next entry of a rewind's tape: behind the last one, and never before it in time (CARD, "Rewind").
 * @param stamp id (UUIDv7), the wall clock as ISO text with milliseconds, and who is at the winder
 * @example
 * nextRewindEntry({ id: 'w', startedAt: '2026-03-02T09:00:00.000Z', entries: [] }, { kind: 'note', words: 'x' }, { id: 'e', at: '2026-03-02T08:00:00.000Z', by: 'p' }).at
 * // '2026-03-02T09:00:00.000Z'
 */
export function nextRewindEntry(
  rewind: Pick<Rewind, 'id' | 'startedAt' | 'entries'>,
  body: RewindBody,
  stamp: { id: string; at: string; by: string; clock?: number },
): RewindEntry {
  const last = rewind.entries.at(-1)
  const latest = last && Date.parse(last.at) > Date.parse(rewind.startedAt) ? last.at : rewind.startedAt
  return {
    id: stamp.id,
    rewind: rewind.id,
    n: Math.max(0, ...rewind.entries.map(({ n }) => n)) + 1,
    at: Date.parse(stamp.at) > Date.parse(latest) ? stamp.at : latest,
    by: stamp.by,
    ...(stamp.clock === undefined ? {} : { clock: stamp.clock }),
    ...body,
  }
}
