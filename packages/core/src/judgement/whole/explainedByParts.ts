import { atMost } from '../../conformance'
import { nodesOf } from '../../document'
import { solveNetwork } from '../../network'
import { readsFinite, readsOpen, temperatureFactor, type Bench, type Evaluation } from '../figure'

/**
 * Whether what a pair over several windings reads is what these read by checks of their own, one of which failed: then the parts
 * decide, and the pair is not a second fault (METHODS 4.1). A reading never explains itself; what was read cold is held against what was
 * read hot as it would be there.
 * @param own a winding's own reading, where its resistance check was taken
 * @example
 * explainedByParts(scenes.sound().bench, scenes.sound().of('series'), (winding) => scenes.sound().of(winding)) // false
 */
export function explainedByParts(
  bench: Bench,
  whole: Evaluation,
  own: (winding: string) => Evaluation | undefined,
): boolean {
  const { check, pair } = whole
  if (check.touches.size < 2 || check.toFrame || whole.verdict !== 'outside' || !pair) return false
  const { card } = bench.prepared
  const parts = [...check.touches].map((id) => {
    const read = own(id)
    return { id, read: read?.check === check ? undefined : read }
  })
  if (parts.some(({ read }) => read === undefined) || !parts.some(({ read }) => read?.verdict === 'outside'))
    return false
  const asWarm = (read: Evaluation | undefined, figure: number) => figure * (read ? temperatureFactor(read, whole) : 1)
  const ohms = new Map(
    parts.map(({ id, read }) => [id, read?.net !== undefined && readsFinite(read) ? asWarm(read, read.net) : Infinity]),
  )
  const expected = solveNetwork({
    nodes: nodesOf(card),
    windings: card.windings.map((winding) => ({ ...winding, ohms: ohms.get(winding.id) ?? winding.ohms ?? Infinity })),
    a: pair[0],
    b: pair[1],
  }).ohms
  if (!Number.isFinite(expected)) return whole.net === undefined || readsOpen(whole)
  if (whole.net === undefined) return false
  const u = Math.hypot(whole.netU ?? 0, ...parts.map(({ read }) => asWarm(read, read?.netU ?? 0)))
  return atMost(Math.abs(expected - whole.net), 2 * u + 0.01 * whole.net)
}
