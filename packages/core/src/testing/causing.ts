import type { Card, Reading } from '../document'
import { twinCard } from './cards'
import { Script } from './script'

/** A part loose on the bench, its leads zeroed. */
export const on = (card: Card = twinCard()): Script => new Script(card).ready()

/** The causes of a run as `kind of <explains>`. */
export const causes = (script: Script): string[] =>
  script.state().causes.map(({ kind, of, explains }) => `${kind} ${of.join()} <${explains.join()}>`)

/** Reads a check by clips, and again: what an open or a high reading wants before it stands. */
export const twice = (script: Script, check: string, text: string, more: Partial<Reading> = {}): Script =>
  script.read(check, text, { contact: 'clips', ...more }).again(check, text, { contact: 'clips', ...more })

export const pair = (a: string, b: string): { pair: [string, string] } => ({ pair: [a, b] })
