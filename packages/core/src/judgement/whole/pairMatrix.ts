import { groups, type PairReading } from '../../relations'
import { judgeFigure, ohmsRead, samePoint, type Bench, type Evaluation } from '../figure'
import { pairKey, type PreparedCheck, type PreparedLimit } from '../preparedCard'
import { entriesThatStand } from '../tape'
import { limitOf } from './threePins'
import type { Whole } from './whole'

/**
 * Every pair of a set of wires (METHODS 4, `pair-matrix`; 11.7): which belong together, and whether each value fits its
 * winding. Before the wires are known their labels are the terminals' places, and groups compare by size and value.
 * @example
 * judgePairMatrix(scenes.pickup().bench, scenes.pickup().check('wires'), scenes.pickup().all, scenes.pickup().all).verdict
 * // 'none'
 */
export function judgePairMatrix(bench: Bench, check: PreparedCheck, readings: Evaluation[], all: Evaluation[]): Whole {
  const among = 'among' in check.at ? check.at.among : []
  const named = nameWires(bench, readings)
  const wires = [...new Set(named.flatMap(({ pair }) => pair))]
  const pairs = new Set(named.map(({ pair }) => pairKey(pair)))
  if (pairs.size < (among.length * (among.length - 1)) / 2) return { verdict: 'none', reason: 'not-read', wanted: [] }
  if (named.some(({ ohms }) => ohms === undefined)) return { verdict: 'none', reason: 'range-too-low', wanted: [] }
  const known = named.map(({ pair: [a, b], ohms }): PairReading => ({ a, b, value: ohms ?? 'Infinity' }))
  const found = groups({ wires, readings: known }).filter((group) => group.length > 1)
  const drawn = bench.prepared.groups
    .map((group) => group.filter((terminal) => among.includes(terminal)))
    .filter((group) => group.length > 1)
  if (found.length < drawn.length) {
    const left = wires.filter((wire) => !found.some((group) => group.includes(wire)) && !isShield(bench, wire))
    return { verdict: 'outside', reason: 'open-circuit', wanted: leftReadOnce(bench, left, named, all) }
  }
  if (!sameSizes(found, drawn)) return { verdict: 'outside', reason: 'short-circuit', wanted: [] }
  return judgeValues(limitOf(bench, check, readings), named, found, drawn)
}

/** A reading by its terminals' names, in ohms. */
export interface Named {
  evaluation: Evaluation
  pair: [string, string]
  ohms: number | 'Infinity' | undefined
}

/**
 * Readings by the terminals they were taken at: a `wires` entry says which each loose wire is; until then the label stands.
 * @example
 * nameWires(scenes.pickup().bench, []).length // 0
 */
export function nameWires({ tape }: Bench, readings: Evaluation[]): Named[] {
  const map = entriesThatStand(tape, 'wires').at(-1)?.map ?? {}
  const name = (wire: string) => map[wire] ?? wire
  return readings.flatMap((evaluation) => {
    const { pair } = evaluation
    return pair ? [{ evaluation, pair: [name(pair[0]), name(pair[1])], ohms: ohmsRead(evaluation) }] : []
  })
}

const isShield = ({ prepared }: Bench, wire: string): boolean =>
  prepared.card.terminals.some((terminal) => terminal.id === wire && terminal.part === 'shield')

/** An open winding rests on open pairs among the wires left over: each is read twice. */
function leftReadOnce({ tape }: Bench, left: string[], named: Named[], all: Evaluation[]): Evaluation[] {
  return named
    .filter(({ pair }) => pair.every((wire) => left.includes(wire)))
    .map(({ evaluation }) => evaluation)
    .filter((one) => !samePoint(tape, one, all).some((other) => ohmsRead(other) === 'Infinity'))
}

const sizesOf = (all: string[][]): string =>
  all
    .map((group) => group.length)
    .sort((a, b) => a - b)
    .join()
const sameSizes = (found: string[][], drawn: string[][]): boolean => sizesOf(found) === sizesOf(drawn)

/** Groups matched by name where the wires are known, else by the size of what they read. */
function judgeValues(limit: PreparedLimit | undefined, named: Named[], found: string[][], drawn: string[][]): Whole {
  const known = found.every((group) => group.every((wire) => drawn.some((other) => other.includes(wire))))
  if (known && found.some((group) => !drawn.some((other) => [...other].sort().join() === group.join())))
    return { verdict: 'outside', reason: 'unlike-the-rest', wanted: [] }
  const apart = new Map<Evaluation, Evaluation>()
  const inGroup = (group: string[]) =>
    named
      .filter(({ pair }) => pair.every((wire) => group.includes(wire)))
      .sort((a, b) => Number(a.ohms) - Number(b.ohms))
  const middle = (group: string[]) => inGroup(group).reduce((sum, { ohms }) => sum + Number(ohms), 0)
  const bands = drawn.map((group) => bandsOf(limit, group))
  const size = (one: PreparedLimit[]) => one.reduce((sum, { band }) => sum + (band.min ?? 0) + (band.max ?? 0), 0)
  const order = known
    ? found.map((group) => bands[drawn.findIndex((other) => other.includes(group[0] ?? ''))] ?? [])
    : matchBySize(found, bands, middle, size)
  found.forEach((group, i) => {
    inGroup(group).forEach(({ evaluation }, place) => {
      const own = order[i]?.[place]
      if (own) apart.set(evaluation, judgeFigure({ ...evaluation, reason: undefined, limit: own }, own))
    })
  })
  return { verdict: 'within', wanted: [], apart }
}

function matchBySize(
  found: string[][],
  bands: PreparedLimit[][],
  middle: (group: string[]) => number,
  size: (one: PreparedLimit[]) => number,
): PreparedLimit[][] {
  const inOrder = [...bands].sort((a, b) => a.length - b.length || size(a) - size(b))
  const order = [...found].sort((a, b) => a.length - b.length || middle(a) - middle(b))
  const pairsOf = (group: string[]) => (group.length * (group.length - 1)) / 2
  return found.map((group) => {
    const band = inOrder[order.indexOf(group)]
    return band?.length === pairsOf(group) ? band : []
  })
}

function bandsOf(limit: PreparedLimit | undefined, group: string[]): PreparedLimit[] {
  if (!limit?.byPair) return []
  const own = group.flatMap((a, i) => group.slice(i + 1).flatMap((b) => limit.byPair?.get(pairKey([a, b])) ?? []))
  return own
    .filter(({ band, expectOpen }) => !expectOpen && band.max !== undefined)
    .sort((a, b) => (a.band.max ?? 0) - (b.band.max ?? 0))
}
