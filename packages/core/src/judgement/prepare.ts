import type { Card, CardLimit, Check, Conditions, Grade, History, Material, Relation, Run } from '../document'
import { solveNetwork, type Resistor } from '../network'
import { groups } from '../relations'
import { bandOf, gradeOf, limitsFor, openFrom, rounded, weaker, type Band } from '../spec'
import { beta, isMetal } from '../temperature'
import { pairKey } from './limitAt'

/** One limit ready to judge with: its band, what it expects, and who says so. */
export interface PreparedLimit {
  limit: CardLimit
  kind: CardLimit['limit'] extends infer L ? (L extends { kind: infer K } ? K : never) | 'derived' : never
  band: Band
  grade: Grade
  expectOpen?: { atLeast: number }
  referenceC?: number
  /** a derived limit of several points: each pair's own */
  byPair?: Map<string, PreparedLimit>
}

/** A point that the check needs read: a pair, or one of several. */
export interface NeededPoint {
  pair: [string, string]
  /** the terminals this point stands for */
  covers: string[]
}

/** What a card says of one check, worked out once. */
export interface PreparedCheck {
  check: Check
  points: NeededPoint[]
  /** windings that carry current between the points read, or belong to the groups tested to frame */
  touches: Set<string>
  material: Material | undefined
  limits: Record<History, PreparedLimit[]>
  toFrame: boolean
}

export interface PreparedCard {
  card: Card
  checks: Map<string, PreparedCheck>
  /** the relations that join a check, by check id */
  relationsOf: Map<string, Relation[]>
  groups: string[][]
  groupOf: (terminal: string) => string[]
}

const histories: History[] = ['new', 'used', 'rewound']
const known = new WeakMap<Card, Map<string, PreparedCard>>()

/**
 * Everything about a card that does not depend on what was read, worked out once per card object and variant.
 * @param run the card and the unit's variant; checks that are `only` for other variants are left out
 */
export function prepareCard({ card, unit }: Pick<Run, 'card' | 'unit'>): PreparedCard {
  const byVariant = known.get(card) ?? new Map<string, PreparedCard>()
  known.set(card, byVariant)
  const variant = unit.variant ?? ''
  const prepared = byVariant.get(variant) ?? prepare(card, variant)
  byVariant.set(variant, prepared)
  return prepared
}

function prepare(card: Card, variant: string): PreparedCard {
  const checks = card.checks.filter((check) => !check.only || check.only.includes(variant))
  const joined = groups({
    wires: nodesOf(card),
    readings: card.windings.map((winding) => ({ a: winding.from, b: winding.to, value: 0 })),
  })
  const groupOf = (terminal: string) => joined.find((group) => group.includes(terminal)) ?? [terminal]
  const prepared = checks.map((check) => [check.id, prepareCheck(card, checks, check, groupOf)] as const)
  const relationsOf = new Map(
    checks.map(({ id }) => [id, card.relations.filter((relation) => joins(relation, id))] as const),
  )
  return { card, checks: new Map(prepared), relationsOf, groups: joined, groupOf }
}

const joins = (relation: Relation, check: string): boolean =>
  Object.values(relation).some((value) => value === check || (Array.isArray(value) && value.includes(check)))

const nodesOf = (card: Card): string[] => [...new Set(['frame', ...card.terminals.map((terminal) => terminal.id)])]

function prepareCheck(
  card: Card,
  checks: Check[],
  check: Check,
  groupOf: (terminal: string) => string[],
): PreparedCheck {
  const points = pointsOf(check, groupOf)
  const toFrame = 'each' in check.at && check.at.to === 'frame'
  const touches = new Set<string>()
  for (const { pair, covers } of points) {
    if (toFrame)
      for (const winding of card.windings)
        if (covers.some((terminal) => groupOf(terminal).includes(winding.from))) touches.add(winding.id)
    for (const id of windingsBetween(card, pair, check.conditions)) touches.add(id)
  }
  const path = card.windings.filter((winding) => touches.has(winding.id))
  const material = path.some((winding) => winding.material === 'resistive') ? 'resistive' : path[0]?.material
  const limits = Object.fromEntries(
    histories.map((history) => [history, prepareLimits(card, checks, check, points, history)]),
  ) as Record<History, PreparedLimit[]>
  return { check, points, touches, material: toFrame ? undefined : material, limits, toFrame }
}

/** Of joined terminals one of `each` suffices: a point stands for all those of its group. */
function pointsOf(check: Check, groupOf: (terminal: string) => string[]): NeededPoint[] {
  const { at } = check
  if ('pair' in at) return [{ pair: at.pair, covers: at.pair }]
  if ('among' in at)
    return at.among.flatMap((a, i) =>
      at.among.slice(i + 1).map((b) => ({ pair: [a, b] as [string, string], covers: [a, b] })),
    )
  if (!('each' in at)) return []
  const points: NeededPoint[] = []
  for (const terminal of at.each) {
    const same = points.find((point) => groupOf(point.pair[0]).includes(terminal))
    if (same && at.to === 'frame') same.covers.push(terminal)
    else points.push({ pair: [terminal, at.to], covers: [terminal] })
  }
  return points
}

/** Windings that carry current between two points; figures chosen so that no bridge balances by chance. */
function windingsBetween(card: Card, [a, b]: [string, string], conditions?: Conditions): string[] {
  const unequal = card.windings.map((winding, i) => ({ ...winding, ohms: 1 + 0.137 * i }))
  const { shares } = solveNetwork({
    nodes: nodesOf(card),
    windings: [...unequal, ...joinedBy(conditions)],
    a,
    b,
  })
  return card.windings.filter((winding) => Math.abs(shares.get(winding.id) ?? 0) > 1e-9).map((winding) => winding.id)
}

const joinedBy = (conditions?: Conditions): Resistor[] =>
  (conditions?.joined ?? []).map(([from, to], i) => ({ id: `joined-${i}`, from, to, ohms: 0 }))

function prepareLimits(
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
  const reference = limit.referenceC === undefined ? {} : { referenceC: limit.referenceC }
  if (limit.limit !== 'derived') {
    const kind = limit.limit.kind
    const expectOpen = limit.limit.kind === 'open' ? { expectOpen: { atLeast: limit.limit.atLeast } } : {}
    return { limit, kind, band: bandOf(limit.limit), grade, ...expectOpen, ...reference }
  }
  const each = points.map(({ pair }) => ({
    pair,
    limit: derivedLimit(card, checks, check, pair, history, limit, grade),
  }))
  const [first] = each
  if (!first) return { limit, kind: 'derived', band: {}, grade, ...reference }
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
  const reference = limit.referenceC === undefined ? {} : { referenceC: limit.referenceC }
  const derived = deriveBand(card, checks, pair, history, check.conditions, limit.referenceC ?? 20)
  if (!derived) return { limit, kind: 'derived', band: {}, grade, ...reference }
  const weakest = derived.grades.reduce(weaker, grade)
  if (derived.min === Infinity)
    return {
      limit,
      kind: 'open',
      band: { min: openFrom },
      grade: weakest,
      expectOpen: { atLeast: openFrom },
      ...reference,
    }
  return { limit, kind: 'derived', band: { min: derived.min, max: derived.max }, grade: weakest, ...reference }
}

/**
 * A pair's limits from its windings' (METHODS 9): exact, since the pair's resistance rises with each winding.
 * @returns undefined where a winding that carries current has no figure
 */
function deriveBand(
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
