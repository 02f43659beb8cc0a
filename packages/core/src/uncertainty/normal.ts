/**
 * The standard normal distribution Φ, good to 1e-14 absolutely.
 * @param z in standard deviations; ±Infinity give 1 and 0
 * @remarks Series for small |z|, the continued fraction of Mills' ratio beyond (Abramowitz and Stegun 26.2.11, 26.2.14).
 * @example
 * normalCdf(1.96) // 0.975
 */
export function normalCdf(z: number): number {
  if (z === Infinity) return 1
  if (z === -Infinity) return 0
  return z < 0 ? upperTail(-z) : 1 - upperTail(z)
}

const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)

/** Probability above z ≥ 0. */
function upperTail(z: number): number {
  if (z > 38) return 0
  if (z < 3) {
    let term = z
    let sum = z
    for (let k = 1; Math.abs(term) > 1e-17 * Math.abs(sum); k++) {
      term *= (z * z) / (2 * k + 1)
      sum += term
    }
    return 0.5 - density(z) * sum
  }
  // that many terms give all the digits there are, the fewer the farther out
  let fraction = 0
  for (let k = Math.ceil(20 + 900 / (z * z)); k >= 1; k--) fraction = k / (z + fraction)
  return density(z) / (z + fraction)
}

/**
 * Probability between low and high, both in standard deviations, without cancellation in the tails.
 * @example
 * normalBetween(-2, 2) // 0.9545
 */
export function normalBetween(low: number, high: number): number {
  if (low > 0) return normalCdf(-low) - normalCdf(-high)
  return normalCdf(high) - normalCdf(low)
}
