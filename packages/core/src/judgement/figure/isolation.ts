import type { EntryOf } from '../../document'
import type { Tape } from '../tape'

/**
 * How the part was isolated when a reading was taken.
 * @example
 * isolationAt(scenes.sound().tape, 9)?.state // 'loose'
 */
export function isolationAt(tape: Tape, n: number): EntryOf<'isolation'> | undefined {
  return tape.isolations.findLast((entry) => entry.n < n)
}
