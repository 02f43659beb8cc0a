import type { Card, Conditions } from '../document'
import { parseReading, type ReadingProblem } from './parseReading'

/** What of a reading's conditions is typed with it, and the place that was bent. */
export type TypedConditions = Pick<Conditions, 'rpm' | 'hertz' | 'load' | 'state'> & { where?: string }

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
/** Where it was done: `bent at the clamp`. */
const asPlace = /^(?:(.+?)\s+)?at\s+(?!(?:rest|idle|speed|once)\b)(.+)$/i
/** How a hand says that a lead was moved. */
const bent = /^(?:bent|bend|flex|bending|flexing)$/i

/**
 * The conditions typed behind a reading's `@`: a speed, a frequency, a load or a state, apart from one another by `, ` or `;`.
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
    if (/^[\d.,]/.test(part)) return { problem: 'unit' }
    const begun = (word: string) => word.toLowerCase().startsWith(part.toLowerCase())
    const load = loads.find(begun)
    if (load !== undefined) typed.load = load
    else said.push(bent.test(part) ? 'flexed' : (states.find(begun) ?? part))
  }
  if (said.length > 0) typed.state = said
  return Object.keys(typed).length > 0 ? typed : { problem: 'empty' }
}
