import { below } from '../../conformance'
import type { Instrument, Quantity, Reading, Rule, Run } from '../../document'
import {
  limitAt,
  pairKey,
  pointConditions,
  quantityOf,
  standApart,
  unmetCondition,
  type PreparedCard,
  type PreparedCheck,
  type PreparedLimit,
} from '../preparedCard'
import type { ReadingEntry } from '../tape'
import type { Bench, Evaluation, Governing } from './evaluation'
import { isolationAt } from './isolation'
import { byVoltsOverAmps } from './byVoltsOverAmps'
import { judgeFigure } from './judgeFigure'
import { leadsFor } from './leads'
import { netFigure } from './netFigure'
import { temperatureFor } from './partTemperature'

/**
 * Judges one reading of a run with every figure that leads to the verdict (METHODS 2 to 4). Never throws on a valid run.
 * @example
 * evaluate(scenes.sound().bench, scenes.sound().of('low').entry)?.verdict // 'within'
 */
export function evaluate({ prepared, run, tape }: Bench, entry: ReadingEntry): Evaluation | undefined {
  const check = prepared.checks.get(entry.check)
  if (!check) return undefined
  const meter = instrumentOf(run, entry.reading.instrument)
  const instrument = entry.reading.method === 'volts-over-amps' ? byVoltsOverAmps(run, meter) : meter
  return evaluateIn(prepared, entry, check, instrument, {
    runRule: run.rule,
    history: tape.history(entry),
    leads: leadsFor(tape, instrument, { n: entry.n, leads: entry.reading.leads }),
    temperature: temperatureFor(tape, entry),
    parallelOhms: isolationAt(tape, entry.n)?.parallelOhms,
  })
}

/** The meter a reading names; one that names none was taken with the run's only meter. */
const instrumentOf = (run: Run, id: string | undefined): Instrument | undefined =>
  run.instruments.find((one) => one.id === id) ?? (run.instruments.length === 1 ? run.instruments[0] : undefined)

function evaluateIn(
  prepared: PreparedCard,
  entry: ReadingEntry,
  check: PreparedCheck,
  instrument: Instrument | undefined,
  governing: Governing,
): Evaluation {
  const { reading } = entry
  const quantity = quantityOf(check)
  const pair = reading.pair ?? ('pair' in check.at ? check.at.pair : undefined)
  const [given, ...more] = check.limits[governing.history]
  const first = given && limitAt(given, reading, pair)
  const limit = typeof first === 'string' ? given : first
  const base = unjudged(entry, check, governing, instrument, quantity, pair, limit)
  if (quantity === undefined || reading.kind === 'answer') return judgeAnswer(base, reading)
  const figured = netFigure(base, quantity)
  const judged = typeof first === 'string' ? openOr(figured, first) : judgeFigure(figured, first)
  if (pair && readsShort(figured) && standApart(prepared, check, pair, limit?.band))
    return { ...judged, verdict: 'outside', leaning: 'outside', conformance: 0, reason: 'shorted' }
  const unmet = unmetCondition(check, reading.conditions)
  if (unmet) return { ...judged, verdict: 'none', reason: 'conditions-not-met', leaning: undefined }
  const others = more.flatMap((one) => {
    const other = limitAt(one, reading, pair)
    if (typeof other === 'string') return []
    const { verdict } = judgeFigure(figured, other)
    return verdict === judged.verdict ? [] : [{ limit: other, verdict }]
  })
  return others.length > 0 ? { ...judged, others } : judged
}

/** A reading before any figure of it is worked out. Every field is named, so that all evaluations are of one shape: that is fast. */
function unjudged(
  entry: ReadingEntry,
  check: PreparedCheck,
  governing: Governing,
  instrument: Instrument | undefined,
  quantity: Quantity | undefined,
  pair: [string, string] | undefined,
  limit: PreparedLimit | undefined,
): Evaluation {
  return {
    entry,
    check,
    governing,
    quantity,
    instrument,
    pair,
    point: pointKey(check, entry, pair),
    verdict: 'none',
    reason: undefined,
    leaning: undefined,
    conformance: undefined,
    margin: undefined,
    rule: ruleFor(limit, governing.runRule),
    limit,
    others: noOthers,
    parsed: undefined,
    taken: undefined,
    bound: undefined,
    resolution: undefined,
    rounding: undefined,
    range: undefined,
    accuracyAssumed: false,
    leads: undefined,
    parallelOhms: undefined,
    net: undefined,
    netNegative: false,
    parts: undefined,
    netU: undefined,
    temperature: undefined,
    reference: undefined,
    factor: undefined,
    temperatureU: undefined,
    judged: undefined,
    u: undefined,
    whole: undefined,
    leakageAmps: undefined,
  }
}
const noOthers: Evaluation['others'] = []

/** A reading whose place nobody typed: open is open wherever it is, and a lead that moves needs no length to be bad. */
function openOr(figured: Evaluation, reason: 'place-missing' | 'off-curve'): Evaluation {
  const alone = judgeFigure(figured, undefined)
  const ofSet = figured.check.kind === 'per-length'
  if (alone.reason === 'open-circuit' || (alone.reason === 'unsteady' && ofSet)) return alone
  const { kind } = figured.entry.reading
  return { ...figured, reason: ofSet && (kind === 'over' || kind === 'above') ? 'range-too-low' : reason }
}

/** No leak and no contact of a finger: METHODS 11.13, ohms. */
const hardShort = 1000

/** Whether a reading is a hard path, with all of it. */
function readsShort({ entry, quantity, net, bound }: Evaluation): boolean {
  if (quantity !== 'resistance' && quantity !== 'insulation') return false
  const { kind, value, low, high = low } = entry.reading
  if (kind === 'over' || kind === 'above' || kind === 'answer') return false
  const most = kind === 'below' ? bound : kind === 'spread' ? high : (net ?? value)
  return most !== undefined && below(most, hardShort)
}

/** A limit's own rule goes first; what is closed is judged simply, a curve always with its guard band. */
function ruleFor(limit: PreparedLimit | undefined, runRule: Rule): Rule {
  return limit?.rule ?? (limit?.kind === 'closed' ? 'simple' : limit?.kind === 'curve' ? 'guarded' : runRule)
}

function pointKey(check: PreparedCheck, { reading }: ReadingEntry, pair: [string, string] | undefined): string {
  const points = pair ? pairKey(pair) : ''
  const { index = '', x = '', conditions } = reading
  // a lead is the same lead before anybody said how long it is
  const place = check.kind === 'per-length' ? '' : x
  return [check.id, points, index, place, pointConditions(check, conditions)].join('|')
}

function judgeAnswer(base: Evaluation, { answer }: Reading): Evaluation {
  const limit = base.limit?.stated
  if (limit === undefined || limit === 'derived' || limit.kind !== 'answer' || answer === undefined)
    return { ...base, reason: base.check.stated.length > 0 && !base.limit ? 'no-limit-for-history' : 'no-limit' }
  // what a sound part shows is not said: it is kept
  if (limit.right.length === 0) return { ...base, reason: 'no-limit' }
  const side = limit.right.includes(answer) ? 'within' : 'outside'
  // a guess decides nothing, whether it is a figure or what should be seen; what nobody had to try holds nothing by being as it should
  if (base.limit?.grade === 'guess' && (base.check.required || side === 'outside'))
    return { ...base, verdict: 'borderline', leaning: side, reason: 'guess' }
  return side === 'within'
    ? { ...base, verdict: side, leaning: side, conformance: 1 }
    : { ...base, verdict: side, leaning: side, conformance: 0, reason: 'wrong-answer' }
}
