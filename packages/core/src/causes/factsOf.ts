import {
  pairKey,
  readsFinite,
  readsOpen,
  sideOf,
  windingsBetween,
  type CheckState,
  type Evaluation,
  type PreparedCard,
  type RelationState,
} from '../judgement'
import type { BareCause, Fact } from './cause'

/** What the finding holds against the part: a reading, a relation, or a place that was looked at. */
interface Fault {
  check?: string
  relation?: string
  entry?: string
  place?: string
}

export interface CauseInput {
  prepared: PreparedCard
  checks: CheckState[]
  relations: RelationState[]
  faults: Fault[]
  /** checks that what their parts read explains */
  explained: string[]
  /** points off the card, and the terminal on whose lead each lies */
  points: Map<string, string>
}

/** What alternates or moves on a winding follows it, and what it is seen or heard to do. */
const follows: ReadonlySet<string> = new Set([
  'ac-output',
  'dc-output',
  'inductance',
  'capacitance',
  'response',
  'field',
  'act',
  'lamp',
])
/** Under this it reaches, above it leaks, ohms (METHODS 11.13). */
const hardPath = 1000

/**
 * Each thing that stands outside, with what it says by itself (METHODS 11.21).
 * @example
 * factsOf(scenes.low().causing).map(({ id }) => id) // [ 'low' ]
 */
export function factsOf(input: CauseInput): Fact[] {
  const relations = new Map(input.relations.map((one) => [one.relation.id, one]))
  const read = new Map(
    input.checks.flatMap((state) =>
      state.points.flatMap(({ evaluation }) => (evaluation ? [[evaluation.entry.id, { state, evaluation }]] : [])),
    ),
  )
  return input.faults.flatMap(({ place, relation: id = '', entry = '' }) => {
    if (place !== undefined)
      return { id: place, alone: { kind: 'seen', of: [place] }, windings: new Set<string>(), follows: false }
    const relation = relations.get(id)
    if (relation) return relationFact(input, relation)
    const reading = read.get(entry)
    if (!reading) return []
    const { state, evaluation } = reading
    return (isApart(evaluation) ? outsideOf(state) : [evaluation]).map((one) => readingFact(input, state, one))
  })
}

/** Pins whose pairs are judged each by itself fail once on the finding, and have a fact for each pair that is off. */
const isApart = ({ whole }: Evaluation): boolean => whole?.verdict !== undefined
const outsideOf = ({ points }: CheckState): Evaluation[] =>
  points.flatMap(({ evaluation, held }) =>
    evaluation?.verdict === 'outside' && evaluation.whole?.stands && !held ? [evaluation] : [],
  )

function relationFact(input: CauseInput, state: RelationState): Fact {
  const windings = new Set(state.members.flatMap((one) => [...one.check.touches]))
  const isStarved = state.relation.kind === 'above' && windings.size === 0
  return {
    id: state.relation.id,
    alone: ofRelation(input, state),
    windings,
    follows: false,
    ...(isStarved ? { starved: true as const } : {}),
  }
}

function readingFact(input: CauseInput, state: CheckState, evaluation: Evaluation): Fact {
  const alone = ofReading(input, state, evaluation)
  const isStarved = alone.kind === 'output' && state.check.touches.size === 0 && sideOf(evaluation) === 'low'
  return {
    id: state.check.id,
    alone,
    windings: pathOf(input, state, evaluation),
    read: evaluation,
    follows: follows.has(state.check.kind),
    ...(isStarved ? { starved: true as const } : {}),
  }
}

/** The windings a reading goes through; what goes to the frame goes through none. */
function pathOf({ prepared }: CauseInput, { check }: CheckState, one: Evaluation): ReadonlySet<string> {
  if (check.toFrame) return new Set()
  return one.pair && isApart(one) ? new Set(windingsBetween(prepared.card, one.pair, check.conditions)) : check.touches
}

function ofRelation(input: CauseInput, { relation, odd, oddReadsHigh }: RelationState): BareCause {
  const [winding] = odd && odd.check.touches.size === 1 ? [...odd.check.touches] : []
  switch (relation.kind) {
    case 'sum':
      return { kind: 'joint', of: sharedTerminal(input, relation.parts) }
    case 'draw':
      return { kind: 'draw', of: [relation.id] }
    case 'twin':
      return { kind: 'unlike', of: [relation.check] }
    case 'above':
      return { kind: 'output', of: [relation.check] }
    case 'ratio':
      if (winding !== undefined) return { kind: oddReadsHigh ? 'winding-high' : 'winding-low', of: [winding] }
      return { kind: 'unlike', of: [relation.of] }
    case 'equal':
    case 'unbalance':
      return { kind: 'unlike', of: [odd?.check.id ?? relation.checks[0] ?? ''] }
    case 'kind-of-three':
      return { kind: 'figure', of: [relation.check] }
  }
}

/** The terminal that two parts of a sum share: a joint there stands in both. */
function sharedTerminal({ checks }: CauseInput, parts: string[]): string[] {
  const ends = parts.flatMap((id) => {
    const at = checks.find(({ check }) => check.id === id)?.check.at
    return at && 'pair' in at ? at.pair : []
  })
  const shared = ends.find((one, i) => ends.indexOf(one) !== i)
  return shared === undefined ? [] : [shared]
}

function ofReading(input: CauseInput, state: CheckState, one: Evaluation): BareCause {
  const { check } = state
  const { reading } = one.entry
  const { kind } = check
  if (reading.index !== undefined) return { kind: 'ring' in check.at ? 'bars' : 'items', of: [String(reading.index)] }
  if (kind === 'contacts') return ofContacts(input, one)
  if (one.reason === 'wrong-answer') return { kind: 'answer', of: [check.id] }
  if (one.reason === 'leg-to-frame') return { kind: 'to-frame', of: legAt(input, one.pair ?? []) }
  if (follows.has(kind)) return { kind: 'output', of: [check.id] }
  if (one.reason === 'unlike-the-rest') return { kind: 'unlike', of: [check.id] }
  const frame = one.pair?.find((end) => end === 'frame')
  const [a = '', b = ''] = one.pair ?? []
  const ohms = one.net ?? one.bound
  if ((frame && check.toFrame) || one.reason === 'shorted' || kind === 'insulation' || one.limit?.expectOpen) {
    const hard = ohms !== undefined && ohms < hardPath
    const volts = reading.conditions?.testVolts
    const more = { ...(ohms === undefined ? {} : { ohms }), ...(volts === undefined ? {} : { volts }) }
    const groups = [a, b].filter((end) => end !== 'frame').map((end) => windingsAt(input, end))
    const of = [...new Set(groups.flat())].sort()
    const named = of.length > 0 ? of : [a, b].filter((end) => end !== 'frame')
    if (!frame) return { kind: 'bridged', of: named, ...more }
    return { kind: hard ? 'to-frame' : 'insulation-low', of: named, ...more }
  }
  if (check.touches.size === 0 && (kind === 'continuity' || one.limit?.kind === 'closed'))
    return { kind: 'wire', of: [check.id] }
  const [joint] = check.conditions?.joined ?? []
  if (joint && readsOpen(one) && [...check.touches].every((id) => isReadWhole(input, id)))
    return { kind: 'joint', of: [...joint] }
  return { kind: 'figure', of: [check.id] }
}

/** A check of its own read this winding finite. */
const isReadWhole = ({ checks }: CauseInput, winding: string): boolean =>
  checks.some(
    ({ check, points }) =>
      check.kind === 'resistance' &&
      check.touches.size === 1 &&
      check.touches.has(winding) &&
      points.some(({ evaluation, held }) => evaluation !== undefined && !held && readsFinite(evaluation)),
  )

/** The leg that ends at a lead; where no winding does, the lead itself. */
function legAt({ prepared: { card } }: CauseInput, pair: readonly string[]): string[] {
  const lead = pair.find((end) => end !== 'frame') ?? ''
  const leg = card.windings.find(({ from, to }) => from === lead || to === lead)
  return [leg?.id ?? lead]
}

/** The windings of the group that a terminal is in; of a lone side the winding that broke off it. */
function windingsAt({ prepared: { card, unitGroups } }: CauseInput, terminal: string): string[] {
  const group = unitGroups.find((one) => one.includes(terminal)) ?? [terminal]
  const inside = card.windings.filter(({ from, to }) => group.includes(from) && group.includes(to))
  const broken = card.windings.filter(({ from, to }) => from === terminal || to === terminal)
  return (inside.length > 0 ? inside : broken).map(({ id }) => id)
}

interface Touch {
  pair: [string, string]
  open: boolean
  driven: boolean
  times: number
}

/** A contact stuck closed, stuck open, or of too many ohms: the pair that says so. */
function ofContacts(input: CauseInput, one: Evaluation): BareCause {
  const [a, b] = one.pair ?? []
  if (one.limit?.kind === 'closed' && sideOf(one) === 'high' && one.reason === 'above-maximum' && a !== undefined)
    return { kind: 'contact-high', of: [a, b ?? ''].sort(), ...(one.net === undefined ? {} : { ohms: one.net }) }
  const touches = touchesOf(input)
  const joined = new Set(input.checks.flatMap(({ check }) => (check.conditions?.joined ?? []).map(pairKey)))
  const at = (driven: boolean, open: boolean) =>
    touches.filter((touch) => touch.driven === driven && touch.open === open && !joined.has(pairKey(touch.pair)))
  const stuck = at(true, false).find((touch) =>
    at(false, false).some((rest) => pairKey(rest.pair) === pairKey(touch.pair)),
  )
  if (stuck) return { kind: 'contact-closed', of: stuck.pair.toSorted() }
  const silent = at(true, true)
    .filter((touch) => !at(false, false).some((rest) => pairKey(rest.pair) === pairKey(touch.pair)))
    .sort((x, y) => y.times - x.times || (pairKey(x.pair) < pairKey(y.pair) ? -1 : 1))[0]
  const clicks = input.checks.some(({ check, verdict }) => check.kind === 'act' && verdict === 'within')
  if (silent && (one.reason === 'contact-fault' || clicks)) return { kind: 'contact-open', of: silent.pair.toSorted() }
  return { kind: 'does-not-operate', of: [one.check.id] }
}

function touchesOf({ checks }: CauseInput): Touch[] {
  const found = new Map<string, Touch>()
  for (const { check, points } of checks) {
    if (check.kind !== 'contacts') continue
    for (const { evaluation } of points) {
      if (!evaluation?.pair) continue
      const { reading } = evaluation.entry
      const drive = reading.conditions?.drive === undefined ? check.conditions?.drive : reading.conditions.drive
      const closed = reading.method === 'beeper' ? reading.kind === 'below' : (evaluation.net ?? Infinity) < 5
      const driven = drive !== null && drive !== undefined
      const key = `${pairKey(evaluation.pair)}|${driven}|${closed}`
      const times = (found.get(key)?.times ?? 0) + 1 + (reading.supersedes === undefined ? 0 : 1)
      found.set(key, { pair: evaluation.pair, open: !closed, driven, times })
    }
  }
  return [...found.values()]
}
