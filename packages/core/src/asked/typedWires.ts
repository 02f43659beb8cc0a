import { terminalNamed, type Card, type Terminal } from '../document'

const said = /^(.+?)\s*(?:=|\s(?:is|are)\s)\s*(.+)$/i

/**
 * Reads which loose wire is which, as a person typed it: `wire 2 = start, wire 1 = finish`. Nothing is taken to
 * have been said of a wire that is not spoken of; one whose place another takes must be.
 * @param text as typed; names are the labels on the wires and the terminals of the card, by label, alias or id
 * @returns loose wire → terminal, of those that were said; a sentence where it cannot be; nothing where the words say no such thing
 * @example
 * typedWires('G = T, T = G', scenes.low().run.card) // { problem: 'No wires are loose on this part: its points have their names.' }
 */
export function typedWires(
  text: string,
  card: Card,
): { map: Record<string, string> } | { problem: string } | undefined {
  const parts = text
    .normalize('NFC')
    .split(/[,;]|\band\b/i)
    .map((one) => one.trim())
    .filter((one) => one !== '')
  const pairs = parts.map((one) => said.exec(one))
  if (pairs.length === 0 || pairs.some((one) => one === null)) return undefined
  const loose = looseWires(card)
  if (loose.length === 0) return { problem: 'No wires are loose on this part: its points have their names.' }
  const map = new Map<string, string>()
  for (const found of pairs) {
    const [wire, terminal] = [found?.[1], found?.[2]].map((name) => terminalNamed(name ?? '', { terminals: loose }))
    const strange = wire === undefined ? found?.[1] : terminal === undefined ? found?.[2] : undefined
    if (wire === undefined || terminal === undefined) return { problem: `“${strange}” is none of the loose wires.` }
    if (map.has(wire.id)) return { problem: `${wire.label} is named twice.` }
    if ([...map.values()].includes(terminal.id)) return { problem: `Two wires cannot both be “${found?.[2]}”.` }
    map.set(wire.id, terminal.id)
  }
  const taken = new Set(map.values())
  const displaced = loose.filter(({ id }) => taken.has(id) && !map.has(id)).map(({ label }) => label)
  if (displaced.length > 0)
    return { problem: `Say also which ${displaced.join(' and ')} ${displaced.length > 1 ? 'are' : 'is'}.` }
  return { map: Object.fromEntries(map) }
}

/**
 * The wires that stand in a pair matrix and come out of no plug that would name them.
 * @example
 * looseWires(scenes.low().run.card) // []
 */
export function looseWires({ checks, plugs, terminals }: Card): Terminal[] {
  if (plugs.some(({ shape }) => shape !== 'loose-wires')) return []
  const among = checks.flatMap(({ kind, at }) => (kind === 'pair-matrix' && 'among' in at ? at.among : []))
  return terminals.filter(({ id }) => among.includes(id))
}
