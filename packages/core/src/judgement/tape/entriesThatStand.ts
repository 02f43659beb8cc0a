import type { Entry, EntryOf } from '../../document'

/**
 * Which entries of a tape are taken back, and by what: a take-back that is itself taken back undoes nothing (CARD, Entries).
 * @param entries in tape order
 * @returns the id of each entry out of use → its take-back
 * @example
 * takenBackIn(scenes.sound().run.entries).size // 0
 */
export function takenBackIn<E extends { id: string; kind: string }>(entries: readonly E[]): Map<string, E> {
  const takenBack = new Map<string, E>()
  const undone = (entry: E) => (entry.kind === 'take-back' && 'entry' in entry ? String(entry.entry) : undefined)
  for (const entry of entries) {
    const id = undone(entry)
    if (id !== undefined) takenBack.set(id, entry)
  }
  for (const entry of entries) {
    const id = undone(entry)
    if (id !== undefined && takenBack.has(entry.id)) takenBack.delete(id)
  }
  return takenBack
}

/**
 * The entries of one kind that stand: not taken back, in tape order. Readings that were only superseded are among them.
 * @example
 * entriesThatStand(scenes.sound().tape, 'temperature')[0].partC // 20
 */
export function entriesThatStand<K extends Entry['kind']>(
  { standing }: { standing: ReadonlyMap<Entry['kind'], Entry[]> },
  kind: K,
): readonly EntryOf<K>[] {
  return (standing.get(kind) ?? none) as EntryOf<K>[]
}
const none: Entry[] = []
