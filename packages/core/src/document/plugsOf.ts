import type { Card, Plug } from './card'

/**
 * The plugs of one variant: those for any, and those that are `only` for it. Where a unit's variant is not known, or has none of its own,
 * those for any; where there are none, all, since one of them is in the hand.
 * @example
 * plugsOf({ plugs: [] }, 'tiller') // []
 */
export function plugsOf({ plugs }: Pick<Card, 'plugs'>, variant = ''): Plug[] {
  const own = plugs.filter(({ only }) => !only || only.includes(variant))
  return own.length > 0 ? own : plugs
}
