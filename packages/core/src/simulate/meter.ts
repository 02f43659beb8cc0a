import type { Instrument, MeterRange, Quantity } from '../document'
import { rangesFor } from '../meter'
import { above } from '../conformance'
import type { Chance } from './chance'

/** One figure of a meter: `range` is the full scale it stood on, in the quantity's SI unit. */
export type Sample = { t: number; quantity: Quantity; range: number } & ({ value: number } | { over: true })

/** A meter with its own errors. */
export interface SimulatedMeter {
  instrument: Instrument
  /** a fraction of the reading, within what its accuracy allows */
  gainError: number
  /** ohms of the leads, and what of them a zero in the meter has taken off */
  leadOhms: number
  zeroed: number
  /** standard deviation of its last digit, in counts */
  noise: number
  /** samples it spends on wrong ranges before it finds its own */
  hunting: number
}

/**
 * A meter fresh from the drawer, its gain somewhere inside its accuracy.
 * @example
 * meterOf(knobMeter, chanceFrom(7)).leadOhms // 0.11
 */
export function meterOf(instrument: Instrument, chance: Chance, leadOhms = 0.11): SimulatedMeter {
  const percent = rangesFor(instrument, 'resistance')[0]?.percentOfReading ?? 1
  return {
    instrument,
    gainError: (chance.between(-0.5, 0.5) * percent) / 100,
    leadOhms: instrument.fourWire ? 0 : leadOhms,
    zeroed: 0,
    noise: 0.4,
    hunting: instrument.ranging === 'auto' ? 2 : 0,
  }
}

/**
 * What a meter shows of a true figure.
 * @param true_ the figure at its tips in SI units, Infinity for no path; leads are added here, for ohms
 * @param step how many samples it has been held, from 0: a meter that hunts stands on its wrong ranges first
 * @param set the full scale set by hand
 * @example
 * show(meterOf(knobMeter, chanceFrom(7)), 'resistance', 5e3, { t: 0, step: 0, chance: chanceFrom(7), set: 200 })
 * // { t: 0, quantity: 'resistance', range: 200, over: true }
 */
export function show(
  meter: SimulatedMeter,
  quantity: Quantity,
  true_: number,
  { t, step, chance, set }: { t: number; step: number; chance: Chance; set?: number },
): Sample {
  const ranges = rangesFor(meter.instrument, quantity)
  const seen = quantity === 'resistance' ? true_ + meter.leadOhms - meter.zeroed : true_
  const range = rangeFor(meter, ranges, seen, step, set)
  if (!range) return { t, quantity, range: 0, over: true }
  const exact = seen * (1 + meter.gainError) + meter.noise * chance.normal() * range.resolution
  if (!Number.isFinite(seen) || above(exact, range.fullScale))
    return { t, quantity, range: range.fullScale, over: true }
  const value = Number((Math.round(exact / range.resolution) * range.resolution).toPrecision(9))
  return { t, quantity, range: range.fullScale, value }
}

function rangeFor(
  { instrument, hunting }: SimulatedMeter,
  ranges: readonly MeterRange[],
  seen: number,
  step: number,
  set: number | undefined,
): MeterRange | undefined {
  if (instrument.ranging === 'hand') return ranges.find((one) => one.fullScale === set) ?? ranges.at(-1)
  if (step < hunting) return ranges[step === 0 ? 0 : ranges.length - 1]
  return ranges.find((one) => one.fullScale >= seen * 1.001) ?? ranges.at(-1)
}
