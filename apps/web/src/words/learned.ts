import { bladesOn, hasAsked, type Card, type RunState } from '@sure-spool/core'

/**
 * What a run learned that its card does not have, as the act that puts it there; nothing where it learned nothing.
 * @param card the run's card as it is written, not as the run counts it
 */
export function learned(card: Card, state: RunState): string | undefined {
  const blades = bladesOn(card, state) !== undefined
  if (!hasAsked(state)) return blades ? 'put the blades’ names on the card' : undefined
  return blades ? 'put names and what was asked on the card' : 'put what was asked on the card'
}
