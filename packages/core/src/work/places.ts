import type { EntryOf } from '../document'

const byIndex = /^(?:bars?|item|lead|number|slot)\s+(\d+)(?:\s*[-–]\s*\d+)?$/i

/**
 * The bar or item that a place names: `bar 17`, `bars 17–18` (the reading between them), `lead 3`.
 * @returns its number from 1; undefined where the place is none
 * @example
 * itemOfPlace('bars 17–18') // 17
 */
export function itemOfPlace(place: string): number | undefined {
  const number = byIndex.exec(place.trim())?.[1]
  return number === undefined ? undefined : Number(number)
}

const takesOff: ReadonlySet<string> = new Set(['off', 'unsolder'])

/**
 * What was taken off and is not back on yet, the last first: the order in which it goes back.
 * @param works those that stand, in tape order
 * @example
 * stillOff(scenes.low().tape.works) // []
 */
export function stillOff(works: readonly EntryOf<'work'>[]): EntryOf<'work'>[] {
  const undone = new Set(works.map(({ undoes }) => undoes))
  return works.filter(({ id, what }) => takesOff.has(what) && !undone.has(id)).reverse()
}
