import { isAsked, isAskedKind, isPointMade, isTold, asThisUnit, trialIn } from '../asked'
import { alongTape, nodesOf, type Check, type Entry, type EntryOf, type Reading, type Run } from '../document'
import { prepareCard, quantityOf } from '../judgement'
import { textMismatch } from '../quantity'
import { planSteps } from '../plan'

/** Why an entry cannot stand on a run's tape: the field, and a sentence that follows it. */
export interface Refusal {
  kind: 'conflict' | 'refused'
  field: string
  sentence: string
}

/** A clock may be this far behind another bench's, in milliseconds; further back it was set wrong. */
const clockSlack = 60_000
const afterClosing = new Set(['decision', 'outcome', 'note'])

/**
 * Whether an entry cannot belong to a run's tape (CARD, Entries). It is never refused for how it would be judged.
 * @param run the run with the entries in front of this one
 * @param closed whether a decision has closed the run
 * @example
 * refusalOf(scenes.sound().run, true, { ...scenes.sound().of('low').entry, id: 'late' })
 * // { kind: 'conflict', field: 'kind', sentence: 'is a reading, and this run is closed; start another run for the unit' }
 */
export function refusalOf(run: Run, closed: boolean, entry: Entry): Refusal | null {
  if (entry.run !== run.id) return refused('run', `names another run (${entry.run}) than the one it was sent to`)
  if (closed && !afterClosing.has(entry.kind) && !undoesWhatFollowed(run, entry))
    return {
      kind: 'conflict',
      field: 'kind',
      sentence: `is a ${entry.kind}, and this run is closed; start another run for the unit`,
    }
  const backwards = clockBackwards(run, entry)
  if (backwards) return backwards
  const own = asThisUnit(run)
  return (
    referenceNowhere(own, entry) ??
    (entry.kind === 'ask' ? askRefusal(own, entry.check) : null) ??
    (entry.kind === 'wires' ? wiresRefusal(own, entry.map) : null) ??
    (entry.kind === 'point' ? pointRefusal(own, entry) : null) ??
    (entry.kind === 'reading' ? readingRefusal(own, entry.check, entry.reading) : null)
  )
}

/** What was said after a run was closed can be taken back; what it was closed on cannot. */
const undoesWhatFollowed = (run: Run, entry: Entry): boolean =>
  entry.kind === 'take-back' &&
  run.entries.some(({ id, kind }) => id === entry.entry && (kind === 'outcome' || kind === 'note'))

const refused = (field: string, sentence: string): Refusal => ({ kind: 'refused', field, sentence })

/** Of each person the latest time on the tape, and the last place. */
const clocksOf = alongTape(
  () => new Map<string, { at: string; n: number }>(),
  (clocks, { by, at, n }) => {
    const known = clocks.get(by)
    if (!known) clocks.set(by, { at, n })
    else {
      if (isBefore(known.at, at)) known.at = at
      known.n = Math.max(known.n, n)
    }
  },
)

function clockBackwards(run: Run, entry: Entry): Refusal | null {
  const earliest = latestInFront(run, entry)
  const began = earliest === undefined || isBefore(earliest, run.startedAt)
  const least = began ? run.startedAt : earliest
  if (Date.parse(entry.at) >= Date.parse(least) - clockSlack) return null
  const before = began ? 'the run began' : 'the entry in front of it'
  return refused('at', `is before ${before} (${least}); the clock ran backwards, set it right and enter this again`)
}

/** The latest time of this person's in front of an entry. One that comes behind all of them, as nearly every one does, looks at none. */
function latestInFront({ entries }: Run, { by, n }: Entry): string | undefined {
  const known = clocksOf(entries).get(by)
  if (!known || known.n < n) return known?.at
  let latest: string | undefined
  for (const one of entries)
    if (one.by === by && one.n < n && (latest === undefined || isBefore(latest, one.at))) latest = one.at
  return latest
}

/** Of two UTC times. Written alike they are in the order of their text, which a long tape asks for thousands of times. */
const isBefore = (a: string, b: string): boolean => (a.length === b.length ? a < b : Date.parse(a) < Date.parse(b))

function referenceNowhere(run: Run, entry: Entry): Refusal | null {
  if (entry.kind === 'take-back' && !run.entries.some((one) => one.id === entry.entry))
    return refused('entry', 'names an entry that is not on this tape; send that one first')
  if (entry.kind === 'lead-check' && !run.instruments.some((one) => one.id === entry.instrument))
    return refused('instrument', `names "${entry.instrument}", which is not among this run’s meters`)
  // a point of a check is named behind its colon, and which points it has follows from what this unit reads
  if (entry.kind !== 'skip' || run.card.checks.some(({ id }) => entry.check === id || entry.check.startsWith(`${id}:`)))
    return null
  return planSteps(prepareCard(run.card, run.unit)).some((step) => step.id === entry.check)
    ? null
    : refused('check', `names "${entry.check}", which is neither a check of this card nor a step of this run`)
}

/** Each loose wire is one terminal of the card, and no two are the same. */
function wiresRefusal({ card }: Run, map: Record<string, string>): Refusal | null {
  const named = Object.values(map)
  const stranger = named.find((id) => !card.terminals.some((one) => one.id === id))
  if (stranger !== undefined) return refused('map', `names the terminal "${stranger}", which this card does not have`)
  const twice = named.find((id, i) => named.indexOf(id) !== i)
  return twice === undefined ? null : refused('map', `has two wires for the terminal "${twice}"`)
}

/** A point off the card has a name of its own, and lies on a lead of this part. */
function pointRefusal(run: Run, { terminal, on }: EntryOf<'point'>): Refusal | null {
  if (!isPointMade(terminal.id))
    return refused('terminal.id', `is "${terminal.id}"; a point of one run is named point- and more`)
  const { terminals } = run.card
  if (terminals.some(({ id }) => id === terminal.id))
    return refused('terminal.id', `is "${terminal.id}", which this run has already`)
  return terminals.some(({ id }) => id === on)
    ? null
    : refused('on', `names the terminal "${on}", which this card does not have`)
}

/** What is asked besides is two points of this part, the field at a place or a trial there, under a name that is its own. */
function askRefusal(run: Run, { id, at, kind, limits }: Check): Refusal | null {
  if (!isAsked(id)) return refused('check.id', `is "${id}"; what is asked of one run is named ask- and more`)
  if (run.card.checks.some((one) => one.id === id)) return refused('check.id', `is "${id}", which is asked already`)
  const trial = trialIn({ kind, limits })
  if ('place' in at && (trial !== undefined || (kind === 'field' && limits.length === 0))) return null
  if (!('pair' in at)) return refused('check.at', 'is no pair; two points are asked for')
  if (trial === undefined && !isAskedKind(kind))
    return refused('check.kind', `is "${kind}"; two points are read in one figure`)
  const sources = new Set(run.card.sources.map((one) => one.id))
  if (
    trial === undefined &&
    !isTold({ id, limits }) &&
    limits.some(({ limit, source }) => limit !== 'derived' || !sources.has(source))
  )
    return refused('check.limits', 'are not what the card’s own windings add up to')
  const terminals = new Set(nodesOf(run.card))
  const stranger = at.pair.find((terminal) => !terminals.has(terminal))
  return stranger === undefined
    ? null
    : refused('check.at.pair', `names the terminal "${stranger}", which this card does not have`)
}

function readingRefusal(run: Run, checkId: string, reading: Reading): Refusal | null {
  const check = run.card.checks.find((one) => one.id === checkId)
  if (!check) return refused('check', `names "${checkId}", which this card does not have`)
  if (check.only && !check.only.includes(run.unit.variant ?? ''))
    return refused('check', `names "${checkId}", which is not for this unit’s variant`)
  if (reading.instrument !== undefined && !run.instruments.some((one) => one.id === reading.instrument))
    return refused('reading.instrument', `names "${reading.instrument}", which is not among this run’s meters`)
  const terminals = new Set(nodesOf(run.card))
  const stranger = check.kind === 'pair-matrix' ? undefined : reading.pair?.find((terminal) => !terminals.has(terminal))
  if (stranger !== undefined)
    return refused('reading.pair', `names the terminal "${stranger}", which this card does not have`)
  const items = check.items === undefined ? undefined : (run.unit.items ?? check.items)
  if (reading.index !== undefined && items !== undefined && reading.index > items)
    return refused('reading.index', `is ${reading.index}, and this check has ${items} items`)
  const { supersedes } = reading
  if (supersedes !== undefined && !run.entries.some((one) => one.id === supersedes && one.kind === 'reading'))
    return refused('reading.supersedes', 'names a reading that is not on this tape; send that one first')
  const missing = needs(reading).find((field) => reading[field] === undefined)
  if (missing) return refused(`reading.${missing}`, `is missing, and a reading of kind "${reading.kind}" needs it`)
  const quantity = quantityOf(check)
  const part = quantity === undefined ? null : textMismatch(reading, quantity)
  const shown = reading.text.slice(0, 40)
  if (part === 'text')
    return refused('reading.text', `"${shown}" cannot be read as ${quantity}; type it again as the meter shows it`)
  return part ? refused(`reading.${part}`, `is not what the text "${shown}" says; send what the text says`) : null
}

function needs({ kind, drops = 0 }: Reading): ('value' | 'low' | 'high' | 'answer')[] {
  if (kind === 'answer') return ['answer']
  if (kind === 'spread') return drops > 0 ? ['low'] : ['low', 'high']
  return kind === 'over' ? [] : ['value']
}
