import { Matrix, solve } from 'ml-matrix'

/** `ohms` 0 joins the two ends, Infinity (or the word) leaves the winding out. */
export interface Resistor {
  id: string
  from: string
  to: string
  ohms: number | 'Infinity'
}
export interface NetworkInput {
  nodes: string[]
  windings: Resistor[]
  a: string
  b: string
}

interface Solved {
  ohms: number
  /** each winding's share of a unit current from a to b, signed from its start to its end */
  shares: Map<string, number>
}

/**
 * The resistance between two terminals through everything that joins them (METHODS 9; weighted graph Laplacian).
 * @param input nodes and windings in ohms
 * @returns ohms; 0 where a = b, "Infinity" where nothing joins them
 */
export function pairResistance(input: NetworkInput): number | 'Infinity' {
  const { ohms } = solveNetwork(input)
  return Number.isFinite(ohms) ? ohms : 'Infinity'
}

/** Solves the network for a unit current from a to b; `shares` is empty where the pair is not joined. */
export function solveNetwork({ nodes, windings, a, b }: NetworkInput): Solved {
  const merged = mergeShorts(nodes, windings)
  const start = merged(a)
  const end = merged(b)
  if (start === end) return { ohms: 0, shares: new Map() }
  const resistors = windings
    .map((one) => ({ id: one.id, from: merged(one.from), to: merged(one.to), ohms: Number(one.ohms) }))
    .filter((one) => Number.isFinite(one.ohms) && one.ohms > 0 && one.from !== one.to)
  const reached = reach(start, resistors)
  if (!reached.has(end)) return { ohms: Infinity, shares: new Map() }
  const free = [...reached].filter((node) => node !== end)
  const place = new Map(free.map((node, index) => [node, index]))
  const laplacian = Matrix.zeros(free.length, free.length)
  for (const { from, to, ohms } of resistors) {
    const i = place.get(from)
    const j = place.get(to)
    const conductance = 1 / ohms
    if (i !== undefined) laplacian.set(i, i, laplacian.get(i, i) + conductance)
    if (j !== undefined) laplacian.set(j, j, laplacian.get(j, j) + conductance)
    if (i === undefined || j === undefined) continue
    laplacian.set(i, j, laplacian.get(i, j) - conductance)
    laplacian.set(j, i, laplacian.get(j, i) - conductance)
  }
  const current = Matrix.zeros(free.length, 1)
  current.set(place.get(start) ?? 0, 0, 1)
  const volts = solve(laplacian, current)
  const voltsAt = (node: string) => {
    const index = place.get(node)
    return index === undefined ? 0 : volts.get(index, 0)
  }
  const shares = new Map(
    resistors
      .filter((one) => reached.has(one.from))
      .map((one) => [one.id, (voltsAt(one.from) - voltsAt(one.to)) / one.ohms]),
  )
  return { ohms: voltsAt(start), shares }
}

function mergeShorts(nodes: string[], windings: Resistor[]): (node: string) => string {
  const parent = new Map(nodes.map((node) => [node, node]))
  const root = (node: string): string => {
    const up = parent.get(node) ?? node
    return up === node ? node : root(up)
  }
  for (const one of windings) if (one.ohms === 0) parent.set(root(one.from), root(one.to))
  return root
}

function reach(start: string, resistors: { from: string; to: string }[]): Set<string> {
  const reached = new Set([start])
  const waiting = [start]
  for (let node = waiting.pop(); node !== undefined; node = waiting.pop()) {
    for (const { from, to } of resistors) {
      const next = from === node ? to : to === node ? from : undefined
      if (next === undefined || reached.has(next)) continue
      reached.add(next)
      waiting.push(next)
    }
  }
  return reached
}
