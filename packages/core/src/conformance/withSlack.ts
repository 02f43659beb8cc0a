/** Comparisons with a limit allow 1e-12 of the larger number: a reading on the limit must not fall to a floating-point bit. */
const relative = 1e-12

function slack(a: number, b: number): number {
  const larger = Math.max(Math.abs(a), Math.abs(b))
  return Number.isFinite(larger) ? larger * relative : 0
}

/**
 * a ≥ b within the slack; infinities compare plainly.
 * @example
 * atLeast(0.1 + 0.2, 0.3) // true
 */
export const atLeast = (a: number, b: number): boolean => a >= b || a >= b - slack(a, b)

/**
 * a ≤ b within the slack; infinities compare plainly.
 * @example
 * atMost(0.1 + 0.2, 0.3) // true
 */
export const atMost = (a: number, b: number): boolean => atLeast(b, a)

/**
 * a > b by more than the slack.
 * @example
 * above(0.1 + 0.2, 0.3) // false
 */
export const above = (a: number, b: number): boolean => !atMost(a, b)

/**
 * a < b by more than the slack.
 * @example
 * below(0.29, 0.3) // true
 */
export const below = (a: number, b: number): boolean => !atLeast(a, b)
