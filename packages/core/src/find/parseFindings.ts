import type { Quantity } from '../document'
import { parseReading } from '../quantity'

/** One measured figure to look cards up by, SI. */
export interface Found {
  text: string
  quantity: Quantity
  value: number
}

export interface Findings {
  figures: Found[]
  /** something was said to be open */
  open: boolean
  /** pieces that are no figure */
  unread: string[]
}

const spoken: Quantity[] = ['resistance', 'inductance', 'voltage', 'capacitance', 'current', 'frequency']
const most = 12

/**
 * Reads what somebody measured, as it is said: `about 318 and 36.2, both open to frame`. Figures are read by `parseReading`
 * with their prefixes and units, ohms where none is said; words like open or OL count as one finding.
 * @param decimalComma whether the comma is the decimal mark; a comma with a blank behind it always separates
 * @returns at most twelve figures above zero; the pieces that could not be read are handed back
 * @example
 * parseFindings('318 and 36.9, both open to frame')
 * // { figures: [ { text: '318', quantity: 'resistance', value: 318 }, { text: '36.9', quantity: 'resistance', value: 36.9 } ], open: true, unread: [] }
 */
export function parseFindings(text: string, decimalComma = false): Findings {
  const found: Findings = { figures: [], open: false, unread: [] }
  const apart = decimalComma ? /[;\n]|,\s|\s(?:and|und|y|et|&)\s/i : /[;,\n]|\s(?:and|&)\s/i
  for (const piece of text.slice(0, 500).split(apart)) for (const one of pieces(piece)) take(found, one, decimalComma)
  return found
}

/** `318 36` are two figures, `318 kΩ` is one. */
const pieces = (piece: string): string[] =>
  piece
    .replace(/\b(?:about|around|approx(?:imately)?|roughly|reads?|read|ohm(?=\s+\d)|each)\b|[~≈]/gi, ' ')
    .trim()
    .split(/\s+(?=[\d.,])/)
    .map((one) => one.trim())
    .filter((one) => one !== '')

function take(found: Findings, text: string, decimalComma: boolean): void {
  if (/\b(open|ol|infinite|no path)\b|∞/i.test(text)) {
    found.open = true
    return
  }
  const words = text.split(/\s+/)
  for (let count = Math.min(words.length, 3); count > 0; count--) {
    const figure = figureIn(words.slice(0, count).join(' '), decimalComma)
    if (!figure) continue
    if (found.figures.length < most) found.figures.push(figure)
    if (count < words.length) found.unread.push(words.slice(count).join(' '))
    return
  }
  found.unread.push(text)
}

function figureIn(text: string, decimalComma: boolean): Found | undefined {
  for (const quantity of spoken) {
    const { kind, value, problem } = parseReading({ text, quantity, decimalComma })
    if (kind === 'value' && value !== undefined && value > 0 && !problem) return { text, quantity, value }
  }
  return undefined
}
