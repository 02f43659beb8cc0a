import { rangeOf } from '../meter'
import { below } from '../conformance'
import { readingUncertainty } from '../uncertainty'
import type { Evaluation } from '../judgement'

/**
 * The uncertainty at the middle of the limits, where it decides that no reading of this meter could be `within`: the window
 * is under 4u (accuracy, resolution and an applying zero; no temperature, no assumed leads).
 * @returns the window and u in ohms, or null where the meter can
 * @example
 * meterCannot(scenes.sound().of('low')) // null
 */
export function meterCannot(evaluation: Evaluation): { window: number; u: number } | null {
  const { limit, instrument, quantity, rule, leads } = evaluation
  const { min, max } = limit?.band ?? {}
  if (rule === 'simple' || quantity === undefined || min === undefined || max === undefined) return null
  const middle = (min + max) / 2
  if (evaluation.entry.reading.method === 'volts-over-amps') {
    const { net = 0, netU = 0 } = evaluation
    const u = net > 0 ? (netU / net) * middle : 0
    return below(max - min, 4 * u) ? { window: max - min, u } : null
  }
  const range = rangeOf(instrument, quantity, middle)
  const resolution = range?.resolution ?? evaluation.resolution
  if (resolution === undefined) return null
  const zeroed = leads?.from === 'zero' || leads?.from === 'subtract'
  const { u } = readingUncertainty({
    value: middle,
    ...(range?.percentOfReading === undefined ? {} : { percentOfReading: range.percentOfReading }),
    ...(range?.counts === undefined ? {} : { counts: range.counts }),
    resolution,
    uLead: zeroed ? leads.u : 0,
  })
  return below(max - min, 4 * u) ? { window: max - min, u } : null
}
