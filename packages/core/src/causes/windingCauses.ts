import { expectedOf } from '../conformance'
import type { Winding } from '../document'
import { kindOf, readsOpen, sideOf, windingsBetween, type CheckState, type Evaluation } from '../judgement'
import type { Candidate, Fact } from './cause'
import type { CauseInput } from './factsOf'

/**
 * What a winding could be, as its own reading allows and no reading that is within contradicts (METHODS 11.21).
 * @example
 * windingCandidates(scenes.low().causing, []).length // 0
 */
export function windingCandidates(input: CauseInput, facts: Fact[]): Candidate[] {
  const touched = new Set(facts.flatMap(({ windings }) => [...windings]))
  return input.prepared.card.windings
    .filter(({ id }) => touched.has(id))
    .flatMap((winding) => candidatesOf(input, winding, facts))
}

function candidatesOf(input: CauseInput, winding: Winding, facts: Fact[]): Candidate[] {
  const own = ownReading(input, winding.id)
  if (own?.verdict === 'within') return []
  const failed = facts.some(({ id }) => id === own?.check.id)
  const said = own ? saidBy(own) : undefined
  const kinds = said === undefined ? kindsOfPaths(input, winding.id, facts) : [said]
  return kinds.map((kind) => ({
    cause: { kind, of: [winding.id], ...(kind === 'winding-low' && own ? shareOf(own) : {}) },
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
    const pins = pinsOpen(input, fact.id, winding)
    if (pins) return ['winding-open' as const]
    const said = pointsOf(input, fact.id).map(saidBy)
    return said.flatMap((one) => one ?? [])
  })
  return [...new Set(kinds)]
}

/** Whether a pair through one winding, and not through another, is within: then the other is what is off. */
const isCleared = ({ checks, prepared: { card } }: CauseInput, winding: string, but: string): boolean =>
  checks.some(
    ({ check, points }) =>
      (check.kind === 'resistance' || check.kind === 'three-pins') &&
      !check.toFrame &&
      points.some(({ verdict, evaluation }) => {
        const path = verdict === 'within' && evaluation?.pair ? windingsBetween(card, evaluation.pair) : []
        return path.includes(winding) && !path.includes(but)
      }),
  )

const pointsOf = ({ checks }: CauseInput, id: string): Evaluation[] =>
  checks
    .find(({ check }) => check.id === id)
    ?.points.flatMap(({ evaluation, verdict }) => (evaluation && verdict === 'outside' ? [evaluation] : [])) ?? []

/** Three pins whose one winding is open: its end reads nothing to the others. */
function pinsOpen({ checks, prepared: { card, unitGroups } }: CauseInput, id: string, winding: string): boolean {
  const state = checks.find(({ check }) => check.id === id)
  if (state?.check.kind !== 'three-pins') return false
  const read = state.points.flatMap(({ evaluation }) => evaluation ?? [])
  const kind = kindOf(state.check, read)
  const one = card.windings.find((other) => other.id === winding)
  if (!one || (kind !== 'single' && kind !== 'open')) return false
  return !unitGroups.some((group) => group.includes(one.from) && group.includes(one.to))
}

function ownReading({ checks, prepared: { card } }: CauseInput, winding: string): Evaluation | undefined {
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
  if (fact.alone.kind === 'winding-low' || fact.alone.kind === 'winding-high')
    return fact.alone.of.includes(winding) || kind === 'winding-open'
  if (pinsOpen(input, fact.id, winding)) return kind === 'winding-open'
  const read = pointsOf(input, fact.id)
  const relation = input.relations.find((one) => one.relation.id === fact.id)
  if (relation) return relation.relation.kind !== 'sum'
  return read.length > 0 && read.every((one) => saidBy(one) === kind)
}

/** The share of ohms missing from its nominal, the middle of its band; with a minimum alone from that (METHODS 11.21). */
function shareOf({ judged, limit }: Evaluation): { share: number } | object {
  const expected = expectedOf(limit?.band ?? {})
  return judged === undefined || expected === undefined || expected <= 0 ? {} : { share: 1 - judged / expected }
}
