import { kindOf } from '../judgement'
import { alongWinding } from './alongWinding'
import { openBetween } from './openBetween'
import { causeKinds, type BareCause, type Candidate, type Cause, type Fact } from './cause'
import { factsOf, type CauseInput } from './factsOf'
import { smallestSet } from './smallestSet'
import { windingCandidates } from './windingCauses'

/**
 * The smallest set of faults of the part that explains every fact (METHODS 11.21): the fewest first, then the kinds in their order, then
 * what failed by a check of its own. A bare figure stands for what nothing else explains: two windings of one check are two faults.
 * @returns in the order of their kinds; none where nothing stands outside
 * @example
 * causesOf(scenes.low().causing)[0].of // [ 'low' ]
 */
export function causesOf(input: CauseInput): Cause[] {
  const facts = factsOf(input)
  const candidates = [...windingCandidates(input, facts), ...together(facts)]
    .map((one) => ({ ...one, facts: facts.filter((fact) => one.covers(fact) || starves(one.cause, fact)) }))
    .filter((one) => one.facts.length > 0)
    .sort((a, b) => rank(a) - rank(b) || Number(b.own) - Number(a.own))
  const named = candidates.filter(({ cause }) => cause.kind !== 'figure')
  const isNamed = facts.every((fact) => named.some((one) => one.facts.includes(fact)))
  const chosen = smallestSet(isNamed ? named : candidates, facts).sort((a, b) => rank(a) - rank(b))
  const causes = chosen.map(({ cause, facts: told }) => ({
    ...cause,
    ...placed(input, cause, told),
    explains: [...new Set([...told.map(({ id }) => id), ...explainedBy(input, cause)])].sort(),
  }))
  return [...causes, ...otherKinds(input)]
}

/** A fault of its windings is why a part gives too little. */
const starves = ({ kind }: BareCause, { starved }: Fact): boolean => starved === true && weakens.has(kind)
const weakens: ReadonlySet<string> = new Set(['winding-open', 'winding-low', 'to-frame', 'insulation-low', 'bridged'])

/** Of several places read the one nearest the fault tells its ohms best; two ends tell where it is. */
function placed(input: CauseInput, cause: BareCause, facts: Fact[]): Partial<Cause> {
  if (cause.kind === 'winding-open') return openBetween(input, cause)
  if (cause.kind !== 'to-frame') return {}
  const read = facts.flatMap(({ alone }) => (alone.kind === 'to-frame' ? (alone.ohms ?? []) : []))
  const along = alongWinding(input, cause)
  const bent = bentLead(input, facts)
  return {
    ...(read.length > 0 ? { ohms: Math.min(...read) } : {}),
    ...(bent ? { bent } : along ? { along } : {}),
  }
}

/** The one lead that reached the frame only while it was bent: the fault is in it, and not in the windings behind. */
function bentLead({ checks }: CauseInput, facts: Fact[]): Cause['bent'] {
  const reached = checks
    .filter(({ check }) => facts.some(({ id }) => id === check.id))
    .flatMap(({ points }) => points.flatMap(({ evaluation }) => evaluation ?? []))
    .filter((one) => one.verdict === 'outside' && one.quantity === 'resistance')
  const [first, ...more] = reached.map(({ pair, entry: { reading } }) => ({
    lead: reading.conditions?.state?.includes('flexed') ? pair?.find((end) => end !== 'frame') : undefined,
    where: reading.where,
  }))
  if (first?.lead === undefined || more.some(({ lead }) => lead !== first.lead)) return undefined
  return { lead: first.lead, ...(first.where === undefined ? {} : { where: first.where }) }
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
