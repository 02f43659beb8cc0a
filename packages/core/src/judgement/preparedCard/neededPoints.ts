import type { Check } from '../../document'
import type { NeededPoint } from './preparedCard'

/**
 * Of joined terminals one of `each` suffices: a point stands for all those of its group. Leads that are bent are tested one by one.
 * @example
 * neededPoints(compressorCard().checks[0], (terminal) => [terminal]).length // 3
 */
export function neededPoints(
  { at, conditions }: Pick<Check, 'at' | 'conditions'>,
  groupOf: (terminal: string) => string[],
): NeededPoint[] {
  if ('pair' in at) return [{ pair: at.pair, covers: at.pair }]
  if ('among' in at)
    return at.among.flatMap((a, i) =>
      at.among.slice(i + 1).map((b) => ({ pair: [a, b] as [string, string], covers: [a, b] })),
    )
  if (!('each' in at)) return []
  const points: NeededPoint[] = []
  for (const terminal of at.each) {
    const same = points.find((point) => groupOf(point.pair[0]).includes(terminal))
    if (same && at.to === 'frame' && !conditions?.state?.includes('flexed')) same.covers.push(terminal)
    else points.push({ pair: [terminal, at.to], covers: [terminal] })
  }
  return points
}
