import {
  nodesOf,
  onceFor,
  type Card,
  type Check,
  type CheckKind,
  type Entry,
  type Run,
  type Terminal,
} from '../document'
import { takenBackIn } from '../judgement'
import { pairResistance } from '../network'
import { impliedTwins, referencesTaken } from './references'

/** A check of one run alone is told from the card's by its id. */
const mark = 'ask-'
/** A point that one run made is told from the card's terminals by its id. */
const pointMark = 'point-'

/**
 * Whether a check was asked of one run, beside what its card asks (CARD, `ask`).
 * @example
 * isAsked('ask-1') // true
 */
export const isAsked = (check: string): boolean => check.startsWith(mark)

const kinds = [
  'resistance',
  'insulation',
  'current',
  'inductance',
  'capacitance',
  'ac-output',
  'dc-output',
] as const satisfies CheckKind[]

/** What two points can be asked for: one figure, read between them. */
export type AskedKind = (typeof kinds)[number]

/**
 * Whether two points can be asked for it.
 * @example
 * isAskedKind('contacts') // false
 */
export const isAskedKind = (kind: CheckKind): kind is AskedKind => kinds.some((one) => one === kind)

/**
 * The check that any two points of a part make. Ohms between points that windings join are judged by what those add up to, and between two
 * groups that the card expects apart as no path; all else is kept without a limit.
 * @param id unique in the run
 * @example
 * askedOf(scenes.low().run.card, 'x', ['O', 'T'], 'resistance').limits[0].limit // 'derived'
 */
export function askedOf(card: Card, id: string, pair: [string, string], kind: AskedKind): Check {
  const label = pair.map((one) => card.terminals.find((terminal) => terminal.id === one)?.label ?? one).join('–')
  const source = card.sources[0]?.id
  const derived = kind === 'resistance' && source !== undefined && (isJoined(card, ...pair) || isApart(card, pair))
  return {
    id: `${mark}${id}`,
    label,
    kind,
    at: { pair },
    required: false,
    limits: derived ? [{ id: `${mark}${id}`, for: 'any', limit: 'derived', source }] : [],
  }
}

/**
 * The check that the field of a magnet makes at a place of this part: kept beside the card's own, without a limit.
 * @param id unique in the run
 * @example
 * askedField('x', 'first coil').at // { place: 'first coil' }
 */
export const askedField = (id: string, place: string): Check => ({
  id: `${mark}${id}`,
  label: `${place}, magnet`,
  kind: 'field',
  at: { place },
  required: false,
  limits: [],
})

function isJoined(card: Card, a: string, b: string): boolean {
  // any ohms will do: only whether a path leads there is asked
  const windings = card.windings.map(({ id, from, to }) => ({ id, from, to, ohms: 1 }))
  return a === b || pairResistance({ nodes: nodesOf(card), windings, a, b }) !== 'Infinity'
}

/** Whether a check of the card says that the group of one point is open to the other's. */
const isApart = (card: Card, [a, b]: [string, string]): boolean =>
  card.checks.some(({ at, limits }) => {
    if (!limits.some(({ limit }) => limit !== 'derived' && (limit.kind === 'open' || limit.kind === 'insulation')))
      return false
    const ends = 'pair' in at ? [at.pair] : 'each' in at ? at.each.map((one) => [one, at.to] as const) : []
    return ends.some(
      ([one, other]) =>
        (isJoined(card, a, one) && isJoined(card, b, other)) || (isJoined(card, b, one) && isJoined(card, a, other)),
    )
  })

const cardsWith = onceFor((_card: Card) => new Map<string, Card>())

/**
 * A run on its card with what was asked of this unit besides, and the points that were made for it; the run itself where nothing was. The
 * same checks and points on the same card give the same card.
 * @example
 * withAsked(scenes.low().run) === scenes.low().run // false
 */
export function withAsked(run: Run): Run {
  if (!run.entries.some(({ kind }) => adds.has(kind))) return run
  const takenBack = takenBackIn(run.entries)
  const stand = run.entries.filter(({ id }) => !takenBack.has(id))
  const points = stand.flatMap((entry) => (entry.kind === 'point' ? [entry.terminal] : []))
  const terminals = [...run.card.terminals, ...points]
  const isThere = new Set(['frame', ...terminals.map(({ id }) => id)])
  // what was asked of a point goes with it when that is taken back
  const asks = stand.flatMap((entry) =>
    entry.kind === 'ask' && pointsOf(entry.check).every((id) => isThere.has(id)) ? [entry.check] : [],
  )
  const references = referencesTaken(stand)
  if (asks.length + points.length + references.length === 0) return run
  const checks = [...run.card.checks, ...asks]
  const twins = impliedTwins({ ...run.card, checks }, references)
  const known = cardsWith(run.card)
  const key = JSON.stringify([points, asks, twins])
  const { relations } = run.card
  const card = known.get(key) ?? {
    ...run.card,
    terminals,
    checks,
    relations: [...relations, ...twins],
  }
  known.set(key, card)
  return { ...run, card, ...(references.length > 0 ? { compare: [...(run.compare ?? []), ...references] } : {}) }
}

const adds: ReadonlySet<Entry['kind']> = new Set(['ask', 'point', 'compare'])
const pointsOf = ({ at }: Check): string[] => ('pair' in at ? at.pair : [])

/**
 * The points off the card that were made in a run, and the terminal on whose lead each lies (CARD, `point`).
 * @returns point id → terminal id, in tape order; those taken back are not among them
 * @example
 * pointsMade(scenes.low().run.entries).size // 0
 */
export function pointsMade(entries: readonly Entry[]): Map<string, string> {
  const takenBack = takenBackIn(entries)
  return new Map(
    entries.flatMap((entry) =>
      entry.kind === 'point' && !takenBack.has(entry.id) ? [[entry.terminal.id, entry.on] as const] : [],
    ),
  )
}

/**
 * A new point off the card, as an entry makes it.
 * @param id unique in the run
 * @example
 * pointMade('1', 'tan tail', 'T').terminal.id // 'point-1'
 */
export const pointMade = (
  id: string,
  label: string,
  on: string,
): { kind: 'point'; terminal: Terminal; on: string } => ({
  kind: 'point',
  terminal: { id: `${pointMark}${id}`, label, aliases: [] },
  on,
})

/**
 * Whether a terminal was made in a run, beside those of its card.
 * @example
 * isPointMade('point-1') // true
 */
export const isPointMade = (terminal: string): boolean => terminal.startsWith(pointMark)
