import {
  nodesOf,
  onceFor,
  type Card,
  type Check,
  type History,
  type Place,
  type Relation,
  type Run,
  type Winding,
} from '../../document'
import { groups } from '../../relations'
import { neededPoints } from './neededPoints'
import type { PreparedCard, PreparedCheck, PreparedLimit } from './preparedCard'
import { preparedLimits } from './preparedLimits'
import { windingsBetween } from './windingsBetween'

const byVariant = onceFor((_card: Card) => new Map<string, PreparedCard>())

/**
 * Everything about a card that does not depend on what was read, worked out once per card object, kind of unit and place.
 * @param card a valid card; it must not change afterwards
 * @param unit its variant: checks that are `only` for other variants are left out, without one those for any variant stay; and its items,
 * where it has another number of them than the card says
 * @param place where the part is; a check of the other place is not required (METHODS 11.20)
 * @example
 * prepareCard(twinCard()).checks.get('low').limits.used[0].band // { min: 286.2, max: 349.8 }
 */
export function prepareCard(card: Card, { variant = '', items }: OfUnit = {}, place: Place = 'bench'): PreparedCard {
  const known = byVariant(card)
  const key = `${place} ${items ?? ''} ${variant}`
  const prepared = known.get(key) ?? prepare(card, { variant, items }, place)
  known.set(key, prepared)
  return prepared
}

/**
 * Whether a check waits until the part is at its other place.
 * @example
 * waits(scenes.low().prepared, scenes.low().check('low')) // false
 */
export const waits = ({ place }: Pick<PreparedCard, 'place'>, { where }: Pick<Check, 'where'>): boolean =>
  where !== undefined && where !== place

/** What of a unit changes what its card asks. */
type OfUnit = Pick<Run['unit'], 'variant' | 'items'>

function prepare(
  card: Card,
  { variant = '', items }: { variant: string; items: number | undefined },
  place: Place,
): PreparedCard {
  const ofUnit = card.checks.filter((check) => !check.only || check.only.includes(variant))
  const checks =
    items === undefined ? ofUnit : ofUnit.map((check) => (check.items === undefined ? check : { ...check, items }))
  const joined = groupsBy(card, card.windings)
  const groupOf = groupIn(joined)
  const prepared = checks.map(
    (check) =>
      [
        check.id,
        prepareCheck(card, checks, waits({ place }, check) ? { ...check, required: false } : check, groupOf),
      ] as const,
  )
  const relationsOf = new Map(
    checks.map(({ id }) => [id, card.relations.filter((relation) => joins(relation, id))] as const),
  )
  return { card, place, checks: new Map(prepared), relationsOf, groups: joined, groupOf, unitGroups: joined }
}

const groupsBy = (card: Card, windings: Winding[]): string[][] =>
  groups({ wires: nodesOf(card), readings: windings.map(({ from, to }) => ({ a: from, b: to, value: 0 })) })

const groupIn =
  (joined: string[][]) =>
  (terminal: string): string[] =>
    joined.find((group) => group.includes(terminal)) ?? [terminal]

const byBroken = onceFor((_prepared: PreparedCard) => new Map<string, PreparedCard>())

/**
 * The card as it stands for a unit with open windings: each side of one wants its own ground test (METHODS 11.14).
 * @param broken ids of windings that join nothing in this unit
 * @example
 * splitBy(prepareCard(twinCard()), ['high']).unitGroups // [ [ 'G', 'O' ], [ 'T' ], [ 'V', 'VW' ], [ 'frame' ] ]
 */
export function splitBy(prepared: PreparedCard, broken: readonly string[]): PreparedCard {
  if (broken.length === 0) return prepared
  const known = byBroken(prepared)
  const key = [...broken].sort().join('|')
  const split = known.get(key) ?? splitCard(prepared, broken)
  known.set(key, split)
  return split
}

function splitCard(prepared: PreparedCard, broken: readonly string[]): PreparedCard {
  const { card } = prepared
  const unitGroups = groupsBy(
    card,
    card.windings.filter(({ id }) => !broken.includes(id)),
  )
  const checks = new Map(
    [...prepared.checks].map(([id, check]) => [
      id,
      check.toFrame
        ? {
            ...check,
            points: neededPoints({ ...check, ...eachSide(prepared, check, unitGroups) }, groupIn(unitGroups)),
          }
        : check,
    ]),
  )
  return { ...prepared, checks, unitGroups }
}

/** The other side of a break, where the card names one terminal for the whole group: it is spoken for no more. */
function eachSide({ card, groupOf }: PreparedCard, { at }: PreparedCheck, unitGroups: string[][]): Pick<Check, 'at'> {
  if (!('each' in at)) return { at }
  const spokenFor = new Set(at.each.flatMap(groupOf))
  const lost = unitGroups.filter(
    (group) =>
      !group.includes('frame') && group.some((id) => spokenFor.has(id)) && !group.some((id) => at.each.includes(id)),
  )
  // a star point has no pin
  const isPin = (id: string) => card.terminals.find((one) => one.id === id)?.part !== 'joint'
  return { at: { ...at, each: [...at.each, ...lost.flatMap((group) => group.find(isPin) ?? [])] } }
}

const joins = (relation: Relation, check: string): boolean =>
  Object.values(relation).some((value) => value === check || (Array.isArray(value) && value.includes(check)))

function prepareCheck(
  card: Card,
  checks: Check[],
  check: Check,
  groupOf: (terminal: string) => string[],
): PreparedCheck {
  const points = neededPoints(check, groupOf)
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
  const limits = limitsByHistory(checks, (history) => preparedLimits(card, checks, check, points, history))
  const { limits: stated, ...own } = check
  return { ...own, stated, points, touches, material: toFrame ? undefined : material, limits, toFrame }
}

/** A card that tells no history from another has one list of limits for all three. */
function limitsByHistory(checks: Check[], of: (history: History) => PreparedLimit[]): PreparedCheck['limits'] {
  const told = checks.some(({ limits }) => limits.some((limit) => limit.for !== 'any'))
  if (told) return { new: of('new'), used: of('used'), rewound: of('rewound') }
  const all = of('used')
  return { new: all, used: all, rewound: all }
}
