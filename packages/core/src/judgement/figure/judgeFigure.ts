import { onceFor, type Reading } from '../../document'
import { judgeInsulation } from '../../insulation'
import {
  above,
  atLeast,
  below,
  judgeBelow,
  judgeBeyond,
  judgeValue,
  openFrom,
  type Band,
  type Verdict,
} from '../../conformance'
import { correctToReference, isMetal } from '../../temperature'
import type { PreparedCheck, PreparedLimit } from '../preparedCard'
import type { Evaluation, Reason } from './evaluation'
import { isUnzeroed } from './leads'
import { isTester } from './netFigure'

/**
 * Judges the figures of one reading against one limit (METHODS 4, 6).
 * @param base the reading with its figures
 * @param limit as it stands for this reading; without one the verdict is `none`
 * @example
 * judgeFigure(scenes.low().of('low'), scenes.low().check('low').limits.used[0]).reason // 'below-minimum'
 */
export function judgeFigure(base: Evaluation, limit: PreparedLimit | undefined): Evaluation {
  const { reading } = base.entry
  if (base.check.kind === 'insulation' && limit?.band.min !== undefined && limit.band.max === undefined)
    return judgeTest(base, limit.band.min, limit)
  const verdict = limit && hasBand(limit) ? judgeAgainst(base, limit) : withoutLimit(base)
  if (breaks(base, limit)) return { ...verdict, verdict: 'outside', leaning: 'outside', reason: 'open-circuit' }
  const steady = isUnsteady(reading) ? wholeSpread(verdict, limit) : verdict
  if (!steady) return unsteady(base, verdict)
  const led = leadsFirst(base, steady, limit)
  const judgedSides = led.verdict === 'within' || led.verdict === 'outside'
  return limit?.grade === 'guess' && judgedSides ? { ...led, verdict: 'borderline', reason: 'guess' } : led
}

/** A reading of an insulation tester, or the over-range of a multimeter, which stands for a few volts only (METHODS 11.11). */
function judgeTest(base: Evaluation, minOhms: number, { stated }: PreparedLimit): Evaluation {
  const { reading } = base.entry
  const { kind } = reading
  if (kind === 'answer') return base
  const volts = reading.conditions?.testVolts
  const own = stated !== 'derived' && stated.kind === 'insulation' ? stated : undefined
  const testVolts = own?.testVolts ?? base.check.conditions?.testVolts
  const minVolts = own?.minVolts
  if ((kind === 'over' || kind === 'above') && volts === undefined && !isTester(base.instrument)) {
    const beyond = judgeBeyond({ expectOpen: { atLeast: minOhms }, lowerBound: base.bound })
    const weak = beyond.verdict === 'within' && (minVolts !== undefined || testVolts !== undefined)
    const told = { ...base, ...sided(beyond) }
    return weak ? { ...told, verdict: 'borderline', reason: 'low-voltage-test' } : told
  }
  const ohms = base.bound ?? reading.value
  const { verdict, reason, leakageAmps } = judgeInsulation({
    kind,
    minOhms,
    settled: reading.settled !== false,
    volts,
    testVolts,
    minVolts,
    ohms,
    low: reading.low,
    high: reading.high,
  })
  return { ...base, ...sided({ verdict, reason }), leakageAmps: leakageAmps ?? undefined, judged: ohms }
}

/** Nothing of the part is seen beside what stands in parallel: its ohms have a lower bound only. */
const isHidden = ({ net, bound, parallelOhms }: Evaluation): boolean =>
  parallelOhms !== undefined && net === undefined && bound !== undefined

const hasBand = ({ band }: PreparedLimit): boolean => band.min !== undefined || band.max !== undefined

function withoutLimit(base: Evaluation): Evaluation {
  const { stated, kind } = base.check
  const alike = base.limit?.kind === 'alike'
  if (alike || ['pair-matrix', 'three-pins', 'contacts'].includes(kind)) return { ...base, reason: 'judged-together' }
  return { ...base, reason: stated.length > 0 && !base.limit ? 'no-limit-for-history' : 'no-limit' }
}

function judgeAgainst(base: Evaluation, limit: PreparedLimit): Evaluation {
  const { reading } = base.entry
  const { band, expectOpen } = limit
  if (reading.kind === 'over' || reading.kind === 'above' || isHidden(base)) {
    const { min, max } = band
    return { ...base, ...sided(judgeBeyond({ min, max, lowerBound: base.bound, expectOpen })) }
  }
  if (reading.kind === 'below')
    return { ...base, ...sided(judgeBelow({ min: band.min, max: band.max, upperBound: base.bound })) }
  const corrected = atReference(base, limit)
  if (corrected === null) return { ...base, reason: 'temperature-unknown' }
  if (corrected.judged === undefined || corrected.u === undefined) return { ...base, reason: 'no-limit' }
  const { judged, u, reference, factor, temperatureU } = corrected
  const value = { value: judged, u, min: band.min, max: band.max, rule: base.rule }
  const { verdict, leaning, conformance, marginToNearest } = judgeValue(value)
  return {
    ...base,
    judged,
    u,
    reference,
    factor,
    temperatureU,
    verdict,
    leaning,
    conformance,
    margin: marginToNearest,
    reason: valueReason(verdict, judged, band, expectOpen !== undefined),
  }
}

const sided = <R extends Reason>({ verdict, reason }: { verdict: Verdict; reason: R }) =>
  verdict === 'none'
    ? { verdict, reason, leaning: undefined, conformance: undefined }
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

/** No winding's worst figure is so far off: under this nothing is called broken. */
const leastOpen = 1e4

const largestOf = onceFor(({ limits: { used, new: fresh, rewound } }: PreparedCheck) =>
  Math.max(0, ...[...used, ...fresh, ...rewound].map(({ band }) => band.max ?? 0)),
)

/**
 * METHODS 11.13: a pair joined by a winding, or an item of a set of leads, that reads beyond 100 × its largest known figure (1 MΩ where
 * none is known) is broken, whatever the source says or without one.
 */
function breaks(base: Evaluation, limit: PreparedLimit | undefined): boolean {
  const joined = base.check.touches.size > 0 || base.check.kind === 'per-length'
  if (base.quantity !== 'resistance' || base.check.toFrame || limit?.expectOpen || !joined) return false
  const { reading } = base.entry
  const read = reading.kind === 'over' || reading.kind === 'above' || isHidden(base) ? base.bound : base.net
  const largest = Math.max(limit?.band.max ?? 0, largestOf(base.check))
  const from = largest > 0 ? Math.max(leastOpen, 100 * largest) : openFrom
  return read !== undefined && reading.kind !== 'below' && atLeast(read, from)
}

/**
 * METHODS 11.8: it fell to no reading, or moved over more than 5 % of its middle.
 * @example
 * isUnsteady({ kind: 'spread', low: 300, high: 350 }) // true
 */
export function isUnsteady(reading: Reading): boolean {
  if ((reading.drops ?? 0) > 0) return true
  const { low, high } = reading
  if (low === undefined || high === undefined) return false
  const long = reading.kind === 'spread' || (reading.samples ?? 0) >= 12
  return long && above(high - low, 0.05 * Math.abs((low + high) / 2))
}

/** Kinds and states in which moving is the fault itself. */
const mayNotMove = ({ kind, conditions }: Evaluation['check']): boolean =>
  kind === 'per-length' || (conditions?.state?.includes('flexed') ?? false)

/** METHODS 11.15: a spread whose two ends have one verdict on one side has that verdict. @returns undefined where they part */
function wholeSpread(judged: Evaluation, limit: PreparedLimit | undefined): Evaluation | undefined {
  const { entry, judged: value, u, factor = 1, parts, rule, check } = judged
  const { low, high, value: middle, drops = 0 } = entry.reading
  if (!limit || mayNotMove(check) || drops > 0) return undefined
  if (low === undefined || high === undefined || middle === undefined || value === undefined || u === undefined)
    return undefined
  const alone = Math.sqrt(Math.max(0, u ** 2 - (factor * (parts?.spread ?? 0)) ** 2))
  const ends = [low, high].map((end) => {
    const at = value + factor * (end - middle)
    const { min, max } = limit.band
    const { verdict, leaning, conformance } = judgeValue({ value: at, u: alone, min, max, rule })
    return {
      verdict,
      leaning,
      conformance,
      reason: valueReason(verdict, at, limit.band, limit.expectOpen !== undefined),
    }
  })
  const [one, other] = ends
  if (!one || !other || one.verdict !== other.verdict || one.reason !== other.reason) return undefined
  if (one.verdict === 'none' || one.verdict === 'borderline') return undefined
  const { verdict, leaning, reason } = one
  return { ...judged, verdict, leaning, reason, conformance: Math.min(one.conformance, other.conformance) }
}

function unsteady(base: Evaluation, judged: Evaluation): Evaluation {
  const verdict = mayNotMove(base.check) || base.entry.reading.contact === 'clips' ? 'outside' : 'none'
  return {
    ...judged,
    verdict,
    leaning: verdict === 'none' ? undefined : 'outside',
    conformance: undefined,
    reason: 'unsteady',
  }
}

/** Leads and clips can be that poor, ohms: what is above its maximum may owe more to them. */
const poorLeads = { usual: 0.5, worst: 1 }

/**
 * METHODS 2: un-zeroed leads decide only where they can turn the verdict. Judged as read and again without them; on one side of both
 * limits the less sure of the two stands, else the leads come first.
 */
function leadsFirst(base: Evaluation, judged: Evaluation, limit: PreparedLimit | undefined): Evaluation {
  const { judged: value, u, factor = 1, rule } = judged
  if (!limit || !hasBand(limit) || limit.expectOpen || !isUnzeroed(base.leads)) return judged
  if (value === undefined || u === undefined) return judged
  const { min = -Infinity, max = Infinity } = limit.band
  const side = (figure: number) => (above(figure, max) ? 1 : below(figure, min) ? -1 : 0)
  const bare = value - factor * (side(value) > 0 ? poorLeads.worst : poorLeads.usual)
  if (side(bare) !== side(value) && !(side(value) === 0 && limit.band.min === undefined))
    return {
      ...judged,
      verdict: 'borderline',
      leaning: side(value) === 0 ? 'within' : 'outside',
      reason: 'zero-leads-first',
    }
  const without = judgeValue({ value: bare, u, ...limit.band, rule })
  if (judged.verdict === 'borderline' || without.verdict !== 'borderline') return judged
  const { leaning = judged.leaning, conformance } = without
  return { ...judged, verdict: 'borderline', reason: 'near-limit', conformance, leaning }
}
