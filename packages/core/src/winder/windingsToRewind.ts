import type { Winding } from '../document'
import { entriesThatStand } from '../judgement'
import type { RunState } from '../state'

/**
 * The windings that a run's end sends to the winder: those that its last decision names, else those that failed, else all of the card's.
 * @example
 * windingsToRewind(scenes.low().state).map(({ id }) => id) // [ 'low' ]
 */
export function windingsToRewind({ tape, causes, run: { card } }: RunState): Winding[] {
  const decision = entriesThatStand(tape, 'decision').findLast(({ what }) => what === 'rewind')
  const named = new Set((decision?.about ?? []).map(String))
  const failed = new Set(
    causes.flatMap(({ kind, of }) =>
      kind.startsWith('winding') || kind === 'to-frame' || kind === 'insulation-low' || kind === 'bridged' ? of : [],
    ),
  )
  const by = (ids: ReadonlySet<string>) => card.windings.filter(({ id }) => ids.has(id))
  return named.size > 0 ? by(named) : failed.size > 0 ? by(failed) : card.windings
}
