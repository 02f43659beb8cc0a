import { brokeDown, isCounted } from '../../document'
import { entriesThatStand } from '../tape'
import type { Bench, Evaluation } from '../figure'
import type { SupplyVolts } from './relationState'

/**
 * The volts of a draw: the nearest supply that was on for its check, before or after, else for none; else the last one off, else what the card states (METHODS 11.6).
 * @example
 * voltsOf(scenes.valve().bench, scenes.valve().of('draw'))?.volts // 24
 */
export function voltsOf({ tape, run }: Bench, amps: Evaluation): SupplyVolts | undefined {
  // a diode that was driven backwards took the supply with it, and what stands across the coil now is another
  const counted = isCounted(run.card)
  const supplies = entriesThatStand(tape, 'supply').filter((entry) => !(counted && brokeDown(entry)))
  const away = ({ at }: { at: string }) => Math.abs(Date.parse(at) - Date.parse(amps.entry.at))
  const on = supplies.filter((entry) => entry.while === 'on').sort((a, b) => away(a) - away(b))
  const loaded = on.find(({ check }) => check === amps.check.id) ?? on.find(({ check }) => check === undefined)
  if (loaded) return { volts: loaded.volts, u: loaded.u, loaded: true, entry: loaded.id }
  const off = supplies.findLast((entry) => entry.while === 'off')
  if (off) return { volts: off.volts, u: off.u, loaded: false, entry: off.id }
  const volts = amps.entry.reading.conditions?.volts ?? amps.check.conditions?.volts
  return volts === undefined ? undefined : { volts, u: 0, loaded: false }
}
