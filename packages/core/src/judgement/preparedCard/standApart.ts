import type { Band } from '../../conformance'
import type { PreparedCard, PreparedCheck } from './preparedCard'

/** Kinds that find out for themselves what is joined. */
const asksItself: ReadonlySet<string> = new Set(['contacts', 'pair-matrix', 'three-pins'])

/**
 * Whether nothing may join a pair (METHODS 11.13): two windings' groups, or one and the frame. A limit with a maximum, terminals joined
 * for the test, electronics between them, a ground lead or a shield join it, and so may a check that asks what is joined.
 * @param band the limit that applies, if one does
 * @example
 * standApart(scenes.sound().prepared, scenes.sound().check('frame'), ['O', 'frame'], undefined) // true
 */
export function standApart(
  { card, groupOf }: Pick<PreparedCard, 'card' | 'groupOf'>,
  { kind, conditions }: PreparedCheck,
  pair: [string, string],
  band: Band | undefined,
): boolean {
  const [a, b] = pair
  const between = (some: [string, string][] | undefined) =>
    some?.some((one) => one.includes(a) && one.includes(b)) ?? false
  if (asksItself.has(kind) || band?.max !== undefined) return false
  if (between(conditions?.joined) || between(card.care.electronicsBetween)) return false
  if (card.terminals.some(({ id, part }) => pair.includes(id) && (part === 'ground-lead' || part === 'shield')))
    return false
  if (groupOf(a).includes(b)) return false
  const wound = (terminal: string) => card.windings.some(({ from }) => groupOf(terminal).includes(from))
  return pair.every((terminal) => terminal === 'frame' || wound(terminal))
}
