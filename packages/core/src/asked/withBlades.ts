import {
  brokeDown,
  onceFor,
  plugsOf,
  type Card,
  type Check,
  type Entry,
  type Plug,
  type Reading,
  type Run,
} from '../document'
import { contactsOf, relayRoles, sortedPair, type Drive, type Observation, type TerminalPair } from '../function'
import { takenBackIn } from '../judgement'

/**
 * What is counted on a part whose points nobody named: the marks of its plug, where every cavity has one and no terminal. Empty for any other.
 * @example
 * bladeMarks({ plugs: [] }, undefined) // []
 */
export function bladeMarks(card: Pick<Card, 'plugs'>, variant: string | undefined): string[] {
  const plugs = plugsOf(card, variant)
  const cavities = plugs.flatMap((plug) => plug.cavities)
  return cavities.length > 0 && cavities.every(({ terminal, mark }) => terminal === null && mark !== undefined)
    ? cavities.flatMap(({ mark }) => mark ?? [])
    : []
}

const cardsBy = onceFor((_card: Card) => new Map<string, Card>())

/**
 * A run of a relay without markings as far as its readings tell: its points are the blades as they are counted, its coil the pair that reads
 * like one, and a drive that broke the supply down has told its diode (METHODS 7). A reading of that pair is the coil's. Any other run is itself.
 * @example
 * withBlades(scenes.low().run).entries.length === scenes.low().run.entries.length // true
 */
export function withBlades(run: Run): Run {
  const marks = bladeMarks(run.card, run.unit.variant)
  if (marks.length === 0 || !run.card.checks.some(({ kind }) => kind === 'contacts')) return run
  const takenBack = takenBackIn(run.entries)
  const stand = run.entries.filter(({ id }) => !takenBack.has(id))
  const contacts = run.card.checks.filter(({ kind }) => kind === 'contacts')
  const resting = new Set(contacts.filter(({ conditions }) => !conditions?.drive).map(({ id }) => id))
  const observed = observations(
    stand,
    contacts.map(({ id }) => id),
  )
  const { coil } = relayRoles({ terminals: marks, observations: observed.filter(saysSomething) })
  const backwards = coil !== null && stand.some((entry) => entry.kind === 'supply' && brokeDown(entry))
  const names = coil ? namesOf(run.card, marks, coil, observed, backwards) : {}
  const known = cardsBy(run.card)
  const key = JSON.stringify([marks, coil, backwards, names])
  const card = known.get(key) ?? countedCard(run.card, run.unit.variant, { marks, coil, backwards, names })
  known.set(key, card)
  const own = card.checks.find(({ kind, at }) => kind === 'resistance' && coil !== null && 'pair' in at)
  const entries =
    own && coil
      ? run.entries.map((entry) =>
          entry.kind === 'reading' && resting.has(entry.check) && isBetween(coil, entry.reading)
            ? { ...entry, check: own.id, reading: { ...entry.reading, conditions: undefined } }
            : entry,
        )
      : run.entries
  return { ...run, card, entries }
}

/** A beep there is one of the blades' own; what tells the coil is its ohms. */
const isBetween = (coil: TerminalPair, { pair, method }: Reading): boolean =>
  pair !== undefined && method !== 'beeper' && sortedPair(...pair).join('|') === coil.join('|')

interface Seen extends Observation {
  /** a beeper that said nothing: of a coil as of no path */
  silent: boolean
}

/** While the coil is unknown no beep is unread (METHODS 7). */
const saysSomething = ({ silent, energised }: Seen): boolean => energised === null && !silent

/** What was read of the contacts, at rest and driven, what is superseded left out. */
function observations(stand: Entry[], contacts: string[]): Seen[] {
  const superseded = new Set(
    stand.flatMap((entry) => (entry.kind === 'reading' ? (entry.reading.supersedes ?? []) : [])),
  )
  return stand.flatMap((entry): Seen[] => {
    if (entry.kind !== 'reading' || superseded.has(entry.id)) return []
    if (!contacts.some((id) => entry.check === id || entry.check === turnedId(id))) return []
    const { pair, kind, value, method, conditions } = entry.reading
    if (!pair) return []
    const silent = method === 'beeper' && kind === 'above'
    const ohms = kind === 'over' || kind === 'above' ? ('Infinity' as const) : method === 'beeper' ? 0 : value
    return ohms === undefined ? [] : [{ a: pair[0], b: pair[1], ohms, energised: conditions?.drive ?? null, silent }]
  })
}

/** What each blade turned out to be, in the card's own names: mark → terminal. What is alike either way is told by no reading. */
function namesOf(
  card: Card,
  marks: string[],
  coil: TerminalPair,
  observed: Seen[],
  backwards: boolean,
): Record<string, string> {
  const drive = { plus: coil[1], minus: coil[0] }
  const found = relayRoles({ terminals: marks, observations: observed, coil, ...(backwards ? { drive } : {}) })
  const known = (alias: string) => card.terminals.find(({ aliases }) => aliases.includes(alias))?.id
  const stated = card.checks.flatMap(({ conditions }) => conditions?.drive ?? [])[0]
  const { common, normallyClosed, normallyOpen, polarised } = found
  const moved = contactsOf({ terminals: marks, observations: observed }, coil).moved[0]
  const other = (pair: TerminalPair | undefined) => pair?.find((one) => one !== common)
  const pairs: [string | undefined, string | undefined][] = [
    ...(stated && moved && (polarised === true || backwards) && found.verdict === 'operates'
      ? ([
          [moved.plus, stated.plus],
          [moved.minus, stated.minus],
        ] as [string, string][])
      : []),
    ...(common === undefined
      ? []
      : ([
          [common, known('common')],
          [other(normallyClosed), known('normally closed')],
          [other(normallyOpen), known('normally open')],
        ] as [string | undefined, string | undefined][])),
  ]
  return Object.fromEntries(pairs.flatMap(([mark, id]) => (mark === undefined || id === undefined ? [] : [[mark, id]])))
}

/** Which way a diode stands is not known before it was driven. */
const limited = 'Limit the current, connect, then switch on: backwards across a diode is a short.'

const turnedId = (check: string): string => `${check}-turned`

interface Counted {
  marks: string[]
  coil: TerminalPair | null
  backwards: boolean
  names: Record<string, string>
}

/** The card with its blades as they are counted. */
function countedCard(card: Card, variant: string | undefined, { marks, coil, backwards, names }: Counted): Card {
  const plugs = plugsOf(card, variant).map((plug): Plug => ({
    ...plug,
    only: undefined,
    cavities: plug.cavities.map((one) => ({ ...one, terminal: one.mark ?? null })),
  }))
  const [winding] = card.windings
  const ways: Drive[] = coil
    ? [
        { plus: coil[0], minus: coil[1] },
        { plus: coil[1], minus: coil[0] },
      ]
    : []
  const [first, second] = backwards ? ways.toReversed() : ways
  const checks = card.checks.flatMap((check): Check[] => {
    if ('place' in check.at) return [check]
    if (check.kind === 'contacts') return amongMarks(check, marks, first, backwards ? undefined : second)
    if (!coil) return []
    const driven =
      check.kind === 'current' && first
        ? {
            conditions: { ...check.conditions, drive: first },
            ...(backwards ? {} : { how: { ...check.how, note: limited } }),
          }
        : {}
    return [{ ...check, at: { pair: coil }, ...driven }]
  })
  const there = new Set(checks.map(({ id }) => id))
  return {
    ...card,
    plugs,
    terminals: marks.map((mark) => ({ id: mark, label: mark, aliases: [names[mark] ?? []].flat() })),
    windings: winding && coil ? [{ ...winding, from: coil[0], to: coil[1] }] : [],
    checks,
    relations: card.relations.filter((one) => one.kind !== 'draw' || (there.has(one.amps) && there.has(one.ohms))),
    // which way a diode stands is told by the first drive, and not before
    care: { ...card.care, electronicsBetween: backwards && coil ? [coil] : [] },
  }
}

/** At rest among all blades; driven as soon as the coil is known, plus on its lower number first. */
function amongMarks(check: Check, marks: string[], first: Drive | undefined, second: Drive | undefined): Check[] {
  const at = { among: marks }
  const { drive } = check.conditions ?? {}
  if (!drive) return [{ ...check, at }]
  // a card that lists the other way has it here by the turned one
  if (!first || !check.required) return []
  const driven = (id: string, label: string, way: Drive, required: boolean): Check => ({
    ...check,
    id,
    label,
    at,
    required,
    conditions: { ...check.conditions, drive: way },
    ...(second ? { how: { ...check.how, note: limited } } : {}),
  })
  return [
    driven(check.id, check.label, first, true),
    ...(second ? [driven(turnedId(check.id), `${check.label}, leads exchanged`, second, false)] : []),
  ]
}
