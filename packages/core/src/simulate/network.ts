import { solveNetwork, type Resistor } from '../network'
import { isMetal, resistanceAt } from '../temperature'
import type { Fault, SimulatedPart } from './part'

export interface Surroundings {
  /** the windings' temperature, °C */
  celsius: number
  /** leads are being bent */
  flexed?: boolean
}

/**
 * The resistors a part is at a temperature, with the faults that show there. Leakage through sound insulation is left out:
 * it is what an insulation tester sees.
 * @returns nodes and resistors in ohms, ready for `solveNetwork`
 * @example
 * networkOf(partOf(twinCard()), { celsius: 20 }).windings.length // 3
 */
export function networkOf(part: SimulatedPart, at: Surroundings): { nodes: string[]; windings: Resistor[] } {
  const shows = (fault: Fault) =>
    (fault.above === undefined || at.celsius >= fault.above) && (!fault.flexed || at.flexed === true)
  const faults = part.faults.filter(shows)
  const of = <K extends Fault['kind']>(kind: K) =>
    faults.filter((fault): fault is Extract<Fault, { kind: K }> => fault.kind === kind)
  const swapped = new Map(of('crossed-pins').flatMap(({ a, b }) => [[a, b] as const, [b, a] as const]))
  const behind = new Set([...of('open-lead'), ...of('resistive-joint')].map((fault) => fault.terminal))
  const inner = (terminal: string) => (behind.has(terminal) ? `${terminal}·` : terminal)
  const end = (terminal: string) => inner(swapped.get(terminal) ?? terminal)
  const windings: Resistor[] = []
  for (const winding of part.windings) {
    const { id, ohms20, material } = winding
    const [from, to] = [end(winding.from), end(winding.to)]
    const turns = of('shorted-turns').find((fault) => fault.winding === id)
    const warm = isMetal(material) ? resistanceAt({ ohms: ohms20, fromC: 20, toC: at.celsius, material }) : ohms20
    const ohms = warm * (1 - (turns?.fraction ?? 0))
    if (of('open-winding').some((fault) => fault.winding === id)) continue
    const leak = of('ground-leak').find((fault) => fault.winding === id)
    if (!leak) windings.push({ id, from, to, ohms })
    else
      windings.push(
        { id: `${id}-start`, from, to: `${id}·`, ohms: ohms * leak.position },
        { id: `${id}-end`, from: `${id}·`, to, ohms: ohms * (1 - leak.position) },
        { id: `${id}-leak`, from: `${id}·`, to: 'frame', ohms: leak.ohms },
      )
  }
  for (const { a, b, ohms } of part.wires) windings.push({ id: `wire-${a}-${b}`, from: inner(a), to: inner(b), ohms })
  for (const { a, b, ohms } of of('bridge'))
    windings.push({ id: `bridge-${a}-${b}`, from: inner(a), to: inner(b), ohms })
  for (const terminal of behind) {
    const open = of('open-lead').some((fault) => fault.terminal === terminal)
    const joint = of('resistive-joint').reduce((sum, one) => sum + (one.terminal === terminal ? one.ohms : 0), 0)
    if (!open) windings.push({ id: `lead-${terminal}`, from: terminal, to: inner(terminal), ohms: joint })
  }
  const nodes = [...new Set([...part.terminals, ...windings.flatMap(({ from, to }) => [from, to])])]
  return { nodes, windings }
}

/**
 * Ohms between two terminals of a part as it is there and then; Infinity where nothing joins them.
 * @example
 * ohmsBetween(partOf(twinCard(), [{ kind: 'open-winding', winding: 'high' }]), ['O', 'T'], { celsius: 20 }) // Infinity
 */
export function ohmsBetween(part: SimulatedPart, [a, b]: [string, string], at: Surroundings): number {
  return solveNetwork({ ...networkOf(part, at), a, b }).ohms
}
