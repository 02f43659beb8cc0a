import { above, atMost } from '../conformance'

/** One figure of a running measurement: `t` in seconds, the value in the quantity's SI unit, or beyond the range. */
export interface TimedSample {
  t: number
  value: number | 'over'
}

export interface Settled {
  state: 'settled' | 'over' | 'unsteady' | 'waiting'
  /** the mean of the window, when settled */
  value?: number
  /** the extremes of the window's numbers, and the time of its first sample */
  low?: number
  high?: number
  from?: number
}

const shortWindow = 6
const longWindow = 12

/**
 * Whether a running measurement has come to rest (METHODS 2): settled within its counts or 0.5 %, over-range throughout,
 * unsteady over the last twelve, or still waiting. Twelve that only rise or only fall are a large inductance taking its time.
 * @param input samples in time order; counts and resolution (SI) of the range they were read on
 * @returns `waiting` without a window for fewer than six samples; never throws
 * @example
 * settle({ samples: [0, 1, 2, 3, 4, 5].map((t) => ({ t, value: 318 })), counts: 2, resolution: 0.1 })
 * // { state: 'settled', value: 318, low: 318, high: 318, from: 0 }
 */
export function settle(input: { samples: TimedSample[]; counts: number; resolution: number }): Settled {
  const { samples, counts, resolution } = input
  const last = samples.slice(-shortWindow)
  if (last.length < shortWindow) return { state: 'waiting' }
  const numbers = numbersOf(last)
  if (numbers.length === shortWindow) {
    const [low, high, mean] = [Math.min(...numbers), Math.max(...numbers), meanOf(numbers)]
    if (atMost(high - low, Math.max(counts * resolution, 0.005 * Math.abs(mean))))
      return { state: 'settled', value: mean, ...windowOf(last) }
  }
  if (numbers.length === 0) return { state: 'over', ...windowOf(last) }
  const long = samples.slice(-longWindow)
  return long.length === longWindow && isUnsteadyWindow(long)
    ? { state: 'unsteady', ...windowOf(long) }
    : { state: 'waiting' }
}

const numbersOf = (samples: TimedSample[]): number[] =>
  samples.flatMap(({ value }) => (value === 'over' ? [] : [value]))
const meanOf = (numbers: number[]): number => numbers.reduce((sum, one) => sum + one, 0) / numbers.length

function isUnsteadyWindow(window: TimedSample[]): boolean {
  const numbers = numbersOf(window)
  if (numbers.length === 0) return false
  if (numbers.length < window.length) return true
  const steps = numbers.slice(1).map((one, i) => one - (numbers[i] ?? one))
  if (steps.every((step) => step >= 0) || steps.every((step) => step <= 0)) return false
  return above(Math.max(...numbers) - Math.min(...numbers), 0.05 * Math.abs(meanOf(numbers)))
}

function windowOf(window: TimedSample[]): Pick<Settled, 'low' | 'high' | 'from'> {
  const numbers = numbersOf(window)
  const from = window[0]?.t
  return {
    ...(numbers.length > 0 ? { low: Math.min(...numbers), high: Math.max(...numbers) } : {}),
    ...(from === undefined ? {} : { from }),
  }
}
