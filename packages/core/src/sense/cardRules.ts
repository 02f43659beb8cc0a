import type { Card } from '../document'
import { prepareCard, type PreparedCheck, type PreparedLimit } from '../judgement'
import type { Remark } from './rule'

/** A remark on a card, about one check. */
export type CardRemark = Remark & { check: string }
export type CardRule = (checks: PreparedCheck[]) => CardRemark[]

/**
 * A winding's limit without a minimum: a short would pass.
 * @example
 * noFloor([...prepareCard(twinCard()).checks.values()], twinCard()) // []
 */
export const noFloor: CardRule = (checks) =>
  checks.flatMap(({ id, kind, toFrame, touches, limits }) => {
    if (kind !== 'resistance' || toFrame || touches.size === 0) return []
    const bare = Object.values(limits)
      .flat()
      .some(({ band, expectOpen }) => !expectOpen && band.max !== undefined && band.min === undefined)
    return bare ? [{ id: 'no-floor', severity: 'warn', params: { check: id }, check: id }] : []
  })

/**
 * Limits that contradict each other: the whole against its parts, two of one grade without overlap.
 * @example
 * limitsConflict([...prepareCard(twinCard()).checks.values()], twinCard()) // []
 */
export const limitsConflict: CardRule = (checks) =>
  checks.flatMap(({ id, limits }) => {
    const found = Object.values(limits).flatMap((some) => apart(some) ?? againstParts(some) ?? [])
    const [first] = found
    if (!first) return []
    const [one, other] = first
    const params = { check: id, one: bandText(one), other: bandText(other) }
    return [{ id: 'limits-conflict', severity: 'warn', params, check: id }]
  })

type Two = [PreparedLimit, PreparedLimit]
const closedBand = ({ band, expectOpen }: PreparedLimit): boolean =>
  !expectOpen && band.min !== undefined && band.max !== undefined
const disjoint = (a: PreparedLimit, b: PreparedLimit): boolean =>
  (a.band.min ?? 0) > (b.band.max ?? 0) || (b.band.min ?? 0) > (a.band.max ?? 0)

function apart(limits: PreparedLimit[]): Two[] | undefined {
  const bands = limits.filter((one) => closedBand(one) && one.kind !== 'derived')
  for (const [i, a] of bands.entries())
    for (const b of bands.slice(i + 1)) if (a.grade === b.grade && disjoint(a, b)) return [[a, b]]
  return undefined
}

/** A whole with a limit of its own beside the one that follows from its windings. */
function againstParts(limits: PreparedLimit[]): Two[] | undefined {
  const derived = limits.find((one) => one.kind === 'derived' && closedBand(one))
  const stated = limits.find((one) => one.kind !== 'derived' && closedBand(one))
  return derived && stated && disjoint(derived, stated) ? [[stated, derived]] : undefined
}

const bandText = ({ band }: PreparedLimit): string => `${band.min ?? ''}–${band.max ?? ''}`

/**
 * What is to be said of a card before it is published (SENSE, Judging).
 * @returns one remark a check and rule, in the card's order
 * @example
 * cardRemarks(twinCard()) // []
 */
export function cardRemarks(card: Card): CardRemark[] {
  const { checks } = prepareCard(card)
  return [noFloor, limitsConflict].flatMap((rule) => rule([...checks.values()]))
}
