import { terminalNamed, type Card, type EntryBody, type EntryOf, type WorkId } from '../document'
import { itemOfPlace } from './places'

type Work = Extract<EntryBody, { kind: 'work' }>

/** Work as it was typed, made an entry; or a sentence on what cannot be read. */
export type TypedWork = { work: Work } | { problem: string }

/** What hands call it, by what it is (CARD, WorkId). */
const words: [RegExp, WorkId][] = [
  [/^(clean|cleaned|scraped?|wiped?)$/, 'clean'],
  [/^(reflow|reflowed|resoldered)$/, 'reflow'],
  [/^(unsolder|unsoldered)$/, 'unsolder'],
  [/^(solder|soldered)$/, 'solder'],
  [/^(splice|spliced)$/, 'splice'],
  [/^(lift|lifted|off|removed)$/, 'off'],
  [/^(fix|fixed|wax|waxed|varnish|varnished|glued)$/, 'fix'],
  [/^(reinstall|reinstalled|mounted)$/, 'reinstall'],
  [/^(run|ran|warmed)$/, 'run'],
]
const back = /^(refit|refitted|back|on)$/

/**
 * Reads what was done and where: `spliced white 3`, `cleaned bars 17–18`, `refitted`. What goes back is what was taken off last, or the one
 * that is named. Where no place is typed it is the one in hand.
 * @param off what is off still, the last first
 * @param here the place in hand: a winding, a terminal, an item, or words
 * @example
 * typedWork('spliced grey', scenes.low().run.card, [], 'the part').work.place // 'G'
 */
export function typedWork(text: string, card: Card, off: EntryOf<'work'>[], here: string): TypedWork {
  const [, said = '', where = ''] = /^\s*(\S+)\s*(.*?)\s*$/.exec(text) ?? []
  const done = said.toLowerCase()
  const place = where === '' ? here : placeOf(where, card)
  if (back.test(done)) {
    const one = where === '' ? off[0] : off.find((work) => work.place === place)
    if (!one) return { problem: off.length === 0 ? 'Nothing is off.' : `“${where}” is not among what is off.` }
    const what = one.what === 'unsolder' ? 'solder' : 'on'
    return { work: { kind: 'work', what, place: one.place, undoes: one.id } }
  }
  const what = words.find(([pattern]) => pattern.test(done))?.[1]
  if (what === undefined)
    return {
      problem: `“${said}” is no work that is kept here: cleaned, reflowed, spliced, lifted, refitted and their like.`,
    }
  return { work: { kind: 'work', what, place } }
}

/** A terminal, winding, bar or item that is named so; else the words as they stand. */
function placeOf(where: string, card: Card): string {
  const winding = card.windings.find(({ id, label }) =>
    [label, id].some((name) => name.toLowerCase() === where.toLowerCase()),
  )
  const named = terminalNamed(where, card) ?? winding
  const index = itemOfPlace(where)
  return named?.id ?? (index === undefined ? where : `item ${index}`)
}
