import type { Card, Reading } from '../document'
import { twinCard } from './cards'
import { plainCard, plainCheck, plainTerminals } from './plainCards'
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

const band = (min: number, max: number) => ({ kind: 'band' as const, min, max })

/** Windings in a row, of so many ohms each: the first has a check of its own, and the whole. */
export const chain = (...windings: number[]): Card => {
  const ends = windings.map((_, i) => `t${i}`).concat(`t${windings.length}`)
  return plainCard({
    family: 'other',
    terminals: plainTerminals(...ends),
    windings: windings.map((ohms, i) => ({
      id: `w${i}`,
      label: `w${i}`,
      from: `t${i}`,
      to: `t${i + 1}`,
      ohms,
      tolerancePct: 5,
      material: 'copper',
    })),
    checks: [
      plainCheck('w0', 'resistance', { pair: ['t0', 't1'] }, band(95, 105)),
      plainCheck('whole', 'resistance', { pair: ['t0', `t${windings.length}`] }, band(190, 210)),
      plainCheck('henries', 'inductance', { pair: ['t0', 't1'] }, band(1, 2), { required: false }),
    ],
  })
}
