import { onceFor, type Card } from '../../document'
import { confirmationOf, readsFinite, readsOpen, type Bench, type Evaluation } from '../figure'
import { pairKey, windingsBetween } from '../preparedCard'

/**
 * The windings of this unit that join nothing (METHODS 11.14): on the path of a pair whose open reading stands, and on none that
 * read finite.
 * @param standing every reading that stands
 * @param all every reading, for those taken twice
 * @returns ids of windings, sorted
 * @example
 * openWindings(scenes.sound().bench, scenes.sound().all, scenes.sound().all) // []
 */
export function openWindings(bench: Bench, standing: Evaluation[], all: Evaluation[]): string[] {
  const ohms = standing.filter(({ quantity, check }) => quantity === 'resistance' && !check.toFrame)
  const open = ohms.filter(
    (one) => one.reason === 'open-circuit' && readsOpen(one) && confirmationOf(bench.tape, one, all) === 'stands',
  )
  if (open.length === 0) return []
  const paths = pathsOf(bench.prepared.card)
  const whole = new Set(ohms.filter(readsFinite).flatMap(({ pair }) => (pair ? paths(pair) : [])))
  return [...new Set(open.flatMap(({ pair }) => (pair ? paths(pair) : [])))].filter((id) => !whole.has(id)).sort()
}

/** The windings between two terminals of a card, worked out once a pair. */
const pathsOf = onceFor((card: Card) => {
  const known = new Map<string, string[]>()
  return (pair: [string, string]): string[] => {
    const key = pairKey(pair)
    const path = known.get(key) ?? windingsBetween(card, pair)
    known.set(key, path)
    return path
  }
})
