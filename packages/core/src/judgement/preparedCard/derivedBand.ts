import {
  nodesOf,
  type Card,
  type CardLimit,
  type Check,
  type Conditions,
  type Grade,
  type History,
} from '../../document'
import { solveNetwork } from '../../network'
import { bandOf, gradeOf, limitsFor, rounded } from '../../conformance'
import { beta, isMetal } from '../../temperature'
import { pairKey } from './pairKey'
import { joinedBy, windingsBetween } from './windingsBetween'

/**
 * A pair's limits from its windings' (METHODS 9): exact, since the pair's resistance rises with each winding.
 * @returns undefined where a winding that carries current has no figure
 * @example
 * derivedBand(compressorCard(), compressorCard().checks, ['R', 'S'], 'used', undefined, 20)
 * // { min: 14.94, max: 18.26, grades: [] }
 */
export function derivedBand(
  card: Card,
  checks: Check[],
  [a, b]: [string, string],
  history: History,
  conditions: Conditions | undefined,
  referenceC: number,
): { min: number; max: number; grades: Grade[] } | undefined {
  const carrying = new Set(windingsBetween(card, [a, b], conditions))
  const ends = card.windings.map((winding) => ({
    winding,
    ...windingLimits(card, checks, winding, history, referenceC),
  }))
  if (ends.some(({ winding, min }) => carrying.has(winding.id) && min === undefined)) return undefined
  const at = (end: 'min' | 'max') =>
    solveNetwork({
      nodes: nodesOf(card),
      windings: [
        ...ends.map((one) => ({
          id: one.winding.id,
          from: one.winding.from,
          to: one.winding.to,
          ohms: one[end] ?? Infinity,
        })),
        ...joinedBy(conditions),
      ],
      a,
      b,
    }).ohms
  const grades = ends.flatMap((one) => (carrying.has(one.winding.id) && one.grade ? [one.grade] : []))
  return { min: rounded(at('min')), max: rounded(at('max')), grades }
}

function windingLimits(
  card: Card,
  checks: Check[],
  winding: Card['windings'][number],
  history: History,
  referenceC: number,
): { min?: number; max?: number; grade?: Grade } {
  const own = checks.find(
    (check) =>
      check.kind === 'resistance' &&
      'pair' in check.at &&
      pairKey(check.at.pair) === pairKey([winding.from, winding.to]) &&
      windingsBetween(card, check.at.pair, check.conditions).length === 1,
  )
  const plain = (own?.limits ?? []).filter((limit) => limit.limit !== 'derived')
  if (own && plain.length > 0) {
    const width = (limit: CardLimit) => {
      const band = limit.limit === 'derived' ? {} : bandOf(limit.limit)
      return (band.max ?? Infinity) - (band.min ?? -Infinity)
    }
    const [chosen] = limitsFor({ ...own, limits: plain }, history, card.sources, width)
    if (chosen && chosen.limit !== 'derived') {
      const { min, max } = bandOf(chosen.limit)
      const { material } = winding
      const metal = isMetal(material) ? beta[material] : undefined
      const factor = metal === undefined ? 1 : (metal + referenceC) / (metal + (chosen.referenceC ?? 20))
      if (min !== undefined && max !== undefined)
        return { min: min * factor, max: max * factor, grade: gradeOf(chosen, card.sources) }
    }
  }
  if (winding.ohms === undefined) return {}
  const share = (winding.tolerancePct ?? 0) / 100
  return { min: winding.ohms * (1 - share), max: winding.ohms * (1 + share) }
}
