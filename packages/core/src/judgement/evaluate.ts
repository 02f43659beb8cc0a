import type { Instrument, MeterRange, Quantity, Reading, Rule, Run } from '../document'
import { netOfLeads, rangeOf, rangesFor } from '../meter'
import { parseReading, type ParsedReading } from '../quantity'
import {
  above,
  atLeast,
  judgeBelow,
  judgeBeyond,
  judgeValue,
  openFrom,
  type Band,
  type BoundReason,
  type Verdict,
} from '../spec'
import { correctToReference, isMetal } from '../temperature'
import { readingUncertainty, type UncertaintyParts } from '../uncertainty'
import { pointConditions, unmetCondition } from './conditions'
import type { PreparedCard, PreparedCheck, PreparedLimit } from './prepare'
import { quantityOf } from './quantityOf'
import {
  instrumentOf,
  isolationAt,
  leadsFor,
  temperatureFor,
  type LeadsApplied,
  type TemperatureApplied,
} from './setting'
import type { ReadingEntry, Tape } from './tape'

export type Reason =
  | BoundReason
  | 'below-minimum'
  | 'near-limit'
  | 'zero-leads-first'
  | 'guess'
  | 'temperature-unknown'
  | 'no-limit-for-history'
  | 'conditions-not-met'
  | 'unsteady'
  | 'wrong-answer'
  | 'not-read'
  | 'no-such-check'
  | 'not-judged-here'

/** Every figure between a reading as taken and its verdict, so that a person can redo it by hand. SI units, °C. */
export interface Evaluation {
  entry: ReadingEntry
  check: PreparedCheck
  quantity: Quantity | undefined
  instrument: Instrument | undefined
  pair: [string, string] | undefined
  point: string
  verdict: Verdict
  reason?: Reason
  leaning?: 'within' | 'outside'
  conformance?: number
  margin?: number
  rule: Rule
  limit?: PreparedLimit
  /** other limits that would have decided otherwise */
  others: { limit: PreparedLimit; verdict: Verdict }[]
  /** the figure as taken, and the bound of an over-range */
  taken?: number
  bound?: number
  resolution?: number
  range?: MeterRange
  accuracyAssumed: boolean
  leads?: LeadsApplied
  parallelOhms?: number
  net?: number
  netNegative: boolean
  parts?: UncertaintyParts
  /** standard uncertainty of the net figure, before temperature */
  netU?: number
  temperature?: TemperatureApplied
  reference?: { c: number; u: number; stated: boolean }
  factor?: number
  temperatureU?: { part: number; reference: number }
  judged?: number
  u?: number
  leadsMatter: boolean
}

/** What the evaluation of every reading of a run shares. */
export interface Bench {
  run: Run
  prepared: PreparedCard
  tape: Tape
}

const parsedBefore = new WeakMap<Reading, ParsedReading>()

/** A reading's text, parsed once: an entry never changes. */
export function parsedText(reading: Reading, quantity: Quantity): ParsedReading {
  const known = parsedBefore.get(reading)
  if (known) return known
  const { text, decimalComma } = reading
  const parsed = parseReading({ text: text.replace(/^\s*~/, ''), quantity, decimalComma })
  parsedBefore.set(reading, parsed)
  return parsed
}

/** The middle of a band, or its one limit: what a reading is expected to be near. */
export function expectedOf({ min, max }: Band): number | undefined {
  return min !== undefined && max !== undefined ? (min + max) / 2 : (max ?? min)
}

/** Whether leads that nobody zeroed decide the verdict: over 5 % of what is expected or 20 % of the window (SENSE). */
export function leadsDecide(limit: PreparedLimit | undefined, leads: LeadsApplied | undefined): boolean {
  if (!limit || !leads || limit.expectOpen || (leads.from !== 'assumed' && leads.from !== 'carried')) return false
  const expected = expectedOf(limit.band)
  if (expected === undefined) return false
  const { min, max } = limit.band
  const window = min !== undefined && max !== undefined ? max - min : Infinity
  return above(leads.ohms, 0.05 * expected) || above(leads.ohms, 0.2 * window)
}

interface Judged {
  setting: unknown[]
  evaluation: Evaluation
}
const judgedBefore = new WeakMap<ReadingEntry, Judged>()

/**
 * Judges one reading of a run with every figure that leads to the verdict (METHODS 2 to 4). Never throws on a valid run.
 * An entry never changes, so a reading whose setting is still the same keeps its evaluation: a tape that grew by one entry
 * judges one reading.
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

function evaluateIn(
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
  const quantity = quantityOf(check.check)
  const [limit] = limits
  const pair = reading.pair ?? ('pair' in check.check.at ? check.check.at.pair : undefined)
  const base: Evaluation = {
    entry,
    check,
    quantity,
    instrument,
    pair,
    point: pointKey(entry, pair),
    verdict: 'none',
    rule: limit?.limit.rule ?? (limit?.kind === 'closed' ? 'simple' : runRule),
    ...(limit ? { limit } : {}),
    others: [],
    accuracyAssumed: false,
    netNegative: false,
    leadsMatter: false,
  }
  if (quantity === undefined || reading.kind === 'answer') return judgeAnswer(base, reading)
  const figured = withFigures(base, quantity, leads, temperature, parallelOhms)
  const judged = judgeFigure(figured, limit)
  const unmet = unmetCondition(check.check.conditions, reading.conditions)
  if (unmet) return { ...judged, verdict: 'none', reason: 'conditions-not-met', leaning: undefined }
  const others = limits.slice(1).flatMap((other) => {
    const { verdict } = judgeFigure(figured, other)
    return verdict === judged.verdict ? [] : [{ limit: other, verdict }]
  })
  return { ...judged, others }
}

function pointKey({ check, reading }: ReadingEntry, pair: [string, string] | undefined): string {
  const points = [...(pair ?? [])].sort().join('~')
  return [check, points, reading.index ?? '', reading.x ?? '', pointConditions(reading.conditions)].join('|')
}

function judgeAnswer(base: Evaluation, { answer }: Reading): Evaluation {
  const limit = base.limit?.limit.limit
  if (limit === undefined || limit === 'derived' || limit.kind !== 'answer' || answer === undefined)
    return { ...base, reason: base.check.check.limits.length > 0 && !base.limit ? 'no-limit-for-history' : 'no-limit' }
  return limit.right.includes(answer)
    ? { ...base, verdict: 'within', leaning: 'within', conformance: 1 }
    : { ...base, verdict: 'outside', leaning: 'outside', conformance: 0, reason: 'wrong-answer' }
}

/** The reading net of its leads with its uncertainty, in the quantity's SI unit. */
function withFigures(
  base: Evaluation,
  quantity: Quantity,
  applied: LeadsApplied,
  temperature: TemperatureApplied,
  parallelOhms: number | undefined,
): Evaluation {
  const { reading } = base.entry
  const { instrument } = base
  const ohmic = quantity === 'resistance'
  const leads = ohmic ? applied : undefined
  const leadsMatter = leadsDecide(base.limit, leads)
  const shared = { ...base, ...(leads ? { leads } : {}), leadsMatter, temperature }
  if (reading.kind === 'over' || reading.kind === 'above' || reading.kind === 'below') {
    const highest = instrument?.ranging === 'auto' ? rangesFor(instrument, quantity).at(-1)?.fullScale : undefined
    const bound = reading.value ?? (reading.kind === 'over' ? (reading.range ?? highest) : undefined)
    return { ...shared, ...(bound === undefined ? {} : { bound }) }
  }
  if (reading.value === undefined) return shared
  const parsed = parsedText(reading, quantity)
  const range = rangeOf(instrument, quantity, reading.value, reading.range)
  const typed = parsed.resolution ?? range?.resolution ?? 0
  const resolution = Math.max(typed, range?.resolution ?? 0)
  const spread =
    reading.low !== undefined && reading.high !== undefined
      ? { n: reading.samples ?? 2, low: reading.low, high: reading.high }
      : undefined
  const size = ohmic ? Math.abs(reading.value) : reading.value
  const { u, parts } = readingUncertainty({
    value: size,
    ...(range?.percentOfReading === undefined ? {} : { percentOfReading: range.percentOfReading }),
    ...(range?.counts === undefined ? {} : { counts: range.counts }),
    resolution,
    ...(spread ? { samples: spread } : {}),
  })
  const accuracyAssumed = range?.percentOfReading === undefined && range?.counts === undefined
  const known = { ...shared, taken: reading.value, resolution, accuracyAssumed, ...(range ? { range } : {}) }
  if (!leads) return { ...known, net: size, netU: u, parts }
  const net = netOfLeads({ ohms: size, leadOhms: leads.ohms, uOhms: u, uLead: leads.u })
  const alone = parallelOhms === undefined ? { ohms: net.ohms, u: net.u } : withoutParallel(net, parallelOhms)
  return {
    ...known,
    net: alone.ohms,
    netU: alone.u,
    netNegative: net.negative,
    parts: { ...parts, lead: leads.u },
    ...(parallelOhms === undefined ? {} : { parallelOhms }),
  }
}

/** Takes a known parallel resistance out of a reading: 1/R = 1/m − 1/p; Infinity where the reading is p itself or more. */
function withoutParallel(net: { ohms: number; u: number }, parallel: number): { ohms: number; u: number } {
  if (net.ohms >= parallel) return { ohms: Infinity, u: 0 }
  const ohms = (net.ohms * parallel) / (parallel - net.ohms)
  return { ohms, u: net.u * (parallel / (parallel - net.ohms)) ** 2 }
}

function judgeFigure(base: Evaluation, limit: PreparedLimit | undefined): Evaluation {
  const { reading } = base.entry
  const verdict = limit && hasBand(limit) ? judgeAgainst(base, limit) : withoutLimit(base)
  if (breaks(base, limit)) return { ...verdict, verdict: 'outside', leaning: 'outside', reason: 'open-circuit' }
  if (isUnsteady(reading)) return unsteady(base, verdict)
  const led = leadsFirst(base, verdict, limit)
  const judgedSides = led.verdict === 'within' || led.verdict === 'outside'
  return limit?.grade === 'guess' && judgedSides ? { ...led, verdict: 'borderline', reason: 'guess' } : led
}

const hasBand = ({ band }: PreparedLimit): boolean => band.min !== undefined || band.max !== undefined

function withoutLimit(base: Evaluation): Evaluation {
  const { limits, kind } = base.check.check
  const judgedLater = limits.some(
    ({ limit }) => limit !== 'derived' && ['curve', 'alike', 'perMetre'].includes(limit.kind),
  )
  if (judgedLater || ['pair-matrix', 'three-pins', 'contacts'].includes(kind))
    return { ...base, reason: 'not-judged-here' }
  return { ...base, reason: limits.length > 0 && !base.limit ? 'no-limit-for-history' : 'no-limit' }
}

function judgeAgainst(base: Evaluation, limit: PreparedLimit): Evaluation {
  const { reading } = base.entry
  const { band, expectOpen } = limit
  if (reading.kind === 'over' || reading.kind === 'above') {
    const input = { ...band, ...(base.bound === undefined ? {} : { lowerBound: base.bound }) }
    return { ...base, ...sided(judgeBeyond(expectOpen ? { ...input, expectOpen } : input)) }
  }
  if (reading.kind === 'below') {
    return {
      ...base,
      ...sided(judgeBelow({ ...band, ...(base.bound === undefined ? {} : { upperBound: base.bound }) })),
    }
  }
  const corrected = atReference(base, limit)
  if (corrected === null) return { ...base, reason: 'temperature-unknown' }
  if (corrected.judged === undefined || corrected.u === undefined) return { ...base, reason: 'no-limit' }
  const { judged, u } = corrected
  const { verdict, leaning, conformance, marginToNearest } = judgeValue({ value: judged, u, ...band, rule: base.rule })
  const reason = valueReason(verdict, judged, band, expectOpen !== undefined)
  return {
    ...base,
    ...corrected,
    verdict,
    ...(leaning ? { leaning } : {}),
    conformance,
    margin: marginToNearest,
    ...(reason ? { reason } : {}),
  }
}

const sided = ({ verdict, reason }: { verdict: Verdict; reason: BoundReason }) =>
  verdict === 'none'
    ? { verdict, reason }
    : {
        verdict,
        reason,
        leaning: verdict === 'within' ? ('within' as const) : ('outside' as const),
        conformance: verdict === 'within' ? 1 : 0,
      }

function valueReason(verdict: Verdict, value: number, { min, max }: Band, open: boolean): Reason | undefined {
  if (verdict === 'borderline') return 'near-limit'
  if (verdict === 'within') return open ? 'open-as-expected' : undefined
  if (max !== undefined && value > max) return 'above-maximum'
  return min !== undefined ? 'below-minimum' : undefined
}

/**
 * The reading at the limit's reference temperature; as it is where the part is not metal or the limit is open or closed.
 * @returns null where the part is hot or cold by an unknown amount
 */
function atReference(base: Evaluation, limit: PreparedLimit): Partial<Evaluation> | null {
  const { net, netU, temperature } = base
  const { material } = base.check
  if (net === undefined || netU === undefined) return {}
  const metal = material !== undefined && isMetal(material) ? material : undefined
  if (base.quantity !== 'resistance' || metal === undefined || limit.kind === 'open' || limit.kind === 'closed')
    return { judged: net, u: netU }
  if (temperature?.partC === undefined) return null
  const reference = {
    c: limit.referenceC ?? 20,
    u: limit.referenceC === undefined ? 5 / Math.sqrt(3) : 0,
    stated: limit.referenceC !== undefined,
  }
  const corrected = correctToReference({
    ohms: net,
    u: netU,
    partC: temperature.partC,
    uPartC: temperature.u,
    refC: reference.c,
    uRefC: reference.u,
    material: metal,
  })
  return {
    judged: corrected.ohms,
    u: corrected.u,
    reference,
    factor: corrected.factor,
    temperatureU: { part: corrected.fromPart, reference: corrected.fromReference },
  }
}

/** A pair joined by a winding that reads beyond 1 MΩ and 100 × its largest known figure is broken, whatever the source says. */
function breaks(base: Evaluation, limit: PreparedLimit | undefined): boolean {
  if (base.quantity !== 'resistance' || base.check.toFrame || limit?.expectOpen || base.check.touches.size === 0)
    return false
  const { reading } = base.entry
  const read = reading.kind === 'over' || reading.kind === 'above' ? base.bound : base.net
  const figures = base.check.limits.used.concat(base.check.limits.new, base.check.limits.rewound)
  const largest = Math.max(0, ...figures.map((one) => one.band.max ?? 0))
  return read !== undefined && reading.kind !== 'below' && atLeast(read, Math.max(openFrom, 100 * largest))
}

/** METHODS 11.8: it fell to no reading, or moved over more than 5 % of its middle. */
export function isUnsteady(reading: Reading): boolean {
  if ((reading.drops ?? 0) > 0) return true
  const { low, high } = reading
  if (low === undefined || high === undefined) return false
  const long = reading.kind === 'spread' || (reading.samples ?? 0) >= 12
  return long && above(high - low, 0.05 * Math.abs((low + high) / 2))
}

function unsteady(base: Evaluation, judged: Evaluation): Evaluation {
  const moved = base.check.check.kind === 'per-length' || base.check.check.conditions?.state?.includes('flexed')
  const verdict = moved || base.entry.reading.contact === 'clips' ? 'outside' : 'none'
  return {
    ...judged,
    verdict,
    leaning: verdict === 'none' ? undefined : 'outside',
    conformance: undefined,
    reason: 'unsteady',
  }
}

/** Leads only add: un-zeroed ones can lift a good part over its maximum by their own ohm, or hide a low one. */
function leadsFirst(base: Evaluation, judged: Evaluation, limit: PreparedLimit | undefined): Evaluation {
  if (!leadsDecide(limit, base.leads)) return judged
  const max = limit?.band.max ?? Infinity
  const slightlyOver =
    judged.verdict === 'outside' && judged.judged !== undefined && judged.judged > max && judged.judged - max < 1
  const decided = judged.verdict === 'within' || judged.verdict === 'borderline' || slightlyOver
  return decided ? { ...judged, verdict: 'borderline', reason: 'zero-leads-first' } : judged
}
