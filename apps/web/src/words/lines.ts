import {
  isAsked,
  sideOf,
  type Check,
  type CheckKind,
  type Evaluation,
  type Reading,
  type RunState,
} from '@sure-spool/core'
import type { Figures } from './figures'
import { checkLabel, takenAt, terminalLabel } from './points'
import { takenUnder } from './takenUnder'

export const lineGroups = ['Windings', 'Ground', 'At work', 'At speed'] as const
export type LineGroup = (typeof lineGroups)[number]
const working = new Set<CheckKind>(['ac-output', 'dc-output', 'current', 'lamp', 'act', 'field', 'response'])

/** What is read while it works is not a matter of its windings, even where it is read to frame. */
const isBent = ({ conditions }: Pick<Check, 'conditions'>): boolean => conditions?.state?.includes('flexed') ?? false
const groupOfLine = ({ kind, conditions }: Pick<Check, 'kind' | 'conditions'>, toFrame: boolean): LineGroup =>
  working.has(kind) ? (conditions?.rpm === undefined ? 'At work' : 'At speed') : toFrame ? 'Ground' : 'Windings'

/** What a reading did while it was held; undefined where it stood still. */
export const movedIn = ({ kind, low, high, drops }: Reading) =>
  kind === 'spread' && low !== undefined ? { low, high, drops } : undefined

/** A reading on its ruler: what `ReadingRuler` is given, where it is judged and where it is only read. */
export const onRuler = ({ judged, net, u, netU, bound, limit, quantity, verdict, entry }: Evaluation) => ({
  moved: movedIn(entry.reading),
  value: judged ?? net,
  u: u ?? netU,
  bound,
  min: limit?.band.min,
  max: limit?.band.max,
  quantity,
  verdict,
})

/** One judged line of a run, as the finding and the sheet list them. */
export interface FoundLine {
  key: string
  group: LineGroup
  points: string
  /** how it was taken, where that was said with it */
  under: string
  label: string
  evaluation: Evaluation
  held: boolean
  /** it was taken again, taken back or mistyped */
  gone: 'taken-back' | 'retaken' | 'mistyped' | undefined
  earlierStage: boolean
  /** another meter or method read the same point surer: that one is judged */
  beside: boolean
  side: 'high' | 'low' | 'other'
}

/** Entered again with what was missing, its length or one more drop: nothing was read that the later entry does not say. */
function isSupplemented({ entry }: Evaluation, { tape }: RunState): boolean {
  const gone = tape.gone.get(entry.id)
  return gone?.how === 'mistyped' && gone.by.kind === 'reading' && gone.by.reading.text === entry.reading.text
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
  for (const { severity, answered, holds } of state.remarks)
    if (severity === 'stop' && !answered) for (const one of holds) held.add(one)
  const placeOf = ({ point, entry }: Evaluation) => `${point}|${state.tape.stageOf.get(entry.id) ?? 0}`
  const judgedAt = new Set(
    [...state.evaluations.values()].flatMap((one) => (standing.has(one.entry.id) ? [placeOf(one)] : [])),
  )
  const joinedTo = (id: string) => state.prepared.unitGroups.find((group) => group.includes(id)) ?? [id]
  const { card } = state.run
  return [...state.evaluations.values()]
    .filter((one) => (all && !isSupplemented(one, state)) || standing.has(one.entry.id))
    .map((evaluation) => {
      const { entry, check, pair } = evaluation
      const toFrame = pair?.includes('frame') === true
      const stands =
        pair
          ?.filter((id) => id !== 'frame')
          .flatMap(joinedTo)
          .filter((id) => card.terminals.find((one) => one.id === id)?.part !== 'joint') ?? []
      const label =
        check.toFrame && stands.length > 1 && !isBent(check)
          ? `stands for ${stands.map((id) => terminalLabel(card, id)).join(', ')}`
          : isAsked(check.id)
            ? 'asked besides the card'
            : checkLabel(card, check.id)
      const isUnjudged = !state.tape.gone.has(entry.id) && !standing.has(entry.id)
      const beside = isUnjudged && judgedAt.has(placeOf(evaluation))
      return {
        key: entry.id,
        group: groupOfLine(check, toFrame),
        points: takenAt(card, evaluation, figures),
        under: takenUnder(card, evaluation, figures),
        label: beside && evaluation.instrument ? `${label}, beside, on ${evaluation.instrument.name}` : label,
        evaluation,
        held: held.has(entry.id),
        gone: state.tape.gone.get(entry.id)?.how,
        earlierStage: isUnjudged && !beside,
        beside,
        side: sideOf(evaluation),
      }
    })
}
