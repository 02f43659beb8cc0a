import {
  parseReading,
  withUnit,
  type Check,
  type ReadingProblem,
  type ReadingSetting,
  type ShownUnits,
} from '@sure-spool/core'
import { placeQuantity } from '../words/points'

export interface Placed {
  /** the figure itself, without its place */
  figure: string
  setting: Pick<ReadingSetting, 'x' | 'xText'>
}

/**
 * Parts the typed line into the figure and its place: `2.31k @ 0.41 m`. A line without `@` keeps the step's own place.
 * @param known the place of this step, or of this item's earlier reading
 */
export function splitPlace(
  check: Pick<Check, 'kind' | 'x'>,
  text: string,
  { decimalComma, units }: { decimalComma: boolean; units: ShownUnits },
  known: number | undefined,
): Placed | { problem: ReadingProblem } {
  const quantity = placeQuantity(check)
  const at = quantity === undefined ? -1 : text.lastIndexOf('@')
  if (quantity === undefined || at < 0) return { figure: text, setting: known === undefined ? {} : { x: known } }
  const xText = withUnit(text.slice(at + 1).trim(), quantity, units, decimalComma)
  const { kind, value, problem } = parseReading({ text: xText, quantity, decimalComma })
  if (kind !== 'value' || value === undefined) return { problem: problem ?? 'number' }
  return { figure: text.slice(0, at).trim(), setting: { x: value, xText } }
}
