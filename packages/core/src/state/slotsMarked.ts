import { entriesThatStand } from '../judgement'
import type { RunState } from './runState'

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
 * The slots that are marked round an armature: noted of what was seen or lit, or asked for one by one and not as they should be; each once
 * and in order. A note about another check, or one that names bars, marks none.
 * @example
 * slotsMarked(scenes.low().state) // []
 */
export function slotsMarked({ tape, checks }: Pick<RunState, 'tape' | 'checks'>): number[] {
  const seen = checks.filter(({ check }) => check.kind === 'act' || check.kind === 'lamp')
  const notes = entriesThatStand(tape, 'note').filter(({ about }) => seen.some(({ check }) => check.id === about))
  const places = seen.flatMap(({ check, verdict }) =>
    verdict === 'outside' && 'place' in check.at ? [check.at.place] : [],
  )
  const found = [...notes.map(({ words }) => words), ...places].flatMap((words) =>
    [...words.matchAll(/\bslots?\s+(\d+(?:(?:[\s,&+–-]|and)*\d+)*)/gi)].flatMap(([, list = '']) =>
      (list.match(/\d+/g) ?? []).map(Number),
    ),
  )
  return [...new Set(found)].sort((a, b) => a - b)
}
