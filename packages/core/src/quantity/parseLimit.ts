import type { Limit, Quantity } from '../document'
import { parseReading, type ReadingProblem } from './parseReading'

export interface LimitText {
  text: string
  quantity: Quantity
  decimalComma?: boolean
}
/** Besides what is wrong with its figures: a lone figure says no limit, and a percentage may not exceed a hundred. */
export type LimitProblem = ReadingProblem | 'tolerance-missing' | 'percent'

type Parsed = Limit | { problem: LimitProblem }

const longest = 200
/** Where a limit says open and no more, a megohm proves it. */
const openOhms = 1e6

/**
 * Reads a limit as people write it (METHODS 4): `318 ±10%`, `318 +10/-5 %`, `0.66–0.90`, `> 20M @ 500V` (the test voltage, which
 * a tester may sag below a little), `> 4M @ min 236V` (a least one), `< 1`, `open`, `open > 1M`. Figures are read by `parseReading`, so prefixes, units and decimal marks are its own.
 * @param input text, the quantity its figures are in, and whether the comma is the decimal mark
 * @returns the limit in SI units, or what a person can mend; never throws
 * @example
 * parseLimit({ text: '318 ±10%', quantity: 'resistance' })
 * // { kind: 'nominal', value: 318, minusPct: 10, plusPct: 10 }
 */
export function parseLimit({ text, quantity, decimalComma = false }: LimitText): Parsed {
  if (text.length > longest) return { problem: 'too-long' }
  const plain = text
    .replace(/\u2212/g, '-')
    .replace(/\+\s*\/\s*-|\+-/g, '±')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .trim()
  if (plain === '') return { problem: 'empty' }
  const figure = (part: string) => figureOf(part, quantity, decimalComma)
  return (
    openLimit(plain, figure) ??
    boundLimit(plain, quantity, decimalComma, figure) ??
    toleranceLimit(plain, decimalComma, figure) ??
    spreadLimit(plain, quantity, decimalComma)
  )
}

type Figure = (part: string) => number | { problem: LimitProblem }

function figureOf(text: string, quantity: Quantity, decimalComma: boolean): number | { problem: LimitProblem } {
  const { kind, value, problem } = parseReading({ text, quantity, decimalComma })
  if (kind === 'value' && value !== undefined && problem !== 'milli-or-mega') return value
  return { problem: problem ?? 'number' }
}

function openLimit(text: string, figure: Figure): Parsed | undefined {
  const match = /^(open|closed)(?:\s+circuit)?\s*(?:(?:>=?|≥|<=?|≤|over|above|under|below)\s*(.+))?$/is.exec(text)
  if (!match) return undefined
  const [, word = '', bound] = match
  const open = word.toLowerCase() === 'open'
  if (bound === undefined) return open ? { kind: 'open', atLeast: openOhms } : { problem: 'tolerance-missing' }
  const ohms = figure(bound)
  if (typeof ohms !== 'number') return ohms
  if (ohms <= 0) return { problem: 'number' }
  return open ? { kind: 'open', atLeast: ohms } : { kind: 'closed', atMost: ohms }
}

function boundLimit(text: string, quantity: Quantity, decimalComma: boolean, figure: Figure): Parsed | undefined {
  const match = /^(>=?|≥|at least|over|min\.?|<=?|≤|at most|under|max\.?|up to)\s*(.+)$/is.exec(text)
  if (!match) return undefined
  const [, sign = '', rest = ''] = match
  const least = /^(>|≥|at least|over|min)/i.test(sign)
  const [, ohmsText = rest, strictly, voltsText] =
    /^(.+?)\s*(?:@|at)\s*(min(?:imum|\.)?\s+|at least\s+)?([\d.,]+\s*k?V)$/is.exec(rest) ?? []
  const value = figure(ohmsText)
  if (typeof value !== 'number') return value
  if (voltsText === undefined) {
    if (least && quantity === 'insulation')
      return value > 0 ? { kind: 'insulation', minOhms: value } : { problem: 'number' }
    return { kind: least ? 'atLeast' : 'atMost', value }
  }
  const volts = figureOf(voltsText, 'voltage', decimalComma)
  if (typeof volts !== 'number') return volts
  if (!least || volts <= 0 || value <= 0) return { problem: 'number' }
  return {
    kind: 'insulation',
    minOhms: value,
    ...(strictly === undefined ? { testVolts: volts } : { minVolts: volts }),
  }
}

function toleranceLimit(text: string, decimalComma: boolean, figure: Figure): Parsed | undefined {
  const even = /^(.+?)\s*±\s*(.*)$/s.exec(text)
  if (even) {
    const [, middle = '', share = ''] = even
    const value = figure(middle)
    if (typeof value !== 'number') return value
    if (/%\s*$/.test(share)) return nominal(value, [share, share], decimalComma)
    if (share === '') return { problem: 'number' }
    const off = figure(share)
    if (typeof off !== 'number') return off
    if (off < 0) return { problem: 'number' }
    return { kind: 'band', min: rounded(value - off), max: rounded(value + off) }
  }
  const uneven = /^(.+?)\s*([+-])\s*([\d.,]+)\s*%?\s*[/,;]?\s*([+-])\s*([\d.,]+)\s*%$/s.exec(text)
  if (!uneven) return undefined
  const [, middle = '', firstSign, first = '', secondSign, second = ''] = uneven
  if (firstSign === secondSign) return { problem: 'number' }
  const value = figure(middle)
  if (typeof value !== 'number') return value
  return nominal(value, firstSign === '-' ? [first, second] : [second, first], decimalComma)
}

function nominal(value: number, [minus, plus]: [string, string], decimalComma: boolean): Parsed {
  const [minusPct, plusPct] = [minus, plus].map((share) => {
    const { kind, value: percent } = parseReading({
      text: share.replace(/%\s*$/, ''),
      quantity: 'gain',
      decimalComma,
    })
    return kind === 'value' ? percent : undefined
  })
  if (minusPct === undefined || plusPct === undefined || minusPct < 0 || plusPct < 0 || minusPct > 100)
    return { problem: 'percent' }
  return { kind: 'nominal', value, minusPct, plusPct }
}

function spreadLimit(text: string, quantity: Quantity, decimalComma: boolean): Parsed {
  const { kind, low, high, problem } = parseReading({ text, quantity, decimalComma })
  if (kind === 'spread' && low !== undefined && high !== undefined && problem !== 'milli-or-mega')
    return { kind: 'band', min: low, max: high }
  if (kind === 'value') return { problem: problem === 'milli-or-mega' ? problem : 'tolerance-missing' }
  return { problem: problem ?? 'number' }
}

const rounded = (value: number): number => Number(value.toPrecision(12))
