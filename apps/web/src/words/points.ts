import type { Card, Check, Evaluation, Plug, Quantity, StepPoint, Terminal } from '@sure-spool/core'
import type { Figures } from './figures'

/** A terminal by the name a person sees on the part. */
export function terminalLabel(card: Card, id: string): string {
  return card.terminals.find((terminal) => terminal.id === id)?.label ?? id
}

export function terminalOf(card: Card, id: string): Terminal | undefined {
  return card.terminals.find((terminal) => terminal.id === id)
}

/** A plug by its name and, where it is for some variants alone, by theirs: `charge coils (tiller)`. */
export function plugLabel({ variants }: Card, { label, only }: Plug): string {
  const whose = variants.filter(({ id }) => only?.includes(id)).map((one) => one.label)
  return whose.length > 0 ? `${label} (${whose.join(', ')})` : label
}

/** Two points as one name: `grey–tan`, and `orange to frame` where one is the frame. */
export function pairLabel(card: Card, pair: [string, string] | undefined): string {
  if (!pair) return ''
  const [a, b] = pair.map((id) => terminalLabel(card, id))
  return pair.includes('frame') ? `${a} to ${b}` : `${a}–${b}`
}

export function checkLabel(card: Card, id: string): string {
  return card.checks.find((check) => check.id === id)?.label ?? id
}

/** A check by its points where it has one pair, else by its label. */
export function checkPoints(card: Card, id: string): string {
  const check = card.checks.find((one) => one.id === id)
  return check && 'pair' in check.at ? pairLabel(card, check.at.pair) : (check?.label ?? id)
}

/** What a reading's second place is: a lead's length, a place on a curve, a frequency. */
export function placeQuantity({ kind, x }: Pick<Check, 'kind' | 'x'>): Quantity | undefined {
  if (kind === 'per-length') return x ?? 'length'
  if (kind === 'curve') return x ?? 'position'
  return kind === 'response' ? (x ?? 'frequency') : undefined
}

/** Where a step is: a pair by its wires, an item by its number, a place on a curve, else the check itself. */
export function placeLabel(card: Card, id: string, { pair, index, x }: StepPoint, figures: Figures): string {
  if (index !== undefined) return `${checkLabel(card, id)} ${index}`
  if (x !== undefined) {
    const check = card.checks.find((one) => one.id === id)
    return `${checkLabel(card, id)} at ${figures.bound(x, (check && placeQuantity(check)) ?? 'position')}`
  }
  return pair ? pairLabel(card, pair) : checkLabel(card, id)
}

/** Where a reading was taken, in the same words. */
export function takenAt(card: Card, { pair, check, entry }: Evaluation, figures: Figures): string {
  const { index, x } = entry.reading
  const point = {
    ...(pair ? { pair } : {}),
    ...(index === undefined ? {} : { index }),
    ...(x === undefined || index !== undefined ? {} : { x }),
    covers: [],
  }
  return placeLabel(card, check.id, point, figures)
}

/** Which loose wire is which: the label on it, and what the card calls the terminal that it is. */
export const wiresNamed = (card: Card, map: Record<string, string>): string =>
  Object.entries(map)
    .map(([wire, id]) => {
      const { aliases: [alias] = [] } = card.terminals.find((one) => one.id === id) ?? {}
      return `${terminalLabel(card, wire)} is ${alias ?? terminalLabel(card, id)}`
    })
    .join(', ')
