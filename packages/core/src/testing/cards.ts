import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Card } from '../document'

/** A card of the demo shop, a fresh copy each time, with parts of it replaced. */
export function demoCard(name: string, changes: Partial<Card> = {}): Card {
  const text = readFileSync(join(process.cwd(), 'demo/cards', `${name}.json`), 'utf8')
  return { ...(JSON.parse(text) as Card), ...changes }
}

export const twinCard = (changes: Partial<Card> = {}): Card => demoCard('orrinvale-18-twin', changes)
export const coarseCard = (): Card => demoCard('orrinvale-9-single')
export const chargingCard = (): Card => demoCard('orrinvale-60-charging')
