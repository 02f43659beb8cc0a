const metresPerFoot = 0.3048

/**
 * Ohms of a lead per length (METHODS 8).
 * @param input ohms and metres
 * @returns null for a lead without length
 * @example
 * perLength({ ohms: 2310, metres: 0.41 })?.ohmsPerMetre // 5634.1
 */
export function perLength({ ohms, metres }: { ohms: number; metres: number }): {
  ohmsPerMetre: number
  ohmsPerFoot: number
} | null {
  if (!(metres > 0)) return null
  return { ohmsPerMetre: ohms / metres, ohmsPerFoot: (ohms / metres) * metresPerFoot }
}
