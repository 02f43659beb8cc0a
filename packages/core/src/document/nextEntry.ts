import type { Entry, EntryBody, Run } from './run'

/** Who made an entry, when by the wall clock (ISO text with milliseconds), and its id (UUIDv7). */
export interface Stamp {
  id: string
  at: string
  by: string
  clock?: number
}

/**
 * The place of the next entry of a tape: behind the last one, and never before it in time, so that a clock set back in the middle of
 * the work does not tear the tape.
 * @example
 * behindLast({ startedAt: '2026-03-02T09:00:00.000Z', entries: [] }, { id: 'e', at: '2026-03-02T08:00:00.000Z', by: 'p' }).at
 * // '2026-03-02T09:00:00.000Z'
 */
export function behindLast(
  tape: { startedAt: string; entries: readonly { n: number; at: string }[] },
  { id, at, by, clock }: Stamp,
): Stamp & { n: number } {
  const n = tape.entries.reduce((last, entry) => Math.max(last, entry.n), 0) + 1
  const latest = tape.entries.reduce(
    (last, entry) => (Date.parse(entry.at) > Date.parse(last) ? entry.at : last),
    tape.startedAt,
  )
  return { id, n, at: Date.parse(at) > Date.parse(latest) ? at : latest, by, ...(clock === undefined ? {} : { clock }) }
}

/**
 * The next entry of a run's tape (CARD, Entries).
 * @example
 * nextEntry({ id: 'r', startedAt: '2026-03-02T09:00:00.000Z', entries: [] }, { kind: 'note', words: 'dropped' }, { id: 'e', at: '2026-03-02T09:01:00.000Z', by: 'p' }).n
 * // 1
 */
export const nextEntry = (
  run: Pick<Run, 'id' | 'startedAt'> & { entries: Entry[] },
  body: EntryBody,
  stamp: Stamp,
): Entry => ({ ...behindLast(run, stamp), run: run.id, ...body })
