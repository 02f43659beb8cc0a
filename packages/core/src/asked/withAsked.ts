import { alongTape, onceFor, type Card, type Check, type Entry, type Run, type Terminal } from '../document'
import { takenBackIn } from '../judgement'
import { impliedTwins, referencesTaken } from './references'
import { isTold, withTold } from './toldOnSketch'
import { sourcesWithTrials } from './trials'

/** A point that one run made is told from the card's terminals by its id. */
const pointMark = 'point-'

const cardsWith = onceFor((_card: Card) => new Map<string, Card>())

/**
 * A run on its card with what was asked of this unit besides, and the points that were made for it; the run itself where nothing was. The
 * same checks and points on the same card give the same card.
 * @example
 * withAsked(scenes.low().run) === scenes.low().run // false
 */
export function withAsked(run: Run): Run {
  if (!addsTo(run.entries).any) return run
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
  const checks = [...run.card.checks, ...asks.filter((one) => !isTold(one))]
  const twins = impliedTwins({ ...run.card, checks }, references)
  const known = cardsWith(run.card)
  const key = JSON.stringify([points, asks, twins])
  const relations = [...run.card.relations, ...twins]
  const sources = sourcesWithTrials(checks, run.card.sources)
  const card = known.get(key) ?? withTold({ ...run.card, terminals, checks, relations, sources }, asks.filter(isTold))
  known.set(key, card)
  return { ...run, card, ...(references.length > 0 ? { compare: [...(run.compare ?? []), ...references] } : {}) }
}

const adds: ReadonlySet<Entry['kind']> = new Set(['ask', 'point', 'compare'])
const addsTo = alongTape(
  () => ({ any: false }),
  (told, { kind }) => void (told.any ||= adds.has(kind)),
)
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
