import type { CheckKind, EntryOf } from '../../document'
import { atLeast, atMost, type Verdict } from '../../conformance'
import type { Bench, Evaluation, Reason } from '../figure'
import { pairKey, type NeededPoint, type PreparedCheck } from '../preparedCard'
import { entriesThatStand } from '../tape'
import { worstFirst } from './whole'

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

/**
 * Whether a reading answers for a needed point: the pair itself, or another terminal the same group joins.
 * @example
 * answersFor({ pair: ['O', 'G'], covers: [] }, scenes.sound().check('low'), scenes.sound().of('low')) // true
 */
export function answersFor(point: NeededPoint, check: PreparedCheck, evaluation: Evaluation): boolean {
  const pair = evaluation.pair
  if (!pair) return false
  if (!('each' in check.at)) return pairKey(pair) === pairKey(point.pair)
  const { to } = check.at
  return pair.includes(to) && point.covers.some((terminal) => pair.includes(terminal) && terminal !== to)
}

/** Kinds that are judged whole: what is not read yet shows in the whole. */
const wholeKinds: ReadonlySet<CheckKind> = new Set(['contacts', 'three-pins', 'pair-matrix'])
/** How near a curve's end counts as its end. */
const endShare = 0.05

/** Bars of a ring, leads of a set: those without a reading. */
function missingItems({ items, at }: PreparedCheck, standing: Evaluation[]): number[] {
  const count = items ?? ('ring' in at ? at.ring : 0)
  if (count === 0) return []
  const read = new Set(standing.map((one) => one.entry.reading.index))
  return Array.from({ length: count }, (_, i) => i + 1).filter((index) => !read.has(index))
}

/** A curve needs its two ends and one place between. */
function missingPlaces({ stated }: PreparedCheck, standing: Evaluation[]): number[] {
  const curve = stated.flatMap(({ limit }) => (limit !== 'derived' && limit.kind === 'curve' ? [limit.points] : []))[0]
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

/**
 * A check's verdict is its worst point's: outside, none, borderline, within (METHODS 11.3).
 * @example
 * judgeCheck(scenes.low().bench, scenes.low().check('low'), scenes.low().all, new Set()).verdict // 'outside'
 */
export function judgeCheck(bench: Bench, check: PreparedCheck, standing: Evaluation[], held: Set<string>): CheckState {
  const skipped = skipOf(bench, check.id)
  if (check.kind === 'look') return judgeLook(bench, check, skipped)
  const points: PointState[] = standing.map((evaluation) => ({
    pair: evaluation.pair,
    verdict: evaluation.verdict,
    reason: evaluation.reason,
    held: held.has(evaluation.entry.id) ? true : undefined,
    evaluation,
  }))
  const whole = wholeKinds.has(check.kind)
  for (const point of whole ? [] : check.points)
    if (!standing.some((evaluation) => answersFor(point, check, evaluation)))
      points.push({ pair: point.pair, verdict: 'none', reason: 'not-read' })
  for (const index of missingItems(check, standing)) points.push({ index, verdict: 'none', reason: 'not-read' })
  for (const x of missingPlaces(check, standing)) points.push({ x, verdict: 'none', reason: 'not-read' })
  const counted = points.filter((point) => point.reason !== 'off-curve' && !metElsewhere(point, points))
  const [worst] = [...wholesOf(standing), ...(counted.length > 0 ? counted : points)].toSorted(worstFirst)
  return {
    check,
    verdict: worst?.verdict ?? 'none',
    reason: worst ? worst.reason : 'not-read',
    held: points.some((point) => point.held) ? true : undefined,
    points,
    skipped,
  }
}

/** METHODS 11.7: what a relay comes to is the verdict of both its checks, also where each of a check's readings is as it should be. */
const wholesOf = (standing: Evaluation[]): Pick<PointState, 'verdict' | 'reason'>[] =>
  standing.flatMap(({ check, whole }) =>
    check.kind === 'contacts' && whole?.verdict ? [{ verdict: whole.verdict, reason: whole.reason }] : [],
  )

/** METHODS 11.18: a reading under other conditions leaves the worst as soon as one at the same place meets them. */
const metElsewhere = ({ reason, evaluation }: PointState, points: PointState[]): boolean =>
  reason === 'conditions-not-met' &&
  evaluation !== undefined &&
  points.some(
    ({ evaluation: other, reason: theirs }) =>
      other !== undefined && theirs !== 'conditions-not-met' && placeOf(other) === placeOf(evaluation),
  )

const placeOf = ({ pair, entry: { reading } }: Evaluation): string =>
  [pair ? pairKey(pair) : '', reading.index ?? '', reading.x ?? ''].join('|')

function skipOf(bench: Bench, id: string): EntryOf<'skip'> | undefined {
  return entriesThatStand(bench.tape, 'skip').findLast((entry) => entry.check === id)
}

/** A look is seen, not judged: something found is told, and holds nothing back. */
function judgeLook(bench: Bench, check: PreparedCheck, skipped: EntryOf<'skip'> | undefined): CheckState {
  const look = entriesThatStand(bench.tape, 'look').findLast((entry) => entry.check === check.id)
  const sound = look?.what.every((what) => what === 'sound') ?? false
  return {
    check,
    verdict: sound ? 'within' : 'none',
    reason: sound ? undefined : look ? 'seen' : 'not-read',
    held: undefined,
    points: [],
    skipped,
  }
}
