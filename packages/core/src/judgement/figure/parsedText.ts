import type { Quantity, Reading } from '../../document'
import { parseReading, type ParsedReading } from '../../quantity'

const parsedBefore = new WeakMap<Reading, ParsedReading>()

/** A reading's text, parsed once: an entry never changes. */
export function parsedText(reading: Reading, quantity: Quantity): ParsedReading {
  const known = parsedBefore.get(reading)
  if (known) return known
  const { text, decimalComma } = reading
  const parsed = parseReading({ text: text.replace(/^\s*~/, ''), quantity, decimalComma })
  parsedBefore.set(reading, parsed)
  return parsed
}
