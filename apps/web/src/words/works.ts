import { itemOfPlace, type Card, type EntryOf } from '@sure-spool/core'
import { workWords } from './kinds'

/** The place of some work, in the card's own names. */
export function workPlace({ terminals, windings, family }: Card, place: string): string {
  const named = [...terminals, ...windings].find(({ id }) => id === place)?.label
  const index = itemOfPlace(place)
  if (named !== undefined || index === undefined) return named ?? place
  return family === 'armature'
    ? `bars ${index} and the next`
    : `${family === 'ignition-leads' ? 'lead' : 'number'} ${index}`
}

/** What was done and where, as a line of the tape: `spliced: white 3`. */
export const workDone = (card: Card, { what, place, words }: EntryOf<'work'>): string =>
  `${workWords[what]}: ${workPlace(card, place)}${words === undefined ? '' : `. ${words}`}`
