import type { Entry, EntryOf, Instrument, Run } from '../document'
import type { ReadingEntry, Tape } from './tape'

/** The leads that stand in a reading, and where the figure comes from. */
export interface LeadsApplied {
  ohms: number
  u: number
  from: 'zero' | 'subtract' | 'carried' | 'assumed' | 'four-wire'
  entry?: string
  /** milliseconds between the check and the reading; 0 for a later one that reaches back */
  ageMs?: number
}

/** Taken for leads that nobody zeroed (METHODS 2). */
const unknownLeads = { ohms: 0.2, u: 0.2 / Math.sqrt(3) }

/**
 * The lead check that governs a reading: a later `subtract` reaches back to the check before it, a hardware zero only
 * forward; `carried` is a value, not a zero (METHODS 2).
 * @returns ohms and standard uncertainty in ohms
 */
export function leadsFor(tape: Tape, instrument: Instrument | undefined, reading: LeadQuestion): LeadsApplied {
  if (instrument?.fourWire) return { ohms: 0, u: 0, from: 'four-wire' }
  const own = (check: EntryOf<'lead-check'>) =>
    check.instrument === instrument?.id && (check.leads ?? '') === (reading.leads ?? '')
  const earlier = tape.leadChecks.findLast((check) => check.n < reading.n && own(check))
  const later = tape.leadChecks.find((check) => check.n > reading.n && own(check))
  if (later?.how === 'subtract') return { ohms: later.ohms, u: later.u, from: 'subtract', entry: later.id, ageMs: 0 }
  if (!earlier) return { ...unknownLeads, from: 'assumed' }
  const from = earlier.how === 'hardware' ? 'zero' : earlier.how
  const ageMs = Date.parse(reading.at) - Date.parse(earlier.at)
  return { ohms: earlier.ohms, u: earlier.u, from, entry: earlier.id, ageMs }
}
export interface LeadQuestion {
  n: number
  at: string
  leads?: string
}

/** The part's temperature at a reading, in °C, with its standard uncertainty. `partC` is absent when it is hot or cold by an unknown amount. */
export interface TemperatureApplied {
  partC?: number
  u: number
  from: 'measured' | 'room' | 'assumed' | 'unknown'
  entry?: string
}

/** A part temperature of the reading's stage, nearest in time (of two as near the earlier), else the nearest room (METHODS 3, 11.5). */
export function temperatureFor(tape: Tape, reading: ReadingEntry): TemperatureApplied {
  const all = tape.temperatures
  const stage = tape.stageOf.get(reading.id)
  const part = nearest(
    all.filter((entry) => entry.part !== 'room' && tape.stageOf.get(entry.id) === stage),
    reading,
  )
  if (part)
    return part.partC === undefined
      ? { u: 0, from: 'unknown', entry: part.id }
      : { partC: part.partC, u: part.uPartC ?? 2 / Math.sqrt(3), from: 'measured', entry: part.id }
  const room = nearest(
    all.filter((entry) => entry.roomC !== undefined),
    reading,
  )
  if (room?.roomC !== undefined) return { partC: room.roomC, u: 5 / Math.sqrt(3), from: 'room', entry: room.id }
  return { partC: 20, u: 10 / Math.sqrt(3), from: 'assumed' }
}

function nearest<E extends Entry>(entries: E[], reading: ReadingEntry): E | undefined {
  if (entries.length <= 1) return entries[0]
  const at = Date.parse(reading.at)
  let best: E | undefined
  let gap = Infinity
  for (const entry of entries) {
    const away = Math.abs(Date.parse(entry.at) - at)
    if (away < gap) [best, gap] = [entry, away]
  }
  return best
}

/** How the part was isolated when a reading was taken. */
export function isolationAt(tape: Tape, n: number): EntryOf<'isolation'> | undefined {
  return tape.isolations.findLast((entry) => entry.n < n)
}

export const instrumentOf = (run: Run, id: string | undefined): Instrument | undefined =>
  run.instruments.find((one) => one.id === id) ?? (run.instruments.length === 1 ? run.instruments[0] : undefined)
