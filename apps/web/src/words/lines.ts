import {
  asJudged,
  isAsked,
  sideOf,
  type Check,
  type CheckKind,
  type Evaluation,
  type Reading,
  type Relation,
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
const groupOfLine = ({ kind, conditions }: Pick<Check, 'kind' | 'conditions'>, isGround: boolean): LineGroup =>
  working.has(kind) ? (conditions?.rpm === undefined ? 'At work' : 'At speed') : isGround ? 'Ground' : 'Windings'

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
  /** why it is not the one that is judged at its point: of a part that was worked on since, read surer by another meter, or read again there */
  aside: 'earlier' | 'beside' | 'again' | undefined
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
  const judgedAt = new Map(
    [...state.evaluations.values()].flatMap((one) => (standing.has(one.entry.id) ? [[placeOf(one), one]] : [])),
  )
  function asideOf(one: Evaluation): FoundLine['aside'] {
    if (state.tape.gone.has(one.entry.id) || standing.has(one.entry.id)) return undefined
    const judged = judgedAt.get(placeOf(one))
    if (!judged) return 'earlier'
    return judged.instrument === one.instrument ? 'again' : 'beside'
  }
  const joinedTo = (id: string) => state.prepared.unitGroups.find((group) => group.includes(id)) ?? [id]
  const { card } = state.run
  return [...state.evaluations.values()]
    .filter((one) => (all && !isSupplemented(one, state)) || standing.has(one.entry.id))
    .map((own) => {
      const evaluation = asJudged(state, own.entry.id) ?? own
      const { entry, check, pair } = evaluation
      // a coil or a track that goes to the body is read as a winding
      const isBody = pair?.includes('frame') === true && check.touches.size === 0 && check.kind !== 'curve'
      const isGround = check.toFrame || isBody
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
      const aside = asideOf(evaluation)
      return {
        key: entry.id,
        group: groupOfLine(check, isGround),
        points: takenAt(card, evaluation, figures),
        under: takenUnder(card, evaluation, figures),
        label:
          aside === 'beside' && evaluation.instrument ? `${label}, beside, on ${evaluation.instrument.name}` : label,
        evaluation,
        held: held.has(entry.id),
        gone: state.tape.gone.get(entry.id)?.how,
        aside,
        side: sideOf(evaluation),
      }
    })
}

/** What the figure of readings held against one another is in: per cent of what it should be, ohms left over; a ratio has no unit. */
export function relationUnit({ kind }: Relation): string {
  if (kind === 'draw' || kind === 'twin' || kind === 'equal' || kind === 'unbalance') return '%'
  return kind === 'sum' ? 'Ω' : ''
}
