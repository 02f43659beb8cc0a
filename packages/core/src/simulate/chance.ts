import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** A stream of chance that a seed fixes: the same seed gives the same figures on every machine. */
export interface Chance {
  /** from 0 up to 1 */
  uniform: () => number
  /** from low to high */
  between: (low: number, high: number) => number
  /** around 0 with a standard deviation of 1 */
  normal: () => number
}

/**
 * A stream from a seed (xoroshiro128+; normal by Box and Muller).
 * @example
 * chanceFrom(7).between(0, 10) === chanceFrom(7).between(0, 10) // true
 */
export function chanceFrom(seed: number): Chance {
  const source = xoroshiro128plus(seed)
  const uniform = () => uniformFloat64(source)
  return {
    uniform,
    between: (low, high) => low + (high - low) * uniform(),
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  }
}
