import type { Run } from '../../document'
import { barToBar } from '../../series'
import { twinCheck, type Figure } from '../../relations'
import { above, below, type Band } from '../../conformance'
import {
  atTwinReference,
  figureBeside,
  ohmsRead,
  readsFinite,
  readsOpen,
  type Evaluation,
  type Reason,
} from '../figure'
import type { PreparedCheck, PreparedLimit } from '../preparedCard'

const fewestForMedian = 3

/**
 * Readings of one check that should be alike: by the median of the set, two by their difference, one by its twin (METHODS 8, 5).
 * @param standing the readings that stand, each point once
 * @param every all readings of the check, which are judged against the same set
 * @returns what each comes to; one that the set cannot judge yet is not among them
 * @example
 * [...judgeAlike(scenes.bars().run, scenes.bars().check('bars'), scenes.bars().all, scenes.bars().all).values()][3].verdict
 * // 'outside'
 */
export function judgeAlike(
  run: Run,
  check: PreparedCheck,
  standing: Evaluation[],
  every: Evaluation[],
): Map<Evaluation, Evaluation> {
  const limit = standing.find((one) => one.limit?.kind === 'alike')?.limit
  const stated = limit?.stated
  if (!limit || stated === undefined || stated === 'derived' || stated.kind !== 'alike') return new Map()
  const values = standing.flatMap((one) => valueOf(one) ?? [])
  if (expectedPoints(check) === 1) return twin(run, limit, stated.allowedPct, every)
  if (expectedPoints(check) === 2 && values.length === 2) return two(limit, stated.allowedPct, standing)
  if (values.length < fewestForMedian) return new Map()
  const set = barToBar({
    values: values.map((one) => (Number.isFinite(one) ? one : 'Infinity')),
    allowedPct: stated.allowedPct,
  })
  if (set.scattered)
    return new Map(every.map((one) => [one, { ...one, verdict: 'none' as const, reason: 'scattered' as const }]))
  const { median, madSigma } = set
  const allowed = Math.max(3.5 * (madSigma ?? 0), (stated.allowedPct / 100) * Math.abs(median ?? 0))
  const band = median === null ? {} : { min: median - allowed, max: median + allowed }
  return new Map(every.flatMap((one) => (valueOf(one) === undefined ? [] : [[one, against(one, limit, band)]])))
}

const expectedPoints = ({ items, at, points }: PreparedCheck): number =>
  items ?? ('ring' in at ? at.ring : Math.max(1, points.length))

/** The figure a reading brings to its set, infinite where it reads open. */
function valueOf(one: Evaluation): number | undefined {
  const ohms = ohmsRead(one)
  if (ohms === undefined || one.entry.reading.kind === 'below') return undefined
  return ohms === 'Infinity' || readsOpen(one) ? Infinity : ohms
}

function against(one: Evaluation, limit: PreparedLimit, band: Band): Evaluation {
  const value = valueOf(one) ?? Infinity
  const open = !Number.isFinite(value)
  const out = open || above(value, band.max ?? -Infinity) || below(value, band.min ?? Infinity)
  return graded(one, { ...limit, band }, out ? 'outside' : 'within', open ? 'open-circuit' : 'unlike-the-rest')
}

function graded(one: Evaluation, limit: PreparedLimit, verdict: 'within' | 'outside', why: Reason): Evaluation {
  const [judged, u] = one.net === undefined ? [one.judged, one.u] : [one.net, one.netU ?? 0]
  const known = { ...one, reason: undefined, limit, judged, u }
  if (limit.grade === 'guess' && why !== 'open-circuit')
    return { ...known, verdict: 'borderline', leaning: verdict, reason: 'guess' }
  const conformance = verdict === 'within' ? 1 : 0
  return { ...known, verdict, leaning: verdict, conformance, reason: verdict === 'outside' ? why : undefined }
}

/** Of two that differ the one that reads low is out first: shorts lower, and a contact only adds. */
function two(limit: PreparedLimit, allowedPct: number, standing: Evaluation[]): Map<Evaluation, Evaluation> {
  const figures = standing.map(figureOf)
  const [a, b] = figures
  if (!a || !b) return new Map()
  const { verdict } = twinCheck({ a, b, allowedPct })
  const low = standing[a.value <= b.value ? 0 : 1]
  return new Map(
    standing.map((one) => {
      const out = verdict === 'outside' && one === low
      if (verdict === 'borderline') return [one, { ...one, verdict, reason: 'near-limit' as const, limit }]
      return [one, graded(one, limit, out ? 'outside' : 'within', 'unlike-the-rest')]
    }),
  )
}

const figureOf = (one: Evaluation): Figure | undefined =>
  one.net !== undefined && readsFinite(one) ? { value: one.net, u: one.netU ?? 0 } : undefined

function twin(run: Run, limit: PreparedLimit, allowedPct: number, every: Evaluation[]): Map<Evaluation, Evaluation> {
  return new Map(
    every.flatMap((one) => {
      const theirs = figureBeside(run, one.check.id, ['twin', 'neighbour', 'new'])
      if (!theirs || figureOf(one) === undefined) return []
      const { verdict } = twinCheck({ a: atTwinReference(one), b: theirs, allowedPct })
      if (verdict === 'none') return []
      if (verdict === 'borderline') return [[one, { ...one, verdict, reason: 'near-limit' as const }]]
      return [[one, graded(one, limit, verdict, 'unlike-the-rest')]]
    }),
  )
}
