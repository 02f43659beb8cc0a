import type { Quantity } from '../document'
import type { CardFigures } from './figuresOf'
import { compareFits, distanceTo, fitFigures, furthest, mostLeads, spreadOf, type Fit } from './fitFigures'
import type { Findings, Found } from './parseFindings'

/**
 * All figures of many cards in order of size, so that a search looks only at those near enough. One array a column: a search
 * goes through thousands of figures and makes no object of any.
 */
export interface FigureIndex {
  cards: CardFigures[]
  /** ascending */
  expected: Float64Array
  /** how far one standard uncertainty reaches, as a share */
  spread: Float64Array
  /** the place in `quantities` of what each is a figure of */
  quantity: Uint8Array
  /** the card behind each of `expected` */
  card: Uint32Array
  quantities: Quantity[]
  /** the widest spread of all: how far away a figure can still be near */
  widest: number
}

/**
 * Sorts the figures of cards once; the order of the cards is kept in the answers' numbers.
 * @example
 * searchFigures(indexFigures([figuresOf(twinCard())]), parseFindings('318 and 36.5'), 5)[0].fit.misfit < 1 // true
 */
export function indexFigures(cards: CardFigures[]): FigureIndex {
  const all = cards.flatMap(({ figures }, card) =>
    figures.map((figure) => ({ figure, card, spread: spreadOf(figure) })),
  )
  all.sort((a, b) => a.figure.expected - b.figure.expected)
  const quantities = [...new Set(all.map(({ figure }) => figure.quantity))]
  return {
    cards,
    expected: Float64Array.from(all, ({ figure }) => figure.expected),
    spread: Float64Array.from(all, ({ spread }) => spread),
    quantity: Uint8Array.from(all, ({ figure }) => quantities.indexOf(figure.quantity)),
    card: Uint32Array.from(all, (one) => one.card),
    quantities,
    widest: all.reduce((most, { spread }) => Math.max(most, spread), 0),
  }
}

export interface CardFit {
  /** its place in the cards given to `indexFigures` */
  card: number
  fit: Fit
}

/**
 * The cards that explain most of what was measured, the best first (`fitFigures`). Cards that explain none of the figures are
 * left out; without a figure nothing is found.
 * @param limit how many answers at most
 * @example
 * searchFigures(indexFigures([figuresOf(twinCard())]), parseFindings('318 and 36.5'), 5).length // 1
 */
export function searchFigures(index: FigureIndex, found: Findings, limit: number): CardFit[] {
  const count = new Uint32Array(index.cards.length)
  const away = new Float64Array(index.cards.length)
  const explained: number[] = []
  const nearest = new Float64Array(index.cards.length).fill(Infinity)
  for (const measured of found.figures)
    for (const card of near(index, measured, nearest)) {
      const z = nearest[card] ?? Infinity
      nearest[card] = Infinity
      if (count[card] === 0) explained.push(card)
      count[card] = (count[card] ?? 0) + 1
      away[card] = (away[card] ?? 0) + z * z
    }
  const better = (a: number, b: number) => (count[b] ?? 0) - (count[a] ?? 0) || (away[a] ?? 0) - (away[b] ?? 0) || a - b
  return firstOf(explained, Math.max(fewest, wider * limit), better)
    .map((card) => ({ card, fit: fitFigures(found, index.cards[card] ?? { figures: [], open: false }) }))
    .sort((a, b) => compareFits(a.fit, b.fit) || a.card - b.card)
    .slice(0, limit)
}

/** Cards are fitted one to one only among the nearest by their single figures; this many times as many as are asked for. */
const wider = 4
const fewest = 100

/** The first `many` of a list in an order, without putting the rest in order too. */
function firstOf(list: number[], many: number, order: (a: number, b: number) => number): number[] {
  const first: number[] = []
  for (const one of list) {
    if (first.length === many && order(one, first[many - 1] ?? one) >= 0) continue
    let [low, high] = [0, first.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (order(first[middle] ?? one, one) <= 0) low = middle + 1
      else high = middle
    }
    first.splice(low, 0, one)
    if (first.length > many) first.pop()
  }
  return first
}

/**
 * The cards with a figure that this measured one may be.
 * @param nearest by card, Infinity before; the smallest distance of each card returned is written into it
 */
function near(index: FigureIndex, { value, quantity }: Found, nearest: Float64Array): number[] {
  const { expected, spread, card, widest } = index
  const wanted = index.quantities.indexOf(quantity)
  const reach = Math.exp(furthest * widest)
  const [from, to] = [(value - mostLeads) / reach, value * reach]
  const ohms = quantity === 'resistance'
  const found: number[] = []
  for (let i = firstFrom(expected, from); i < expected.length && (expected[i] ?? Infinity) <= to; i++) {
    if (index.quantity[i] !== wanted) continue
    const z = distanceTo(value, expected[i] ?? 0, spread[i] ?? 1, ohms)
    const owner = card[i] ?? 0
    const before = nearest[owner] ?? Infinity
    if (z > furthest || z >= before) continue
    if (before === Infinity) found.push(owner)
    nearest[owner] = z
  }
  return found
}

function firstFrom(sorted: Float64Array, value: number): number {
  let [low, high] = [0, sorted.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((sorted[middle] ?? 0) < value) low = middle + 1
    else high = middle
  }
  return low
}
