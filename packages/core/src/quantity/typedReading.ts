import type { Quantity, Reading } from '../document'
import { parseReading, type ReadingProblem } from './parseReading'

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
  | 'supersedes'
  | 'mistyped'
  | 'reason'
>

/**
 * Makes a reading of what was typed; the text is kept beside the figures. A leading `~` means that it had not settled.
 * @returns the reading, or the problem that keeps the text from being one
 */
export function typedReading(
  text: string,
  quantity: Quantity,
  decimalComma: boolean,
  setting: ReadingSetting = {},
): { reading: Reading } | { problem: ReadingProblem } {
  const settled = !/^\s*~/.test(text)
  const parsed = parseReading({ text: text.replace(/^\s*~/, ''), quantity, decimalComma })
  if (parsed.kind === 'invalid') return { problem: parsed.problem ?? 'number' }
  const { value, low, high } = parsed
  return {
    reading: {
      ...setting,
      taken: 'typed',
      text,
      decimalComma,
      kind: parsed.kind,
      ...(value === undefined ? {} : { value }),
      ...(low === undefined ? {} : { low }),
      ...(high === undefined ? {} : { high }),
      ...(settled ? {} : { settled: false }),
      ...(parsed.testVoltage === undefined
        ? {}
        : { conditions: { ...setting.conditions, testVolts: parsed.testVoltage } }),
    },
  }
}

/**
 * Whether a typed reading's figures are what its text says (CARD): a reading whose text and figures part is refused.
 * @returns the first field that differs, or null
 */
export function textMismatch(reading: Reading, quantity: Quantity): 'text' | 'kind' | 'value' | 'low' | 'high' | null {
  if (reading.taken !== 'typed' || reading.kind === 'answer') return null
  const made = typedReading(reading.text, quantity, reading.decimalComma)
  if ('problem' in made) return 'text'
  if (made.reading.kind !== reading.kind) return 'kind'
  return (['value', 'low', 'high'] as const).find((key) => made.reading[key] !== reading[key]) ?? null
}
