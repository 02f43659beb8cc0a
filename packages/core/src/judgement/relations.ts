import type { Relation, Run } from '../document'
import { ratio, sumCheck, twinCheck, unbalance, unbalanceUncertainty, type Figure, type SumResult } from '../relations'
import type { CurrentCheck } from '../function'
import { judgeValue, openFrom, type Band, type Verdict } from '../spec'
import { beta, isMetal } from '../temperature'
import { rectangular } from '../uncertainty'
import { judgeDraw, type Draw } from './draw'
import { expectedOf, type Bench, type Evaluation } from './evaluation'
import type { PreparedCard } from './prepare'
import { kindOf, kindsWithOneOpen } from './threePins'
import { atTwinReference } from './twin'

/** A relation between standing readings, judged. */
export interface RelationState {
  relation: Relation
  verdict: Verdict
  reason?: 'not-read' | 'not-finite' | 'guess' | 'volts-missing' | 'undecided' | 'another-card'
  conformance?: number
  leaning?: 'within' | 'outside'
  /** what was compared, in the relation's own figure: ohms left over for a sum, a ratio, or percent */
  value?: number
  u?: number
  limits?: Band
  sum?: SumResult
  members: Evaluation[]
  /** the reading that is out of line, where one can be named */
  odd?: Evaluation
  oddReadsHigh?: boolean
  /** the odd one could be a contact that was missing: it wants a second touch */
  contactGives?: boolean
  draw?: CurrentCheck & Draw
  /** no readings of this meter could be `within` */
  meterCannot?: boolean
}

const contact = 0.01 / rectangular
/** Judges one relation over the readings that stand at a moment (METHODS 5, 11.10). `standing` gives a check's readings. */
export function judgeRelation(
  bench: Bench,
  relation: Relation,
  standing: (check: string) => Evaluation[],
): RelationState {
  const { run } = bench
  const judged = judgeKind(bench, relation, standing)
  const guessed = run.card.sources.find((source) => source.id === relation.source)?.grade === 'guess'
  return guessed && relation.kind !== 'twin' && judged.verdict === 'outside'
    ? { ...judged, verdict: 'borderline', reason: 'guess' }
    : judged
}

function judgeKind(bench: Bench, relation: Relation, standing: (check: string) => Evaluation[]): RelationState {
  const { run, prepared } = bench
  switch (relation.kind) {
    case 'sum':
      return judgeSum(relation, standing)
    case 'ratio':
      return judgeRatio(run, relation, standing)
    case 'equal':
      return judgeEqual(relation, relation.checks.flatMap(standing))
    case 'unbalance':
      return judgeUnbalance(prepared, relation, standing)
    case 'above':
      return judgeAbove(relation, standing)
    case 'twin':
      return judgeTwin(run, relation, standing)
    case 'draw':
      return judgeDraw(bench, relation, standing)
    case 'kind-of-three':
      return judgeKindOfThree(bench, relation, standing)
  }
}

const isFinite = ({ net }: Evaluation): boolean => net !== undefined && net < openFrom

/** One figure a check, or why the relation cannot be judged. */
function single(checks: string[], standing: (check: string) => Evaluation[]): Evaluation[] | 'not-read' | 'not-finite' {
  const found = checks.map((check) => standing(check).at(-1))
  if (found.some((one) => one === undefined)) return 'not-read'
  const members = found.filter((one) => one !== undefined)
  return members.every(isFinite) ? members : 'not-finite'
}

/**
 * Readings as figures at one temperature. Where one meter took all on one function and range, its gain and zero cancel and
 * counts, resolution and contact alone are left.
 */
function figuresOf(members: Evaluation[], zeroApart: boolean): { figures: Figure[]; uLead: number; scales: number[] } {
  const [first] = members
  const alike = members.every(
    (one) =>
      one.instrument !== undefined &&
      one.instrument === first?.instrument &&
      one.range !== undefined &&
      one.range === first?.range,
  )
  const scales = members.map((one) => temperatureScale(one, first))
  const figures = members.map((one, i) => {
    const scale = scales[i] ?? 1
    return { value: (one.net ?? 0) * scale, u: scale * ownUncertainty(one, alike, zeroApart) }
  })
  const uLead = Math.max(0, ...members.map((one) => one.leads?.u ?? 0))
  return { figures, uLead: zeroApart ? uLead : 0, scales }
}

function ownUncertainty(
  { parts, range, instrument, resolution = 0, netU = 0 }: Evaluation,
  alike: boolean,
  zeroApart: boolean,
): number {
  if (!parts) return netU
  if (alike) {
    const counts = range?.counts ?? (range?.percentOfReading === undefined ? 3 : 0)
    return Math.hypot(
      (counts * resolution) / rectangular,
      parts.resolution,
      parts.spread,
      instrument?.fourWire ? 0 : contact,
    )
  }
  const own = Math.hypot(parts.accuracy, parts.resolution, parts.spread)
  return zeroApart ? own : Math.hypot(own, parts.lead)
}

function temperatureScale(one: Evaluation, first: Evaluation | undefined): number {
  const { material } = one.check
  const [from, to] = [one.temperature?.partC, first?.temperature?.partC]
  if (material === undefined || !isMetal(material) || from === undefined || to === undefined) return 1
  return (beta[material] + to) / (beta[material] + from)
}

function judgeSum(
  relation: Extract<Relation, { kind: 'sum' }>,
  standing: (check: string) => Evaluation[],
): RelationState {
  const members = single([...relation.parts, relation.whole], standing)
  if (typeof members === 'string') return { relation, verdict: 'none', reason: members, members: [] }
  const { figures, uLead } = figuresOf(members, true)
  const whole = figures.at(-1)
  if (!whole) return { relation, verdict: 'none', reason: 'not-read', members: [] }
  const sum = sumCheck({ parts: figures.slice(0, -1), whole, uLead })
  const odd = sum.consistent ? undefined : likelyBad(members, figures, sum)
  return {
    relation,
    verdict: sum.consistent ? 'within' : 'outside',
    value: sum.residual,
    u: sum.u,
    limits: { min: -sum.allowed, max: sum.allowed },
    sum,
    members,
    ...(odd ? { odd, oddReadsHigh: true } : {}),
  }
}

/** The reading on the side that could be high (a contact only adds): one outside its limits whose implied figure is inside. */
function likelyBad(members: Evaluation[], figures: Figure[], sum: SumResult): Evaluation | undefined {
  const whole = members.at(-1)
  if (sum.residual < 0) return whole
  const parts = members.slice(0, -1)
  const cleared = (i: number) => {
    const implied = sum.impliedPart[i] ?? -1
    const { min = -Infinity, max = Infinity } = parts[i]?.limit?.band ?? {}
    return implied >= min && implied <= max && parts[i]?.verdict === 'outside'
  }
  const deviation = (i: number) => {
    const expected = expectedOf(parts[i]?.limit?.band ?? {}) ?? figures[i]?.value ?? 1
    return (figures[i]?.value ?? 0) / expected
  }
  const order = parts
    .map((_, i) => i)
    .sort((a, b) => Number(cleared(b)) - Number(cleared(a)) || deviation(b) - deviation(a))
  return parts[order[0] ?? 0]
}

function judgeRatio(
  run: Run,
  relation: Extract<Relation, { kind: 'ratio' }>,
  standing: (check: string) => Evaluation[],
): RelationState {
  const members = single([relation.of, relation.to], standing)
  if (typeof members === 'string') return { relation, verdict: 'none', reason: members, members: [] }
  const { figures } = figuresOf(members, false)
  const [of, to] = figures
  const [ofEvaluation, toEvaluation] = members
  const found = of && to ? ratio(of, to) : null
  if (!found || !ofEvaluation || !toEvaluation) return { relation, verdict: 'none', reason: 'not-finite', members }
  const limits = ratioLimits(run, relation, members)
  const judged = judgeValue({ value: found.value, u: found.u, ...limits, rule: 'guarded' })
  const off = (one: Evaluation) =>
    Math.abs(Math.log((one.net ?? 1) / (expectedOf(one.limit?.band ?? {}) ?? one.net ?? 1)))
  const odd = off(ofEvaluation) >= off(toEvaluation) ? ofEvaluation : toEvaluation
  const tooHigh = found.value > (limits.max ?? Infinity)
  return {
    ...figured(relation, judged, found, limits, members),
    ...(judged.verdict === 'outside' ? { odd, oddReadsHigh: odd === ofEvaluation ? tooHigh : !tooHigh } : {}),
    meterCannot: 4 * found.u > (limits.max ?? 0) - (limits.min ?? 0),
  }
}

/** A published source may state a narrow ratio; otherwise it is no narrower than the two windings' bands allow together. */
function ratioLimits(run: Run, relation: Extract<Relation, { kind: 'ratio' }>, members: Evaluation[]): Band {
  const share = relation.withinPct / 100
  const own = { min: relation.ratio * (1 - share), max: relation.ratio * (1 + share) }
  const grade = run.card.sources.find((source) => source.id === relation.source)?.grade
  if (grade === 'maker' || grade === 'trade') return own
  const [of, to] = members.map((one) => one.limit?.band ?? {})
  const lowest = of?.min !== undefined && to?.max !== undefined ? of.min / to.max : own.min
  const highest = of?.max !== undefined && to?.min !== undefined && to.min > 0 ? of.max / to.min : own.max
  return { min: Math.min(own.min, lowest), max: Math.max(own.max, highest) }
}

const figured = (
  relation: Relation,
  judged: ReturnType<typeof judgeValue>,
  figure: Figure,
  limits: Band,
  members: Evaluation[],
): RelationState => ({
  relation,
  verdict: judged.verdict,
  conformance: judged.conformance,
  ...(judged.leaning ? { leaning: judged.leaning } : {}),
  value: figure.value,
  u: figure.u,
  limits,
  members,
})

function judgeEqual(relation: Extract<Relation, { kind: 'equal' }>, members: Evaluation[]): RelationState {
  if (members.length < 2) return { relation, verdict: 'none', reason: 'not-read', members }
  if (!members.every(isFinite)) return { relation, verdict: 'none', reason: 'not-finite', members }
  const { figures } = figuresOf(members, false)
  let worst: RelationState = { relation, verdict: 'none', reason: 'not-read', members }
  for (const [i, a] of figures.entries()) {
    for (const [j, b] of figures.entries()) {
      if (j <= i) continue
      const { differencePct, u } = twinCheck({ a, b, allowedPct: relation.withinPct })
      if (differencePct === null || u === null || Math.abs(differencePct) <= Math.abs(worst.value ?? -1)) continue
      const limits = { min: -relation.withinPct, max: relation.withinPct }
      const judged = judgeValue({ value: differencePct, u, ...limits, rule: 'guarded' })
      const low = a.value < b.value ? members[i] : members[j]
      worst = {
        ...figured(relation, judged, { value: differencePct, u }, limits, members),
        ...(low ? { odd: low, oddReadsHigh: false } : {}),
        meterCannot: 2 * u > relation.withinPct,
      }
    }
  }
  return worst
}

function judgeUnbalance(
  prepared: PreparedCard,
  relation: Extract<Relation, { kind: 'unbalance' }>,
  standing: (check: string) => Evaluation[],
): RelationState {
  const members = relation.checks.flatMap(standing)
  const needed = relation.checks.reduce((total, id) => total + (prepared.checks.get(id)?.points.length ?? 1), 0)
  if (members.length < needed || members.length < 2) return { relation, verdict: 'none', reason: 'not-read', members }
  if (!members.every((one) => one.net !== undefined && (one.quantity !== 'resistance' || isFinite(one))))
    return { relation, verdict: 'none', reason: 'not-finite', members }
  const { figures } = figuresOf(members, false)
  const found = unbalance({ values: figures.map((figure) => figure.value) })
  if (!found) return { relation, verdict: 'none', reason: 'not-finite', members }
  const u = unbalanceUncertainty(figures, found.mean, found.worstIndex)
  const limits = { max: relation.maxPct }
  const judged = judgeValue({ value: found.maxDeviationPct, u, ...limits, rule: 'guarded' })
  const odd = members[found.worstIndex]
  return {
    ...figured(relation, judged, { value: found.maxDeviationPct, u }, limits, members),
    ...(odd ? { odd, oddReadsHigh: (figures[found.worstIndex]?.value ?? 0) > found.mean } : {}),
    meterCannot: 2 * u > relation.maxPct,
  }
}

function judgeAbove(
  relation: Extract<Relation, { kind: 'above' }>,
  standing: (check: string) => Evaluation[],
): RelationState {
  const members = single([relation.check, relation.than], standing)
  if (typeof members === 'string') return { relation, verdict: 'none', reason: members, members: [] }
  const [a, b] = figuresOf(members, false).figures
  const value = (a?.value ?? 0) - (b?.value ?? 0)
  const u = Math.hypot(a?.u ?? 0, b?.u ?? 0)
  const limits = { min: relation.by }
  return figured(relation, judgeValue({ value, u, ...limits, rule: 'guarded' }), { value, u }, limits, members)
}

function judgeTwin(
  run: Run,
  relation: Extract<Relation, { kind: 'twin' }>,
  standing: (check: string) => Evaluation[],
): RelationState {
  const members = standing(relation.check)
  const [mine] = members
  const twin = run.compare?.find((one) => one.as === 'twin' || one.as === 'neighbour')
  const theirs = twin?.figures.find((figure) => figure.check === relation.check)
  if (!mine || !theirs) return { relation, verdict: 'none', reason: 'not-read', members }
  if (!isFinite(mine) || mine.net === undefined) return { relation, verdict: 'none', reason: 'not-finite', members }
  const a = atTwinReference(mine)
  const { differencePct, u } = twinCheck({ a, b: theirs, allowedPct: relation.withinPct })
  if (differencePct === null || u === null) return { relation, verdict: 'none', reason: 'not-finite', members }
  const limits = { min: -relation.withinPct, max: relation.withinPct }
  const judged = judgeValue({ value: differencePct, u, ...limits, rule: 'guarded' })
  return { ...figured(relation, judged, { value: differencePct, u }, limits, members), odd: mine, oddReadsHigh: false }
}

/** The kind that three pins must be: another that an open winding gives fails, anything less clear says nothing (METHODS 11.10). */
function judgeKindOfThree(
  { prepared }: Bench,
  relation: Extract<Relation, { kind: 'kind-of-three' }>,
  standing: (check: string) => Evaluation[],
): RelationState {
  const check = prepared.checks.get(relation.check)
  const members = standing(relation.check)
  const kind = check && kindOf(check, members)
  if (!check || kind === undefined) return { relation, verdict: 'none', reason: 'not-read', members }
  if (kind === relation.must) return { relation, verdict: 'within', conformance: 1, leaning: 'within', members }
  if (kind === 'open' || kind === 'unclear') return { relation, verdict: 'none', reason: 'undecided', members }
  return kindsWithOneOpen(prepared.card, check).has(kind)
    ? { relation, verdict: 'outside', conformance: 0, leaning: 'outside', members }
    : { relation, verdict: 'none', reason: 'another-card', members }
}
