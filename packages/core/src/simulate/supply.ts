import { ohmsBetween } from './network'
import type { SimulatedPart } from './part'

/** A bench supply: volts set, the most it gives, and the resistance through which it sags. */
export interface SimulatedSupply {
  volts: number
  limitAmps: number
  sourceOhms: number
}

/** One moment of a part under power. */
export interface DriveSample {
  t: number
  volts: number
  amps: number
  /** the winding's temperature, °C */
  celsius: number
  /** the supply holds its current limit and has let its volts fall */
  limiting: boolean
}

/**
 * A part under direct current: it warms itself, its ohms rise and its current falls.
 * @param seriesOhms added in the loop, as corrosion would
 * @returns samples a second apart, from the moment it is switched on
 * @example
 * drive(partOf(valveCard()), { at: ['1', '2'], celsius: 20, seconds: 3, supply: { volts: 24, limitAmps: 5, sourceOhms: 0 } })[0].amps
 * // 3
 */
export function drive(
  part: SimulatedPart,
  {
    at,
    celsius,
    seconds,
    supply,
    seriesOhms = 0,
  }: { at: [string, string]; celsius: number; seconds: number; supply: SimulatedSupply; seriesOhms?: number },
): DriveSample[] {
  const samples: DriveSample[] = []
  let warm = celsius
  for (let t = 0; t <= seconds; t++) {
    const ohms = ohmsBetween(part, at, { celsius: warm })
    const free = supply.volts / (ohms + seriesOhms + supply.sourceOhms)
    const amps = Number.isFinite(ohms) ? Math.min(free, supply.limitAmps) : 0
    const limiting = free > supply.limitAmps && Number.isFinite(ohms)
    const volts = limiting ? amps * (ohms + seriesOhms) : supply.volts - amps * supply.sourceOhms
    samples.push({ t, volts, amps, celsius: warm, limiting })
    const watts = Number.isFinite(ohms) ? amps ** 2 * ohms : 0
    const goal = celsius + watts * part.heating.kelvinPerWatt
    warm += (goal - warm) * (1 - Math.exp(-1 / part.heating.settleSeconds))
  }
  return samples
}
