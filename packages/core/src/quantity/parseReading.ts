import type { Quantity } from '../document'
import { readField, scaleField, type Field, type FieldProblem } from './readField'

export interface ReadingText {
  text: string
  quantity: Quantity
  decimalComma?: boolean
}

export type ReadingProblem = FieldProblem | 'empty' | 'too-long' | 'prefix-unclear' | 'milli-or-mega' | 'unit-missing'

export interface ParsedReading {
  kind: 'value' | 'over' | 'above' | 'below' | 'spread' | 'invalid'
  value?: number
  low?: number
  high?: number
  /** times it fell to no reading: `2.6k..OL` */
  drops?: number
  resolution?: number
  testVoltage?: number
  unitGiven: boolean
  problem?: ReadingProblem
}

const longest = 200
const overWord = /^[+-]?(?:o\.?l|0\.?l|\.ol|ofl|open|inf|∞)(?:\s*@?\s*(?=[\d.,@]|$)(.*))?$/is
/** A figure that fell to no reading while it was held. */
const dropped = /^(.*\d.*?)\s*(?:\.\.|to|-)\s*(?:o\.?l|0\.l|\.ol|ofl|open|inf|∞)$/is
/** What SCPI instruments send for over-range and for not-a-number. */
const exponentOver = 9.9e37
const exponentNotANumber = 9.91e37

/**
 * Reads what a technician types or a meter sends (METHODS 1): a value, an over-range display, a bound or a spread.
 * @param input text, the quantity it stands for, and whether the comma is the decimal mark
 * @returns figures in SI units (temperature in °C); `resolution` is what the last digit stands for. A warning stands in
 * `problem` while `kind` stays; `invalid` carries the problem that a person can act on. Never throws.
 * @example
 * parseReading({ text: '7.40k', quantity: 'resistance' })
 * // { kind: 'value', value: 7400, resolution: 10, unitGiven: true }
 */
export function parseReading({ text, quantity, decimalComma = false }: ReadingText): ParsedReading {
  if (text.length > longest) return invalid('too-long')
  const plain = oneForm(text)
  if (plain === '') return invalid('empty')
  if (quantity !== 'insulation') return parseFigure(plain, quantity, decimalComma)
  const { rest, volts } = splitTestVolts(plain, decimalComma)
  const parsed = parseFigure(rest, quantity, decimalComma)
  return volts === undefined || parsed.kind === 'invalid' ? parsed : { ...parsed, testVoltage: volts }
}

const invalid = (problem: ReadingProblem): ParsedReading => ({ kind: 'invalid', unitGiven: false, problem })

function oneForm(text: string): string {
  return text
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/\u03bc/g, 'µ')
    .replace(/\u2126/g, 'Ω')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .trim()
}

/** Takes the test volts off an insulation reading, in whichever order the two fields stand. */
function splitTestVolts(text: string, decimalComma: boolean): { rest: string; volts?: number } {
  const figure = String.raw`[\d.,]+\s*[kK]?V`
  const first = new RegExp(`^(${figure})(?:\\s*@\\s*|\\s+)(.+)$`, 's').exec(text)
  const last = new RegExp(`^(.+?)(?:\\s*@\\s*|\\s+)(${figure})$`, 's').exec(text)
  const [rest, voltsText] = first ? [first[2], first[1]] : last ? [last[1], last[2]] : []
  if (rest === undefined || voltsText === undefined) return { rest: text }
  const field = readField(voltsText, 'voltage', decimalComma)
  return typeof field === 'string' ? { rest: text } : { rest, volts: scaleField(field, 'voltage').value }
}

/** Most of what is typed: digits and perhaps a point. */
const bareNumber = /^\d+(?:\.(\d+))?$/
/** A number and what stands behind it, without any of the words and marks that make it more than a value. */
const plainValue = /^\d+(?:[.,]\d+)?\s?[kKMGmµ]?(?:Ω|V|A|H|F|Hz)?$/

function parseFigure(text: string, quantity: Quantity, decimalComma: boolean): ParsedReading {
  const bare = bareNumber.exec(text)
  if (bare && !(decimalComma && bare[1] !== undefined)) {
    const resolution = Number(`1e-${bare[1]?.length ?? 0}`)
    return { kind: 'value', value: Number(text), resolution, unitGiven: false, ...warningOf([], quantity) }
  }
  if (plainValue.test(text)) return parseValue(text, quantity, decimalComma)
  if (/^[+-]?1 ?\.$/.test(text) || (decimalComma && /^[+-]?1 ?,$/.test(text))) return { kind: 'over', unitGiven: false }
  const over = overWord.exec(text)
  if (over) {
    const bound = (over[1] ?? '').replace(/^@\s*/, '')
    return bound === '' ? { kind: 'over', unitGiven: false } : bounded('over', bound, quantity, decimalComma)
  }
  if (text.startsWith('>')) return bounded('above', text.slice(1).trim(), quantity, decimalComma)
  if (text.startsWith('<')) return bounded('below', text.slice(1).trim(), quantity, decimalComma)
  const drop = dropped.exec(text)
  if (drop?.[1] !== undefined) return parseDrop(drop[1].trim(), quantity, decimalComma)
  const parts = splitSpread(text)
  return parts ? parseSpread(parts, quantity, decimalComma) : parseValue(text, quantity, decimalComma)
}

function bounded(
  kind: 'over' | 'above' | 'below',
  text: string,
  quantity: Quantity,
  decimalComma: boolean,
): ParsedReading {
  const parsed = parseValue(text, quantity, decimalComma)
  if (parsed.kind === 'invalid') return parsed
  if (parsed.kind === 'over') return invalid('number')
  const { value, unitGiven, problem } = parsed
  return { kind, value, unitGiven, ...(problem === undefined ? {} : { problem }) }
}

function parseValue(text: string, quantity: Quantity, decimalComma: boolean): ParsedReading {
  const field = readField(text, quantity, decimalComma)
  if (typeof field === 'string') return invalid(field)
  if (field.exponentTyped) {
    const written = Math.abs(Number(field.mantissa))
    if (written === exponentNotANumber || !Number.isFinite(written)) return invalid('number')
    if (written >= exponentOver) return { kind: 'over', unitGiven: false }
  }
  const { value, step } = scaleField(field, quantity)
  if (!Number.isFinite(value) || !Number.isFinite(step)) return invalid('number')
  const warning = warningOf([field], quantity)
  return { kind: 'value', value, resolution: step, unitGiven: isGiven(field), ...warning }
}

const isGiven = (field: Field): boolean => field.prefix !== undefined || field.unit !== undefined

function warningOf(fields: Field[], quantity: Quantity): { problem?: ReadingProblem } {
  const ohmic = quantity === 'resistance' || quantity === 'insulation'
  if (ohmic && fields.some((field) => field.prefix === 'm' && field.unit === undefined))
    return { problem: 'milli-or-mega' }
  return quantity === 'insulation' && !fields.some(isGiven) ? { problem: 'unit-missing' } : {}
}

/**
 * Parts a spread at `..`, `to` or a hyphen between two numbers. One digit on each side of two points (`4..7`) is a
 * doubled decimal mark, not a spread; a sign and an exponent's minus are no hyphens.
 */
function splitSpread(text: string): [string, string] | null {
  if (/^\d\.\.\d$/.test(text)) return null
  const dotted = /^(.*?[^.])\.\.([^.].*)$/s.exec(text) ?? /^(.*\d.*?)to(.*\d.*)$/is.exec(text)
  if (dotted) return [(dotted[1] ?? '').trim(), (dotted[2] ?? '').trim()]
  for (let i = 1; i < text.length; i++) {
    if (text[i] !== '-' || /[\d.,][eE]$/.test(text.slice(0, i))) continue
    return [text.slice(0, i).trim(), text.slice(i + 1).trim()]
  }
  return null
}

/** METHODS 11.15: a spread of one figure with a drop, without an upper end. */
function parseDrop(text: string, quantity: Quantity, decimalComma: boolean): ParsedReading {
  const steady = parseValue(text, quantity, decimalComma)
  if (steady.kind !== 'value' || steady.value === undefined) return steady.kind === 'over' ? invalid('number') : steady
  return { ...steady, kind: 'spread', low: steady.value, drops: 1 }
}

function parseSpread([first, last]: [string, string], quantity: Quantity, decimalComma: boolean): ParsedReading {
  const a = readField(first, quantity, decimalComma)
  if (typeof a === 'string') return invalid(a)
  const b = readField(last, quantity, decimalComma)
  if (typeof b === 'string') return invalid(b)
  const inUnits = quantity === 'length' || quantity === 'temperature'
  const scaled = inUnits ? a.unit !== undefined : a.prefix !== undefined
  const scaledLast = inUnits ? b.unit !== undefined : b.prefix !== undefined
  const ownSigns = !inUnits && a.unit !== undefined && b.unit !== undefined
  if (scaled && !scaledLast && !ownSigns) return invalid('prefix-unclear')
  const shares = !scaled && scaledLast && !ownSigns && !a.letterCode && !b.letterCode
  const shared = shares ? (inUnits ? { unit: b.unit } : { prefix: b.prefix }) : {}
  const from = scaleField(a, quantity, shared)
  const to = scaleField(b, quantity)
  if (![from.value, to.value, from.step, to.step].every((one) => Math.abs(one) < exponentOver)) return invalid('number')
  if (from.value > to.value && shares && !inUnits) return invalid('prefix-unclear')
  const low = Math.min(from.value, to.value)
  const high = Math.max(from.value, to.value)
  return {
    kind: 'spread',
    low,
    high,
    value: (low + high) / 2,
    resolution: Math.min(from.step, to.step),
    unitGiven: isGiven(a) || isGiven(b),
    ...warningOf([a, b], quantity),
  }
}
