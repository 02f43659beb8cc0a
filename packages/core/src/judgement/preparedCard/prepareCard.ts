import { nodesOf, onceFor, type Card, type Check, type History, type Relation } from '../../document'
import { groups } from '../../relations'
import { neededPoints } from './neededPoints'
import type { PreparedCard, PreparedCheck, PreparedLimit } from './preparedCard'
import { preparedLimits } from './preparedLimits'
import { windingsBetween } from './windingsBetween'

const byVariant = onceFor((_card: Card) => new Map<string, PreparedCard>())

/**
 * Everything about a card that does not depend on what was read, worked out once per card object and variant.
 * @param card a valid card; it must not change afterwards
 * @param variant the unit's; checks that are `only` for other variants are left out, without one those for any variant stay
 * @example
 * prepareCard(twinCard()).checks.get('low').limits.used[0].band // { min: 286.2, max: 349.8 }
 */
export function prepareCard(card: Card, variant = ''): PreparedCard {
  const known = byVariant(card)
  const prepared = known.get(variant) ?? prepare(card, variant)
  known.set(variant, prepared)
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
