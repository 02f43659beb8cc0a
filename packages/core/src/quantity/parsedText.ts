import type { Quantity, Reading } from '../document'
import { parseReading, type ParsedReading } from './parseReading'

const parsedBefore = new WeakMap<Reading, { quantity: Quantity; parsed: ParsedReading }>()

/**
 * What a reading's text says: what was parsed to make it, if that is known, else parsed again. A leading `~` (not settled) is no part of the figure.
 * @param quantity what the text is read as
 * @example
 * parsedText({ taken: 'typed', text: '11.4k', decimalComma: false, kind: 'value', value: 11_400 }, 'resistance').value
 * // 11400
 */
export function parsedText(reading: Reading, quantity: Quantity): ParsedReading {
  const known = parsedBefore.get(reading)
  if (known?.quantity === quantity) return known.parsed
  const { text, decimalComma } = reading
  return parseReading({ text: text.replace(/^\s*~/, ''), quantity, decimalComma })
}

/**
 * Keeps what was parsed to make a reading, for all who ask for it on its way to the record.
 * @example
 * rememberParsed({ taken: 'typed', text: '322', decimalComma: false, kind: 'value', value: 322 }, 'resistance', parseReading({ text: '322', quantity: 'resistance' })).value
 * // 322
 */
export function rememberParsed(reading: Reading, quantity: Quantity, parsed: ParsedReading): ParsedReading {
  parsedBefore.set(reading, { quantity, parsed })
  return parsed
}
