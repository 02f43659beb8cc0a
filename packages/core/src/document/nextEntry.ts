import type { Entry, EntryBody, Run } from './run'

/**
 * The next entry of a run's tape: behind the last one, and never before it in time, so that a clock set back in the middle of
 * a run does not tear the tape.
 * @param stamp id (UUIDv7), the wall clock as ISO text with milliseconds, and who is at the bench
 * @example
 * nextEntry({ id: 'r', startedAt: '2026-03-02T09:00:00.000Z', entries: [] }, { kind: 'note', words: 'dropped' }, { id: 'e', at: '2026-03-02T09:01:00.000Z', by: 'p' }).n
 * // 1
 */
export function nextEntry(
  run: Pick<Run, 'id' | 'startedAt'> & { entries: Entry[] },
  body: EntryBody,
  stamp: { id: string; at: string; by: string; clock?: number },
): Entry {
  const n = run.entries.reduce((last, entry) => Math.max(last, entry.n), 0) + 1
  const latest = run.entries.reduce(
    (last, entry) => (Date.parse(entry.at) > Date.parse(last) ? entry.at : last),
    run.startedAt,
  )
  return {
    id: stamp.id,
    run: run.id,
    n,
    at: Date.parse(stamp.at) > Date.parse(latest) ? stamp.at : latest,
    by: stamp.by,
    ...(stamp.clock === undefined ? {} : { clock: stamp.clock }),
    ...body,
  }
}
