import type { Card, Conditions, Quantity } from '../document'
import { parseReading, type ReadingProblem } from './parseReading'

/** What of a reading's conditions is typed with it; beside them the place that was bent, and the range it was read on. */
export type TypedConditions = Pick<Conditions, 'rpm' | 'hertz' | 'load' | 'state' | 'lamp' | 'seriesOhms'> & {
  where?: string
  range?: number
}

/** The words a card has for how a reading is taken. */
export interface ConditionWords {
  loads: string[]
  states: string[]
}

/**
 * The loads and states that a card's checks name.
 * @example
 * conditionWordsOf({ checks: [] }) // { loads: [], states: [ 'flexed' ] }
 */
export function conditionWordsOf({ checks }: Pick<Card, 'checks'>): ConditionWords {
  const loads = checks.flatMap(({ conditions }) => conditions?.load ?? [])
  const states = checks.flatMap(({ conditions }) => conditions?.state ?? [])
  return { loads: [...new Set(loads)], states: [...new Set([...states, 'flexed'])] }
}

const asSpeed = /^([\d.,]+)\s*(?:rpm|r\/min|1\/min|min-1)$/i
const asFrequency = /^[\d.,]+\s*[kM]?Hz$/
/** A lamp in series, by what stands on it: `24V 5W lamp`. */
const asLamp = /^([\d.,]+)\s*V[\s,/]*([\d.,]+)\s*W(?:\s+lamp)?(?:\s+in\s+series)?$/i
/** A resistance in series: `4.7k in series`. */
const asSeries = /^([\d.,]+\s*[kMm]?)\s*Ω?\s+in\s+series$/
/** The range of the meter: `200k range`. */
const asRange = /^(?:on\s+)?([\d.,]+\s*[kMGmµ]?)\s*(?:Ω|V|A|H|F)?\s+range$/
/** Where it was done: `bent at the clamp`. */
const asPlace = /^(?:(.+?)\s+)?at\s+(?!(?:rest|idle|speed|once)\b)(.+)$/i
/** How a hand says that a lead was moved. */
const bent = /^(?:bent|bend|flex|bending|flexing)$/i

/**
 * The conditions typed behind a reading's `@`: a speed, a frequency, a lamp or ohms in series, the meter's range, a load or a state, apart
 * from one another by `, ` or `;`.
 * A beginning of one of the card's words is that word; any other word is a state; what stands behind `at` is where it was done.
 * @returns the conditions, or the problem that keeps the text from being any
 * @example
 * typedConditions('2570 rpm, lamps', { loads: ['lamps on'], states: [] }, false)
 * // { rpm: 2570, load: 'lamps on' }
 */
export function typedConditions(
  text: string,
  { loads, states }: ConditionWords,
  decimalComma: boolean,
): TypedConditions | { problem: ReadingProblem } {
  const typed: TypedConditions = {}
  const said: string[] = []
  for (const words of text.split(/,\s+|;/).map((one) => one.trim())) {
    const isState = words !== '' && states.some((state) => state.toLowerCase().startsWith(words.toLowerCase()))
    const [, done, where] = isState ? [] : (asPlace.exec(words) ?? [])
    const isMeasured = where !== undefined && (asSpeed.test(where) || asFrequency.test(where))
    if (where !== undefined && !isMeasured) typed.where = where
    const part = isMeasured ? where : where === undefined ? words : (done ?? '')
    if (part === '') continue
    const speed = asSpeed.exec(part)
    if (speed || asFrequency.test(part)) {
      const read = parseReading({
        text: speed ? `${speed[1] ?? ''} rpm` : part,
        quantity: speed ? 'speed' : 'frequency',
        decimalComma,
      })
      if (read.kind !== 'value' || read.value === undefined) return { problem: read.problem ?? 'number' }
      if (speed) typed.rpm = read.value
      else typed.hertz = read.value
      continue
    }
    const beside = inSeriesOrRange(part, decimalComma)
    if (beside && 'problem' in beside) return beside
    if (beside) {
      Object.assign(typed, beside)
      continue
    }
    if (/^[\d.,]/.test(part)) return { problem: 'unit' }
    const begun = (word: string) => word.toLowerCase().startsWith(part.toLowerCase())
    const load = loads.find(begun)
    if (load !== undefined) typed.load = load
    else said.push(bent.test(part) ? 'flexed' : (states.find(begun) ?? part))
  }
  if (said.length > 0) typed.state = said
  return Object.keys(typed).length > 0 ? typed : { problem: 'empty' }
}

/** What is neither speed nor state and has a figure: a lamp, ohms in series, a range. */
function inSeriesOrRange(
  part: string,
  decimalComma: boolean,
): Pick<TypedConditions, 'lamp' | 'seriesOhms' | 'range'> | { problem: ReadingProblem } | undefined {
  const figure = (text = '', quantity: Quantity = 'resistance') => parseReading({ text, quantity, decimalComma }).value
  const lamp = asLamp.exec(part)
  if (lamp) {
    const [volts, watts] = [figure(lamp[1], 'voltage'), figure(lamp[2], 'gain')]
    return volts === undefined || watts === undefined ? { problem: 'number' } : { lamp: { volts, watts } }
  }
  const ohms = asSeries.exec(part)
  if (ohms) {
    const seriesOhms = figure(ohms[1])
    return seriesOhms === undefined ? { problem: 'number' } : { seriesOhms }
  }
  const scale = asRange.exec(part)
  if (!scale) return undefined
  const range = figure(scale[1])
  return range === undefined ? { problem: 'number' } : { range }
}
