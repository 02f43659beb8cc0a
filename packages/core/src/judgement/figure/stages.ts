import type { PreparedCard, PreparedCheck } from '../preparedCard'
import { itemOfPlace } from '../../work'
import { stoodBefore, type ReadingEntry, type Tape } from '../tape'

/**
 * Whether work done after this reading touched what it read, so that it judges an earlier stage (METHODS 11.4).
 * @example
 * outdated(scenes.sound().tape, scenes.sound().prepared, scenes.sound().check('low'), scenes.sound().of('low').entry, ['O', 'G'])
 * // false
 */
export function outdated(
  tape: Tape,
  prepared: PreparedCard,
  check: PreparedCheck,
  entry: ReadingEntry,
  pair: [string, string] | undefined,
): boolean {
  return tape.changes.some(
    (work) => stoodBefore(tape.entries, entry, work) && worksOn(prepared, check, pair, entry.reading.index, work.place),
  )
}

/**
 * A place that names a bar or an item touches that one alone; one that names no winding, terminal, bar or item touches every winding; a
 * ground test is touched by any winding of its group.
 */
function worksOn(
  { card, groupOf }: PreparedCard,
  check: PreparedCheck,
  pair: [string, string] | undefined,
  index: number | undefined,
  place: string,
): boolean {
  const item = itemOfPlace(place)
  if (item !== undefined) return index === item
  const winding = card.windings.find((one) => one.id === place)
  const grounded = (terminal: string) =>
    check.toFrame && (pair?.some((one) => one !== 'frame' && groupOf(one).includes(terminal)) ?? false)
  if (winding) return check.toFrame ? grounded(winding.from) : check.touches.has(place)
  if (!card.terminals.some((terminal) => terminal.id === place)) return true
  return (pair?.includes(place) ?? false) || grounded(place)
}
