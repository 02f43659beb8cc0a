import { pairKey, readsOpen } from '../judgement'
import type { RunState } from './runState'

/** Two wires that farads propose to belong together, and what was read between them. */
export interface ProposedPair {
  pair: [string, string]
  farads: number
}

/**
 * Wires between which no ohms lead, proposed to be the two ends of one broken coil: of the pairs that were read in farads and that share a
 * wire the largest (METHODS 11.23). It proves nothing.
 * @returns the largest first; none before two pairs that share a wire were read
 * @example
 * pairsByFarads(scenes.low().state) // []
 */
export function pairsByFarads({ evaluations, tape }: Pick<RunState, 'evaluations' | 'tape'>): ProposedPair[] {
  const standing = [...evaluations.values()].filter(({ entry }) => !tape.gone.has(entry.id))
  const open = new Set(
    standing.flatMap((one) => (one.quantity === 'resistance' && one.pair && readsOpen(one) ? [pairKey(one.pair)] : [])),
  )
  const read = new Map<string, ProposedPair>()
  for (const { quantity, pair, taken } of standing)
    if (quantity === 'capacitance' && pair && taken !== undefined && taken > 0 && open.has(pairKey(pair)))
      read.set(pairKey(pair), { pair, farads: taken })
  const all = [...read.values()]
  const rivals = (one: ProposedPair) =>
    all.filter((other) => other !== one && other.pair.some((id) => one.pair.includes(id)))
  return all
    .filter((one) => rivals(one).length > 0 && rivals(one).every(({ farads }) => farads < one.farads))
    .sort((a, b) => b.farads - a.farads)
}
