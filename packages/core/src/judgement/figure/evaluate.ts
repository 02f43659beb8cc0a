import { below } from '../../conformance'
import type { Instrument, Reading, Rule, Run } from '../../document'
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
import type { Bench, Evaluation } from './evaluation'
import { isolationAt } from './isolation'
import { judgeFigure } from './judgeFigure'
import { leadsFor, type LeadsApplied } from './leads'
import { netFigure } from './netFigure'
import { temperatureFor, type TemperatureApplied } from './partTemperature'

interface Judged {
  setting: unknown[]
  evaluation: Evaluation
}
const judgedBefore = new WeakMap<ReadingEntry, Judged>()

/**
 * Judges one reading of a run with every figure that leads to the verdict (METHODS 2 to 4). Never throws on a valid run.
 * An entry never changes, so a reading whose setting is still the same keeps its evaluation: a tape that grew by one entry
 * judges one reading.
 * @example
 * evaluate(scenes.sound().bench, scenes.sound().of('low').entry)?.verdict // 'within'
 */
export function evaluate(bench: Bench, entry: ReadingEntry): Evaluation | undefined {
  const check = bench.prepared.checks.get(entry.check)
  if (!check) return undefined
  const instrument = instrumentOf(bench.run, entry.reading.instrument)
  const leads = leadsFor(bench.tape, instrument, { n: entry.n, at: entry.at, leads: entry.reading.leads })
  const temperature = temperatureFor(bench.tape, entry)
  const history = bench.tape.history(entry)
  const parallel = isolationAt(bench.tape, entry.n)?.parallelOhms
  const setting = [
    check,
    instrument,
    bench.run.rule,
    history,
    leads.entry,
    leads.from,
    temperature.entry,
    temperature.from,
    parallel,
  ]
  const before = judgedBefore.get(entry)
  if (before && setting.every((one, i) => one === before.setting[i])) return before.evaluation
  const evaluation = evaluateIn(
    bench.prepared,
    bench.run.rule,
    entry,
    check,
    instrument,
    check.limits[history],
    leads,
    temperature,
    parallel,
  )
  judgedBefore.set(entry, { setting, evaluation })
  return evaluation
}

/** The meter a reading names; one that names none was taken with the run's only meter. */
const instrumentOf = (run: Run, id: string | undefined): Instrument | undefined =>
  run.instruments.find((one) => one.id === id) ?? (run.instruments.length === 1 ? run.instruments[0] : undefined)

function evaluateIn(
  prepared: PreparedCard,
  runRule: Rule,
  entry: ReadingEntry,
  check: PreparedCheck,
  instrument: Instrument | undefined,
  limits: PreparedLimit[],
  leads: LeadsApplied,
  temperature: TemperatureApplied,
  parallelOhms: number | undefined,
): Evaluation {
  const { reading } = entry
  const quantity = quantityOf(check)
  const pair = reading.pair ?? ('pair' in check.at ? check.at.pair : undefined)
  const resolved = limits.map((one) => limitAt(one, reading, pair))
  const [first] = resolved
  const limit = typeof first === 'string' ? limits[0] : first
  const base: Evaluation = {
    entry,
    check,
    quantity,
    instrument,
    pair,
    point: pointKey(check, entry, pair),
    verdict: 'none',
    rule: ruleFor(limit, runRule),
    ...(limit ? { limit } : {}),
    others: [],
    accuracyAssumed: false,
    netNegative: false,
  }
  if (quantity === undefined || reading.kind === 'answer') return judgeAnswer(base, reading)
  const figured = netFigure(base, quantity, leads, temperature, parallelOhms)
  const judged = typeof first === 'string' ? openOr(figured, first) : judgeFigure(figured, first)
  if (pair && readsShort(figured) && standApart(prepared, check, pair, limit?.band))
    return { ...judged, verdict: 'outside', leaning: 'outside', conformance: 0, reason: 'shorted' }
  const unmet = unmetCondition(check, reading.conditions)
  if (unmet) return { ...judged, verdict: 'none', reason: 'conditions-not-met', leaning: undefined }
  const others = resolved.slice(1).flatMap((other) => {
    if (typeof other === 'string') return []
    const { verdict } = judgeFigure(figured, other)
    return verdict === judged.verdict ? [] : [{ limit: other, verdict }]
  })
  return { ...judged, others }
}

/** A reading whose place nobody typed: open is open wherever it is. */
function openOr(figured: Evaluation, reason: 'place-missing' | 'off-curve'): Evaluation {
  const alone = judgeFigure(figured, undefined)
  return alone.reason === 'open-circuit' ? alone : { ...figured, reason }
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
  return [check.id, points, index, x, pointConditions(check, conditions)].join('|')
}

function judgeAnswer(base: Evaluation, { answer }: Reading): Evaluation {
  const limit = base.limit?.stated
  if (limit === undefined || limit === 'derived' || limit.kind !== 'answer' || answer === undefined)
    return { ...base, reason: base.check.stated.length > 0 && !base.limit ? 'no-limit-for-history' : 'no-limit' }
  const side = limit.right.includes(answer) ? 'within' : 'outside'
  // a guess decides nothing, whether it is a figure or what should be seen
  if (base.limit?.grade === 'guess') return { ...base, verdict: 'borderline', leaning: side, reason: 'guess' }
  return side === 'within'
    ? { ...base, verdict: side, leaning: side, conformance: 1 }
    : { ...base, verdict: side, leaning: side, conformance: 0, reason: 'wrong-answer' }
}
