import { above, expectedOf } from '../../conformance'
import type { EntryOf, Instrument } from '../../document'
import type { PreparedLimit } from '../preparedCard'
import type { Tape } from '../tape'

/** The leads that stand in a reading, and where the figure comes from. */
export interface LeadsApplied {
  ohms: number
  u: number
  from: 'zero' | 'subtract' | 'carried' | 'assumed' | 'four-wire'
  entry?: string
}

/** Taken for leads that nobody zeroed (METHODS 2). */
const unknownLeads = { ohms: 0.2, u: 0.2 / Math.sqrt(3) }

/**
 * The lead check that governs a reading: a later `subtract` reaches back to the check before it, a hardware zero only
 * forward; `carried` is a value, not a zero (METHODS 2).
 * @returns ohms and standard uncertainty in ohms
 * @example
 * leadsFor(scenes.sound().tape, pocketMeter, scenes.sound().of('low').entry).from // 'zero'
 */
export function leadsFor(tape: Tape, instrument: Instrument | undefined, reading: LeadQuestion): LeadsApplied {
  if (instrument?.fourWire) return { ohms: 0, u: 0, from: 'four-wire' }
  const own = (check: EntryOf<'lead-check'>) =>
    check.instrument === instrument?.id && (check.leads ?? '') === (reading.leads ?? '')
  const earlier = tape.leadChecks.findLast((check) => check.n < reading.n && own(check))
  const later = tape.leadChecks.find((check) => check.n > reading.n && own(check))
  if (later?.how === 'subtract') return { ohms: later.ohms, u: later.u, from: 'subtract', entry: later.id }
  if (!earlier) return { ...unknownLeads, from: 'assumed' }
  const from = earlier.how === 'hardware' ? 'zero' : earlier.how
  return { ohms: earlier.ohms, u: earlier.u, from, entry: earlier.id }
}

export interface LeadQuestion {
  n: number
  leads?: string
}

/**
 * Whether nobody zeroed the leads of a reading: nothing is taken off it then (METHODS 2). A carried figure is a value, not a zero.
 * @example
 * isUnzeroed({ ohms: 0.2, u: 0.115, from: 'carried' }) // true
 */
export const isUnzeroed = (leads: LeadsApplied | undefined): boolean =>
  leads?.from === 'assumed' || leads?.from === 'carried'

/**
 * What un-zeroed leads may add to a reading that is held against others, as a standard uncertainty in ohms; 0 where they were zeroed.
 * @example
 * unzeroedU({ ohms: 0.2, u: 0.115, from: 'assumed' }) // 0.11547
 */
export const unzeroedU = (leads: LeadsApplied | undefined): number => (isUnzeroed(leads) ? unknownLeads.u : 0)

/**
 * Whether un-zeroed leads are worth a word before a step is touched: over 5 % of what is expected or 20 % of the window (SENSE, set-up).
 * @example
 * leadsMatterAhead({ band: { min: 0.5, max: 0.9 } }, { ohms: 0.2, u: 0.12, from: 'assumed' }) // true
 */
export function leadsMatterAhead(limit: PreparedLimit | undefined, leads: LeadsApplied | undefined): boolean {
  if (!limit || !leads || limit.expectOpen || !isUnzeroed(leads)) return false
  const expected = expectedOf(limit.band)
  if (expected === undefined) return false
  const { min, max } = limit.band
  const window = min !== undefined && max !== undefined ? max - min : Infinity
  return above(leads.ohms, 0.05 * expected) || above(leads.ohms, 0.2 * window)
}
