import { atLeast } from '../../conformance'
import { netOfLeads, rangeOf, rangesFor } from '../../meter'
import type { Instrument, Quantity } from '../../document'
import { parsedText } from '../../quantity'
import { readingUncertainty } from '../../uncertainty'
import { ofBoth } from './byVoltsOverAmps'
import type { Evaluation } from './evaluation'
import { isUnzeroed } from './leads'

/**
 * The reading net of its leads with its uncertainty, in the quantity's SI unit.
 * @param base the reading with what governs it
 * @example
 * netFigure({ ...scenes.sound().of('low'), net: undefined }, 'resistance').net // 322
 */
export function netFigure(base: Evaluation, quantity: Quantity): Evaluation {
  const { reading } = base.entry
  const { instrument, governing } = base
  const ohmic = quantity === 'resistance'
  const measured = measuredAs(instrument, quantity)
  const leads = ohmic ? governing.leads : undefined
  const { temperature, parallelOhms } = governing
  if (reading.kind === 'over' || reading.kind === 'above' || reading.kind === 'below') {
    const highest = instrument?.ranging === 'auto' ? rangesFor(instrument, measured).at(-1)?.fullScale : undefined
    const bound = reading.value ?? (reading.kind === 'over' ? (reading.range ?? highest) : undefined)
    return { ...base, leads, temperature, bound }
  }
  const { value } = reading
  if (value === undefined) return { ...base, leads, temperature }
  const both = reading.method === 'volts-over-amps' ? ofBoth(reading, instrument) : undefined
  const parsed = both ? undefined : parsedText(reading, quantity)
  const range = rangeOf(instrument, measured, value, reading.range)
  const typed = both?.resolution ?? parsed?.resolution ?? range?.resolution ?? 0
  // counts are counts of the display; only of an unknown range is the typed digit all there is to go by
  const resolution = range?.resolution ?? typed
  const rounding = typed > resolution ? typed : undefined
  const samples =
    reading.low !== undefined && reading.high !== undefined
      ? { n: reading.samples ?? 2, low: reading.low, high: reading.high }
      : undefined
  // leads exchanged turn the sign of ohms and amperes; their size stays
  const size = ohmic || quantity === 'current' ? Math.abs(value) : value
  const { percentOfReading, counts } = range ?? {}
  const { u, parts } =
    both ?? readingUncertainty({ value: size, percentOfReading, counts, resolution, rounding, samples })
  const off = !leads || isUnzeroed(leads) ? noLeads : leads
  const net = leads ? netOfLeads({ ohms: size, leadOhms: off.ohms, uOhms: u, uLead: off.u }) : undefined
  const alone = net && parallelOhms !== undefined ? withoutParallel(net, parallelOhms) : net
  const hidden = net && !alone ? { bound: net.ohms - 2 * net.u, net: undefined, netU: undefined } : undefined
  return {
    ...base,
    leads,
    temperature,
    parsed,
    taken: value,
    resolution,
    rounding,
    accuracyAssumed: both ? both.assumed : percentOfReading === undefined && counts === undefined,
    range,
    net: alone ? alone.ohms : size,
    netU: alone ? alone.u : u,
    netNegative: net?.negative ?? false,
    parts: net ? { ...parts, lead: off.u } : parts,
    parallelOhms: net ? parallelOhms : undefined,
    ...hidden,
  }
}

const noLeads = { ohms: 0, u: 0 }

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

/**
 * Takes a known parallel resistance out of a reading: 1/R = 1/m − 1/p (METHODS 2).
 * @returns undefined where the reading is as much as what stands in parallel: nothing of the part is seen beside it
 */
function withoutParallel(net: { ohms: number; u: number }, parallel: number): { ohms: number; u: number } | undefined {
  if (atLeast(net.ohms + 2 * net.u, parallel)) return undefined
  const ohms = (net.ohms * parallel) / (parallel - net.ohms)
  return { ohms, u: net.u * (parallel / (parallel - net.ohms)) ** 2 }
}
