import { rangesFor, settle, type Settled } from '../meter'
import type { Quantity } from '../document'
import type { Sample, SimulatedMeter } from './meter'

/** What a held measurement came to: whether it settled, and what the display then showed. */
export interface Shown {
  settled: Settled
  /** the display's text, as a technician would type it: `318.2`, `11.42k`, `OL` */
  text: string
  /** times it fell to no reading while it was held */
  drops: number
}

const prefixes = [
  [1e9, 'G'],
  [1e6, 'M'],
  [1e3, 'k'],
  [1, ''],
] as const

/**
 * The last figure a meter showed of a held measurement, with the prefix of its range.
 * @example
 * display(meterOf(pocketMeter, chanceFrom(7)), 'resistance', [{ t: 0, quantity: 'resistance', range: 600, value: 318.2 }]).text
 * // '318.2'
 */
export function display(meter: SimulatedMeter, quantity: Quantity, samples: Sample[]): Shown {
  const last = samples.at(-1)
  const range = rangesFor(meter.instrument, quantity).find((one) => one.fullScale === last?.range)
  const window = samples.map((one) => ({ t: one.t, value: 'over' in one ? ('over' as const) : one.value }))
  const counts = range?.counts ?? 3
  const settled = settle({ samples: window.slice(meter.hunting), counts, resolution: range?.resolution ?? 0 })
  const numbers = window.slice(meter.hunting)
  const drops = numbers.filter((one, i) => one.value === 'over' && i > 0 && numbers[i - 1]?.value !== 'over').length
  if (!last || 'over' in last || !range) return { settled, text: overText(last?.range ?? 0), drops }
  const [size, prefix] = prefixes.find(([one]) => range.fullScale >= one * 1.5) ?? [1, '']
  const decimals = Math.max(0, Math.round(Math.log10(size / range.resolution)))
  const value = settled.state === 'settled' ? (settled.value ?? last.value) : last.value
  return { settled, text: `${(value / size).toFixed(decimals)}${prefix}`, drops }
}

function overText(range: number): string {
  if (range === 0) return 'OL'
  const [size, prefix] = prefixes.find(([one]) => range >= one) ?? [1, '']
  return `OL ${range / size}${prefix}`
}
