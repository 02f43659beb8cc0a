import type { Card, Relation } from '@sure-spool/core'
import { checkLabel } from '../words/points'

export type RelationKind = Relation['kind']

/** What each kind of relation says of the checks it names. */
export const relationWords: Record<RelationKind, string> = {
  sum: 'parts add up to a whole',
  ratio: 'one stands to another as …',
  unbalance: 'alike, apart by at most …',
  equal: 'equal within …',
  twin: 'like its twin',
  above: 'above another',
  draw: 'draws volts over ohms',
  'kind-of-three': 'three readings of a kind',
}
export const threeWords = {
  'split-phase': 'start and run winding: two add up to the third',
  balanced: 'all three alike',
  single: 'one winding, the other pairs open',
}

/** A relation in words: which checks, and what holds between them. */
export function relationSaid(card: Card, relation: Relation): string {
  const name = (id: string) => checkLabel(card, id)
  switch (relation.kind) {
    case 'sum':
      return `${relation.parts.map(name).join(' + ')} = ${name(relation.whole)}`
    case 'ratio':
      return `${name(relation.of)} : ${name(relation.to)} = ${relation.ratio} ±${relation.withinPct} %`
    case 'unbalance':
      return `${relation.checks.map(name).join(', ')} apart by at most ${relation.maxPct} %`
    case 'equal':
      return `${relation.checks.map(name).join(', ')} alike within ${relation.withinPct} %`
    case 'twin':
      return `${name(relation.check)} like its twin within ${relation.withinPct} %`
    case 'above':
      return `${name(relation.check)} above ${name(relation.than)} by ${relation.by}`
    case 'draw':
      return `${name(relation.amps)} as volts over ${name(relation.ohms)}, within ${relation.withinPct} %`
    case 'kind-of-three':
      return `${name(relation.check)}: ${threeWords[relation.must]}`
  }
}

/** The fields of a relation that name one check, with their labels. */
export const oneCheckFields: { [K in RelationKind]?: Record<string, string> } = {
  sum: { whole: 'the whole' },
  ratio: { of: 'this', to: 'to this' },
  twin: { check: 'check' },
  above: { check: 'this', than: 'above this' },
  draw: { amps: 'amperes of', ohms: 'ohms of' },
  'kind-of-three': { check: 'check' },
}

/** Which checks a field of a relation may name: amperes are read in amperes, three pins in threes. */
export function checksFor(card: Card, kind: RelationKind, field: string): { value: string; label: string }[] {
  const fits = card.checks.filter((check) => {
    if (kind === 'draw') return field === 'amps' ? check.kind === 'current' : check.kind === 'resistance'
    if (kind === 'kind-of-three') return check.kind === 'three-pins'
    return check.kind !== 'look' && check.kind !== 'act'
  })
  return fits.map(({ id, label }) => ({ value: id, label }))
}

/**
 * A relation of a kind among a card's checks, to be changed from there.
 * @returns undefined where the card has not the checks that the kind needs
 */
export function relationOf(card: Card, kind: RelationKind, head: { id: string; source: string }): Relation | undefined {
  const first = (field: string, at = 0) => checksFor(card, kind, field)[at]?.value
  const [a, b] = [first('check'), first('check', 1)]
  const made = { ...head, label: relationWords[kind] }
  switch (kind) {
    case 'sum':
      return a && b ? { ...made, kind, parts: [a, b], whole: first('check', 2) ?? b } : undefined
    case 'ratio':
      return a && b ? { ...made, kind, of: a, to: b, ratio: 1, withinPct: 5 } : undefined
    case 'unbalance':
      return a ? { ...made, kind, checks: b ? [a, b] : [a], maxPct: 5 } : undefined
    case 'equal':
      return a && b ? { ...made, kind, checks: [a, b], withinPct: 5 } : undefined
    case 'twin':
      return a ? { ...made, kind, check: a, withinPct: 5 } : undefined
    case 'above':
      return a && b ? { ...made, kind, check: a, than: b, by: 0 } : undefined
    case 'draw': {
      const [amps, ohms] = [first('amps'), first('ohms')]
      return amps && ohms ? { ...made, kind, amps, ohms, withinPct: 15 } : undefined
    }
    case 'kind-of-three':
      return a ? { ...made, kind, check: a, must: 'split-phase' } : undefined
  }
}
