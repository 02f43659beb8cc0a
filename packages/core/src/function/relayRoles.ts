import { atLeast, atMost, below, openFrom } from '../conformance'
import { contactsOf, type Contacts } from './relayContacts'
import {
  allPairs,
  sortedPair,
  type Drive,
  type Observation,
  type RelayInput,
  type TerminalPair,
} from './relayObservations'

export interface RelayRoles {
  coil: TerminalPair | null
  polarised?: boolean
  common?: string
  normallyClosed?: TerminalPair
  normallyOpen?: TerminalPair
  verdict: 'operates' | 'contact-fault' | 'does-not-operate' | 'undecided'
  /** the fewest further observations that could decide, rest before power */
  missing: { a: string; b: string; energised: Drive | null }[]
}

/** From how many candidates on the search for the fewest observations stops at sets of three. */
const manyCandidates = 12

/**
 * Coil and contacts of a relay by elimination, and whether it does what it should (METHODS 7).
 * @param input terminals by name, readings at rest and driven, and what the card knows
 * @returns `coil` null where no pair, or more than one, could be it; `polarised` absent until both directions were tried
 * @example
 * relayRoles({ terminals: ['30', '85', '86', '87'], observations: [{ a: '85', b: '86', ohms: 90, energised: null }] }).verdict
 * // 'undecided'
 */
export function relayRoles(input: RelayInput): RelayRoles {
  const coil = coilOf(input)
  if (!coil) return { coil, verdict: 'undecided', missing: unreadAtRest(input) }
  const contacts = contactsOf(input, coil)
  const verdict = verdictOf(input, contacts)
  const [closed, open] = [contacts.normallyClosed[0], contacts.normallyOpen[0]]
  const common = commonOf(contacts)
  const polarised = polarisedOf(contacts)
  return {
    coil,
    ...(polarised === undefined ? {} : { polarised }),
    ...(common === undefined ? {} : { common }),
    ...(closed ? { normallyClosed: closed } : {}),
    ...(open ? { normallyOpen: open } : {}),
    verdict,
    missing: verdict === 'undecided' ? fewestMissing(input, coil, contacts) : [],
  }
}

function coilOf({ coil, observations, coilMin = 20, coilMax = 2000 }: RelayInput): TerminalPair | null {
  if (coil) return sortedPair(...coil)
  const rest = observations.filter((one) => one.energised === null)
  const fits = rest.filter(({ ohms }) => ohms !== 'Infinity' && atLeast(ohms, coilMin) && atMost(ohms, coilMax))
  const [first, second] = fits
  if (!first) return null
  if (!second) return sortedPair(first.a, first.b)
  const shared = [first.a, first.b].find((terminal) => terminal === second.a || terminal === second.b)
  if (fits.length > 2 || shared === undefined) return null
  const ends = [first, second].map(({ a, b }) => (a === shared ? b : a))
  const hung = rest.some(
    ({ a, b, ohms }) => ends.includes(a) && ends.includes(b) && a !== b && ohms !== 'Infinity' && below(ohms, 5),
  )
  const lower = Number(first.ohms) <= Number(second.ohms) ? first : second
  return hung ? sortedPair(lower.a, lower.b) : null
}

function unreadAtRest({ terminals, observations }: RelayInput): RelayRoles['missing'] {
  const read = new Set(
    observations.filter((one) => one.energised === null).map(({ a, b }) => sortedPair(a, b).join('|')),
  )
  return allPairs(terminals)
    .filter((pair) => !read.has(pair.join('|')))
    .map(([a, b]) => ({ a, b, energised: null }))
}

function verdictOf({ terminals, drive }: RelayInput, contacts: Contacts): RelayRoles['verdict'] {
  const { pairs, normallyClosed, normallyOpen, moved } = contacts
  if (moved.length > 0) {
    if (pairs.some((pair) => contacts.isStuck(pair))) return 'contact-fault'
    const meets = normallyClosed.some((one) => normallyOpen.some((other) => shares(one, other)))
    const twoOpen = normallyOpen.some((one, i) => normallyOpen.slice(i + 1).some((other) => shares(one, other)))
    if (terminals.length < 5 || meets || twoOpen) return 'operates'
    return pairs.every((pair) => moved.some((way) => contacts.isRead(pair, way))) ? 'contact-fault' : 'undecided'
  }
  const ways = drive ? [drive] : contacts.ways
  const tried = pairs.length > 0 && pairs.every((pair) => ways.every((way) => contacts.isRead(pair, way)))
  return tried ? 'does-not-operate' : 'undecided'
}

const shares = (one: TerminalPair, other: TerminalPair): boolean => one.some((terminal) => other.includes(terminal))

function commonOf({ normallyClosed, normallyOpen }: Contacts): string | undefined {
  const [closed] = normallyClosed
  const open = normallyOpen.find((one) => closed && shares(one, closed))
  if (closed) return open && closed.find((terminal) => open.includes(terminal))
  const [one, other] = normallyOpen
  return normallyOpen.length === 2 && one && other ? one.find((terminal) => other.includes(terminal)) : undefined
}

function polarisedOf(contacts: Contacts): boolean | undefined {
  if (contacts.moved.length === 2) return false
  const [way] = contacts.moved
  const other = contacts.ways.find((one) => one.plus !== way?.plus)
  if (!way || !other) return undefined
  const failed = contacts.pairs.some((pair) => contacts.hasChanged(pair, way) && contacts.isRead(pair, other))
  return failed ? true : undefined
}

/** The smallest set of observations that, with some outcome, brings the verdict off `undecided`. */
function fewestMissing(input: RelayInput, coil: TerminalPair, contacts: Contacts): RelayRoles['missing'] {
  const begun = input.drive ?? input.observations.find((one) => one.energised !== null)?.energised ?? null
  const first = begun ?? { plus: coil[0], minus: coil[1] }
  const reverse = { plus: first.minus, minus: first.plus }
  const states: (Drive | null)[] = input.drive ? [null, first] : [null, first, reverse]
  const candidates = states.flatMap((energised) =>
    contacts.pairs.filter(([a, b]) => !contacts.wasObserved([a, b], energised)).map(([a, b]) => ({ a, b, energised })),
  )
  const most = candidates.length > manyCandidates ? 3 : candidates.length
  for (let size = 1; size <= most; size++)
    for (const some of subsets(candidates, size)) if (couldDecide(input, coil, some)) return some
  return []
}

function* subsets<T>(items: T[], size: number, from = 0): Generator<T[]> {
  if (size === 0) yield []
  else
    for (let i = from; i <= items.length - size; i++)
      for (const rest of subsets(items, size - 1, i + 1)) yield [items[i] as T, ...rest]
}

function couldDecide(input: RelayInput, coil: TerminalPair, some: Omit<Observation, 'ohms'>[]): boolean {
  for (let outcome = 0; outcome < 2 ** some.length; outcome++) {
    const seen = some.map((one, i) => ({ ...one, ohms: (outcome >> i) & 1 ? 0 : openFrom }))
    const more = { ...input, observations: [...input.observations, ...seen] }
    if (verdictOf(more, contactsOf(more, coil)) !== 'undecided') return true
  }
  return false
}
