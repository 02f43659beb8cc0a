import {
  entriesThatStand,
  itemOfPlace,
  readingSet,
  ringPattern,
  type PreparedCheck,
  type RunState,
} from '@sure-spool/core'
import type { Figures } from './figures'

/**
 * What the readings round a commutator come to, as soon as three are there: how many of how many, their middle, which stand out and what
 * to do about it. Empty for fewer.
 */
export function ringWords(state: RunState, check: PreparedCheck, figures: Figures): string[] {
  const stated = check.stated[0]?.limit
  const { points, count } = readingSet(state, check)
  const values = Array.from({ length: count }, (_, i) => {
    const value = points.find(({ at }) => at === i + 1)?.value
    return value === undefined ? null : Number.isFinite(value) ? value : ('Infinity' as const)
  })
  const pattern = ringPattern({
    values,
    ...(stated && stated !== 'derived' && stated.kind === 'alike' ? { allowedPct: stated.allowedPct } : {}),
  })
  if (!pattern) return []
  const read = values.filter((one) => typeof one === 'number').sort((a, b) => a - b)
  const middle = read.length > 0 ? (read[Math.floor((read.length - 1) / 2)] ?? 0) : 0
  const many = points.length < count ? `${points.length} of ${count} read` : `All ${count} read`
  const rest = `${many}, the middle ${figures.bound(middle, check.quantity ?? 'resistance')}.`
  const between = (bar: number) => `${bar} and ${bar === count ? 1 : bar + 1}`
  const [first = 0, second = 0] = pattern.bars
  switch (pattern.kind) {
    case 'alike':
      return [rest, 'All alike so far.']
    case 'scattered':
      return [rest, 'They scatter: the prongs at the same place each time, or the growler’s jaw.']
    case 'low': {
      const cleaned = entriesThatStand(state.tape, 'work').some(
        (work) => work.what === 'clean' && itemOfPlace(work.place) === first,
      )
      return [
        rest,
        cleaned
          ? `One low, between ${between(first)}, and cleaned: the coil.`
          : `One low, between ${between(first)}. Copper dust between them shorts too: clean there, read it again.`,
      ]
    }
    case 'high':
      return [rest, `One stands out high, between ${between(first)}.`]
    case 'low-pair':
    case 'high-pair':
      return [rest, `Two neighbours stand out and share bar ${second}: look at its joint first.`]
    case 'several':
      return [rest, `${pattern.bars.length} stand out: ${pattern.bars.join(', ')}.`]
  }
}
