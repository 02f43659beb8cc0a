import type { Rewind, RewindEntryOf, RewindStepId } from '../document'
import { leaderOf } from './coilState'
import type { CoilState, RewindPhase, RewindStep } from './rewindStanding'

/** Fixing pinches: what is fixed is done before it is proved. */
const lastStep: RewindStepId = 'leads'

/**
 * The steps of a rewind in working order, and how far each is. Of coils of one winding the first is stripped and planned for all.
 * @example
 * stepsOf({ coils: [] }, [], undefined, []).at(-1)?.id // 'prove'
 */
export function stepsOf(
  rewind: Rewind,
  coils: CoilState[],
  direction: RewindEntryOf<'direction'> | undefined,
  finished: RewindEntryOf<'step'>[],
): RewindStep[] {
  const leaders = coils.filter(({ coil }) => leaderOf(rewind, coil)?.id === coil.id)
  const step = (id: string, phase: RewindPhase, isDone: boolean, coil?: string): RewindStep => ({
    id: coil === undefined ? id : `${id}:${coil}`,
    phase,
    status: isDone ? 'done' : 'to-do',
    ...(coil === undefined ? {} : { coil }),
  })
  return [
    ...leaders.flatMap(({ coil: { id }, original, gauges, unknown }) => {
      const isWireTold = original.wire?.awg !== undefined || original.wire?.bareMm !== undefined
      const wireStep = step('wire', 'strip', isWireTold || unknown.has('wire'), id)
      return [
        step('turns', 'strip', original.turns !== undefined || unknown.has('turns'), id),
        step('lay', 'strip', original.lay !== undefined || unknown.has('lay'), id),
        step('ends', 'strip', original.start !== undefined || unknown.has('ends'), id),
        { ...wireStep, ...(gauges.length > 0 && wireStep.status === 'to-do' ? { status: 'again' as const } : {}) },
      ]
    }),
    ...leaders.map(({ coil: { id }, plan }) => step('plan', 'plan', plan !== undefined, id)),
    step('direction', 'direction', direction !== undefined),
    ...coils.map(({ coil: { id }, wound }) => step('wind', 'wind', wound !== undefined, id)),
    step(
      'finish',
      'finish',
      finished.some(({ what }) => what === lastStep),
    ),
    ...coils.flatMap(({ coil: { id, sister }, phase }, i) => {
      // of two that are rewound together the later one is held against the other
      const isAskedLater = coils.slice(i + 1).some(({ coil }) => coil.label === sister)
      if (sister === undefined || isAskedLater) return []
      const tried = step('phase', 'prove', phase !== undefined, id)
      return [phase?.swing === 'opposite' ? { ...tried, status: 'again' as const } : tried]
    }),
    step('prove', 'prove', false),
  ]
}
