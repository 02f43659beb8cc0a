/**
 * How insulation takes up charge: 60 s over 30 s, and 10 min over 1 min (METHODS 6; IEEE 43-2013 3, 12.2). A figure for
 * larger windings; pi is not judged above 5 GΩ, and readings below the dew point do not count.
 * @param input ohms after 30, 60 and 600 seconds
 * @returns plain ratios; null for a ratio over 0 Ω
 * @example
 * absorption({ ohms30: 1.4e9, ohms60: 2.1e9, ohms600: 4.2e9 }) // { dar: 1.5, pi: 2 }
 */
export function absorption(input: { ohms30: number; ohms60: number; ohms600?: number }): {
  dar: number | null
  pi?: number | null
} {
  const { ohms30, ohms60, ohms600 } = input
  const over = (a: number, b: number) => (b === 0 ? null : a / b)
  return { dar: over(ohms60, ohms30), ...(ohms600 === undefined ? {} : { pi: over(ohms600, ohms60) }) }
}
