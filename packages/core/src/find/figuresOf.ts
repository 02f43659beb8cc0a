import type { Card, Quantity } from '../document'
import { expectedOf, prepareCard, quantityOf, type PreparedLimit } from '../judgement'
import { isMetal } from '../temperature'

/** One figure that a card states, as a search needs it. */
export interface CardFigure {
  check: string
  label: string
  quantity: Quantity
  /** the middle of its limits, SI */
  expected: number
  /** half the width of its limits over the middle: what counts as near */
  share: number
  /** its value moves with temperature as metal's does */
  metal: boolean
}

export interface CardFigures {
  figures: CardFigure[]
  /** some check of it expects no path */
  open: boolean
}

/** How near a figure with one limit only, or none that says so, is taken to be. */
const looseShare = 0.3

/**
 * Every figure of a card that a measured one may be compared with: the limits of its checks for any history, a derived
 * check's own bands pair by pair, a curve point by point. Limits without a middle (open, alike, answers) give none.
 * @returns figures without repeats, in the card's order
 */
export function figuresOf(card: Card): CardFigures {
  const { checks } = prepareCard({ card, unit: { id: '', tag: '', history: 'used', complaint: [], words: '' } })
  const found = new Map<string, CardFigure>()
  let open = false
  for (const { check, limits, material } of checks.values()) {
    const quantity = quantityOf(check)
    const metal = material !== undefined && isMetal(material) && quantity === 'resistance'
    const add = (expected: number, share: number) => {
      if (quantity === undefined || !(expected > 0)) return
      const key = `${check.id} ${expected}`
      if (!found.has(key)) found.set(key, { check: check.id, label: check.label, quantity, expected, share, metal })
    }
    for (const limit of new Set(Object.values(limits).flat())) {
      if (limit.expectOpen || limit.kind === 'open' || limit.kind === 'insulation') open = true
      else for (const one of bandsOf(limit)) add(...one)
      const stated = limit.limit.limit
      if (stated !== 'derived' && stated.kind === 'curve')
        for (const { ohms } of stated.points) add(ohms, stated.tolerancePct / 100)
    }
  }
  return { figures: [...found.values()], open }
}

function bandsOf(limit: PreparedLimit): [number, number][] {
  const each = limit.byPair ? [...limit.byPair.values()] : [limit]
  return each.flatMap(({ band, expectOpen }): [number, number][] => {
    const expected = expectedOf(band)
    if (expected === undefined || expectOpen) return []
    const { min, max } = band
    return [[expected, min !== undefined && max !== undefined ? (max - min) / 2 / expected : looseShare]]
  })
}
