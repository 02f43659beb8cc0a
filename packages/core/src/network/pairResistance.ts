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
 * The resistance between two terminals through everything that joins them (METHODS 9). Nodes are eliminated one by one by the
 * star-mesh transformation (Kron reduction of the weighted Laplacian): conductances are only ever added, so nothing cancels.
 * @param input nodes and windings in ohms
 * @returns ohms; 0 where a = b, "Infinity" where nothing joins them
 * @example
 * pairResistance({ nodes: ['a', 'b', 'c'], windings: [{ id: '1', from: 'a', to: 'b', ohms: 322 }, { id: '2', from: 'b', to: 'c', ohms: 36.5 }], a: 'a', b: 'c' })
 * // 358.5
 */
export function pairResistance(input: NetworkInput): number | 'Infinity' {
  const { ohms } = solveNetwork(input)
  return Number.isFinite(ohms) ? ohms : 'Infinity'
}

/**
 * Solves the network for a unit current from a to b; `shares` is empty where the pair is not joined.
 * @example
 * solveNetwork({ nodes: ['a', 'b'], windings: [{ id: '1', from: 'a', to: 'b', ohms: 10 }, { id: '2', from: 'a', to: 'b', ohms: 10 }], a: 'a', b: 'b' }).ohms
 * // 5
 */
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
  const others = [...reached].filter((node) => node !== start && node !== end)
  const order = [...others, start, end]
  const volts = potentials(order, resistors)
  const voltsAt = (node: string) => volts[order.indexOf(node)] ?? 0
  const shares = new Map(
    resistors
      .filter((one) => reached.has(one.from))
      .map((one) => [one.id, (voltsAt(one.from) - voltsAt(one.to)) / one.ohms]),
  )
  return { ohms: voltsAt(start), shares }
}

/** Each node's potential for a unit current from the last but one node of the order to the last, which stands at 0. */
function potentials(order: string[], resistors: { from: string; to: string; ohms: number }[]): Float64Array {
  const n = order.length
  const place = new Map(order.map((node, i) => [node, i]))
  const joins = new Float64Array(n * n)
  const at = (i: number, j: number) => joins[i * n + j] ?? 0
  const add = (i: number, j: number, conductance: number) => {
    joins[i * n + j] = joins[j * n + i] = at(i, j) + conductance
  }
  for (const { from, to, ohms } of resistors) {
    const [i, j] = [place.get(from), place.get(to)]
    if (i !== undefined && j !== undefined) add(i, j, 1 / ohms)
  }
  const total = (k: number) => {
    let sum = 0
    for (let j = k + 1; j < n; j++) sum += at(k, j)
    return sum
  }
  for (let k = 0; k < n - 2; k++) {
    const all = total(k)
    for (let i = k + 1; i < n; i++) for (let j = i + 1; j < n; j++) add(i, j, (at(k, i) * at(k, j)) / all)
  }
  const volts = new Float64Array(n)
  volts[n - 2] = 1 / at(n - 2, n - 1)
  for (let k = n - 3; k >= 0; k--) {
    let weighted = 0
    for (let j = k + 1; j < n; j++) weighted += at(k, j) * (volts[j] ?? 0)
    volts[k] = weighted / total(k)
  }
  return volts
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
