import { entriesThatStand, type Tape } from '../judgement'

const plain = /^[\d\s,;&+–-]+(?:\s*and\s*\d+)?$/i

/**
 * Where something was seen round an armature, in the words in which it is kept: bare numbers are slots.
 * @example
 * slotWords('5 16') // 'slots 5 and 16'
 */
export function slotWords(typed: string): string {
  const words = typed.trim()
  const numbers = words.match(/\d+/g) ?? []
  if (!plain.test(words.replace(/\band\b/gi, ' ')) || numbers.length === 0) return words
  const last = numbers.at(-1) ?? ''
  return numbers.length === 1 ? `slot ${last}` : `slots ${numbers.slice(0, -1).join(', ')} and ${last}`
}

/**
 * The slots that were noted of a check, where a blade was pulled or a lamp stayed dark, each once and in order.
 * @param about the check's id; a note about another, or one that names bars, marks none
 * @example
 * slotsNoted(scenes.low().tape, 'low') // []
 */
export function slotsNoted(tape: Tape, about: string): number[] {
  const notes = entriesThatStand(tape, 'note').filter((note) => note.about === about)
  const found = notes.flatMap(({ words }) =>
    [...words.matchAll(/\bslots?\s+([\d\s,&+–-]*\d(?:\s*(?:and|,)\s*\d+)*)/gi)].flatMap(([, list = '']) =>
      (list.match(/\d+/g) ?? []).map(Number),
    ),
  )
  return [...new Set(found)].sort((a, b) => a - b)
}
