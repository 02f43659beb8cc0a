import { parseReading } from '@sure-spool/core'

/**
 * A supply as it is typed: volts, and the amperes it is limited to or stands at, as `24.3`, `24.3V 0.2A`, `0.8V 0.20A`.
 * @param needsSign the volts are a supply's only with their V: at a step that reads something else
 * @returns null where the text is no supply
 */
export function typedSupply(
  text: string,
  { decimalComma }: { decimalComma: boolean },
  needsSign = false,
): { volts: number; amps?: number } | null {
  const [first = '', ...more] = text.trim().split(/\s*@\s*|(?<=[A-Za-z])\s+|\s+(?=[\d.,]+\s*m?A$)/)
  if (more.length > 1 || (needsSign && !/v$/i.test(first.trim()))) return null
  const volts = figure(first, 'voltage')
  const amps = more[0] === undefined ? undefined : figure(more[0], 'current')
  if (volts === null || amps === null) return null
  return { volts, ...(amps === undefined ? {} : { amps }) }

  function figure(typed: string, quantity: 'voltage' | 'current'): number | null {
    const { kind, value } = parseReading({ text: typed.trim(), quantity, decimalComma })
    return kind === 'value' && value !== undefined && value >= 0 ? value : null
  }
}
