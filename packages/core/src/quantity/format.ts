import type { Quantity } from '../document'
import { plainUnits, shownStep, shownValue, type ShownUnits } from './shownUnits'

const signs: Record<Quantity, string> = {
  resistance: 'Ω',
  insulation: 'Ω',
  voltage: 'V',
  current: 'A',
  inductance: 'H',
  capacitance: 'F',
  length: 'm',
  temperature: '°C',
  speed: 'rpm',
  frequency: 'Hz',
  field: 'T',
  gain: 'dB',
  position: '',
}
const prefixes: [number, string][] = [
  [9, 'G'],
  [6, 'M'],
  [3, 'k'],
  [0, ''],
  [-3, 'm'],
  [-6, 'µ'],
  [-9, 'n'],
  [-12, 'p'],
]
const thinSpace = '\u2009'

export interface FormatOptions {
  /** what the last digit shown stands for, in SI units; without it four significant digits are shown */
  resolution?: number
  decimalComma?: boolean
  /** the units of the shop, where they are not °C and metres */
  units?: ShownUnits
}

/** A figure taken apart for display: the digits, and the prefix with the unit sign. */
export interface FormattedFigure {
  digits: string
  unit: string
}

/**
 * Writes a figure with the prefix that leaves one to three digits before the mark and as many decimals as the meter gave.
 * @param value in SI units; ±Infinity and NaN are written as `∞`, `−∞` and `?`
 * @example
 * formatParts(11_400, 'resistance', { resolution: 100 }) // { digits: '11.4', unit: 'kΩ' }
 */
export function formatParts(value: number, quantity: Quantity, options: FormatOptions = {}): FormattedFigure {
  const units = options.units ?? plainUnits
  const sign = quantity === 'temperature' || quantity === 'length' ? units[quantity] : signs[quantity]
  if (Number.isNaN(value)) return { digits: '?', unit: sign }
  if (!Number.isFinite(value)) return { digits: value < 0 ? '−∞' : '∞', unit: sign }
  const inches = quantity === 'length' && units.length === 'in'
  const scaled: [number, string] = inches ? [0, ''] : scaleFor(value, quantity, options.resolution)
  const power = scaled[0]
  const size = shownValue(value, quantity, units) / 10 ** power
  const decimals =
    options.resolution === undefined
      ? significantDecimals(size)
      : decimalsFor(shownStep(options.resolution, quantity, units) / 10 ** power)
  const text = size.toFixed(Math.min(decimals, 12)).replace('-', '−')
  return { digits: options.decimalComma ? text.replace('.', ',') : text, unit: scaled[1] + sign }
}

/**
 * `formatParts` as one text with a thin space.
 * @example
 * formatFigure(11_400, 'resistance', { resolution: 100 }) // '11.4\u2009kΩ'
 */
export function formatFigure(value: number, quantity: Quantity, options: FormatOptions = {}): string {
  const { digits, unit } = formatParts(value, quantity, options)
  return unit === '' ? digits : `${digits}${thinSpace}${unit}`
}

/**
 * The unit sign of a quantity without a prefix: `Ω`, `V`, `dB`; empty for a bare figure.
 * @example
 * unitSign('inductance') // 'H'
 */
export const unitSign = (quantity: Quantity): string => signs[quantity]

/**
 * Bounds read as bounds: no decimals that nobody typed (`20 MΩ`, not `20.00 MΩ`).
 * @example
 * formatBound(349.8, 'resistance') // '349.8\u2009Ω'
 */
export function formatBound(value: number, quantity: Quantity, options: FormatOptions = {}): string {
  const { digits, unit } = formatParts(value, quantity, options)
  const mark = options.decimalComma ? ',' : '.'
  const short = digits.includes(mark) ? digits.replace(/0+$/, '').replace(/[.,]$/, '') : digits
  return unit === '' ? short : `${short}${thinSpace}${unit}`
}

/**
 * The prefix in which a figure of this size is spoken of: `k` for 11 400 Ω, '' for 318 Ω.
 * @example
 * prefixFor(11_400, 'resistance') // 'k'
 */
export function prefixFor(value: number, quantity: Quantity): string {
  return scaleFor(value, quantity, undefined)[1]
}

function scaleFor(value: number, quantity: Quantity, resolution: number | undefined): [number, string] {
  if (['temperature', 'speed', 'gain', 'position'].includes(quantity)) return [0, '']
  const magnitude = Math.abs(value)
  const ohmic = quantity === 'resistance' || quantity === 'insulation'
  for (const [power, prefix] of prefixes) {
    if (ohmic && power < 0 && (resolution === undefined || resolution >= 1e-3 || magnitude === 0)) return [0, '']
    if (magnitude >= 10 ** power * (1 - 1e-12)) return [power, prefix]
  }
  return [0, '']
}

/** 318 → `318.0` would claim a digit; four significant digits, trailing zeros kept only up to one decimal place. */
function significantDecimals(size: number): number {
  if (size === 0) return 0
  const whole = Math.floor(Math.log10(Math.abs(size)) + 1e-12) + 1
  return Math.max(0, Math.min(4 - Math.max(whole, 1), 4))
}

function decimalsFor(step: number): number {
  return Math.max(0, -Math.floor(Math.log10(step) + 1e-9))
}
