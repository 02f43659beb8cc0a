import type { Entry } from './run'

/**
 * What a tape tells by going along it once; of one that has grown since it was last asked, only along what was added. A tape that was cut
 * back, or whose last known entry is another one by now, is gone along anew.
 * @param begin what an empty tape tells
 * @param take one more entry, in place
 * @example
 * alongTape(() => ({ last: 0 }), (told, { n }) => void (told.last = n))([]).last // 0
 */
export function alongTape<Told>(
  begin: () => Told,
  take: (told: Told, entry: Entry) => void,
): (entries: readonly Entry[]) => Told {
  const known = new WeakMap<readonly Entry[], { told: Told; count: number; last: Entry | undefined }>()
  return (entries) => {
    const before = known.get(entries)
    const goesOn = before !== undefined && entries[before.count - 1] === before.last
    const told = goesOn ? before.told : begin()
    for (let i = goesOn ? before.count : 0; i < entries.length; i++) take(told, entries[i] as Entry)
    known.set(entries, { told, count: entries.length, last: entries.at(-1) })
    return told
  }
}
