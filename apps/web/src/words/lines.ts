import { prepareCard, sideOf, type Evaluation, type RunState } from '@sure-spool/core'
import type { Figures } from './figures'
import { checkLabel, takenAt, terminalLabel } from './points'

/** One judged line of a run, as the finding and the sheet list them. */
export interface FoundLine {
  key: string
  group: 'Windings' | 'Ground' | 'At speed'
  points: string
  label: string
  evaluation: Evaluation
  held: boolean
  /** it was taken again, taken back or mistyped */
  gone: 'taken-back' | 'retaken' | 'mistyped' | undefined
  earlierStage: boolean
  side: 'high' | 'low' | 'other'
}

/** Every reading in the order taken; `all` with those that are out of use. */
export function foundLines(state: RunState, all: boolean, figures: Figures): FoundLine[] {
  const standing = new Set(
    state.checks.flatMap((check) =>
      check.points.flatMap((point) => (point.evaluation ? [point.evaluation.entry.id] : [])),
    ),
  )
  const held = new Set(
    state.checks.flatMap((check) =>
      check.points.flatMap((point) => (point.held && point.evaluation ? [point.evaluation.entry.id] : [])),
    ),
  )
  const { groupOf } = prepareCard(state.run)
  const { card } = state.run
  return [...state.evaluations.values()]
    .filter((one) => all || standing.has(one.entry.id))
    .map((evaluation) => {
      const { entry, check, pair } = evaluation
      const toFrame = pair?.includes('frame') === true
      const stands =
        pair
          ?.filter((id) => id !== 'frame')
          .flatMap(groupOf)
          .filter((id) => card.terminals.find((one) => one.id === id)?.part !== 'joint') ?? []
      const label =
        check.toFrame && stands.length > 1
          ? `stands for ${stands.map((id) => terminalLabel(card, id)).join(', ')}`
          : checkLabel(card, check.check.id)
      return {
        key: entry.id,
        group: check.check.kind === 'ac-output' ? 'At speed' : toFrame ? 'Ground' : 'Windings',
        points: takenAt(card, evaluation, figures),
        label,
        evaluation,
        held: held.has(entry.id),
        gone: state.tape.gone.get(entry.id)?.how,
        earlierStage: !state.tape.gone.has(entry.id) && !standing.has(entry.id),
        side: sideOf(evaluation),
      }
    })
}
