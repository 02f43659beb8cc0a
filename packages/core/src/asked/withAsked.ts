import { nodesOf, onceFor, type Card, type Check, type CheckKind, type Entry, type Run } from '../document'
import { takenBackIn } from '../judgement'
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
 * A run on its card with what was asked of this unit besides; the run itself where nothing was. The same checks on the same card give the
 * same card.
 * @example
 * withAsked(scenes.low().run) === scenes.low().run // false
 */
export function withAsked(run: Run): Run {
  const all = run.entries.filter(isAsk)
  if (all.length === 0) return run
  const takenBack = takenBackIn(run.entries)
  const asks = all.filter(({ id }) => !takenBack.has(id))
  if (asks.length === 0) return run
  const known = cardsWith(run.card)
  const key = JSON.stringify(asks.map(({ check }) => check))
  const card = known.get(key) ?? { ...run.card, checks: [...run.card.checks, ...asks.map(({ check }) => check)] }
  known.set(key, card)
  return { ...run, card }
}

const isAsk = (entry: Entry): entry is Extract<Entry, { kind: 'ask' }> => entry.kind === 'ask'
