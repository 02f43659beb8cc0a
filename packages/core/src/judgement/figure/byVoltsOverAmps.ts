import { onceFor, type Instrument, type Reading, type Run } from '../../document'
import { rangeOf, rangesFor } from '../../meter'
import { voltsOverAmps } from '../../quantity'
import { readingUncertainty, type UncertaintyParts } from '../../uncertainty'

/** A second method is to the record another instrument: no leads stand in its ohms, and it is held against the meter's own. */
const asItsOwn = onceFor((meter: Instrument): Instrument => ({
  ...meter,
  id: `${meter.id}/volts-over-amps`,
  name: `${meter.name}, volts over amperes`,
  ranging: 'auto',
  fourWire: true,
  functions: meter.functions.filter(({ quantity }) => quantity === 'voltage' || quantity === 'current'),
}))
const withAmps = onceFor((meter: Instrument) =>
  onceFor((other: Instrument): Instrument => ({
    ...asItsOwn(meter),
    functions: [
      ...meter.functions.filter(({ quantity }) => quantity === 'voltage'),
      ...other.functions.filter(({ quantity }) => quantity === 'current'),
    ],
  })),
)

/**
 * What a reading by volts over amperes was taken with: the meter it names for the volts; where that has no amperes, the first of the run
 * that has them (METHODS 11.24).
 * @example
 * byVoltsOverAmps(scenes.sound().run, undefined) // undefined
 */
export function byVoltsOverAmps({ instruments }: Run, meter: Instrument | undefined): Instrument | undefined {
  if (!meter) return undefined
  if (rangesFor(meter, 'current').length > 0) return asItsOwn(meter)
  const other = instruments.find((one) => rangesFor(one, 'current').length > 0)
  return other ? withAmps(meter)(other) : asItsOwn(meter)
}

/** What a reading by both figures is worth, in ohms; `resolution` is what their last digits make. */
interface OfBoth {
  u: number
  parts: UncertaintyParts
  resolution: number
  assumed: boolean
}

/**
 * The standard uncertainty of volts over amperes: the relative parts of both, root sum of squares (METHODS 11.24).
 * @returns undefined where its text is not both figures
 * @example
 * ofBoth({ taken: 'typed', text: '0.744 V / 1.00 A', decimalComma: false, kind: 'value', value: 0.744 }, undefined)?.u // 0.018337
 */
export function ofBoth({ text, decimalComma }: Reading, instrument: Instrument | undefined): OfBoth | undefined {
  const both = voltsOverAmps(text, decimalComma)
  if (!both) return undefined
  const { volts, amps } = both
  const v = partsOf(instrument, 'voltage', volts, both.voltsStep)
  const a = partsOf(instrument, 'current', amps, both.ampsStep)
  // dR = dV/I and dR = V·dI/I²
  const inOhms = (ofVolts: number, ofAmps: number) => Math.hypot(ofVolts / amps, (volts * ofAmps) / amps ** 2)
  const accuracy = inOhms(v.accuracy, a.accuracy)
  const resolution = inOhms(v.resolution, a.resolution)
  return {
    u: Math.hypot(accuracy, resolution),
    parts: { accuracy, resolution, spread: 0, lead: 0 },
    resolution: inOhms(both.voltsStep, both.ampsStep),
    assumed: v.assumed || a.assumed,
  }
}

/** Of one figure; a meter without a range for it counts the digit typed. */
function partsOf(instrument: Instrument | undefined, quantity: 'voltage' | 'current', value: number, step: number) {
  const range = rangeOf(instrument, quantity, value)
  const { percentOfReading, counts, resolution = step } = range ?? {}
  const rounding = step > resolution ? step : undefined
  const { parts } = readingUncertainty({ value, percentOfReading, counts, resolution, rounding })
  return { ...parts, assumed: percentOfReading === undefined && counts === undefined }
}
