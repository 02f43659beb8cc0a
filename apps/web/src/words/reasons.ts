import { confirmationOf, readsOpen, type Evaluation, type ReadingProblem, type RunState } from '@sure-spool/core'
import type { Figures } from './figures'

/** A verdict's reason in one line: what decided it, in figures. */
export function reasonLine(evaluation: Evaluation, figures: Figures): string {
  const { reason, limit, judged, quantity = 'resistance', leaning } = evaluation
  const { min, max } = limit?.band ?? {}
  const low = min === undefined ? '' : figures.bound(min, quantity)
  const high = max === undefined ? '' : figures.bound(max, quantity)
  const { parallelOhms, net, bound } = evaluation
  if (parallelOhms !== undefined && net === undefined && bound !== undefined && evaluation.verdict === 'outside')
    return `as much as the ${figures.bound(parallelOhms)} beside it reads alone: nothing of the winding is left in it`
  switch (reason) {
    case undefined:
      if (evaluation.verdict !== 'within') return ''
      return evaluation.entry.reading.kind === 'answer' ? 'as it should be' : 'clear of the limits'
    case 'above-maximum':
      return `above ${high}`
    case 'below-minimum':
      return `below ${low}`
    case 'near-limit':
      return `within the uncertainty of ${judged !== undefined && max !== undefined && (min === undefined || Math.abs(judged - max) < Math.abs(judged - min)) ? high : low}, leaning ${leaning ?? ''}`
    case 'open-as-expected':
      return evaluation.bound === undefined
        ? 'no path, as it should be'
        : `no path up to ${figures.bound(evaluation.bound, quantity)}, as it should be`
    case 'open-circuit':
      return 'open: no path where there is a winding'
    case 'above-minimum':
      return `beyond ${low}`
    case 'below-maximum':
      return `under ${high}`
    case 'shorted':
      return 'a hard path where none should be'
    case 'short-circuit':
      return `shorted: under ${low}`
    case 'range-too-low':
      return `over range proves only more than ${evaluation.bound === undefined ? 'the range' : figures.bound(evaluation.bound, quantity)}`
    case 'range-too-high':
      if (evaluation.entry.reading.method === 'beeper' && high !== '')
        return `under ${evaluation.bound === undefined ? 'what it beeps at' : figures.bound(evaluation.bound, quantity)}, and the limit is ${high}: read its ohms`
      return 'the range is too high to show it'
    case 'range-unknown':
      return 'over which range? Type it behind, like OL 20M'
    case 'no-limit':
      return 'the card gives no figure for it'
    case 'no-limit-for-history':
      return 'the card gives no figure for a part of this history'
    case 'zero-leads-first':
      return 'the leads weigh as much as what is looked for: zero them first'
    case 'guess':
      return `the limit is a guess; it leans ${leaning ?? 'neither way'}`
    case 'temperature-unknown':
      return 'the part is not at a known temperature: let it rest or measure it'
    case 'conditions-not-met':
      return 'not taken under the card’s conditions, so it does not count'
    case 'leg-to-frame':
      return 'no volts to the frame, while the other two read all there is: it sits on the frame'
    case 'unsteady':
      return 'it moves while it is held'
    case 'wrong-answer':
      return 'not what it should do'
    case 'not-read':
      return 'it waits for the others that it is judged with'
    case 'no-such-check':
      return 'the card has no such check'
    case 'judged-together':
      return 'judged with the others of its set'
    case 'by-relation':
      return 'judged beside the readings it belongs with'
    case 'scattered':
      return 'the whole set is scattered, so none can be called alike'
    case 'unlike-the-rest':
      return `unlike the rest${low === '' ? '' : `, which are ${low} to ${high}`}`
    case 'off-curve':
      return 'beyond the ends of the curve; nothing is guessed there'
    case 'place-missing':
      return 'at which place, or over which length? Enter it'
    case 'low-voltage-test':
      return 'no path at the few volts of a multimeter; the card asks for test volts'
    case 'insulation-holds':
      return 'the insulation holds at these volts'
    case 'leakage':
      return `leaks: under ${low}`
    case 'hold-until-settled':
      return 'it was still moving: hold until it settles'
    case 'test-voltage-low':
      return 'the tester could not hold its volts, so the figure does not count'
    case 'test-voltage-unknown':
      return 'at which test volts? Type them with it, like 500V 2.1G'
    case 'contact-fault':
      return 'the coil moves something, and a contact does not follow'
    case 'does-not-operate':
      return 'driven, and no contact changes'
    case 'undecided':
      // three pins are undecided only once all three are read
      return evaluation.check.kind === 'three-pins'
        ? 'the three fit no construction: take them again'
        : 'not enough read yet to say'
    case 'wrong-kind':
      if (readsOpen(evaluation)) return 'open: no path where the card has one'
      return 'the three figures are another construction than the card says'
    case 'another-card':
      return 'no open winding of this card reads like that: is it this construction?'
    case 'kind-unset':
      return 'the construction decides, and it is not chosen'
  }
}

/** What a reading past its upper limit wants, until it was read twice. */
export function secondTouch(evaluation: Evaluation, { tape, evaluations }: RunState): string {
  const { reason, verdict, quantity = 'resistance' } = evaluation
  if (reason !== 'above-maximum' || verdict !== 'outside' || quantity !== 'resistance') return ''
  const stands = confirmationOf(tape, evaluation, [...evaluations.values()]) === 'stands'
  return stands ? '' : '; a contact only adds, so it wants a second touch'
}

/** What is wrong with a typed line: its text, or that no leads and no bare metal read so much. */
export type LineProblem = ReadingProblem | 'no-leads' | 'no-contact'

/** What to say to a text that is no reading, and what to do. */
export const problemWords: Record<LineProblem, string> = {
  'no-leads': 'Tips that touch read tenths of an ohm: more than 10 Ω is no lead, or a tip is off. Touch them again.',
  'no-contact':
    'More than 10 Ω between two places of one metal is paint, oxide or no contact. Scrape, and touch both again.',
  empty: 'Nothing was typed.',
  'too-long': 'That is too long for a reading. Type the figure as the meter shows it.',
  number: 'That is not a number. Type the figure as the meter shows it, like 318 or 11.4k.',
  unit: 'That unit does not belong to this reading.',
  comma: 'A comma here must part thousands. Use a point for decimals.',
  point: 'A point here must part thousands. Use a comma for decimals.',
  'prefix-unclear': 'Is the prefix meant for both figures? Type it behind each.',
  'milli-or-mega': 'A small m is milli. Type M for mega.',
  'unit-missing': 'Type k, M or G behind the figure.',
}
