import { pairKey, type RunState } from '@sure-spool/core'
import type { Figures } from './figures'
import { pairLabel, terminalLabel } from './points'

/**
 * What a relay that operates does, in a few words: `operates with plus on 4; 2–5 rests closed 0.07 Ω, 2–3 closes 0.08 Ω`; empty for a part
 * that is none, or whose contacts are not known.
 */
export function operatesWords(state: RunState, figures: Figures): string {
  const relay = state.roles.find((one) => one.kind === 'relay')
  const { card } = state.run
  if (!relay || (!relay.normallyOpen && !relay.normallyClosed)) return ''
  const way =
    relay.polarised === false
      ? ' either way'
      : relay.drive
        ? ` with plus on ${terminalLabel(card, relay.drive.plus)}`
        : ''
  const ohmsAt = (pair: [string, string]) => {
    const read = [...state.evaluations.values()].findLast(
      (one) =>
        one.check.kind === 'contacts' &&
        !state.tape.gone.has(one.entry.id) &&
        one.pair !== undefined &&
        pairKey(one.pair) === pairKey(pair) &&
        one.net !== undefined,
    )
    return read?.net === undefined ? '' : ` ${figures.bound(Number(read.net.toFixed(2)))}`
  }
  const { normallyOpen: open, normallyClosed: closed } = relay
  if (open && !closed) return `operates${way}, contact${ohmsAt(open)}`
  const said = [
    closed ? `${pairLabel(card, closed)} rests closed${ohmsAt(closed)}` : '',
    open ? `${pairLabel(card, open)} closes${ohmsAt(open)}` : '',
  ]
  return `operates${way}; ${said.filter((one) => one !== '').join(', ')}`
}
