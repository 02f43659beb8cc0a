import {
  parseReading,
  typedConditions,
  withUnit,
  type Check,
  type ConditionWords,
  type ReadingProblem,
  type ReadingSetting,
  type ShownUnits,
  type TypedConditions,
} from '@sure-spool/core'
import { placeQuantity } from '../words/points'

export interface Placed {
  /** the figure itself, without its place */
  figure: string
  setting: Pick<ReadingSetting, 'x' | 'xText' | 'where' | 'range'>
  /** what was said behind the `@`, besides a place */
  conditions?: Omit<TypedConditions, 'where' | 'range'>
}

interface Typing {
  decimalComma: boolean
  units: ShownUnits
  words: ConditionWords
}

const volts = /^[\d.,]+\s*[kK]?V$/

/**
 * Parts the typed line into the figure and what stands behind its `@`: a place (`2.31k @ 0.41 m`) or conditions (`43.4 @ 2570 rpm`),
 * or both, apart by a comma. A line without `@` keeps the step's own place; test volts and the bound of an over-range stay with the figure.
 * @param known the place of this step, or of this item's earlier reading
 */
export function splitPlace(
  check: Pick<Check, 'kind' | 'x'>,
  text: string,
  { decimalComma, units, words }: Typing,
  known: number | undefined,
): Placed | { problem: ReadingProblem } {
  const quantity = placeQuantity(check)
  const at = text.lastIndexOf('@')
  const behind = text.slice(at + 1).trim()
  const kept = { setting: known === undefined ? {} : { x: known } }
  if (at < 0 || volts.test(behind) || /^~?\s*O\.?L\s*@/i.test(text)) return { figure: text, ...kept }
  const figure = text.slice(0, at).trim()
  const [first = '', ...rest] = behind.split(/,\s+|;/)
  // a position is a share or a way, as its card says; its sign says no more
  const bare = quantity === 'position' ? first.trim().replace(/\s*(?:%|mm|°)$/, '') : first.trim()
  const xText = quantity === undefined ? '' : withUnit(bare, quantity, units, decimalComma)
  const place = quantity === undefined ? undefined : parseReading({ text: xText, quantity, decimalComma })
  const isPlace = place?.kind === 'value' && place.value !== undefined
  if (place && !isPlace && /^[\d.,-]/.test(first.trim())) return { problem: place.problem ?? 'number' }
  const setting = isPlace ? { x: place.value, xText } : kept.setting
  const said = isPlace ? rest.join('; ') : behind
  if (said.trim() === '') return isPlace ? { figure, setting } : { problem: 'empty' }
  const typed = typedConditions(said, words, decimalComma)
  if ('problem' in typed) return typed
  const { where, range, ...conditions } = typed
  // where a place is typed a strange word is no state: it is a place that was not understood
  const strange = place && !isPlace && conditions.state?.some((one) => !words.states.includes(one))
  if (strange) return { problem: place.problem ?? 'number' }
  const beside = { ...(where === undefined ? {} : { where }), ...(range === undefined ? {} : { range }) }
  return { figure, setting: { ...setting, ...beside }, conditions }
}
