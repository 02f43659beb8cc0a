import { onceFor, type Instrument, type MeterRange, type Quantity } from '../document'
import { atMost } from '../conformance'

/**
 * The ranges an instrument has for a quantity, lowest first; none when it does not measure it.
 * @example
 * rangesFor(knobMeter, 'resistance').length // 6
 */
export const rangesFor = (instrument: Instrument | undefined, quantity: Quantity): readonly MeterRange[] =>
  instrument === undefined ? none : (byQuantity(instrument).get(quantity) ?? none)

const none: readonly MeterRange[] = []
const byQuantity = onceFor(
  ({ functions }: Instrument) =>
    new Map(
      functions.map(
        ({ quantity, ranges }) => [quantity, [...ranges].sort((a, b) => a.fullScale - b.fullScale)] as const,
      ),
    ),
)

/**
 * The range a figure was shown on: the one written with it, else the lowest that holds it.
 * @param figure in the quantity's SI unit
 * @returns undefined when the instrument has no range for the quantity
 * @example
 * rangeOf(knobMeter, 'resistance', 318)?.fullScale // 2000
 */
export function rangeOf(
  instrument: Instrument | undefined,
  quantity: Quantity,
  figure: number,
  written?: number,
): MeterRange | undefined {
  const ranges = rangesFor(instrument, quantity)
  const stated = written === undefined ? undefined : ranges.find((range) => range.fullScale === written)
  return stated ?? ranges.find((range) => atMost(Math.abs(figure), range.fullScale)) ?? ranges.at(-1)
}
