import type { EntryOf } from '../../document'
import type { Tape } from '../tape'

/**
 * How the part was isolated when a reading was taken. What stands in parallel is often said only once a reading in circuit asks for it: then it
 * stood there when the reading was taken.
 * @param n the reading's place on the tape
 * @returns undefined where nobody said anything
 * @example
 * isolationAt(scenes.sound().tape, 9)?.state // 'loose'
 */
export function isolationAt(tape: Tape, n: number): EntryOf<'isolation'> | undefined {
  const before = tape.isolations.findLast((entry) => entry.n < n)
  if (before && (before.state !== 'in-circuit' || before.parallelOhms !== undefined)) return before
  const after = tape.isolations.find((entry) => entry.n > n)
  if (after?.state !== 'in-circuit' || after.parallelOhms === undefined) return before
  // whoever kept the reading as it was has said that nothing stood beside it
  const isKept = tape.entries.some(
    (entry) => entry.kind === 'answer' && entry.remark === 'not-isolated' && entry.n > n && entry.n < after.n,
  )
  return isKept ? before : after
}

/**
 * Whether the part was isolated alike at two readings. What stands in parallel is part of a figure: with a lead lifted between them they are of
 * two things.
 * @example
 * isolatedAlike(scenes.sound().tape, 9, 10) // true
 */
export function isolatedAlike(tape: Tape, n: number, other: number): boolean {
  const [a, b] = [isolationAt(tape, n), isolationAt(tape, other)]
  const lifted = (one: typeof a) => [...(one?.lifted ?? [])].sort().join()
  return a === b || (a?.state === b?.state && a?.parallelOhms === b?.parallelOhms && lifted(a) === lifted(b))
}
