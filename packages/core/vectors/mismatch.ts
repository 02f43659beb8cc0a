/**
 * Where a computed figure differs from the expected one, as a sentence, or null.
 * Numbers compare relatively (an expected 0 absolutely), "Infinity" is the number, "absent" means the key must not be
 * there, and a key missing from the expected object is not compared.
 */
export function mismatch(actual: unknown, expected: unknown, tolerance: number, path = 'out'): string | null {
  if (expected === 'Infinity') {
    return actual === Infinity || actual === 'Infinity' ? null : `${path}: ${String(actual)} is not infinite`
  }
  if (typeof expected === 'number') {
    const allowed = expected === 0 ? tolerance : tolerance * Math.abs(expected)
    const close = typeof actual === 'number' && Math.abs(actual - expected) <= allowed
    return close ? null : `${path}: ${String(actual)} is not ${expected}`
  }
  if (Array.isArray(expected)) {
    if (!Array.isArray(actual) || actual.length !== expected.length) return `${path}: ${JSON.stringify(actual)}`
    return firstOf(expected.map((one, i) => mismatch(actual[i], one, tolerance, `${path}[${i}]`)))
  }
  if (expected !== null && typeof expected === 'object') {
    if (actual === null || typeof actual !== 'object') return `${path}: ${JSON.stringify(actual)}`
    const found = actual as Record<string, unknown>
    return firstOf(
      Object.entries(expected).map(([key, value]) =>
        value === 'absent'
          ? key in found && found[key] !== undefined
            ? `${path}.${key} must be absent`
            : null
          : mismatch(found[key], value, tolerance, `${path}.${key}`),
      ),
    )
  }
  return actual === expected ? null : `${path}: ${JSON.stringify(actual)} is not ${JSON.stringify(expected)}`
}

const firstOf = (found: (string | null)[]): string | null => found.find((one) => one !== null) ?? null
