import type { PreparedCard } from '../preparedCard'
import { demandedKind, kindOf } from '../whole'
import type { StandingOf } from './relationState'

/**
 * Whether a check's three pins are another construction than the card's, or not known to be it: nothing compares its legs then
 * (METHODS 11.16).
 * @example
 * isAnotherPart(scenes.pins().prepared, 'pins', scenes.pins().standing) // false
 */
export function isAnotherPart({ card, checks }: PreparedCard, id: string, standing: StandingOf): boolean {
  const check = checks.get(id)
  return check?.kind === 'three-pins' && kindOf(check, standing(id)) !== demandedKind(card, id)
}
