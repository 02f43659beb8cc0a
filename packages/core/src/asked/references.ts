import { gradeOf } from '../conformance'
import type { Card, Comparison, Entry, Relation } from '../document'

/** A relation that a reference at the bench implies is told from the card's by its id. */
const mark = 'twin:'

/**
 * Whether a relation stands on no card: a reference taken at the bench implied it.
 * @example
 * isImplied('twin:low') // true
 */
export const isImplied = (relation: string): boolean => relation.startsWith(mark)

/** The shop's allowance between twins (METHODS 5), per cent. */
const twinsWithin = 5

/**
 * The references that were taken at the bench, in tape order (CARD, `compare`).
 * @param entries those that stand
 * @example
 * referencesTaken(scenes.low().run.entries) // []
 */
export const referencesTaken = (entries: readonly Entry[]): Comparison[] =>
  entries.flatMap((entry) => (entry.kind === 'compare' ? [entry.with] : []))

/**
 * What a twin or neighbour taken at the bench is to a card that does not ask for one (METHODS 11.19): its checks without a limit of their own,
 * or with only a guess, should be alike within the shop's allowance.
 * @example
 * impliedTwins(scenes.low().run.card, []) // []
 */
export function impliedTwins(card: Card, references: Comparison[]): Relation[] {
  const beside = references.filter(({ as }) => as === 'twin' || as === 'neighbour')
  const read = new Set(beside.flatMap(({ figures }) => figures.map(({ check }) => check)))
  return card.checks.flatMap(({ id, limits }): Relation[] => {
    const isAsked = card.relations.some((one) => one.kind === 'twin' && one.check === id)
    const onlyGuessed = limits.every((limit) => gradeOf(limit, card.sources) === 'guess')
    if (!read.has(id) || isAsked || !onlyGuessed) return []
    const label = `alike its ${beside[0]?.as ?? 'twin'}`
    return [
      { id: `${mark}${id}`, label, source: card.sources[0]?.id ?? '', kind: 'twin', check: id, withinPct: twinsWithin },
    ]
  })
}
