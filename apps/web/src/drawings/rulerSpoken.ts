import type { Quantity } from '@sure-spool/core'
import type { Figures } from '../words/figures'
import type { OnRuler } from './rulerScale'

/** What a ruler shows, for who cannot see it: its limits and its reading. */
export function rulerSpoken(
  { min, max, value, bound, u, quantity }: OnRuler & { quantity: Quantity },
  figures: Figures,
): string {
  const [from, to] = [min, max].map((one) => (one === undefined ? undefined : figures.bound(one, quantity)))
  const band = from && to ? `limits ${from} to ${to}` : from ? `at least ${from}` : to ? `at most ${to}` : 'no limits'
  if (value !== undefined)
    return `${band}, reading ${figures.figure(value, quantity)} plus or minus ${figures.expanded(u ?? 0, quantity)}`
  return `${band}, ${bound === undefined ? 'no reading' : `beyond ${figures.bound(bound, quantity)}`}`
}
