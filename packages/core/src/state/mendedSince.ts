import type { EntryOf, WorkId } from '../document'
import { confirmationOf, outdated, type Evaluation } from '../judgement'
import type { RunState } from './runState'

/** A check that reads right since some work, and read outside before it. */
export interface Mended {
  check: string
  work: EntryOf<'work'> & { what: MendingWork }
  before: Evaluation
  /** what it read before stood by itself: a second touch, or a figure that no missing contact gives */
  stood: boolean
  now: Evaluation
}

/** Work that mends without making anew. */
export const mendingWorks = ['reflow', 'splice', 'clean'] as const satisfies WorkId[]
export type MendingWork = (typeof mendingWorks)[number]

/**
 * What work on the part has mended in this run: of each check that is within its limits, the point that was outside before the last reflow,
 * splice or cleaning that touched it.
 * @returns in the card's order, each check once; none where nothing was outside before, or it is not within now
 * @example
 * mendedSince(scenes.low().state) // []
 */
export function mendedSince({ checks, evaluations, tape, prepared }: RunState): Mended[] {
  const all = [...evaluations.values()]
  return checks.flatMap(({ check, verdict, points }) => {
    if (verdict !== 'within') return []
    for (const now of points.flatMap(({ evaluation }) => evaluation ?? [])) {
      const before = all.findLast(
        (one) =>
          one.point === now.point &&
          one.verdict === 'outside' &&
          !tape.gone.has(one.entry.id) &&
          outdated(tape, prepared, check, one.entry, one.pair),
      )
      const work = before && tape.changes.findLast(({ n }) => n < now.entry.n)
      if (before && work && isMending(work)) {
        const stood = confirmationOf(tape, before, all) === 'stands'
        return [{ check: check.id, work, before, stood, now }]
      }
    }
    return []
  })
}

const isMending = (work: EntryOf<'work'>): work is Mended['work'] => mendingWorks.some((what) => what === work.what)
