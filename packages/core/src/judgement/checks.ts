import type { CheckKind, EntryOf } from '../document'
import { solveNetwork } from '../network'
import { atLeast, atMost, openFrom, type Verdict } from '../spec'
import type { Bench, Evaluation, Reason } from './evaluation'
import { pairKey } from './limitAt'
import type { NeededPoint, PreparedCheck } from './prepare'

/** One point of a check: what was read there, or that it was not. */
export interface PointState {
  pair?: [string, string]
  /** of a point that is not read: which item, or where on the curve */
  index?: number
  x?: number
  verdict: Verdict
  reason?: Reason | 'seen'
  held?: true
  evaluation?: Evaluation
}

export interface CheckState {
  check: PreparedCheck
  verdict: Verdict
  reason?: Reason | 'seen'
  held?: true
  points: PointState[]
  skipped?: EntryOf<'skip'>
}

const badness: Record<Verdict, number> = { outside: 0, none: 1, borderline: 2, within: 3 }

/** Whether a reading answers for a needed point: the pair itself, or another terminal the same group joins. */
export function answersFor(point: NeededPoint, check: PreparedCheck, evaluation: Evaluation): boolean {
  const pair = evaluation.pair
  if (!pair) return false
  if (!('each' in check.check.at)) return pairKey(pair) === pairKey(point.pair)
  const { to } = check.check.at
  return pair.includes(to) && point.covers.some((terminal) => pair.includes(terminal) && terminal !== to)
}

/** Kinds that are judged whole: what is not read yet shows in the whole. */
const wholeKinds: ReadonlySet<CheckKind> = new Set(['contacts', 'three-pins', 'pair-matrix'])
/** How near a curve's end counts as its end. */
const endShare = 0.05

/** Bars of a ring, leads of a set: those without a reading. */
function missingItems({ check }: PreparedCheck, standing: Evaluation[]): number[] {
  const count = check.items ?? ('ring' in check.at ? check.at.ring : 0)
  const read = new Set(standing.map((one) => one.entry.reading.index))
  return Array.from({ length: count }, (_, i) => i + 1).filter((index) => !read.has(index))
}

/** A curve needs its two ends and one place between. */
function missingPlaces({ check }: PreparedCheck, standing: Evaluation[]): number[] {
  const curve = check.limits.flatMap(({ limit }) =>
    limit !== 'derived' && limit.kind === 'curve' ? [limit.points] : [],
  )[0]
  if (!curve) return []
  const places = curve.map(({ x }) => x)
  const [first, last] = [Math.min(...places), Math.max(...places)]
  const near = endShare * (last - first)
  const read = standing.flatMap(({ entry }) => entry.reading.x ?? [])
  const has = (from: number, to: number) => read.some((x) => atLeast(x, from) && atMost(x, to))
  return [
    ...(has(first, first + near) ? [] : [first]),
    ...(read.some((x) => x > first + near && x < last - near) ? [] : [(first + last) / 2]),
    ...(has(last - near, last) ? [] : [last]),
  ]
}

/** A check's verdict is its worst point's: outside, none, borderline, within (METHODS 11.3). */
export function judgeCheck(bench: Bench, check: PreparedCheck, standing: Evaluation[], held: Set<string>): CheckState {
  const skipped = skipOf(bench, check.check.id)
  if (check.check.kind === 'look') return judgeLook(bench, check, skipped)
  const points: PointState[] = standing.map((evaluation) => ({
    ...(evaluation.pair ? { pair: evaluation.pair } : {}),
    verdict: evaluation.verdict,
    ...(evaluation.reason ? { reason: evaluation.reason } : {}),
    ...(held.has(evaluation.entry.id) ? { held: true as const } : {}),
    evaluation,
  }))
  const whole = wholeKinds.has(check.check.kind)
  for (const point of whole ? [] : check.points)
    if (!standing.some((evaluation) => answersFor(point, check, evaluation)))
      points.push({ pair: point.pair, verdict: 'none', reason: 'not-read' })
  for (const index of missingItems(check, standing)) points.push({ index, verdict: 'none', reason: 'not-read' })
  for (const x of missingPlaces(check, standing)) points.push({ x, verdict: 'none', reason: 'not-read' })
  const counted = points.filter(({ reason }) => reason !== 'off-curve')
  const [worst] = [...(counted.length > 0 ? counted : points)].sort((a, b) => badness[a.verdict] - badness[b.verdict])
  return {
    check,
    verdict: worst?.verdict ?? 'none',
    ...(worst ? (worst.reason ? { reason: worst.reason } : {}) : { reason: 'not-read' as const }),
    ...(points.some((point) => point.held) ? { held: true as const } : {}),
    points,
    ...(skipped ? { skipped } : {}),
  }
}

function skipOf(bench: Bench, id: string): EntryOf<'skip'> | undefined {
  return bench.tape.entries
    .filter(
      (entry): entry is EntryOf<'skip'> =>
        entry.kind === 'skip' && entry.check === id && !bench.tape.takenBack.has(entry.id),
    )
    .at(-1)
}

/** A look is seen, not judged: something found is told, and holds nothing back. */
function judgeLook(bench: Bench, check: PreparedCheck, skipped: EntryOf<'skip'> | undefined): CheckState {
  const look = bench.tape.entries
    .filter(
      (entry): entry is EntryOf<'look'> =>
        entry.kind === 'look' && entry.check === check.check.id && !bench.tape.takenBack.has(entry.id),
    )
    .at(-1)
  const sound = look?.what.every((what) => what === 'sound') ?? false
  return {
    check,
    verdict: sound ? 'within' : 'none',
    ...(sound ? {} : { reason: look ? ('seen' as const) : ('not-read' as const) }),
    points: [],
    ...(skipped ? { skipped } : {}),
  }
}

/**
 * Whether what a derived pair reads is what its parts read: then the parts decide, and the pair is not a second fault.
 * @param own a winding's own reading, where its resistance check was taken
 */
export function explainedByParts(
  bench: Bench,
  whole: Evaluation,
  own: (winding: string) => Evaluation | undefined,
): boolean {
  const { limit, check, pair } = whole
  if (limit?.limit.limit !== 'derived' || whole.verdict !== 'outside' || !pair) return false
  const { card } = bench.prepared
  const parts = [...check.touches].map((id) => ({ id, read: own(id) }))
  if (parts.some(({ read }) => read === undefined) || !parts.some(({ read }) => read?.verdict === 'outside'))
    return false
  const ohms = new Map(
    parts.map(({ id, read }) => [id, read?.net !== undefined && read.net < openFrom ? read.net : Infinity]),
  )
  const expected = solveNetwork({
    nodes: ['frame', ...card.terminals.map((terminal) => terminal.id)],
    windings: card.windings.map((winding) => ({ ...winding, ohms: ohms.get(winding.id) ?? winding.ohms ?? Infinity })),
    a: pair[0],
    b: pair[1],
  }).ohms
  if (!Number.isFinite(expected)) return whole.net === undefined || whole.net >= openFrom
  if (whole.net === undefined) return false
  const u = Math.hypot(whole.netU ?? 0, ...parts.map(({ read }) => read?.netU ?? 0))
  return atMost(Math.abs(expected - whole.net), 2 * u + 0.01 * whole.net)
}
