import type { Card, Check, Source } from '../document'

/** The source of what such a trial shows in a sound part. */
const usual = 'trial'

/** What is tried without a figure, and what it may show; `right` is what a sound part does, none where it depends on the part. */
const trials = {
  lamp: { kind: 'lamp', of: ['dark', 'dim', 'full'], right: [] },
  click: { kind: 'act', of: ['two clicks', 'one click', 'silent'], right: ['two clicks', 'one click'] },
  blade: { kind: 'act', of: ['slides', 'hums'], right: ['slides'] },
  tap: { kind: 'act', of: ['loud', 'faint', 'silent'], right: ['loud'] },
} as const

/** A trial that is no figure: a lamp, a click on and off, a steel blade over a growler, a tap heard through an amplifier. */
export type Trial = keyof typeof trials

/**
 * Whether a word names a trial.
 * @example
 * isTrial('tap') // true
 */
export const isTrial = (word: string): word is Trial => Object.hasOwn(trials, word)

/**
 * The check that a trial makes of two points or a place of one part: answered in its own words, and judged by them where a sound part
 * can show but one thing.
 * @param id unique in the run
 * @param at two points, or a place in words: `slot 14`
 * @example
 * trialOf(scenes.low().run.card, 'x', 'blade', { place: 'slot 14' }).label // 'blade, slot 14'
 */
export function trialOf(
  card: Card,
  id: string,
  trial: Trial,
  at: { pair: [string, string] } | { place: string },
): Check {
  const { kind, of, right } = trials[trial]
  const labelOf = (one: string) => card.terminals.find((terminal) => terminal.id === one)?.label ?? one
  const where = 'pair' in at ? at.pair.map(labelOf).join('–') : at.place
  const limit = { kind: 'answer' as const, of: [...of], right: [...right] }
  return {
    id: `ask-${id}`,
    label: `${trial}, ${where}`,
    kind,
    at,
    required: false,
    limits: [{ id: `ask-${id}`, for: 'any', limit, source: usual }],
  }
}

/**
 * Which trial a check of a run is.
 * @returns undefined where it is none: of the card, or read in a figure
 * @example
 * trialIn(trialOf(scenes.low().run.card, 'x', 'tap', { place: 'first coil' })) // 'tap'
 */
export function trialIn({ kind, limits }: Pick<Check, 'kind' | 'limits'>): Trial | undefined {
  const [given] = limits
  if (given?.source !== usual || given.limit === 'derived' || given.limit.kind !== 'answer') return undefined
  const said = JSON.stringify([kind, given.limit.of, given.limit.right])
  return (Object.keys(trials) as Trial[]).find((one) => {
    const known = trials[one]
    return JSON.stringify([known.kind, known.of, known.right]) === said
  })
}

/**
 * A card's sources with that of the trials, where its checks need it.
 * @example
 * sourcesWithTrials(scenes.low().run.card.checks, []).length // 0
 */
export function sourcesWithTrials(checks: readonly Check[], sources: Source[]): Source[] {
  const isNeeded = checks.some((one) => trialIn(one) !== undefined)
  return !isNeeded || sources.some(({ id }) => id === usual)
    ? sources
    : [...sources, { id: usual, grade: 'trade', title: 'the usual of such a trial' }]
}
