import { nodesOf, type Card, type Check, type CheckKind } from '../document'
import { pairResistance } from '../network'

/** A check of one run alone is told from the card's by its id. */
const mark = 'ask-'

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
  'response',
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
    // what is heard of a frequency is read in volts
    ...(kind === 'response' ? { quantity: 'voltage' as const } : {}),
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
