import { onceFor } from '../document'
import type { PreparedCard, PreparedCheck } from '../judgement'
import { readingRules } from './rules'
import type { Moment, ReadingRule, Remark } from './rule'

/** A rule that fired at a moment, and the other readings that a stop of it holds. */
export interface Fired {
  rule: ReadingRule
  remark: Remark
  also: string[]
}

const rank = { stop: 0, warn: 1, note: 2 } as const

/**
 * Every rule that fires at a moment, in table order.
 * @example
 * fired({ bench: scenes.sound().bench, evaluation: scenes.sound().of('low'), before: [], standing: scenes.sound().standing, relations: [], earlier: [], again: [], onOthers: [] }).length
 * // 0
 */
export function fired(moment: Moment, rules: ReadingRule[] = readingRules): Fired[] {
  const all: Fired[] = []
  const { check } = moment.evaluation
  for (const rule of rulesOn(rules)(moment.bench.prepared)(check)) {
    const found = rule.test(moment)
    if (!found) continue
    const { also = [], ...remark } = found
    all.push({ rule, remark: { id: rule.id, ...remark }, also })
  }
  return all
}

/** The rules that can speak on a check at all. */
const rulesOn = onceFor((rules: ReadingRule[]) =>
  onceFor(({ relationsOf }: PreparedCard) =>
    onceFor((check: PreparedCheck) =>
      rules.filter(({ about }) => !about || about(check, relationsOf.get(check.id) ?? [])),
    ),
  ),
)

/**
 * Of remarks on one cause the severest, the first in the table among equals.
 * @example
 * severest([]).length // 0
 */
export function severest(all: Fired[]): Fired[] {
  if (all.length < 2) return all
  return all.filter(
    ({ rule, remark }, i) =>
      rule.cause === undefined ||
      !all.some(
        (other, j) =>
          other.rule.cause === rule.cause &&
          i !== j &&
          (rank[other.remark.severity] < rank[remark.severity] || (other.remark.severity === remark.severity && j < i)),
      ),
  )
}
