import type { Card, Check } from '../document'

/**
 * The check that reads a winding by itself, between its two ends.
 * @param kind what is read between them
 * @returns undefined where the card does not know the winding or has no such check
 * @example
 * checkOfWinding(scenes.sound().run.card, 'low', 'resistance')?.id // 'low'
 */
export function checkOfWinding(
  { windings, checks }: Pick<Card, 'windings' | 'checks'>,
  winding: string,
  kind: 'resistance' | 'inductance',
): Check | undefined {
  const own = windings.find(({ id }) => id === winding)
  return (
    own &&
    checks.find((one) => one.kind === kind && 'pair' in one.at && [own.from, own.to].every((end) => has(one, end)))
  )
}

const has = ({ at }: Check, end: string): boolean => 'pair' in at && at.pair.includes(end)
