/** ln Γ(z) for z > 0 (Lanczos, g = 7, n = 9), good to 1e-14 relative. */
function lnGamma(z: number): number {
  const terms = [
    676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406, 12.507343278686905,
    -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
  ]
  const x = z - 1
  const series = terms.reduce((sum, term, i) => sum + term / (x + i + 1), 0.9999999999998099)
  const t = x + 7.5
  return 0.5 * Math.log(2 * Math.PI) + (x + 0.5) * Math.log(t) - t + Math.log(series)
}

/** The lower regularised incomplete gamma function by its series, for x not far above a. */
function lowerGamma(a: number, x: number): number {
  if (x <= 0) return 0
  let term = 1 / a
  let sum = term
  for (let n = 1; n < 10_000 && Math.abs(term) > 1e-17 * sum; n++) {
    term *= x / (a + n)
    sum += term
  }
  return Math.min(1, sum * Math.exp(a * Math.log(x) - x - lnGamma(a)))
}

/**
 * The lower p point of the chi-square distribution (Abramowitz and Stegun 26.4, by bisection on the series 6.5.29).
 * @param p from 0 to 1, below it the share p of the distribution lies
 * @param degrees degrees of freedom, 1 or more
 * @returns good to 1e-12 relative
 * @example
 * chiSquareQuantile(0.1, 9) // 4.1682
 */
export function chiSquareQuantile(p: number, degrees: number): number {
  let [low, high] = [0, degrees]
  while (lowerGamma(degrees / 2, high / 2) < p) high *= 2
  for (let i = 0; i < 200 && high - low > 1e-14 * high; i++) {
    const middle = (low + high) / 2
    if (lowerGamma(degrees / 2, middle / 2) < p) low = middle
    else high = middle
  }
  return (low + high) / 2
}
