import { isWarmthsDoubt, type Evaluation, type OpenPoint, type RunState } from '@sure-spool/core'
import { capital } from './capital'
import type { Figures } from './figures'
import { inRuns } from './inRuns'
import { checkPoints, takenAt } from './points'
import { reasonLine } from './reasons'

/** What keeps the finding open, and what would settle it. */
export function openWords(state: RunState, open: RunState['finding']['open'][number], figures: Figures): string {
  const { card } = state.run
  const evaluation = open.entry === undefined ? undefined : state.evaluations.get(open.entry)
  const isOneOf = evaluation?.entry.reading.index !== undefined
  const pair =
    evaluation && isOneOf ? takenAt(card, evaluation, figures) : open.check ? checkPoints(card, open.check) : ''
  const name = capital(pair || (card.relations.find((one) => one.id === open.relation)?.label ?? ''))
  switch (open.why) {
    case 'not-read': {
      const itself = state.checks.find(({ check }) => check.id === open.check)
      const missing = (itself?.points ?? []).flatMap((one) => (one.evaluation ? [] : (one.index ?? [])))
      if (missing.length > 1) return `${name} ${inRuns(missing)}: not read.`
      const { kind, at } = itself?.check ?? {}
      if (kind === 'look') return `${at && 'place' in at ? capital(at.place) : name}: not looked at.`
      return kind === 'act' || kind === 'lamp'
        ? `${name}: not tried.`
        : `${[name, ...missing].join(' ')} has not been read.`
    }
    case 'none':
      return `${name}: ${(evaluation && reasonLine(evaluation, figures)) || 'read, and it says nothing yet'}.`
    case 'borderline':
      return `${name}: ${twinWords(state, open.check, figures) ?? borderlineWords(evaluation, open.leaning)}`
    case 'held':
      return `${name} is held by a remark: answer it, or take it again.`
    case 'take-again':
      return `Take ${pair} again with the probes lifted between: a contact only adds ohms.`
    case 'clip-on':
      return `Clip on and take ${pair} again: under 10 Ω a contact is half the reading.`
    case 'sum-off':
      return `The parts do not add up: take ${pair} again.`
    case 'not-as-drawn':
      return 'The parts do not add up and were clipped: it is not wired as the card draws it.'
    case 'relation':
      return `${name} is undecided, leaning ${open.leaning ?? ''}: a finer meter would tell.`
  }
}

/** A guess beside which a twin was read, and is alike: that clears neither, since both may be off alike (SENSE, twins-both-off). */
function twinWords({ relations, checks }: RunState, check: string | undefined, figures: Figures): string | undefined {
  const twin = relations.find(({ relation: one }) => one.kind === 'twin' && one.check === check)
  const isGuess = checks.find((one) => one.check.id === check)?.reason === 'guess'
  if (!isGuess || twin?.verdict !== 'within' || twin.value === undefined) return undefined
  const apart = `${figures.plain(Math.abs(twin.value), 2)}\u2009% apart`
  return `alike with the one beside it, ${apart}, and judged only by a guess that both are beyond. Turns short in one would read lower: none seen.`
}

/** Why a reading at a limit is undecided, by what the doubt is made of, and the one thing that would end it. */
function borderlineWords(one: Evaluation | undefined, leaning: OpenPoint['leaning']): string {
  const leans = `leaning ${leaning ?? 'neither way'}`
  switch (one?.reason) {
    case 'guess':
      return one.check.kind === 'resistance'
        ? `judged only by a guess, ${leans}: read a known good one beside it.`
        : `judged only by a guess, ${leans}: a stated figure would decide it.`
    case 'zero-leads-first':
      return 'the leads can turn it: zero them, and take it again.'
    case 'low-voltage-test':
      return 'no path at a few volts, and the card asks for test volts: use the insulation tester.'
    default:
      return one && isWarmthsDoubt(one)
        ? `at a limit, ${leans}, by a temperature that nobody measured: take the part’s temperature.`
        : `at a limit, ${leans}, within this meter’s doubt: four wires or a finer meter would tell.`
  }
}
