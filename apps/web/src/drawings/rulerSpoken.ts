import type { Quantity } from '@sure-spool/core'
import type { Figures } from '../words/figures'
import type { OnRuler } from './rulerScale'

/** A reading that did not stand still. */
interface Moved {
  low: number
  high?: number | undefined
  drops?: number | undefined
}

function movedSaid({ low, high = low, drops = 0 }: Moved, quantity: Quantity, figures: Figures): string {
  const from =
    high === low ? figures.bound(low, quantity) : `${figures.bound(low, quantity)} to ${figures.bound(high, quantity)}`
  return drops > 0 ? `${from}, and ${drops === 1 ? 'once' : `${drops} times`} none at all` : from
}

/** What a ruler shows, for who cannot see it: its limits and its reading. */
export function rulerSpoken(
  { min, max, value, bound, u, quantity, moved }: OnRuler & { quantity: Quantity; moved?: Moved | undefined },
  figures: Figures,
): string {
  const [from, to] = [min, max].map((one) => (one === undefined ? undefined : figures.bound(one, quantity)))
  const band = from && to ? `limits ${from} to ${to}` : from ? `at least ${from}` : to ? `at most ${to}` : 'no limits'
  if (moved) return `${band}, reading ${movedSaid(moved, quantity, figures)}`
  if (value !== undefined)
    return `${band}, reading ${figures.figure(value, quantity)} plus or minus ${figures.expanded(u ?? 0, quantity)}`
  return `${band}, ${bound === undefined ? 'no reading' : `beyond ${figures.bound(bound, quantity)}`}`
}
