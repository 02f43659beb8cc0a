import { above, openFrom } from '../conformance'
import { isolationAt, leadsMatterAhead, quantityOf } from '../judgement'
import { inOhms, type Found, type Moment, type ReadingRule } from './rule'

/** Something in parallel may be measured too, unless the part is loose, unplugged, or a lead of this winding is lifted. */
export const notIsolated: ReadingRule = {
  id: 'not-isolated',
  about: inOhms,
  setting: ({ bench, evaluation }) => isolationAt(bench.tape, evaluation.entry.n)?.id ?? 'never',
  test: ({ bench, evaluation }) => {
    const isolation = isolationAt(bench.tape, evaluation.entry.n)
    if (isolation?.state === 'loose' || isolation?.state === 'unplugged') return null
    if (isolation?.parallelOhms !== undefined) return null
    // in parallel a path reads lower, never higher: none at all is none of the part's either
    if (evaluation.limit?.expectOpen && evaluation.net === undefined) return null
    if (isolation?.lifted?.some((terminal) => evaluation.pair?.includes(terminal))) return null
    return { severity: 'stop', params: { state: isolation?.state ?? 'unknown' } }
  },
}

const leadSetting = ({ evaluation }: Moment): string =>
  `${evaluation.instrument?.id ?? ''}/${evaluation.entry.reading.leads ?? ''}/${evaluation.leads?.entry ?? ''}`

/** Nobody zeroed the leads, and they can turn this verdict (METHODS 2). */
export const leadsMatter: ReadingRule = {
  id: 'leads-matter',
  cause: 'leads',
  setting: leadSetting,
  test: ({ bench, evaluation }) => {
    const { reason, judged, factor = 1, limit, entry, instrument } = evaluation
    if (reason !== 'zero-leads-first' || judged === undefined) return null
    const { min, max } = limit?.band ?? {}
    const from = max === undefined ? 0 : Math.max(0, (judged - max) / factor)
    const to = min === undefined ? undefined : (judged - min) / factor
    const since = bench.tape.leadChecks.some((one) => one.n > entry.n && one.instrument === instrument?.id)
    const params = { from, ...(to === undefined ? {} : { to }), ...(since ? { since: 'zeroed' } : {}) }
    return { severity: 'stop', params }
  },
}

/** The leads are as large as what is looked for, and nobody zeroed them: said before the step is touched. */
export const leadsMatterAheadOfIt: ReadingRule = {
  id: 'leads-matter',
  cause: 'leads',
  setting: leadSetting,
  test: ({ evaluation }) =>
    leadsMatterAhead(evaluation.limit, evaluation.leads)
      ? { severity: 'warn', params: { leads: evaluation.leads?.ohms ?? 0 } }
      : null,
}

const oldZeroMs = 60 * 60_000

/** A zero over an hour old, made with other leads or before the jack was moved, or apart from the one at the run's end. */
export const staleZero: ReadingRule = {
  id: 'stale-zero',
  cause: 'leads',
  about: inOhms,
  test: ({ bench, evaluation }): Found => {
    const { leads, instrument, entry } = evaluation
    if (!leads || leads.from === 'four-wire' || evaluation.limit?.expectOpen) return null
    const checks = bench.tape.leadChecks.filter((check) => check.instrument === instrument?.id)
    const zeroed = leads.from === 'zero' || leads.from === 'subtract'
    if (!zeroed) {
      const otherSet = checks.some((check) => check.n < entry.n && check.how !== 'carried')
      return otherSet ? { severity: 'warn', params: { why: 'leads' } } : null
    }
    const zero = checks.find((check) => check.id === leads.entry)
    // one that reaches back from later is as fresh as can be
    const ageMs = zero && zero.n < entry.n ? Date.parse(entry.at) - Date.parse(zero.from?.at ?? zero.at) : 0
    if (ageMs > oldZeroMs) return { severity: 'warn', params: { why: 'age', minutes: Math.round(ageMs / 60_000) } }
    const zeroAt = zero?.n ?? -1
    const moved = bench.tape.proofs.some((proof) => proof.of === 'jack' && proof.n < entry.n && proof.n > zeroAt)
    if (moved) return { severity: 'warn', params: { why: 'jack' } }
    const last = checks.findLast((check) => check.n > entry.n && check.how !== 'carried')
    const drift = last && last.id !== leads.entry ? Math.abs(last.ohms - leads.ohms) : 0
    return last && above(drift, 2 * Math.hypot(last.u, leads.u))
      ? { severity: 'warn', params: { why: 'drift', drift } }
      : null
  },
}

/** A winding that reads what the leads alone read. */
export const readsLikeLeads: ReadingRule = {
  id: 'reads-like-leads',
  cause: 'leads',
  about: (check) => inOhms(check) && check.touches.size > 0 && !check.toFrame,
  test: ({ bench, evaluation, before }) => {
    const { taken, netU = 0, leads } = evaluation
    if (taken === undefined || !leads || evaluation.limit?.kind === 'closed') return null
    // after a hardware zero the leads show nothing any more: what stands in later readings is what counts
    const own = leads.from === 'zero' ? bench.tape.leadChecks.find((one) => one.id === leads.entry)?.ohms : leads.ohms
    const plainWire = before.find(
      (one) => one.check.touches.size === 0 && one.net !== undefined && one.net < openFrom,
    )?.net
    // what the leads themselves are unsure by is in the net figure's already
    const near = (figure: number | undefined) => figure !== undefined && Math.abs(taken - figure) <= 2 * netU
    return near(own) || near(plainWire) ? { severity: 'warn', params: { value: taken } } : null
  },
}

const passesOpen = ({ evaluation }: Moment): boolean =>
  evaluation.limit?.expectOpen !== undefined && evaluation.verdict === 'within'

/** By ohms or at volts; or it would, but for the few volts of a multimeter. */
const passesGround = (moment: Moment): boolean =>
  passesOpen(moment) ||
  moment.evaluation.reason === 'low-voltage-test' ||
  (moment.evaluation.limit?.kind === 'insulation' && moment.evaluation.verdict === 'within')

function proved(moment: Moment, kinds: string[]): boolean {
  const { tape } = moment.bench
  const touched = kinds.includes('tips') && tape.leadChecks.some((check) => check.how !== 'carried')
  return touched || tape.proofs.some((proof) => kinds.includes(proof.of))
}

/** A dead meter reads open too: its probes have not been touched together in this run. */
export const meterUnproved: ReadingRule = {
  id: 'meter-unproved',
  about: (check) => quantityOf(check) !== 'insulation',
  test: (moment) =>
    passesOpen(moment) && !proved(moment, ['tips', 'same-metal']) ? { severity: 'warn', params: {} } : null,
}

/** Paint and oxide read open too: the frame contact has not been proved on the same metal. */
export const frameUnproved: ReadingRule = {
  id: 'frame-unproved',
  about: ({ toFrame }) => toFrame,
  test: (moment) => (passesGround(moment) && !proved(moment, ['same-metal']) ? { severity: 'warn', params: {} } : null),
}
