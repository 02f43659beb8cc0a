import { chooseRange, rangesFor } from '../meter'
import { parsedText, unitSlip } from '../quantity'
import { above, atLeast, atMost, below, expectedOf, openFrom, type Band } from '../conformance'
import { measuredAs, quantityOf, type Evaluation } from '../judgement'
import { meterCannot } from './meterCannot'
import { inOhms, type Found, type Moment, type ReadingRule } from './rule'

const typedFigure = ({ evaluation }: Moment): number | undefined =>
  evaluation.entry.reading.taken === 'typed' && evaluation.entry.reading.kind === 'value' ? evaluation.taken : undefined

const expectsOpen = ({ limit }: Evaluation): boolean => limit?.expectOpen !== undefined

/** An over-range below the limit's maximum, where a figure was expected, proves only more than the range. */
export const overOnLowRange: ReadingRule = {
  id: 'over-on-low-range',
  cause: 'range',
  test: ({ evaluation }) => {
    const max = evaluation.limit?.band.max
    const { bound, quantity } = evaluation
    if (evaluation.entry.reading.kind !== 'over' || bound === undefined || max === undefined || quantity === undefined)
      return null
    if (expectsOpen(evaluation) || atLeast(bound, max)) return null
    const ranges = rangesFor(evaluation.instrument, quantity).map((range) => range.fullScale)
    const goTo = chooseRange({ ranges, expectedMax: max })
    return { severity: 'stop', params: { bound, max, ...(goTo === null ? {} : { goTo }) } }
  },
}

/** Over nine tenths of a range set by hand: a slightly larger part would have read open. */
export const nearFullScale: ReadingRule = {
  id: 'near-full-scale',
  cause: 'range',
  test: ({ evaluation }) => {
    const { taken, range, instrument } = evaluation
    if (taken === undefined || !range || instrument?.ranging !== 'hand' || !above(taken, 0.9 * range.fullScale))
      return null
    return { severity: 'note', params: { range: range.fullScale } }
  },
}

/** No reading on this meter could be inside the limits with its uncertainty. */
export const meterCannotSettle: ReadingRule = {
  id: 'meter-cannot',
  cause: 'range',
  test: ({ evaluation }) => {
    const found = meterCannot(evaluation)
    return found ? { severity: 'note', params: { window: found.window, u: found.u } } : null
  },
}

/** A lower range would show more digits, and they are needed. */
export const coarseRange: ReadingRule = {
  id: 'coarse-range',
  cause: 'range',
  test: ({ evaluation }) => {
    const { taken, range, quantity, limit, instrument } = evaluation
    const { min, max } = limit?.band ?? {}
    if (taken === undefined || !range || quantity === undefined || min === undefined || max === undefined) return null
    const lower = rangesFor(instrument, quantity).find(
      (one) => atLeast(one.fullScale, taken) && one.fullScale < range.fullScale,
    )
    if (!lower || !below(taken, 0.05 * range.fullScale) || !above(range.resolution, 0.1 * (max - min))) return null
    return { severity: 'note', params: { range: range.fullScale, goTo: lower.fullScale } }
  },
}

/** A 1 and nothing else, whatever prefix the line showed beside it. */
const bareOne = /^~?1\s?[kKMG]?$/

/** A bare `1` on a meter that shows over-range as a 1. */
export const oneOrOver: ReadingRule = {
  id: 'one-or-over',
  cause: 'figure',
  test: ({ evaluation }) =>
    evaluation.instrument?.overSign === '1' && bareOne.test(evaluation.entry.reading.text.trim())
      ? { severity: 'stop', params: {} }
      : null,
}

/** A typed 0 where the meter has just shown over-range, or where the leads alone read as much. */
export const zeroOrOpen: ReadingRule = {
  id: 'zero-or-open',
  cause: 'figure',
  about: (check) => inOhms(check) && check.kind !== 'contacts',
  test: (moment) => {
    const { evaluation, earlier } = moment
    if (typedFigure(moment) !== 0 || evaluation.limit?.kind === 'closed') return null
    const last = earlier.findLast((one) => one.instrument === evaluation.instrument)
    const justOver = last?.entry.reading.kind === 'over'
    const leads = evaluation.leads
    const withinLeads = leads !== undefined && atMost(0, leads.ohms + 2 * leads.u)
    return justOver || withinLeads ? { severity: 'stop', params: { after: justOver ? 'over' : 'leads' } } : null
  },
}

const scaled = (value: number, { min, max }: Band, factor: number): boolean =>
  min !== undefined && max !== undefined
    ? unitSlip({ value, min, max })?.factor === factor
    : atLeast(value * factor, min ?? -Infinity) && atMost(value * factor, max ?? Infinity)

/** Kinds in which any pair may be open, closed or a winding. */
const unknownPairs: ReadonlySet<string> = new Set(['contacts', 'pair-matrix'])

/** A typed figure far from what is expected that a thousand would put right: k, M or G? Too few volts are never taken for kilovolts. */
export const prefixJump: ReadingRule = {
  id: 'prefix-jump',
  cause: 'figure',
  about: ({ kind }) => !unknownPairs.has(kind),
  test: (moment) => {
    const value = typedFigure(moment)
    const { limit } = moment.evaluation
    const band = limit?.band ?? {}
    const expected = expectedOf(band)
    if (value === undefined || expected === undefined || expected <= 0 || value <= 0) return null
    // no bench meter shows kilovolts: a dead leg's few tenths are what they are
    const isVolts = moment.evaluation.quantity === 'voltage'
    const low = !isVolts && below(value, expected / 20) && scaled(value, band, 1000)
    // nothing is too much for a least figure: insulation may be hundreds of times better
    const high = band.max !== undefined && above(value, expected * 20) && scaled(value, band, 0.001)
    if (!low && !high) return null
    return { severity: 'stop', params: { value, expected, times: value / expected, factor: low ? 1000 : 0.001 } }
  },
}

/** Who writes the sign has looked at the display. */
const unitSign = /[\u03a9\u2126]|ohms?\b/i

/**
 * Ohms whose prefix nobody gave where open or insulation is expected; or typed against a one-sided limit, failing by over five times,
 * that would pass as k, M or G.
 */
export const prefixDecides: ReadingRule = {
  id: 'prefix-decides',
  cause: 'figure',
  about: (check) => inOhms(check) || quantityOf(check) === 'insulation',
  test: ({ evaluation }) => {
    const { entry, limit, check } = evaluation
    const { reading } = entry
    const { min, max } = limit?.band ?? {}
    const value = reading.kind === 'spread' ? reading.low : reading.kind === 'value' ? evaluation.taken : undefined
    if (reading.taken !== 'typed' || value === undefined || value <= 0 || limit?.kind === 'closed') return null
    if (unitSign.test(reading.text)) return null
    const opens = limit?.expectOpen !== undefined || check.kind === 'insulation'
    const bare = opens && !evaluation.parsed?.unitGiven
    if (!bare && min !== undefined && max !== undefined) return null
    const factor =
      min !== undefined && below(value * 5, min)
        ? [1e3, 1e6].find((one) => atLeast(value * one, min))
        : max !== undefined && above(value, 5 * max) && atMost(value / 1000, max)
          ? 0.001
          : undefined
    return bare || factor !== undefined ? { severity: 'stop', params: { text: reading.text } } : null
  },
}

/** A figure, or a typed bound, above all that this meter can show of its quantity. */
export const beyondMeter: ReadingRule = {
  id: 'beyond-meter',
  cause: 'figure',
  test: ({ evaluation }) => {
    const { entry, instrument, quantity } = evaluation
    const { taken, method, value, high = value } = entry.reading
    if (taken !== 'typed' || method === 'beeper' || high === undefined || quantity === undefined) return null
    const highest = rangesFor(instrument, measuredAs(instrument, quantity)).at(-1)?.fullScale
    if (highest === undefined || !above(Math.abs(high), highest)) return null
    return { severity: 'stop', params: { value: high, highest, meter: instrument?.name ?? '' } }
  },
}

/** A small m typed for ohms without the sign: milli or mega? */
export const milliOrMega: ReadingRule = {
  id: 'milli-or-mega',
  cause: 'figure',
  about: inOhms,
  test: ({ evaluation }) => {
    const { reading } = evaluation.entry
    if (reading.taken !== 'typed' || reading.kind === 'answer' || !reading.text.includes('m')) return null
    const { problem } = evaluation.parsed ?? parsedText(reading, 'resistance')
    return problem === 'milli-or-mega' ? { severity: 'stop', params: { text: reading.text } } : null
  },
}

/** A minus where only size matters is noted; a reading that falls well below its leads says that the zero is stale. */
export const negative: ReadingRule = {
  id: 'negative',
  cause: 'figure',
  about: (check) => inOhms(check) || quantityOf(check) === 'current',
  test: ({ evaluation }): Found => {
    if (evaluation.taken === undefined) return null
    if (evaluation.netNegative) return { severity: 'stop', params: { net: evaluation.net ?? 0 } }
    return evaluation.taken < 0 ? { severity: 'note', params: { value: evaluation.taken } } : null
  },
}

const inside = (value: number, { min = -Infinity, max = Infinity }: Band): boolean =>
  atLeast(value, min) && atMost(value, max)

/** Outside these limits and inside those of another check not yet taken: is the probe on the right pair? */
export const fitsAnother: ReadingRule = {
  id: 'fits-another',
  cause: 'figure',
  test: ({ evaluation, bench, standing }) => {
    const { net, limit, quantity } = evaluation
    if (net === undefined || !limit || expectsOpen(evaluation) || inside(evaluation.judged ?? net, limit.band))
      return null
    for (const other of bench.prepared.checks.values()) {
      const [theirs] = other.limits[bench.tape.history(evaluation.entry)]
      if (other === evaluation.check || quantityOf(other) !== quantity || theirs?.expectOpen) continue
      if (theirs?.band.min === undefined || theirs.band.max === undefined || standing(other.id).length > 0) continue
      if (inside(net, theirs.band)) return { severity: 'warn', params: { value: net, other: other.id } }
    }
    return null
  },
}

/** The very figure of the check before, though something else was expected: did the clip move? */
export const sameAsLast: ReadingRule = {
  id: 'same-as-last',
  cause: 'figure',
  test: ({ evaluation, before }) => {
    const last = before.at(-1)
    const here = expectedOf(evaluation.limit?.band ?? {})
    const there = expectedOf(last?.limit?.band ?? {})
    if (!last || here === undefined || there === undefined || last.check === evaluation.check) return null
    if (evaluation.taken === undefined || evaluation.taken !== last.taken || expectsOpen(evaluation)) return null
    const apart = Math.abs(here - there) > 0.1 * Math.max(here, there)
    return apart ? { severity: 'warn', params: { value: evaluation.taken, last: last.check.id } } : null
  },
}

/** Megohms on a winding of ohms or kilohms are leakage over a break. */
export const leakOverBreak: ReadingRule = {
  id: 'leak-over-break',
  test: (moment) => {
    const { evaluation } = moment
    const { net, reason, limit } = evaluation
    // a prefix that slipped, or a figure that this meter cannot show, is asked about, not explained
    if (prefixJump.test(moment) || beyondMeter.test(moment)) return null
    if (net === undefined || reason !== 'open-circuit' || (limit?.band.max ?? 0) >= openFrom) return null
    return { severity: 'note', params: { value: net } }
  },
}
