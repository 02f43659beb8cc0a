/** More at once are taken one by one, those that cover most first. */
const mostAtOnce = 3

/**
 * The smallest set of candidates that together cover all facts, of equally small ones the first in the candidates' order. Where it
 * takes more than three, one by one the candidate that covers most of what is left.
 * @param candidates in the order of preference, each with the facts that it covers
 * @returns in the candidates' order, or in the order taken; a fact that none covers stays uncovered
 * @example
 * smallestSet([{ facts: ['a'] }, { facts: ['a', 'b'] }], ['a', 'b']) // [ { facts: [ 'a', 'b' ] } ]
 */
export function smallestSet<Fact, One extends { facts: readonly Fact[] }>(
  candidates: readonly One[],
  facts: readonly Fact[],
): One[] {
  for (let size = 0; size <= mostAtOnce; size++) {
    const set = ofSize(candidates, facts, size)
    if (set) return set
  }
  return oneByOne(candidates, facts)
}

function ofSize<Fact, One extends { facts: readonly Fact[] }>(
  candidates: readonly One[],
  facts: readonly Fact[],
  size: number,
): One[] | undefined {
  if (facts.length === 0) return []
  if (size === 0) return undefined
  for (const [i, one] of candidates.entries()) {
    const left = facts.filter((fact) => !one.facts.includes(fact))
    if (left.length === facts.length) continue
    const rest = ofSize(candidates.slice(i + 1), left, size - 1)
    if (rest) return [one, ...rest]
  }
  return undefined
}

function oneByOne<Fact, One extends { facts: readonly Fact[] }>(
  candidates: readonly One[],
  facts: readonly Fact[],
): One[] {
  const chosen: One[] = []
  let left = facts
  for (;;) {
    const gain = (one: One) => one.facts.filter((fact) => left.includes(fact)).length
    const best = candidates.reduce<One | undefined>((a, b) => (a && gain(a) >= gain(b) ? a : b), undefined)
    if (!best || gain(best) === 0) return chosen
    chosen.push(best)
    left = left.filter((fact) => !best.facts.includes(fact))
  }
}
