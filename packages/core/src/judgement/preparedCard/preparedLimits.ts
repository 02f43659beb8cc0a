import type { Card, CardLimit, Check, Grade, History } from '../../document'
import { bandOf, gradeOf, limitsFor, openFrom, weaker } from '../../conformance'
import { derivedBand } from './derivedBand'
import { pairKey } from './pairKey'
import type { NeededPoint, PreparedLimit } from './preparedCard'

/**
 * A check's limits for a unit of one history, ready to judge with, the one that judges first in front.
 * @example
 * preparedLimits(twinCard(), twinCard().checks, twinCard().checks.find(({ id }) => id === 'low'), [], 'used')[0].band
 * // { min: 286.2, max: 349.8 }
 */
export function preparedLimits(
  card: Card,
  checks: Check[],
  check: Check,
  points: NeededPoint[],
  history: History,
): PreparedLimit[] {
  const made = new Map<CardLimit, PreparedLimit>()
  for (const limit of check.limits) made.set(limit, prepareLimit(card, checks, check, points, history, limit))
  const width = (limit: CardLimit) => {
    const { min = -Infinity, max = Infinity } = made.get(limit)?.band ?? {}
    return max - min
  }
  return limitsFor(check, history, card.sources, width).flatMap((limit) => made.get(limit) ?? [])
}

function prepareLimit(
  card: Card,
  checks: Check[],
  check: Check,
  points: NeededPoint[],
  history: History,
  limit: CardLimit,
): PreparedLimit {
  const grade = gradeOf(limit, card.sources)
  const { limit: stated, ...own } = limit
  if (stated !== 'derived') {
    const expectOpen = stated.kind === 'open' ? { expectOpen: { atLeast: stated.atLeast } } : {}
    return { ...own, stated, kind: stated.kind, band: bandOf(stated), grade, ...expectOpen }
  }
  const each = points.map(({ pair }) => ({
    pair,
    limit: derivedLimit(card, checks, check, pair, history, limit, grade),
  }))
  const [first] = each
  if (!first) return { ...own, stated, kind: 'derived', band: {}, grade }
  return each.length === 1
    ? first.limit
    : { ...first.limit, byPair: new Map(each.map((one) => [pairKey(one.pair), one.limit])) }
}

function derivedLimit(
  card: Card,
  checks: Check[],
  check: Check,
  pair: [string, string],
  history: History,
  limit: CardLimit,
  grade: Grade,
): PreparedLimit {
  const { limit: stated, ...own } = limit
  const derived = derivedBand(card, checks, pair, history, check.conditions, limit.referenceC ?? 20)
  if (!derived) return { ...own, stated, kind: 'derived', band: {}, grade }
  const weakest = derived.grades.reduce(weaker, grade)
  if (derived.min === Infinity)
    return {
      ...own,
      stated,
      kind: 'open',
      band: { min: openFrom },
      grade: weakest,
      expectOpen: { atLeast: openFrom },
    }
  return { ...own, stated, kind: 'derived', band: { min: derived.min, max: derived.max }, grade: weakest }
}
