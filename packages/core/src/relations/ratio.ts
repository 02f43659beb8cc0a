import type { Figure } from './sumCheck'

/**
 * The ratio of two readings with u by relative root sum of squares (METHODS 5; GUM 5.1.6).
 * @returns null where the divisor is 0
 * @example
 * ratio({ value: 318, u: 1 }, { value: 36.5, u: 0.2 }) // { value: 8.7123, u: 0.055042 }
 */
export function ratio(of: Figure, to: Figure): Figure | null {
  if (to.value === 0) return null
  const value = of.value / to.value
  return { value, u: Math.hypot(of.u / to.value, (value * to.u) / to.value) }
}
