import { above, atMost, below, judgeValue, openFrom } from '../conformance'
import { beta, isMetal } from '../temperature'
import {
  temperatureFactor,
  isolatedAlike,
  isUnsteady,
  isUnzeroed,
  lastPlace,
  unmetCondition,
  type Evaluation,
  type PreparedCheck,
} from '../judgement'
import { parseReading } from '../quantity'
import { heatingBefore, mostWarmth, roomC } from './heat'
import { inOhms, type Moment, type ReadingRule } from './rule'

/** The leaning changes within ±10 °C of a temperature that nobody measured, and that is the largest doubt there is. */
export const temperatureDecides: ReadingRule = {
  id: 'temperature-decides',
  cause: 'temperature',
  about: ({ material }) => material !== undefined && isMetal(material),
  test: ({ evaluation }) => {
    const { net, netU = 0, temperature, temperatureU, factor = 1, reference, limit, leaning, rule, check } = evaluation
    const { material } = check
    if (net === undefined || !reference || !limit || temperature?.partC === undefined) return null
    if (temperature.from === 'measured' || material === undefined || !isMetal(material)) return null
    const { accuracy = 0, resolution = 0, spread = 0, lead = 0 } = evaluation.parts ?? {}
    const others = [...[accuracy, resolution, spread, lead].map((one) => factor * one), temperatureU?.reference ?? 0]
    if (below(temperatureU?.part ?? 0, Math.max(...others))) return null
    const b = beta[material]
    const partC = temperature.partC
    const changes = [-10, 10].some((shift) => {
      const value = (net * (b + reference.c)) / (b + partC + shift)
      return judgeValue({ value, u: netU, ...limit.band, rule }).leaning !== leaning
    })
    return changes ? { severity: 'warn', params: { assumed: partC, from: temperature.from } } : null
  },
}

/** Kept before it had settled. */
export const notSettled: ReadingRule = {
  id: 'not-settled',
  cause: 'steadiness',
  test: ({ evaluation }) => (evaluation.entry.reading.settled === false ? { severity: 'warn', params: {} } : null),
}

/** It moved or dropped out while it was held. */
export const unsteady: ReadingRule = {
  id: 'unsteady',
  cause: 'steadiness',
  test: ({ evaluation }) => (isUnsteady(evaluation.entry.reading) ? { severity: 'warn', params: {} } : null),
}

/**
 * A figure net of the leads that apply to it; of ohms and amperes its size, which exchanged leads leave. One taken before a hardware zero
 * is less the figure of that zero.
 */
function sizeOf({ bench, evaluation: latest }: Moment, one: Evaluation): number | undefined {
  const { quantity, taken, leads, entry } = one
  if (taken === undefined || (quantity !== 'resistance' && quantity !== 'current')) return taken
  if (quantity === 'current' || !leads) return Math.abs(taken)
  if (!isUnzeroed(leads)) return Math.abs(taken - leads.ohms)
  const zero = bench.tape.leadChecks.find(
    (check) =>
      check.how === 'hardware' &&
      check.instrument === one.instrument?.id &&
      (check.leads ?? '') === (entry.reading.leads ?? '') &&
      check.n > entry.n &&
      check.n < latest.entry.n,
  )
  return Math.abs(taken) - (zero ? leadFigure(zero.text) : 0)
}

function leadFigure(text: string): number {
  const parsed = parseReading({ text, quantity: 'resistance', decimalComma: text.includes(',') })
  return parsed.value ?? 0
}

/** how much more copper reads as hot as a film bears */
const warmest = (beta.copper + mostWarmth) / (beta.copper + roomC)

/** Whether two readings of a metal winding are apart by what it was warmer, within what two thermometers leave open. */
function isByWarmth(one: Evaluation, other: Evaluation, apart: number, allowed: number): boolean {
  const { quantity, temperature, check, net = 0 } = one
  const warmer = quantity === 'resistance' ? temperatureFactor(other, one) : 1
  if (warmer === 1 || check.material === undefined || !isMetal(check.material)) return false
  const perDegree = Math.abs(net) / (beta[check.material] + (temperature?.partC ?? roomC))
  const doubt = 2 * perDegree * Math.hypot(temperature?.u ?? 0, other.temperature?.u ?? 0)
  return atMost(Math.abs(apart - (other.net ?? 0) * (warmer - 1)), allowed + doubt)
}

/** Two readings of one point on one meter further apart than the meter explains, and no unit slip. */
export const repeatsApart: ReadingRule = {
  id: 'repeats-apart',
  cause: 'steadiness',
  test: (moment) => {
    const { evaluation, again } = moment
    const mine = sizeOf(moment, evaluation)
    if (mine === undefined || evaluation.quantity === undefined) return null
    for (const other of again) {
      const theirs = sizeOf(moment, other)
      if (theirs === undefined) continue
      const apart = Math.abs(mine - theirs)
      const share = 0.01 * Math.max(Math.abs(mine), Math.abs(theirs))
      // what most are, told first: a long tape asks it of all that was read there
      if (apart <= share) continue
      const allowed = share + 3 * Math.max(lastPlace(evaluation), lastPlace(other))
      if (!above(apart, allowed) || isByWarmth(evaluation, other, mine - theirs, allowed)) continue
      if ([1000, 0.001].some((factor) => Math.abs(mine * factor - theirs) <= 0.02 * Math.abs(theirs))) continue
      if (!isolatedAlike(moment.bench.tape, other.entry.n, evaluation.entry.n)) continue
      // what was warm and has cooled reads less
      if (mine < theirs && theirs <= warmest * mine && heatingBefore({ ...moment, evaluation: other })) continue
      return { severity: 'warn', params: { value: evaluation.taken ?? mine, before: other.taken ?? theirs } }
    }
    return null
  },
}

const dynamicKinds: ReadonlySet<string> = new Set(['ac-output', 'dc-output', 'current', 'lamp', 'response'])

/** Bars in volts or amperes: what a growler induces, so nothing at all while it is off. */
const isInduced = (check: Pick<PreparedCheck, 'kind' | 'quantity'>): boolean => check.kind === 'bars' && !inOhms(check)

/** A dynamic reading without its speed, load, lamp or supply means nothing. */
export const conditionMissing: ReadingRule = {
  id: 'condition-missing',
  about: (check) => dynamicKinds.has(check.kind) || isInduced(check),
  test: ({ evaluation, earlier }) => {
    const { check } = evaluation
    if (isInduced(check)) {
      const nothing = (one: Evaluation) => one.check === check && Math.abs(one.taken ?? 1) <= 2 * (one.resolution ?? 0)
      const hums = earlier.some((one) => one.check === check && one.taken !== undefined && !nothing(one))
      return nothing(evaluation) && !hums ? { severity: 'stop', params: { condition: 'growler' } } : null
    }
    const unmet = unmetCondition(check, evaluation.entry.reading.conditions)
    const missing = unmet !== null && evaluation.entry.reading.conditions?.[unmet] === undefined
    return missing ? { severity: 'stop', params: { condition: unmet } } : null
  },
}

/** Within the uncertainty of a limit: by the meter's own u, or only by the temperature's. */
export const atLimit: ReadingRule = {
  id: 'at-limit',
  cause: 'range',
  test: ({ evaluation }) => {
    const { verdict, reason, judged, netU = 0, factor = 1, limit } = evaluation
    if (verdict !== 'borderline' || reason !== 'near-limit' || judged === undefined) return null
    const { min = -Infinity, max = Infinity } = limit?.band ?? {}
    const nearest = Math.min(Math.abs(judged - min), Math.abs(max - judged))
    return {
      severity: 'note',
      params: { by: atMost(nearest, 2 * netU * factor) ? 'meter' : 'temperature', margin: nearest },
    }
  },
}

const highRange = 2e6

/** A ground test by beeper, lamp or a low range sees hard shorts only. */
export const groundCeiling: ReadingRule = {
  id: 'ground-ceiling',
  about: ({ toFrame, kind, at }) => toFrame || (kind === 'lamp' && 'pair' in at && at.pair.includes('frame')),
  test: ({ evaluation }) => {
    const { check, verdict, reason, bound, limit } = evaluation
    if (verdict !== 'within' && reason !== 'range-too-low') return null
    const weak = ['continuity', 'lamp'].includes(check.kind) || (limit?.band.min ?? openFrom) < openFrom
    const low = bound !== undefined && bound < highRange
    return weak || low ? { severity: 'note', params: { ...(bound === undefined ? {} : { bound }) } } : null
  },
}
