import { openFrom } from '../conformance'

export type PairReading = { a: string; b: string; value: number | 'Infinity' }

/**
 * Which wires belong together: connected components over the pairs that read finite (METHODS 5).
 * @param input wires by name; a number of 1 MΩ or more is leakage, not a joint; a reading naming another wire is ignored
 * @returns the groups, each and all sorted by code unit
 * @example
 * groups({ wires: ['O', 'G', 'V'], readings: [{ a: 'O', b: 'G', value: 322 }] }) // [ [ 'G', 'O' ], [ 'V' ] ]
 */
export function groups({ wires, readings }: { wires: string[]; readings: PairReading[] }): string[][] {
  const parent = new Map(wires.map((wire) => [wire, wire]))
  const root = (wire: string): string => {
    const up = parent.get(wire) ?? wire
    return up === wire ? wire : root(up)
  }
  for (const { a, b, value } of readings) {
    if (value === 'Infinity' || value >= openFrom || !parent.has(a) || !parent.has(b)) continue
    parent.set(root(a), root(b))
  }
  const members = new Map<string, string[]>()
  for (const wire of [...parent.keys()].sort()) members.set(root(wire), [...(members.get(root(wire)) ?? []), wire])
  return [...members.values()].sort((x, y) => ((x[0] ?? '') < (y[0] ?? '') ? -1 : 1))
}
