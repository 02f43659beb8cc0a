import type { Card, Terminal } from '@sure-spool/core'

/** A terminal by the name a person sees on the part. */
export function terminalLabel(card: Card, id: string): string {
  return card.terminals.find((terminal) => terminal.id === id)?.label ?? id
}

export function terminalOf(card: Card, id: string): Terminal | undefined {
  return card.terminals.find((terminal) => terminal.id === id)
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
