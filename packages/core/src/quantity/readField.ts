import type { Quantity } from '../document'

/** One number as written, before its scale is applied. `exponent` is the decimal power the marks and `E` give it. */
export interface Field {
  mantissa: string
  /** decimal places typed, less the exponent typed: the last digit stands for 10^-places */
  places: number
  prefix?: string
  unit?: string
  letterCode: boolean
  exponentTyped: boolean
}
export type FieldProblem = 'number' | 'unit' | 'comma' | 'point'

const prefixPowers: Record<string, number> = { p: -12, n: -9, u: -6, µ: -6, m: -3, k: 3, K: 3, M: 6, G: 9 }

interface UnitRule {
  sign: RegExp
  prefixes: boolean
}
const ohms: UnitRule = { sign: /^(?:Ω|[oO][hH][mM][sS]?|R)$/, prefixes: true }
const unitRules: Partial<Record<Quantity, UnitRule>> = {
  resistance: ohms,
  insulation: ohms,
  voltage: { sign: /^V$/, prefixes: true },
  current: { sign: /^A$/, prefixes: true },
  inductance: { sign: /^H$/, prefixes: true },
  capacitance: { sign: /^F$/, prefixes: true },
  frequency: { sign: /^Hz$/, prefixes: true },
  field: { sign: /^[TG]$/, prefixes: true },
  speed: { sign: /^rpm$/, prefixes: false },
  gain: { sign: /^dB$/, prefixes: false },
  length: { sign: /^(?:mm|cm|m|in|"|ft)$/, prefixes: false },
  temperature: { sign: /^°?[CF]$/, prefixes: false },
}

/**
 * Reads one number with its prefix and unit sign, as a technician types it.
 * @param text one field, trimmed, with minus, micro and ohm signs already in one form
 * @returns the field, or the problem that stops it from being one; never throws
 * @example
 * readField('11,4k', 'resistance', true)
 * // { mantissa: '11.4', places: 1, prefix: 'k', letterCode: false, exponentTyped: false }
 */
export function readField(text: string, quantity: Quantity, decimalComma: boolean): Field | FieldProblem {
  if (quantity === 'resistance' || quantity === 'insulation') {
    const code = /^([+-]?)(\d*)([RkKMG])(\d+)$/.exec(text)
    if (code && (code[2] !== '' || code[3] === 'R')) {
      const [, sign = '', whole = '', letter = '', part = ''] = code
      return {
        mantissa: `${sign}${whole || '0'}.${part}`,
        places: part.length,
        ...(letter === 'R' ? { unit: 'R' } : { prefix: letter }),
        letterCode: true,
        exponentTyped: false,
      }
    }
  }
  const match = /^([+-]?)([\d.,]+)(?:[eE]([+-]?\d+))?\s*(.*)$/s.exec(text)
  if (!match || !/\d/.test(match[2] ?? '')) return 'number'
  const [, sign = '', body = '', exponent, rest = ''] = match
  if (/\d/.test(rest)) return 'number'
  const suffix = readSuffix(rest, quantity)
  if (suffix === 'unit') return 'unit'
  const commaDecides = decimalComma && !(exponent !== undefined && /^\d*\.?\d*$/.test(body))
  const plain = plainNumber(body, commaDecides)
  if (plain === 'number' || plain === 'comma' || plain === 'point') return plain
  const places = (plain.split('.')[1] ?? '').length - Number(exponent ?? 0)
  return {
    mantissa: `${sign}${plain}${exponent === undefined ? '' : `e${exponent}`}`,
    places,
    ...suffix,
    letterCode: false,
    exponentTyped: exponent !== undefined,
  }
}

/** Takes the thousands marks out and turns the decimal mark into a point. */
function plainNumber(body: string, decimalComma: boolean): string {
  const [decimal, thousands, problem] = decimalComma ? [',', '.', 'point'] : ['.', ',', 'comma']
  const [whole = '', part = '', ...more] = body.split(decimal)
  if (more.length > 0) return 'number'
  if (part.includes(thousands)) return problem
  if (!whole.includes(thousands)) return `${whole || '0'}${part === '' ? '' : `.${part}`}`
  const groups = whole.split(thousands)
  const wellGrouped = /^[1-9]\d{0,2}$/.test(groups[0] ?? '') && groups.slice(1).every((group) => /^\d{3}$/.test(group))
  return wellGrouped ? `${groups.join('')}${part === '' ? '' : `.${part}`}` : problem
}

function readSuffix(text: string, quantity: Quantity): { prefix?: string; unit?: string } | 'unit' {
  if (text === '') return {}
  const rule = unitRules[quantity]
  if (!rule) return 'unit'
  if (rule.sign.test(text)) return { unit: text }
  if (!rule.prefixes) return 'unit'
  const prefix = text.charAt(0)
  if (!(prefix in prefixPowers)) return 'unit'
  const unit = text.slice(1).trim()
  if (unit === '') return { prefix }
  return rule.sign.test(unit) ? { prefix, unit } : 'unit'
}

/** What one unit sign is worth in SI, where it is not one: a decimal power, or a factor and an offset. */
const unitWorth: Partial<Record<Quantity, Record<string, { power?: number; factor?: number; offset?: number }>>> = {
  length: {
    mm: { power: -3 },
    cm: { power: -2 },
    in: { factor: 0.0254 },
    '"': { factor: 0.0254 },
    ft: { factor: 0.3048 },
  },
  temperature: { F: { offset: 32, factor: 1 / 1.8 }, '°F': { offset: 32, factor: 1 / 1.8 } },
  field: { G: { power: -4 } },
}

/**
 * The size of a field and of its last digit in SI units (temperature in °C), exactly as the decimal text gives them.
 * @param shared the prefix or unit of a neighbour that serves this field too
 * @example
 * scaleField(readField('11.4k', 'resistance', false), 'resistance') // { value: 11400, step: 100 }
 */
export function scaleField(
  field: Field,
  quantity: Quantity,
  shared: { prefix?: string; unit?: string } = {},
): { value: number; step: number } {
  const prefix = field.prefix ?? shared.prefix
  const worth = unitWorth[quantity]?.[field.unit ?? shared.unit ?? ''] ?? {}
  const power = (prefix === undefined ? 0 : (prefixPowers[prefix] ?? 0)) + (worth.power ?? 0)
  const [digits = '', exponent = '0'] = field.mantissa.split('e')
  const value = Number(`${digits}e${Number(exponent) + power}`)
  const step = Number(`1e${power - field.places}`)
  const factor = worth.factor ?? 1
  return worth.offset === undefined
    ? { value: value * factor, step: step * factor }
    : { value: (value - worth.offset) / 1.8, step: step / 1.8 }
}
