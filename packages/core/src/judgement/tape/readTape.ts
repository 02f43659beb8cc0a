import type { Entry, EntryOf, History, Run } from '../../document'
import { entriesThatStand, takenBackIn } from './entriesThatStand'

export type ReadingEntry = EntryOf<'reading'>

/** The entries in tape order, with what later ones did to earlier ones. */
export interface Tape {
  entries: Entry[]
  readings: ReadingEntry[]
  /** reading id → the entry that put it out of use, and how */
  gone: Map<string, { by: Entry; how: 'taken-back' | 'retaken' | 'mistyped' }>
  /** entry id → the take-back that undid it */
  takenBack: Map<string, Entry>
  /** how many part-changing works stand before each entry */
  stageOf: Map<string, number>
  works: EntryOf<'work'>[]
  /** the entries a reading's setting is looked up in, those that stand, in tape order */
  leadChecks: EntryOf<'lead-check'>[]
  temperatures: EntryOf<'temperature'>[]
  isolations: EntryOf<'isolation'>[]
  proofs: EntryOf<'proof'>[]
  history: (entry: Entry) => History
}

const changesPart = new Set(['reflow', 'splice', 'clean', 'rewind', 'fix'])

/**
 * Puts a run's entries in order and works out what stands (CARD, Entries; METHODS 11.2).
 * @example
 * readTape(scenes.sound().run).readings.length // 4
 */
export function readTape(run: Run): Tape {
  const entries = [...run.entries].sort(
    (a, b) => a.n - b.n || Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1),
  )
  const takenBack = takenBackIn(entries)
  const gone: Tape['gone'] = new Map()
  for (const [id, by] of takenBack) gone.set(id, { by, how: 'taken-back' })
  for (const entry of entries)
    if (entry.kind === 'reading' && entry.reading.supersedes !== undefined && !takenBack.has(entry.id)) {
      const how = entry.reading.mistyped ? 'mistyped' : 'retaken'
      if (!gone.has(entry.reading.supersedes)) gone.set(entry.reading.supersedes, { by: entry, how })
    }
  const ofKind = <K extends Entry['kind']>(kind: K) => entriesThatStand({ entries, takenBack }, kind)
  const works = ofKind('work')
  const stageOf = new Map<string, number>()
  let stage = 0
  for (const entry of entries) {
    if (entry.kind === 'work' && changesPart.has(entry.what) && !takenBack.has(entry.id)) stage++
    stageOf.set(entry.id, stage)
  }
  const rewinds = works.filter((work) => work.what === 'rewind')
  return {
    entries,
    readings: entries.filter((entry): entry is ReadingEntry => entry.kind === 'reading'),
    gone,
    takenBack,
    stageOf,
    leadChecks: ofKind('lead-check'),
    temperatures: ofKind('temperature'),
    isolations: ofKind('isolation'),
    proofs: ofKind('proof'),
    works: works.filter((work) => changesPart.has(work.what)),
    history: (entry) => (rewinds.some((work) => stoodBefore(entries, work, entry)) ? 'rewound' : run.unit.history),
  }
}

/**
 * Whether one entry stands in front of another on the tape; an entry that is not on it stands behind all that are.
 * @example
 * stoodBefore(scenes.retaken().run.entries, ...scenes.retaken().run.entries.slice(-2)) // false
 */
export function stoodBefore(entries: readonly Entry[], a: Entry, b: Entry): boolean {
  const [first, second] = [entries.indexOf(a), entries.indexOf(b)]
  return first >= 0 && (second < 0 || first < second)
}
