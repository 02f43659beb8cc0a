import type { Quantity, Reading } from '../document'
import { parsedText, rememberParsed } from './parsedText'
import { parseReading, type ParsedReading, type ReadingProblem } from './parseReading'
import { voltsOverAmps } from './voltsOverAmps'

/** What accompanies a typed figure: where, with what, under which conditions. */
export type ReadingSetting = Pick<
  Reading,
  | 'instrument'
  | 'leads'
  | 'contact'
  | 'range'
  | 'conditions'
  | 'pair'
  | 'index'
  | 'x'
  | 'xText'
  | 'where'
  | 'supersedes'
  | 'mistyped'
  | 'reason'
>

/**
 * Makes a reading of what was typed; the text is kept beside the figures. A leading `~` means that it had not settled.
 * @returns the reading, or the problem that keeps the text from being one
 * @example
 * typedReading('11.4k', 'resistance', false).reading.value // 11400
 */
export function typedReading(
  text: string,
  quantity: Quantity,
  decimalComma: boolean,
  setting: ReadingSetting = {},
): { reading: Reading } | { problem: ReadingProblem } {
  const both = quantity === 'resistance' ? voltsOverAmps(text, decimalComma) : undefined
  if (both) return { reading: { ...setting, taken: 'typed', text, decimalComma, ...figuresOfBoth(both) } }
  const settled = !/^\s*~/.test(text)
  const parsed = parseReading({ text: text.replace(/^\s*~/, ''), quantity, decimalComma })
  if (parsed.kind === 'invalid') return { problem: parsed.problem ?? 'number' }
  const reading: Reading = { ...setting, taken: 'typed', text, decimalComma, ...figuresOf(parsed, setting) }
  if (!settled) reading.settled = false
  rememberParsed(reading, quantity, parsed)
  return { reading }
}

/**
 * The same reading with more said of it: what it replaces, and why. What was parsed of it is kept.
 * @param quantity what its text was read as
 * @example
 * withMoreSaid({ taken: 'typed', text: '322', decimalComma: false, kind: 'value', value: 322 }, { reason: 'taken again' }, 'resistance').reason
 * // 'taken again'
 */
export function withMoreSaid(reading: Reading, more: ReadingSetting, quantity: Quantity): Reading {
  const said = { ...reading, ...more }
  if (reading.method === undefined) rememberParsed(said, quantity, parsedText(reading, quantity))
  return said
}

/**
 * What a beeper says: under its threshold, or over it. It is no figure, and none is put in its place.
 * @param beepsBelow ohms under which the meter's beeper sounds
 * @example
 * beepReading(true, 35).kind // 'below'
 */
export function beepReading(beeps: boolean, beepsBelow: number, setting: ReadingSetting = {}): Reading {
  return {
    ...setting,
    taken: 'typed',
    text: beeps ? 'beep' : 'no beep',
    decimalComma: false,
    kind: beeps ? 'below' : 'above',
    value: beepsBelow,
    method: 'beeper',
  }
}

/** Ohms from both figures, beside the ohms of a meter (METHODS 11.24). */
const figuresOfBoth = ({ volts, amps }: { volts: number; amps: number }) => ({
  kind: 'value' as const,
  value: volts / amps,
  method: 'volts-over-amps' as const,
  volts,
  amps,
})

/** A parsed text's figures, as a reading carries them; test volts that were typed go before those that were set. */
function figuresOf(
  { kind, value, low, high, drops, testVoltage }: ParsedReading,
  { conditions }: ReadingSetting = {},
): Pick<Reading, 'kind' | 'value' | 'low' | 'high' | 'drops' | 'conditions'> {
  return {
    kind: kind === 'invalid' ? 'value' : kind,
    ...(value === undefined ? {} : { value }),
    ...(low === undefined ? {} : { low }),
    ...(high === undefined ? {} : { high }),
    ...(drops === undefined ? {} : { drops }),
    ...(testVoltage === undefined ? {} : { conditions: { ...conditions, testVolts: testVoltage } }),
  }
}

type Mismatch = 'text' | 'kind' | 'value' | 'low' | 'high' | 'volts' | 'amps'

/**
 * Whether a typed reading's figures are what its text says (CARD): a reading whose text and figures part is refused.
 * @returns the first field that differs, or null
 * @example
 * textMismatch({ taken: 'typed', text: '322', decimalComma: false, kind: 'value', value: 238 }, 'resistance')
 * // 'value'
 */
export function textMismatch(reading: Reading, quantity: Quantity): Mismatch | null {
  if (reading.taken !== 'typed' || reading.kind === 'answer' || reading.method === 'beeper') return null
  const both = reading.method === 'volts-over-amps' ? voltsOverAmps(reading.text, reading.decimalComma) : undefined
  const parsed = both ? undefined : parsedText(reading, quantity)
  if (parsed?.kind === 'invalid') return 'text'
  const said: Partial<Reading> = both ? figuresOfBoth(both) : parsed ? figuresOf(parsed) : {}
  return (['kind', 'value', 'low', 'high', 'volts', 'amps'] as const).find((key) => said[key] !== reading[key]) ?? null
}
