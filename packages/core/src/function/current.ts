import { temperatureFrom, type Metal } from '../temperature'

/**
 * The direct current a coil should draw (Ohm's law).
 * @param input volts, the coil's ohms, ohms in series with it
 * @returns amperes; Infinity where there is no resistance at all
 * @example
 * expectedCurrent({ volts: 24, ohms: 8, seriesOhms: 0.2 }) // 2.9268
 */
export function expectedCurrent({
  volts,
  ohms,
  seriesOhms,
}: {
  volts: number
  ohms: number
  seriesOhms: number
}): number {
  return volts / (ohms + seriesOhms)
}

export interface CurrentCheck {
  expected: number
  deviationPct: number
  /** what would have to stand in series to explain the current; below 0 where it is high */
  impliedSeriesOhms: number
  /** what the winding would have to have warmed to, °C */
  impliedWindingC: number
}

/**
 * A measured draw beside what volts over ohms say, and the two things that would explain it (METHODS 7). The third, a supply
 * that sagged, shows only in volts taken under load. Direct current only.
 * @param input volts, ohms at `refC`, amperes, known series ohms, the winding's metal
 * @returns null where no current flows or none is expected: then nothing is implied
 * @example
 * currentCheck({ volts: 24, ohms: 8, amps: 2.5, seriesOhms: 0, refC: 20, material: 'copper' })
 * // { expected: 3, deviationPct: -16.667, impliedSeriesOhms: 1.6, impliedWindingC: 70.9 }
 */
export function currentCheck(input: {
  volts: number
  ohms: number
  amps: number
  seriesOhms: number
  refC: number
  material: Metal
}): CurrentCheck | null {
  const { volts, ohms, amps, seriesOhms, refC, material } = input
  const expected = expectedCurrent({ volts, ohms, seriesOhms })
  if (amps === 0 || expected === 0 || ohms <= 0 || !Number.isFinite(expected)) return null
  const loop = volts / amps
  return {
    expected,
    deviationPct: (100 * (amps - expected)) / expected,
    impliedSeriesOhms: loop - ohms - seriesOhms,
    impliedWindingC: temperatureFrom({ ohms: loop - seriesOhms, refOhms: ohms, refC, material }),
  }
}
