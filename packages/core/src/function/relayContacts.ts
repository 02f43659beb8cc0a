import { atLeast, below, openFrom } from '../conformance'
import { allPairs, sortedPair, type Drive, type RelayInput, type TerminalPair } from './relayObservations'

/** What the contact pairs of a relay did, with its coil known. */
export interface Contacts {
  /** pairs that could be a contact, sorted */
  pairs: TerminalPair[]
  /** the two directions the coil can be driven, plus on its first terminal first */
  ways: [Drive, Drive]
  /** directions in which some pair changed */
  moved: Drive[]
  normallyClosed: TerminalPair[]
  normallyOpen: TerminalPair[]
  wasObserved: (pair: TerminalPair, energised: Drive | null) => boolean
  /** read at rest and driven this way */
  isRead: (pair: TerminalPair, way: Drive) => boolean
  hasChanged: (pair: TerminalPair, way: Drive) => boolean
  /** closed at rest and closed when driven a way in which something moved */
  isStuck: (pair: TerminalPair) => boolean
}

const closedBelow = 5
type Seen = 'closed' | 'open' | 'between'

/**
 * Works out what each contact pair did; with three terminals every pair but the coil, else those off the coil.
 * @example
 * contactsOf({ terminals: ['30', '85', '86', '87'], observations: [{ a: '30', b: '87', ohms: 'Infinity', energised: null }] }, ['85', '86']).pairs
 * // [ [ '30', '87' ] ]
 */
export function contactsOf({ terminals, observations, joined = [] }: RelayInput, coil: TerminalPair): Contacts {
  const seen = new Map<string, Seen>()
  for (const { a, b, ohms, energised } of observations)
    seen.set(keyOf(sortedPair(a, b), energised), seenAs(Number(ohms)))
  const byBuild = new Set(joined.map(([a, b]) => sortedPair(a, b).join('|')))
  const pairs = allPairs(terminals).filter((pair) => {
    if (byBuild.has(pair.join('|'))) return false
    return terminals.length <= 3 ? pair.join('|') !== coil.join('|') : !pair.some((terminal) => coil.includes(terminal))
  })
  const at = (pair: TerminalPair, energised: Drive | null) => seen.get(keyOf(pair, energised))
  const ways: [Drive, Drive] = [
    { plus: coil[0], minus: coil[1] },
    { plus: coil[1], minus: coil[0] },
  ]
  const turned = (pair: TerminalPair, way: Drive, from: Seen, to: Seen) =>
    at(pair, null) === from && at(pair, way) === to
  const hasChanged = (pair: TerminalPair, way: Drive) =>
    turned(pair, way, 'closed', 'open') || turned(pair, way, 'open', 'closed')
  const moved = ways.filter((way) => pairs.some((pair) => hasChanged(pair, way)))
  return {
    pairs,
    ways,
    moved,
    normallyClosed: pairs.filter((pair) => moved.some((way) => turned(pair, way, 'closed', 'open'))),
    normallyOpen: pairs.filter((pair) => moved.some((way) => turned(pair, way, 'open', 'closed'))),
    wasObserved: (pair, energised) => at(pair, energised) !== undefined,
    isRead: (pair, way) => at(pair, null) !== undefined && at(pair, way) !== undefined,
    hasChanged,
    isStuck: (pair) => moved.some((way) => turned(pair, way, 'closed', 'closed')),
  }
}

const seenAs = (ohms: number): Seen =>
  below(ohms, closedBelow) ? 'closed' : atLeast(ohms, openFrom) ? 'open' : 'between'

const keyOf = (pair: TerminalPair, energised: Drive | null): string =>
  `${pair.join('|')}${energised ? `+${energised.plus}-${energised.minus}` : ''}`
