import type { CardFigures } from './figuresOf'
import { compareFits, distance, fitFigures, furthest, mostLeads, type Fit } from './fitFigures'
import type { Findings, Found } from './parseFindings'

/** All figures of many cards in order of size, so that a search looks only at those near enough. */
export interface FigureIndex {
  cards: CardFigures[]
  /** ascending */
  expected: Float64Array
  /** the card and its figure behind each of `expected` */
  card: Uint32Array
  figure: Uint32Array
  /** the widest limits of all, as a share: how far away a figure can still be near */
  widest: number
}

/** Sorts the figures of cards once; the order of the cards is kept in the answers' numbers. */
export function indexFigures(cards: CardFigures[]): FigureIndex {
  const all = cards.flatMap(({ figures }, card) =>
    figures.map(({ expected, share }, figure) => ({ expected, share, card, figure })),
  )
  all.sort((a, b) => a.expected - b.expected)
  return {
    cards,
    expected: Float64Array.from(all, (one) => one.expected),
    card: Uint32Array.from(all, (one) => one.card),
    figure: Uint32Array.from(all, (one) => one.figure),
    widest: all.reduce((most, { share }) => Math.max(most, share), 0),
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
 */
export function searchFigures(index: FigureIndex, found: Findings, limit: number): CardFit[] {
  const explained = new Map<number, { count: number; away: number }>()
  for (const measured of found.figures)
    for (const [card, z] of near(index, measured)) {
      const before = explained.get(card)
      explained.set(card, { count: (before?.count ?? 0) + 1, away: (before?.away ?? 0) + z * z })
    }
  return [...explained]
    .sort(([, a], [, b]) => b.count - a.count || a.away - b.away)
    .slice(0, Math.max(fewest, wider * limit))
    .map(([card]) => ({ card, fit: fitFigures(found, index.cards[card] ?? { figures: [], open: false }) }))
    .sort((a, b) => compareFits(a.fit, b.fit) || a.card - b.card)
    .slice(0, limit)
}

/** Cards are fitted one to one only among the nearest by their single figures; this many times as many as are asked for. */
const wider = 4
const fewest = 100

/** The cards with a figure that this measured one may be, each with its smallest distance. */
function near({ cards, expected, card, figure, widest }: FigureIndex, measured: Found): Map<number, number> {
  const reach = Math.exp(furthest * Math.hypot(widest / 2, 0.05))
  const [from, to] = [(measured.value - mostLeads) / reach, measured.value * reach]
  const found = new Map<number, number>()
  for (let i = firstFrom(expected, from); i < expected.length && (expected[i] ?? Infinity) <= to; i++) {
    const owner = card[i] ?? 0
    const one = cards[owner]?.figures[figure[i] ?? 0]
    if (!one) continue
    const { z } = distance(measured, one)
    if (z <= furthest && z < (found.get(owner) ?? Infinity)) found.set(owner, z)
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
