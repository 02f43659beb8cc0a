import { parseReading, type Check, type Quantity, type ReadingProblem, type ReadingSetting } from '@sure-spool/core'

/** What stands behind an `@` on the typed line: a lead's length, a place on a curve, a frequency. */
export function placeQuantity({ kind, x }: Check): Quantity | undefined {
  if (kind === 'per-length') return x ?? 'length'
  if (kind === 'curve') return x ?? 'position'
  return kind === 'response' ? (x ?? 'frequency') : undefined
}

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
  check: Check,
  text: string,
  decimalComma: boolean,
  known: number | undefined,
): Placed | { problem: ReadingProblem } {
  const quantity = placeQuantity(check)
  const at = quantity === undefined ? -1 : text.lastIndexOf('@')
  if (quantity === undefined || at < 0) return { figure: text, setting: known === undefined ? {} : { x: known } }
  const xText = text.slice(at + 1).trim()
  const { kind, value, problem } = parseReading({ text: xText, quantity, decimalComma })
  if (kind !== 'value' || value === undefined) return { problem: problem ?? 'number' }
  return { figure: text.slice(0, at).trim(), setting: { x: value, xText } }
}
