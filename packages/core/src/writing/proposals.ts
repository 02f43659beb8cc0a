import type { Card, Relation } from '../document'
import { prepareCard, type PreparedCheck } from '../judgement'
import { freeId } from './freeId'

const ratioWithinPct = 5
const unbalanceMaxPct = 5

/**
 * Relations that follow from a card's windings and are not on it yet: a series whole of its parts (`sum`), two windings on one
 * core (`ratio`, free of temperature), legs alike (`unbalance`).
 * @param source the source they would rest on
 * @returns in that order, each with an id that is free on the card
 * @example
 * proposedRelations({ ...twinCard(), relations: [] }, 's1').map(({ kind }) => kind) // [ 'sum', 'ratio' ]
 */
export function proposedRelations(card: Card, source: string): Relation[] {
  const { checks } = prepareCard(card)
  const ohms = [...checks.values()].filter(
    ({ kind, at, toFrame, touches }) => kind === 'resistance' && !toFrame && touches.size > 0 && 'pair' in at,
  )
  const found = [
    ...sums(card, ohms, source),
    ...ratios(card, ohms, source),
    ...balances(card, [...checks.values()], source),
  ]
  const known = new Set(card.relations.map(bare))
  const fresh = found.filter((one) => !known.has(bare(one)))
  return fresh.reduce<Relation[]>(
    (made, one) => [...made, { ...one, id: freeId('r', [...card.relations, ...made]) }],
    [],
  )
}

const bare = ({ id: _id, label: _label, source: _source, ...rest }: Relation): string => {
  const { withinPct: _within, maxPct: _max, ratio: _ratio, ...joined } = rest as Record<string, unknown>
  const sorted = Object.entries(joined).map(([key, value]) => [key, Array.isArray(value) ? [...value].sort() : value])
  return JSON.stringify(sorted.sort())
}

const names = (some: PreparedCheck[]): string => some.map(({ label }) => label).join(' and ')

/** A check over several windings in a row, each of which has a check of its own. */
function sums(card: Card, checks: PreparedCheck[], source: string): Relation[] {
  const single = new Map(
    checks.filter(({ touches }) => touches.size === 1).map((one) => [[...one.touches][0] ?? '', one]),
  )
  return checks.flatMap((whole): Relation[] => {
    const parts = [...whole.touches].flatMap((id) => single.get(id) ?? [])
    if (whole.touches.size < 2 || parts.length < whole.touches.size || !inSeries(card, whole)) return []
    return [
      {
        id: '',
        label: `${whole.label} is the sum of ${names(parts)}`,
        source,
        kind: 'sum',
        parts: parts.map(({ id }) => id),
        whole: whole.id,
      },
    ]
  })
}

/** Windings in a row: every point between the ends joins exactly two of them. */
function inSeries(card: Card, { at, touches }: PreparedCheck): boolean {
  if (!('pair' in at)) return false
  const ends = card.windings.filter(({ id }) => touches.has(id)).flatMap(({ from, to }) => [from, to])
  const [a, b] = at.pair
  const times = (id: string) => ends.filter((one) => one === id).length
  return [...new Set(ends)].every((id) => times(id) === (id === a || id === b ? 1 : 2))
}

/** Two windings of known ohms on one core. */
function ratios(card: Card, checks: PreparedCheck[], source: string): Relation[] {
  const known = card.windings.filter(({ core, ohms }) => core !== undefined && ohms !== undefined)
  const of = (id: string) => checks.find(({ touches }) => touches.size === 1 && touches.has(id))
  return known.flatMap((a, i) =>
    known.slice(i + 1).flatMap((b): Relation[] => {
      const [one, other] = [of(a.id), of(b.id)]
      if (a.core !== b.core || !one || !other || !a.ohms || !b.ohms) return []
      return [
        {
          id: '',
          label: `${one.label} to ${other.label}`,
          source,
          kind: 'ratio',
          of: one.id,
          to: other.id,
          ratio: Number((a.ohms / b.ohms).toPrecision(4)),
          withinPct: ratioWithinPct,
        },
      ]
    }),
  )
}

/** One check over three legs or more. */
const balances = (_card: Card, checks: PreparedCheck[], source: string): Relation[] =>
  checks.flatMap(({ id, label, kind, at }): Relation[] =>
    'among' in at && at.among.length >= 3 && (kind === 'resistance' || kind === 'ac-output')
      ? [
          {
            id: '',
            label: `${label}: legs alike`,
            source,
            kind: 'unbalance',
            checks: [id],
            maxPct: unbalanceMaxPct,
          },
        ]
      : [],
  )
