import { nodesOf, type Card, type Material } from '../document'

/** How a part is at fault, or seems to be (METHODS 9). A fault may show only above a temperature, or while a lead is bent. */
export type Fault = { above?: number; flexed?: true } & (
  | { kind: 'open-winding'; winding: string }
  | { kind: 'open-lead'; terminal: string }
  | { kind: 'shorted-turns'; winding: string; fraction: number }
  | { kind: 'resistive-joint'; terminal: string; ohms: number }
  /** position from 0 at the winding's start to 1 at its end */
  | { kind: 'ground-leak'; winding: string; position: number; ohms: number }
  | { kind: 'bridge'; a: string; b: string; ohms: number }
  | { kind: 'crossed-pins'; a: string; b: string }
)

export interface SimulatedWinding {
  id: string
  from: string
  to: string
  ohms20: number
  material: Material
}

/** A part as a network, with what is wrong with it. */
export interface SimulatedPart {
  terminals: string[]
  windings: SimulatedWinding[]
  /** plain wires, such as a lead that belongs to frame */
  wires: { a: string; b: string; ohms: number }[]
  faults: Fault[]
  insulation: {
    /** ohms to frame of each group once settled, and the seconds it takes to take up its charge */
    ohms: number
    settleSeconds: number
  }
  /** kelvin above its surroundings for each watt once settled, and the seconds that takes */
  heating: { kelvinPerWatt: number; settleSeconds: number }
}

const groundLeadOhms = 0.04

/**
 * A part as a card describes it: each winding at its nominal ohms, or the middle of its own check's limits.
 * @param spread multiplies each winding's ohms, by winding id; 1 where not given
 * @example
 * partOf(twinCard(), [], { low: 0.75 }).windings[0].ohms20 // 238.5
 */
export function partOf(card: Card, faults: Fault[] = [], spread: Record<string, number> = {}): SimulatedPart {
  return {
    terminals: nodesOf(card),
    windings: card.windings.map(({ id, from, to, ohms, material }) => ({
      id,
      from,
      to,
      ohms20: (ohms ?? middleOf(card, from, to)) * (spread[id] ?? 1),
      material,
    })),
    wires: card.terminals.flatMap(({ id, part }) =>
      part === 'ground-lead' || part === 'shield' ? [{ a: id, b: 'frame', ohms: groundLeadOhms }] : [],
    ),
    faults,
    insulation: { ohms: 2e9, settleSeconds: 6 },
    heating: { kelvinPerWatt: 4, settleSeconds: 120 },
  }
}

function middleOf(card: Card, from: string, to: string): number {
  for (const check of card.checks) {
    const own =
      check.kind === 'resistance' &&
      'pair' in check.at &&
      [from, to].every((end) => 'pair' in check.at && check.at.pair.includes(end))
    const limit = own ? check.limits.find((one) => one.limit !== 'derived')?.limit : undefined
    if (limit === undefined || limit === 'derived') continue
    if (limit.kind === 'band') return (limit.min + limit.max) / 2
    if (limit.kind === 'nominal') return limit.value
  }
  return 100
}
