import type { Entry, EntryOf } from '../../document'
import type { ReadingEntry, Tape } from '../tape'

/** The part's temperature at a reading, in °C, with its standard uncertainty. `partC` is absent when it is hot or cold by an unknown amount. */
export interface TemperatureApplied {
  partC?: number
  u: number
  from: 'measured' | 'room' | 'assumed' | 'unknown'
  entry?: string
}

type TemperatureEntry = EntryOf<'temperature'>

/** What was measured so long after a reading says less of it than the room it lay in, ms. */
const longAfterMs = 20 * 60_000

/**
 * A part temperature of the reading's stage, nearest in time (of two as near the earlier), else the nearest room (METHODS 3, 11.5). What
 * was measured after a decision, or long after a reading whose room is known, or is said to be hot or cold since, is of a later part.
 * @example
 * temperatureFor(scenes.sound().tape, scenes.sound().of('low').entry).partC // 20
 */
export function temperatureFor(tape: Tape, reading: ReadingEntry): TemperatureApplied {
  const all = tape.temperatures
  const stage = tape.stageOf.get(reading.id)
  const part = nearest(
    all.filter(
      (entry) => entry.part !== 'room' && tape.stageOf.get(entry.id) === stage && !isWarmedSince(tape, entry, reading),
    ),
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

function isWarmedSince(tape: Tape, measured: TemperatureEntry, reading: ReadingEntry): boolean {
  if (measured.n < reading.n) return false
  if (measured.part !== 'measured' && measured.partC !== undefined) return true
  const late = Date.parse(measured.at) - Date.parse(reading.at) > longAfterMs
  if (late && tape.temperatures.some(({ roomC, n }) => roomC !== undefined && n < measured.n)) return true
  return tape.entries.some(({ kind, n }) => kind === 'decision' && n > reading.n && n < measured.n)
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
