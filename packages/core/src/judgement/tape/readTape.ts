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
  /** how many part-changing works stand before an entry: 0 where it has none, as of most tapes */
  stageOf: Map<string, number>
  /** those that stand, by kind, in tape order */
  standing: Map<Entry['kind'], Entry[]>
  works: readonly EntryOf<'work'>[]
  /** those that change what the part reads */
  changes: readonly EntryOf<'work'>[]
  /** the entries a reading's setting is looked up in */
  leadChecks: readonly EntryOf<'lead-check'>[]
  temperatures: readonly EntryOf<'temperature'>[]
  isolations: readonly EntryOf<'isolation'>[]
  proofs: readonly EntryOf<'proof'>[]
  history: (entry: Entry) => History
}

const changesPart = new Set(['reflow', 'splice', 'clean', 'rewind', 'fix'])

/**
 * Puts a run's entries in order and works out what stands (CARD, Entries; METHODS 11.2).
 * @example
 * readTape(scenes.sound().run).readings.length // 4
 */
export function readTape(run: Run): Tape {
  const entries = inOrder(run.entries)
  const takenBack = takenBackIn(entries)
  const gone: Tape['gone'] = new Map()
  for (const [id, by] of takenBack) gone.set(id, { by, how: 'taken-back' })
  const readings: ReadingEntry[] = []
  const standing: Tape['standing'] = new Map()
  const stageOf = new Map<string, number>()
  let stage = 0
  for (const entry of entries) {
    const stands = !takenBack.has(entry.id)
    if (stands) {
      const alike = standing.get(entry.kind)
      if (alike) alike.push(entry)
      else standing.set(entry.kind, [entry])
    }
    if (entry.kind === 'work' && changesPart.has(entry.what) && stands) stage++
    if (stage > 0) stageOf.set(entry.id, stage)
    if (entry.kind !== 'reading') continue
    readings.push(entry)
    const { supersedes, mistyped } = entry.reading
    if (supersedes !== undefined && stands && !gone.has(supersedes))
      gone.set(supersedes, { by: entry, how: mistyped ? 'mistyped' : 'retaken' })
  }
  const works = entriesThatStand({ standing }, 'work')
  const rewinds = works.filter((work) => work.what === 'rewind')
  return {
    entries,
    readings,
    standing,
    gone,
    takenBack,
    stageOf,
    leadChecks: entriesThatStand({ standing }, 'lead-check'),
    temperatures: entriesThatStand({ standing }, 'temperature'),
    isolations: entriesThatStand({ standing }, 'isolation'),
    proofs: entriesThatStand({ standing }, 'proof'),
    works,
    changes: works.filter((work) => changesPart.has(work.what)),
    history: (entry) =>
      rewinds.length > 0 && rewinds.some((work) => stoodBefore(entries, work, entry)) ? 'rewound' : run.unit.history,
  }
}

/** By number, of alike ones by clock and id; most tapes stand in order already. */
function inOrder(entries: readonly Entry[]): Entry[] {
  const copy = [...entries]
  const sorted = copy.every((entry, i) => i === 0 || (copy[i - 1]?.n ?? 0) < entry.n)
  return sorted ? copy : copy.sort((a, b) => a.n - b.n || Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1))
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
