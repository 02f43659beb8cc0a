import { expectedOf } from '../conformance'
import type { Winding } from '../document'
import { readsFinite, readsOpen, sideOf, windingsBetween, type CheckState, type Evaluation } from '../judgement'
import type { Candidate, Fact } from './cause'
import type { CauseInput } from './factsOf'

/**
 * What a winding could be, as its own reading allows and no reading that is within contradicts (METHODS 11.21).
 * @example
 * windingCandidates(scenes.low().causing, []).length // 0
 */
export function windingCandidates(input: CauseInput, facts: Fact[]): Candidate[] {
  const touched = new Set(facts.flatMap(({ windings }) => [...windings]))
  const single = input.prepared.card.windings
    .filter(({ id }) => touched.has(id))
    .flatMap((winding) => candidatesOf(input, winding, facts))
  return [...single, ...facts.flatMap((fact) => allOpen(input, fact))]
}

function candidatesOf(input: CauseInput, winding: Winding, facts: Fact[]): Candidate[] {
  const own = ownReading(input, winding.id)
  if (own?.verdict === 'within') return []
  const failed = facts.some(({ id }) => id === own?.check.id)
  const said = own ? saidBy(own) : undefined
  // what was read finite by itself is not open, whatever leads through it
  const isWhole = own !== undefined && readsFinite(own)
  const byPaths = () => kindsOfPaths(input, winding.id, facts).filter((kind) => !(isWhole && kind === 'winding-open'))
  const kinds = said === undefined ? byPaths() : [said]
  return kinds.map((kind) => ({
    cause: { kind, of: [winding.id], ...(kind === 'winding-low' ? missing(input, winding, own, facts) : {}) },
    own: failed,
    covers: (fact) => covers(input, kind, winding.id, fact),
  }))
}

type WindingKind = 'winding-open' | 'winding-low' | 'winding-high'

function saidBy(own: Evaluation): WindingKind | undefined {
  if (readsOpen(own) || own.reason === 'open-circuit') return 'winding-open'
  const side = sideOf(own)
  return side === 'low' ? 'winding-low' : side === 'high' ? 'winding-high' : undefined
}

/** A winding nobody read by itself could be what a whole through it says, where nothing else on the path could. */
function kindsOfPaths(input: CauseInput, winding: string, facts: Fact[]): WindingKind[] {
  const kinds = facts.flatMap((fact) => {
    if (!fact.windings.has(winding) || fact.follows) return []
    const others = [...fact.windings].filter((id) => id !== winding)
    if (!others.every((id) => isCleared(input, id, winding))) return []
    return fact.read ? (saidBy(fact.read) ?? []) : []
  })
  return [...new Set(kinds)]
}

/** Whether a pair through one winding, and not through another, is within: then the other is what is off. */
const isCleared = ({ checks, prepared: { card } }: CauseInput, winding: string, but: string): boolean =>
  checks.some(
    ({ check, points }) =>
      check.kind === 'resistance' &&
      !check.toFrame &&
      points.some(({ verdict, evaluation }) => {
        const path = verdict === 'within' && evaluation?.pair ? windingsBetween(card, evaluation.pair) : []
        return path.includes(winding) && !path.includes(but)
      }),
  )

/** The windings of three pins whose two ends are apart in this unit. */
function openOnPins({ checks, prepared: { card, unitGroups } }: CauseInput, id: string): string[] {
  const pins = checks.find(({ check }) => check.id === id && check.kind === 'three-pins')
  return card.windings
    .filter((one) => pins?.check.touches.has(one.id))
    .filter((one) => !unitGroups.some((group) => group.includes(one.from) && group.includes(one.to)))
    .map((one) => one.id)
}

/** Pins that all read open are no one winding: all of them, or what they share. */
function allOpen(input: CauseInput, { id }: Fact): Candidate[] {
  const of = openOnPins(input, id)
  return of.length < 2 ? [] : [{ cause: { kind: 'winding-open', of }, own: true, covers: (fact) => fact.id === id }]
}

/**
 * What was read of a winding and nothing else: its own check, else the pair of three pins that it lies alone between.
 * @example
 * ownReading(scenes.low().causing, 'low')?.check.id // 'low'
 */
export function ownReading({ checks, prepared: { card } }: CauseInput, winding: string): Evaluation | undefined {
  const isOwn = ({ check }: CheckState) =>
    check.kind === 'resistance' && !check.toFrame && check.touches.size === 1 && check.touches.has(winding)
  const own = checks.find(isOwn)?.points.at(-1)?.evaluation
  if (own) return own
  const pins = checks.filter(({ check }) => check.kind === 'three-pins').flatMap(({ points }) => points)
  return pins.find(({ evaluation }) => evaluation?.pair && isAlone(windingsBetween(card, evaluation.pair), winding))
    ?.evaluation
}

const isAlone = (path: string[], winding: string): boolean => path.length === 1 && path[0] === winding

/** A winding covers the pairs it is on, what alternates on them, relations with a touched member, and three pins read without it. */
function covers(input: CauseInput, kind: WindingKind, winding: string, fact: Fact): boolean {
  if (!fact.windings.has(winding)) return false
  if (fact.follows || fact.alone.kind === 'draw' || fact.alone.kind === 'unlike') return true
  if (fact.alone.kind === 'winding-low' || fact.alone.kind === 'winding-high') return fact.alone.of.includes(winding)
  const [open, ...more] = openOnPins(input, fact.id)
  if (more.length > 0) return false
  if (open === winding) return kind === 'winding-open'
  const relation = input.relations.find((one) => one.relation.id === fact.id)
  if (relation) return relation.relation.kind !== 'sum'
  return fact.read !== undefined && saidBy(fact.read) === kind
}

/** The share of a winding's ohms that is missing: by its own reading, else by what a whole through it lacks. */
function missing(input: CauseInput, winding: Winding, own: Evaluation | undefined, facts: Fact[]): { share?: number } {
  if (own) return shareOf(own)
  const whole = facts
    .filter((fact) => fact.windings.has(winding.id) && !fact.follows)
    .flatMap(({ read }) => read ?? [])
    .find((one) => saidBy(one) === 'winding-low')
  if (whole?.judged === undefined || winding.ohms === undefined) return {}
  const others = [...whole.check.touches].filter((id) => id !== winding.id).map((id) => ownReading(input, id)?.judged)
  const expected = expectedOf(whole.limit?.band ?? {})
  // what the others leave of the whole is this one's; where one was not read, all that the whole lacks is
  const lacks = others.every((one) => one !== undefined)
    ? winding.ohms - (whole.judged - others.reduce<number>((sum, one) => sum + one, 0))
    : (expected ?? whole.judged) - whole.judged
  return { share: Math.min(1, Math.max(0, lacks / winding.ohms)) }
}

/** The share of ohms missing from its nominal, the middle of its band; with a minimum alone from that (METHODS 11.21). */
function shareOf({ judged, limit }: Evaluation): { share?: number } {
  const expected = expectedOf(limit?.band ?? {})
  return judged === undefined || expected === undefined || expected <= 0 ? {} : { share: 1 - judged / expected }
}
