import {
  askedField,
  askedOf,
  isAskedKind,
  referenceRead,
  toldOf,
  trialOf,
  type AskedKind,
  type Check,
  type Entry,
  type EntryBody,
  type NextReading,
  type PreparedCheck,
  type Reading,
  type ReadingProblem,
  type RunState,
  type ToldFigure,
  type Trial,
} from '@sure-spool/core'
import { newId } from './newId'
import { stepBetween } from './stepBetween'

interface Standing {
  state: () => RunState | undefined
  check: () => PreparedCheck | undefined
  next: () => NextReading | undefined
  readingOf: (text: string) => { reading: Reading } | { problem: ReadingProblem }
  add: (body: EntryBody) => Entry | undefined
  goTo: (step: string) => void
}

/** What a person asks beside the card: any two points, and what a neighbour reads. */
export function askedBeside({ state, check, next, readingOf, add, goTo }: Standing) {
  /**
   * Goes to where two points are read: to what the card asks for there, open steps first; else it is asked of this run alone.
   * @param said what is to be read, where it was said; else what is in hand, and whatever the card asks for there before a new one
   */
  function goToPoints(pair: [string, string], said?: AskedKind): void {
    const now = state()
    if (!now) return
    const { prepared, steps, run } = now
    const inHand = check()?.kind
    const kind = said ?? (inHand && isAskedKind(inHand) ? inHand : 'resistance')
    const found = stepBetween(steps, prepared, pair, kind, said !== undefined)
    if (found !== undefined) return goTo(found)
    ask(now, askedOf(run.card, newId(), pair, kind))
  }

  /** Keeps what was told of two points, and goes there. @returns what keeps it from being a figure, else nothing */
  function tell(
    pair: [string, string],
    said: AskedKind | undefined,
    figure: ToldFigure,
    decimalComma: boolean,
  ): string {
    const now = state()
    if (!now) return ''
    const kind = said ?? 'resistance'
    const made = toldOf(now.run.card, newId(), pair, kind, figure, decimalComma)
    if ('problem' in made) return made.problem
    add({ kind: 'ask', check: made })
    goToPoints(pair, kind)
    return ''
  }

  /** Goes to where the field of a magnet is read, asked of this run alone. */
  function goToField(place: string): void {
    const now = state()
    if (now) goToAsked(now, askedField(newId(), place))
  }

  /** Goes to where a trial is answered, asked of this run alone. */
  function goToTrial(trial: Trial, at: { pair: [string, string] } | { place: string }): void {
    const now = state()
    if (now) goToAsked(now, trialOf(now.run.card, newId(), trial, at))
  }

  function goToAsked(now: RunState, made: Check): void {
    const known = now.checks.find(({ check }) => check.kind === made.kind && check.label === made.label)
    if (known) goTo(known.check.id)
    else ask(now, made)
  }

  function ask({ run, prepared }: RunState, made: Check): void {
    // on a card that tells the two places apart it belongs to the one where it was asked
    const isPlaced = run.card.checks.some(({ where }) => where !== undefined)
    if (add({ kind: 'ask', check: isPlaced ? { ...made, where: prepared.place } : made })) goTo(made.id)
  }

  /** Takes what a neighbour reads at this step as a reference. @returns whether the words are no figure */
  function compareWith(words: string): boolean {
    const now = state()
    const question = next()
    const made = readingOf(words)
    if (!now || !question || 'problem' in made) return true
    const reference = referenceRead(now, question, made.reading)
    return !reference || add({ kind: 'compare', with: reference }) === undefined
  }

  return { goToPoints, goToField, goToTrial, tell, compareWith }
}
