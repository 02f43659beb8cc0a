import { netOfLeads, rangeOf, rangesFor } from '../../meter'
import type { Instrument, Quantity } from '../../document'
import { parsedText } from '../../quantity'
import { readingUncertainty } from '../../uncertainty'
import type { Evaluation } from './evaluation'
import { isUnzeroed, type LeadsApplied } from './leads'
import type { TemperatureApplied } from './partTemperature'

/**
 * The reading net of its leads with its uncertainty, in the quantity's SI unit.
 * @example
 * netFigure(scenes.sound().of('low'), 'resistance', { ohms: 0.2, u: 0.1, from: 'subtract' }, { u: 0, from: 'unknown' }, undefined).net
 * // 321.8
 */
export function netFigure(
  base: Evaluation,
  quantity: Quantity,
  applied: LeadsApplied,
  temperature: TemperatureApplied,
  parallelOhms: number | undefined,
): Evaluation {
  const { reading } = base.entry
  const { instrument } = base
  const ohmic = quantity === 'resistance'
  const measured = measuredAs(instrument, quantity)
  const leads = ohmic ? applied : undefined
  const shared = { ...base, ...(leads ? { leads } : {}), temperature }
  if (reading.kind === 'over' || reading.kind === 'above' || reading.kind === 'below') {
    const highest = instrument?.ranging === 'auto' ? rangesFor(instrument, measured).at(-1)?.fullScale : undefined
    const bound = reading.value ?? (reading.kind === 'over' ? (reading.range ?? highest) : undefined)
    return { ...shared, ...(bound === undefined ? {} : { bound }) }
  }
  if (reading.value === undefined) return shared
  const parsed = parsedText(reading, quantity)
  const range = rangeOf(instrument, measured, reading.value, reading.range)
  const typed = parsed.resolution ?? range?.resolution ?? 0
  // counts are counts of the display; only of an unknown range is the typed digit all there is to go by
  const resolution = range?.resolution ?? typed
  const rounding = typed > resolution ? typed : undefined
  const spread =
    reading.low !== undefined && reading.high !== undefined
      ? { n: reading.samples ?? 2, low: reading.low, high: reading.high }
      : undefined
  // leads exchanged turn the sign of ohms and amperes; their size stays
  const size = ohmic || quantity === 'current' ? Math.abs(reading.value) : reading.value
  const { u, parts } = readingUncertainty({
    value: size,
    ...(range?.percentOfReading === undefined ? {} : { percentOfReading: range.percentOfReading }),
    ...(range?.counts === undefined ? {} : { counts: range.counts }),
    resolution,
    ...(rounding === undefined ? {} : { rounding }),
    ...(spread ? { samples: spread } : {}),
  })
  const accuracyAssumed = range?.percentOfReading === undefined && range?.counts === undefined
  const known = {
    ...shared,
    taken: reading.value,
    resolution,
    ...(rounding === undefined ? {} : { rounding }),
    accuracyAssumed,
    ...(range ? { range } : {}),
  }
  if (!leads) return { ...known, net: size, netU: u, parts }
  const off = isUnzeroed(leads) ? { ohms: 0, u: 0 } : leads
  const net = netOfLeads({ ohms: size, leadOhms: off.ohms, uOhms: u, uLead: off.u })
  const alone = parallelOhms === undefined ? { ohms: net.ohms, u: net.u } : withoutParallel(net, parallelOhms)
  return {
    ...known,
    net: alone.ohms,
    netU: alone.u,
    netNegative: net.negative,
    parts: { ...parts, lead: off.u },
    ...(parallelOhms === undefined ? {} : { parallelOhms }),
  }
}

/**
 * An insulation tester; a multimeter's megohm range is another, weaker test.
 * @example
 * isTester(insulationTester) // true
 */
export const isTester = (instrument: Instrument | undefined): boolean =>
  instrument?.functions.some((one) => one.quantity === 'insulation') ?? false

/**
 * The function of an instrument that a quantity is read on: insulation without a tester on its ohms.
 * @example
 * measuredAs(pocketMeter, 'insulation') // 'resistance'
 */
export const measuredAs = (instrument: Instrument | undefined, quantity: Quantity): Quantity =>
  quantity === 'insulation' && !isTester(instrument) ? 'resistance' : quantity

/** Takes a known parallel resistance out of a reading: 1/R = 1/m − 1/p; Infinity where the reading is p itself or more. */
function withoutParallel(net: { ohms: number; u: number }, parallel: number): { ohms: number; u: number } {
  if (net.ohms >= parallel) return { ohms: Infinity, u: 0 }
  const ohms = (net.ohms * parallel) / (parallel - net.ohms)
  return { ohms, u: net.u * (parallel / (parallel - net.ohms)) ** 2 }
}
