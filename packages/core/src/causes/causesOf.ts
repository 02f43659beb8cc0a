import { kindOf } from '../judgement'
import { causeKinds, type BareCause, type Candidate, type Cause, type Fact } from './cause'
import { factsOf, type CauseInput } from './factsOf'
import { windingCandidates } from './windingCauses'

/** More faults at once are taken one by one, largest first. */
const mostAtOnce = 3

/**
 * The smallest set of faults of the part that explains every fact (METHODS 11.21): the fewest first, then the kinds in their order, a bare
 * figure last of all, then what failed by a check of its own.
 * @returns in the order of their kinds; none where nothing stands outside
 * @example
 * causesOf(scenes.low().causing)[0].of // [ 'low' ]
 */
export function causesOf(input: CauseInput): Cause[] {
  const facts = factsOf(input)
  const candidates = [...windingCandidates(input, facts), ...together(facts)]
    .map((one) => ({ ...one, facts: facts.filter(one.covers) }))
    .filter((one) => one.facts.length > 0)
    .sort((a, b) => rank(a) - rank(b) || Number(b.own) - Number(a.own))
  const chosen = fewest(candidates, facts)
  const causes = chosen.map(({ cause, facts: told }) => ({
    ...cause,
    explains: [...new Set([...told.map(({ id }) => id), ...explainedBy(input, cause)])].sort(),
  }))
  return [...causes, ...otherKinds(input)]
}

interface Covering extends Candidate {
  facts: Fact[]
}
const rank = ({ cause }: Candidate): number => causeKinds.indexOf(cause.kind)

/** What facts say by themselves; those that say the same thing are one. */
function together(facts: Fact[]): Candidate[] {
  const found = new Map<string, Candidate>()
  const numbers = (kind: string) =>
    [...new Set(facts.flatMap(({ alone }) => (alone.kind === kind ? alone.of : [])))].sort(
      (a, b) => Number(a) - Number(b),
    )
  const grounded = new Set(facts.flatMap(({ alone }) => (alone.kind === 'to-frame' ? alone.of : [])))
  /** two windings that both reach the frame are joined through it */
  const bridges = (cause: BareCause, { alone }: Fact) =>
    cause.kind === 'to-frame' &&
    alone.kind === 'bridged' &&
    alone.of.some((id) => cause.of.includes(id)) &&
    alone.of.every((id) => grounded.has(id))
  for (const { alone } of facts) {
    const inOne = alone.kind === 'bars' || alone.kind === 'items'
    const cause = inOne ? { ...alone, of: numbers(alone.kind) } : alone
    const key = `${cause.kind}|${cause.of.join('|')}`
    if (found.has(key)) continue
    found.set(key, { cause, own: false, covers: (fact) => saysAlike(cause, fact) || bridges(cause, fact) })
  }
  return [...found.values()]
}

/** Bars explain what the blade or the lamp said of the same ring; a frame contact the others of its group. */
function saysAlike(cause: BareCause, { alone }: Fact): boolean {
  if (cause.kind === 'bars') return alone.kind === 'bars' || alone.kind === 'answer'
  if (cause.kind === 'items') return alone.kind === 'items'
  if (cause.kind === 'to-frame')
    return (
      (alone.kind === 'to-frame' || alone.kind === 'insulation-low') && alone.of.some((id) => cause.of.includes(id))
    )
  return alone.kind === cause.kind && alone.of.join('|') === cause.of.join('|')
}

function fewest(candidates: Covering[], facts: Fact[]): Covering[] {
  for (let size = 1; size <= mostAtOnce; size++) {
    const set = choose(candidates, facts, size)
    if (set) return set
  }
  return greedy(candidates, facts)
}

/** The first set of so many that covers all facts, in the candidates' order. */
function choose(candidates: Covering[], facts: Fact[], size: number): Covering[] | undefined {
  if (facts.length === 0) return []
  if (size === 0) return undefined
  for (const [i, one] of candidates.entries()) {
    const left = facts.filter((fact) => !one.facts.includes(fact))
    if (left.length === facts.length) continue
    const rest = choose(candidates.slice(i + 1), left, size - 1)
    if (rest) return [one, ...rest]
  }
  return undefined
}

function greedy(candidates: Covering[], facts: Fact[]): Covering[] {
  const chosen: Covering[] = []
  let left = facts
  while (left.length > 0) {
    const gain = (one: Covering) => one.facts.filter((fact) => left.includes(fact)).length
    const best = candidates.reduce<Covering | undefined>((a, b) => (a && gain(a) >= gain(b) ? a : b), undefined)
    if (!best || gain(best) === 0) break
    chosen.push(best)
    left = left.filter((fact) => !best.facts.includes(fact))
  }
  return chosen.sort((a, b) => rank(a) - rank(b))
}

/** Wholes that read what their parts read belong to the winding that failed on their path. */
function explainedBy({ checks, explained }: CauseInput, { kind, of }: BareCause): string[] {
  if (kind !== 'winding-open' && kind !== 'winding-low' && kind !== 'winding-high') return []
  return explained.filter((id) => checks.find(({ check }) => check.id === id)?.check.touches.has(of[0] ?? ''))
}

/** Pins of another construction are no fault, and the finding waits for whose they are: the kind that was found. */
function otherKinds({ checks }: CauseInput): Cause[] {
  return checks.flatMap(({ check, reason, points }) => {
    const kind = kindOf(
      check,
      points.flatMap(({ evaluation }) => evaluation ?? []),
    )
    return reason === 'another-card' && kind ? [{ kind: 'other-kind' as const, of: [kind], explains: [] }] : []
  })
}
