import { byItsLength, sideOf, type Card, type Cause, type Evaluation, type RunState } from '@sure-spool/core'
import { capital, inWords } from './capital'
import type { Figures } from './figures'
import { lookWords } from './kinds'
import { checkLabel, takenAt, terminalLabel } from './points'

/** One cause in the words of the part, a sentence; direction, quantity and unit are its own. */
export function causeWords(cause: Cause, state: RunState, figures: Figures): string {
  const { card } = state.run
  const [first = '', second = ''] = cause.of
  const name = capital(namesOf(card, cause.of))
  const check = capital(checkLabel(card, first))
  const frame = `the ${terminalLabel(card, 'frame')}`
  const blades = `${terminalLabel(card, first)}–${terminalLabel(card, second)}`
  switch (cause.kind) {
    case 'winding-open':
      return `${name} open${cause.between ? `, inside the winding: between ${betweenWords(card, cause)}` : ''}${leakWords(cause, state, figures)}.`
    case 'winding-low': {
      if (cause.share === undefined) return `${name} low: turns short.`
      return `${name} ${Math.round(100 * cause.share)} % low: turns short, at most about that many.`
    }
    case 'winding-high':
      return `${name} ${highWords(cause, state, figures)}.`
    case 'joint':
      if (cause.between)
        return `${capital(terminalLabel(card, first))} lead open, between ${betweenWords(card, cause)}.`
      if (second !== '') return `The joint of ${terminalLabel(card, first)} and ${terminalLabel(card, second)} is open.`
      return first === '' ? 'A resistive joint.' : `A resistive joint at ${terminalLabel(card, first)}.`
    case 'to-frame':
      if (cause.bent)
        return `${capital(terminalLabel(card, cause.bent.lead))} lead reaches ${frame}${cause.bent.where === undefined ? '' : ` at ${cause.bent.where}`}${ohmsOf(cause, state, figures)} while it is bent.`
      return `${name} ${cause.of.length > 1 ? 'reach' : 'reaches'} ${frame}${ohmsOf(cause, state, figures)}${alongOf(cause, card)}.`
    case 'insulation-low':
      return `${name} ${cause.of.length > 1 ? 'leak' : 'leaks'} to ${frame}${ohmsOf(cause, state, figures)}${voltsOf(cause, figures)}.`
    case 'bridged':
      return `${name} are joined${ohmsOf(cause, state, figures)}.`
    case 'other-kind':
      return `${kindWords[first] ?? 'Another construction'}, and not the card’s: is it this part?`
    case 'contact-open':
      return `Contact ${blades} stays open.`
    case 'contact-closed':
      return `Contact ${blades} stays closed.`
    case 'contact-high':
      return `Contact ${blades} closes badly${ohmsOf(cause, state, figures)}.`
    case 'wire':
      return `${check}${wireWords(outsideOf(state, first), figures)}.`
    case 'does-not-operate':
      return 'It does not operate: driven, and no contact changes.'
    case 'figure': {
      // of a curve the place as well
      const off = outsideOf(state, first)
      const place = off?.entry.reading.x === undefined ? check : capital(takenAt(card, off, figures))
      return `${place}${figureWords(off, figures)}.`
    }
    case 'output':
      return `${check}${figureWords(outsideOf(state, first), figures)}.`
    case 'answer':
      return `${check}: ${outsideOf(state, first)?.entry.reading.answer ?? 'not what it should be'}.`
    case 'draw':
      return drawWords(state, first, figures)
    case 'bars':
      return barWords(state, cause.of)
    case 'items':
      return cause.of.map((index) => itemWords(state, index, figures)).join(' ')
    case 'unlike':
      return `${check} and what it should be alike to are apart.`
    case 'seen':
      return seenWords(state, first)
  }
}

/** What three pins read as. */
const kindWords: Record<string, string> = {
  'split-phase': 'Reads as run and start winding',
  balanced: 'Reads as three legs alike',
  single: 'Reads as one winding and a free pin',
}

/** Megohms read on an open winding are what leaks across its break. */
function leakWords({ explains }: Cause, state: RunState, figures: Figures): string {
  const leak = explains.flatMap((id) => outsideOf(state, id) ?? []).find(({ net = 0 }) => net >= megohm)
  return leak?.net === undefined ? '' : `; ${figures.bound(Number(leak.net.toPrecision(2)))} leaks across the break`
}
const megohm = 1e6

/** An over-range below a hundred times the winding proves no break (METHODS 11.13): what it is beyond is said, and what would tell. */
function highWords({ explains }: Cause, state: RunState, figures: Figures): string {
  const over = explains
    .map((id) => outsideOf(state, id))
    .find((one) => one?.bound !== undefined && one.net === undefined)
  if (over?.bound !== undefined && over.parallelOhms !== undefined)
    return `reads as what stands in parallel alone, so beyond ${figures.bound(Number(over.bound.toPrecision(3)))}: broken, or far too high; lift a lead to tell`
  return over?.bound === undefined
    ? 'reads high: ohms added in it or at its ends'
    : `reads beyond ${figures.bound(over.bound)}: broken, or ohms added; a higher range tells`
}

const betweenWords = (card: Card, { between = ['', ''] }: Cause): string =>
  between.map((id) => terminalLabel(card, id)).join(' and ')

/** Windings by their labels; of a lone terminal its own. */
function namesOf(card: Card, ids: string[]): string {
  const names = ids.map((id) => card.windings.find((one) => one.id === id)?.label ?? terminalLabel(card, id))
  return inWords(names)
}

/** Where along the winding, by its two ends. */
function alongOf({ along, of }: Cause, card: Card): string {
  const winding = card.windings.find(({ id }) => id === along?.winding)
  if (!along || !winding) return ''
  const inIt = of.length > 1 ? ` in the ${winding.label}` : ''
  const [start, end] = [terminalLabel(card, winding.from), terminalLabel(card, winding.to)]
  if (along.share <= 0.25) return `,${inIt} near its start (${start})`
  if (along.share >= 0.75) return `,${inIt} near its end (${end})`
  return `,${inIt} about ${Math.round(20 * along.share) * 5}\u2009% along from ${start}`
}

/** The ohms that were read; of a beep, or of "less than", what they are under. */
function ohmsOf({ ohms, explains }: Cause, state: RunState, figures: Figures): string {
  if (ohms === undefined) return ''
  const said = figures.bound(Number(ohms.toPrecision(3)))
  const isUnder = explains.some((id) => outsideOf(state, id)?.entry.reading.kind === 'below')
  return isUnder ? `, under ${said}` : `: ${said}`
}
const voltsOf = ({ volts }: Cause, figures: Figures): string =>
  volts === undefined ? '' : ` at ${figures.bound(volts, 'voltage')}`
const outsideOf = (state: RunState, id: string): Evaluation | undefined =>
  state.checks
    .find(({ check }) => check.id === id)
    ?.points.findLast(({ evaluation, verdict }) => evaluation && verdict === 'outside')?.evaluation

function figureWords(one: Evaluation | undefined, figures: Figures): string {
  if (!one) return ' is off'
  const { min, max } = one.limit?.band ?? {}
  const value = one.judged ?? one.net ?? one.bound
  const speed = one.entry.reading.conditions?.rpm
  const at = speed === undefined ? '' : ` at ${figures.plain(speed)}\u2009rpm`
  const read = value === undefined ? '' : `: ${figures.bound(value, one.quantity ?? 'resistance')}${at}`
  const side = sideOf(one)
  if (side === 'low' && min !== undefined)
    return `${read}, at least ${figures.bound(min, one.quantity ?? 'resistance')} wanted`
  if (side === 'high' && max !== undefined)
    return `${read}, at most ${figures.bound(max, one.quantity ?? 'resistance')} wanted`
  return read === '' ? ' is off' : read
}

function wireWords(one: Evaluation | undefined, figures: Figures): string {
  if (one?.reason === 'unsteady') return ' breaks while it is moved'
  if (one?.net === undefined) return ' is open'
  return figureWords(one, figures)
}

function drawWords(state: RunState, id: string, figures: Figures): string {
  const relation = state.relations.find((one) => one.relation.id === id)
  const amps = relation?.relation.kind === 'draw' ? relation.relation.amps : ''
  const off = relation?.value ?? 0
  return `${capital(checkLabel(state.run.card, amps))} ${figures.plain(Math.abs(off), 2)} % ${off < 0 ? 'less' : 'more'} than volts over ohms.`
}

/** Low is turns short in any quantity; no current at all, or no path, is an open coil. */
function barWords(state: RunState, of: string[]): string {
  const read = state.checks.flatMap(({ check, points }) =>
    'ring' in check.at
      ? points.flatMap(({ evaluation }) => (evaluation ? [{ ring: check.at as { ring: number }, evaluation }] : []))
      : [],
  )
  const pairs = of.map((index) => {
    const one = read.find(({ evaluation }) => String(evaluation.entry.reading.index) === index)
    const number = Number(index)
    const next = one && number === one.ring.ring ? 1 : number + 1
    return { between: `bars ${number} and ${next}`, evaluation: one?.evaluation }
  })
  if (pairs.length > 3) return `Bars ${of.join(', ')} read unlike the rest.`
  return pairs
    .map(({ between, evaluation }) => {
      const value = evaluation?.net
      if (value === undefined || (value === 0 && evaluation?.quantity !== 'resistance'))
        return `Coil between ${between} open.`
      return evaluation && sideOf(evaluation) === 'low'
        ? `Turns short in the coil between ${between}.`
        : `Coil between ${between} reads high.`
    })
    .join(' ')
}

function itemWords(state: RunState, index: string, figures: Figures): string {
  const what = state.run.card.family === 'ignition-leads' ? 'Lead' : 'Number'
  const one = state.checks
    .flatMap(({ points }) => points)
    .findLast(
      ({ evaluation, verdict }) => verdict === 'outside' && String(evaluation?.entry.reading.index) === index,
    )?.evaluation
  if (one?.reason === 'open-circuit') return `${what} ${index} open.`
  if (one?.reason === 'unsteady')
    return `${what} ${index} ${(one.entry.reading.drops ?? 0) > 0 ? 'drops out' : 'unsteady'}${placeSaid(one)}.`
  const ohms = one && byItsLength(one)
  if (one && ohms)
    return `${what} ${index} ${sideOf(one)} for its length: ${figures.bound(Number(ohms.metre.toPrecision(3)))}/m.`
  return `${what} ${index}${figureWords(one, figures)}.`
}

const placeSaid = ({ entry: { reading } }: Evaluation): string =>
  reading.where === undefined ? '' : ` at ${reading.where}`

function seenWords(state: RunState, place: string): string {
  const look = state.tape.entries.findLast((one) => one.kind === 'look' && one.place === place)
  const seen = look?.kind === 'look' ? look.what.map((one) => lookWords[one]).join(', ') : ''
  return `${capital(place)}${seen === '' ? '' : `: ${seen}`}.`
}
