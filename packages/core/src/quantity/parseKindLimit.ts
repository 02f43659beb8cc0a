import type { CheckKind, Limit, Quantity } from '../document'
import { parseLimit, type LimitProblem, type LimitText } from './parseLimit'
import { parseReading } from './parseReading'

type Parsed = Limit | { problem: LimitProblem }

/**
 * Reads a limit as it is written for a kind of check: bars `alike 8%`, leads `5.6k ±20%` a metre, a curve
 * `20: 1050; 40: 512 ±8%` (`log` behind it where it is read on a logarithmic scale), what is seen `dark; dim*; full` with the
 * right answers starred; every other kind by `parseLimit`. Ohms by length may be said for a foot or an inch.
 * @param input its `x` is what a curve's places are; a bare figure is in SI
 * @returns the limit in SI units, or what a person can mend; never throws
 * @example
 * parseKindLimit('insulation', { text: '> 20M @ 500V', quantity: 'insulation' })
 * // { kind: 'insulation', minOhms: 20000000, testVolts: 500 }
 */
export function parseKindLimit(kind: CheckKind, input: LimitText & { x?: Quantity }): Parsed {
  const text = input.text.trim()
  if (text === '') return { problem: 'empty' }
  if (text.length > longestOf(kind)) return { problem: 'too-long' }
  if (kind === 'bars') return alike(text, input.decimalComma ?? false)
  if (kind === 'curve') return curve(text, input)
  if (kind === 'act' || kind === 'lamp' || kind === 'look') return answer(text)
  return kind === 'per-length' ? perLength(text, input) : parseLimit(input)
}

const metresOf: Record<string, number> = { m: 1, metre: 1, ft: 0.3048, foot: 0.3048, in: 0.0254, inch: 0.0254 }

function perLength(text: string, input: LimitText): Parsed {
  const [, figure = text, unit = 'm'] =
    /^(.*?)\s*(?:\/|,?\s(?:per|a|an|for a|for an)\s)\s*(m|metre|ft|foot|in|inch)$/i.exec(text) ?? []
  const parsed = parseLimit({ ...input, text: figure })
  if ('problem' in parsed) return parsed
  return parsed.kind === 'nominal' && parsed.minusPct === parsed.plusPct
    ? { kind: 'perMetre', value: parsed.value / (metresOf[unit.toLowerCase()] ?? 1), tolerancePct: parsed.plusPct }
    : { problem: 'tolerance-missing' }
}

const longestOf = (kind: CheckKind): number => (kind === 'curve' ? 2000 : 500)

function percentOf(text: string, decimalComma: boolean): number | undefined {
  const { kind, value } = parseReading({ text: text.replace(/%\s*$/, '').trim(), quantity: 'gain', decimalComma })
  return kind === 'value' && value !== undefined && value >= 0 && value <= 1000 ? value : undefined
}

function alike(text: string, decimalComma: boolean): Parsed {
  const share = /^(?:alike|within|±)?\s*(?:within)?\s*([\d.,]+)\s*%$/i.exec(text)?.[1]
  const allowedPct = share === undefined ? undefined : percentOf(share, decimalComma)
  return allowedPct === undefined ? { problem: 'percent' } : { kind: 'alike', allowedPct }
}

function curve(
  text: string,
  { quantity, x: place = 'gain', decimalComma = false }: LimitText & { x?: Quantity },
): Parsed {
  const [, body = '', share = '', log] = /^(.*?)±\s*([\d.,]+)\s*%\s*(log)?$/is.exec(text) ?? []
  const tolerancePct = percentOf(share, decimalComma)
  if (body === '' || tolerancePct === undefined) return { problem: 'tolerance-missing' }
  const points = body
    .split(decimalComma ? /;/ : /[;,]\s/)
    .map((one) => one.replace(/[;,]\s*$/, '').trim())
    .filter((one) => one !== '')
    .map((one) => {
      const [at = '', figure = ''] = one.split(':')
      const x = parseReading({ text: at.trim(), quantity: place, decimalComma })
      const ohms = parseReading({ text: figure.trim(), quantity, decimalComma })
      return { x: x.kind === 'value' ? x.value : undefined, ohms: ohms.kind === 'value' ? ohms.value : undefined }
    })
  const read = points.flatMap(({ x, ohms }) => (x === undefined || ohms === undefined ? [] : [{ x, ohms }]))
  if (read.length < 2 || read.length < points.length) return { problem: 'number' }
  return { kind: 'curve', points: read, tolerancePct, ...(log ? { scale: 'log' as const } : {}) }
}

function answer(text: string): Parsed {
  const said = text
    .split(/[;,]/)
    .map((one) => one.trim())
    .filter((one) => one !== '')
  const of = said.map((one) => one.replace(/\s*\*$/, ''))
  const right = said.flatMap((one, i) => (one.endsWith('*') ? [of[i] ?? ''] : []))
  return of.length < 2 || right.length === 0 || of.some((one) => one === '')
    ? { problem: 'tolerance-missing' }
    : { kind: 'answer', of, right }
}
