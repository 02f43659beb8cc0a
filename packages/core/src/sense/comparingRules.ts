import { above, below } from '../conformance'
import { onceFor, type EntryOf } from '../document'
import { parseReading } from '../quantity'
import { demandedKind, readsOpen, type Evaluation } from '../judgement'
import { isMetal } from '../temperature'
import { inOhms, joinedBy, type ReadingRule } from './rule'

const poorFrom = 0.5

/** Leads that read over half an ohm are poor, or their clips are. */
export const poorLeads: ReadingRule = {
  id: 'poor-leads',
  cause: 'leads',
  about: inOhms,
  test: ({ bench, evaluation }) => {
    const { leads } = evaluation
    const check = bench.tape.leadChecks.find((one) => one.id === leads?.entry)
    if (!check) return null
    const ohms = Math.max(check.ohms, shownBy(check))
    return above(ohms, poorFrom) ? { severity: 'warn', params: { ohms } } : null
  },
}

const shownBy = onceFor(({ text }: EntryOf<'lead-check'>) => parseReading({ text, quantity: 'resistance' }).value ?? 0)

/** Two meters on one point apart by more than both their expanded uncertainties. */
export const metersDisagree: ReadingRule = {
  id: 'meters-disagree',
  test: ({ evaluation, onOthers }) => {
    const { net, netU = 0, instrument } = evaluation
    if (net === undefined || !instrument) return null
    const other = onOthers.findLast((one) => one.instrument && one.net !== undefined)
    if (other?.net === undefined || !above(Math.abs(net - other.net), 2 * netU + 2 * (other.netU ?? 0))) return null
    return { severity: 'warn', params: { value: net, other: other.net, meter: other.instrument?.name ?? '' } }
  },
}

/** One meter reads a point finite and another open beyond that figure: both wait. */
export const metersOpenAndNot: ReadingRule = {
  id: 'tests-disagree',
  about: inOhms,
  test: ({ bench, evaluation, onOthers }) => {
    // as the tape then stood: what is retaken later settles it then
    const isGone = (id: string) => {
      const gone = bench.tape.gone.get(id)
      return gone !== undefined && (gone.how !== 'retaken' || gone.by.n < evaluation.entry.n)
    }
    const other = onOthers.findLast((one) => !isGone(one.entry.id) && contradicts(one, evaluation))
    if (!other) return null
    return {
      severity: 'stop',
      params: { one: other.check.id, stronger: evaluation.check.id, meter: other.instrument?.name ?? '' },
      also: [other.entry.id],
    }
  },
}

/** Whether one of two is a figure below what the other, over its range, has as its least. */
const contradicts = (a: Evaluation, b: Evaluation): boolean =>
  [
    [a, b],
    [b, a],
  ].some(
    ([finite, open]) =>
      finite?.net !== undefined &&
      open?.bound !== undefined &&
      below(finite.net, open.bound) &&
      open.entry.reading.kind !== 'below',
  )

const littleShare = 0.12

/** A little under its band with nobody knowing how warm the part is: cold, or shorted turns? */
export const lowByALittle: ReadingRule = {
  id: 'low-by-a-little',
  about: (check) => inOhms(check) && check.material !== undefined && isMetal(check.material),
  test: ({ evaluation }) => {
    const { judged, limit, temperature } = evaluation
    const min = limit?.band.min
    if (judged === undefined || min === undefined || limit?.expectOpen) return null
    if (temperature?.from === 'measured' || !below(judged, min) || judged <= min * (1 - littleShare)) return null
    return { severity: 'warn', params: { percent: (100 * (min - judged)) / min } }
  },
}

/** Twins that agree, and both are off the card or an estimate: alike is not proved. */
export const twinsBothOff: ReadingRule = {
  id: 'twins-both-off',
  about: joinedBy('twin'),
  test: ({ evaluation, relations }) => {
    const alike = relations.some(({ relation, verdict }) => relation.kind === 'twin' && verdict === 'within')
    const doubtful = evaluation.verdict === 'outside' || evaluation.reason === 'guess'
    return alike && doubtful ? { severity: 'warn', params: { check: evaluation.check.id } } : null
  },
}

/** Inductance or capacitance of a winding that reads open says nothing of it. */
export const acOnOpen: ReadingRule = {
  id: 'ac-on-open',
  about: ({ kind }) => kind === 'inductance' || kind === 'capacitance',
  test: ({ evaluation, before }) => {
    const open = before.find(
      (one) => one.quantity === 'resistance' && readsOpen(one) && samePair(one, evaluation) && !one.limit?.expectOpen,
    )
    return open ? { severity: 'note', params: { check: open.check.id } } : null
  },
}

const samePair = (a: Evaluation, b: Evaluation): boolean =>
  a.pair !== undefined && (b.pair?.every((terminal) => a.pair?.includes(terminal)) ?? false)

/** Three pins mean something else for each construction, and none is chosen. */
export const kindUnset: ReadingRule = {
  id: 'kind-unset',
  about: ({ kind }) => kind === 'three-pins',
  setting: ({ evaluation }) => evaluation.check.id,
  test: ({ bench, evaluation }) => {
    const { check } = evaluation
    const { card } = bench.run
    // of a part without a card nobody can choose: what the three read as is shown instead
    return card.state !== 'sketch' && demandedKind(card, check.id) === undefined
      ? { severity: 'stop', params: { check: check.id } }
      : null
  },
}
