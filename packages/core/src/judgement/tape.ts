import type { Entry, EntryOf, History, Run } from '../document'
import type { PreparedCard, PreparedCheck } from './prepare'

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

/** Puts a run's entries in order and works out what stands (CARD, Entries; METHODS 11.2). */
export function readTape(run: Run): Tape {
  const entries = [...run.entries].sort(
    (a, b) => a.n - b.n || Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1),
  )
  const takenBack = new Map<string, Entry>()
  for (const entry of entries) if (entry.kind === 'take-back') takenBack.set(entry.entry, entry)
  for (const entry of entries) if (entry.kind === 'take-back' && takenBack.has(entry.id)) takenBack.delete(entry.entry)
  const standing = entries.filter((entry) => !takenBack.has(entry.id))
  const gone: Tape['gone'] = new Map()
  for (const [id, by] of takenBack) gone.set(id, { by, how: 'taken-back' })
  for (const entry of standing)
    if (entry.kind === 'reading' && entry.reading.supersedes !== undefined && !gone.has(entry.reading.supersedes))
      gone.set(entry.reading.supersedes, { by: entry, how: entry.reading.mistyped ? 'mistyped' : 'retaken' })
  const ofKind = <K extends Entry['kind']>(kind: K) =>
    standing.filter((entry): entry is EntryOf<K> => entry.kind === kind)
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
    history: (entry) =>
      rewinds.length > 0 && rewinds.some((work) => before(entries, work, entry)) ? 'rewound' : run.unit.history,
  }
}

const before = (entries: Entry[], a: Entry, b: Entry): boolean => entries.indexOf(a) < entries.indexOf(b)

/** Whether work done after this reading touched what it read, so that it judges an earlier stage (METHODS 11.4). */
export function outdated(
  tape: Tape,
  prepared: PreparedCard,
  check: PreparedCheck,
  entry: ReadingEntry,
  pair: [string, string] | undefined,
): boolean {
  return tape.works.some((work) => before(tape.entries, entry, work) && worksOn(prepared, check, pair, work.place))
}

/** A place that names no winding or terminal touches every winding; a ground test is touched by any winding of its group. */
function worksOn(
  { card, groupOf }: PreparedCard,
  check: PreparedCheck,
  pair: [string, string] | undefined,
  place: string,
): boolean {
  const winding = card.windings.find((one) => one.id === place)
  const grounded = (terminal: string) =>
    check.toFrame && (pair?.some((one) => one !== 'frame' && groupOf(one).includes(terminal)) ?? false)
  if (winding) return check.toFrame ? grounded(winding.from) : check.touches.has(place)
  if (!card.terminals.some((terminal) => terminal.id === place)) return true
  return (pair?.includes(place) ?? false) || grounded(place)
}
