import type { Card, Check, Quantity } from '../document'
import { prepareCard, quantityOf, type PreparedLimit } from '../judgement'
import { bandOf, expectedOf, type Band } from '../conformance'
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
 * @example
 * figuresOf(twinCard()).figures[0].expected // 318
 */
export function figuresOf(card: Card): CardFigures {
  const found = new Map<string, CardFigure>()
  let open = false
  for (const check of card.checks) {
    const quantity = quantityOf(check)
    const metal = quantity === 'resistance' && isOfMetal(card, check)
    const add = ([expected, share]: [number, number]) => {
      if (quantity === undefined || !(expected > 0)) return
      const key = `${check.id} ${expected}`
      if (!found.has(key)) found.set(key, { check: check.id, label: check.label, quantity, expected, share, metal })
    }
    for (const { limit } of check.limits) {
      if (limit === 'derived') {
        const derived = derivedOf(card, check)
        open ||= derived.some((one) => one.expectOpen !== undefined)
        derived.flatMap(bandsOf).forEach(add)
      } else if (limit.kind === 'open' || limit.kind === 'insulation') open = true
      else if (limit.kind === 'curve') for (const { ohms } of limit.points) add([ohms, limit.tolerancePct / 100])
      else middleOf(bandOf(limit)).forEach(add)
    }
  }
  return { figures: [...found.values()], open }
}

/** A card is worked out only where a limit follows from its windings: most state their figures. */
const derivedOf = (card: Card, check: Check): PreparedLimit[] => {
  const { checks } = prepareCard(card)
  return Object.values(checks.get(check.id)?.limits ?? {})
    .flat()
    .filter((one) => one.stated === 'derived')
}

/** Ohms of a winding move with temperature as its metal does; of a part without windings nobody knows. */
function isOfMetal({ windings }: Card, { at }: Check): boolean {
  const own = 'pair' in at ? windings.filter(({ from, to }) => at.pair.includes(from) && at.pair.includes(to)) : []
  return (own.length > 0 ? own : windings).some(({ material }) => isMetal(material))
}

function bandsOf(limit: PreparedLimit): [number, number][] {
  const each = limit.byPair ? [...limit.byPair.values()] : [limit]
  return each.flatMap(({ band, expectOpen }) => (expectOpen ? [] : middleOf(band)))
}

/** The middle of a band and half its width as a share of it. */
function middleOf(band: Band): [number, number][] {
  const expected = expectedOf(band)
  if (expected === undefined) return []
  const { min, max } = band
  return [[expected, min !== undefined && max !== undefined ? (max - min) / 2 / expected : looseShare]]
}
