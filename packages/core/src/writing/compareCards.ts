import type { Card } from '../document'
import { limitText } from '../quantity'

/** One thing that differs between two revisions; a side without it is null. */
export interface CardDifference {
  part:
    'name' | 'variant' | 'terminal' | 'plug' | 'winding' | 'check' | 'limit' | 'relation' | 'source' | 'hint' | 'care'
  /** what it is about, as a person would say it */
  about: string
  before: string | null
  after: string | null
}

/**
 * What changed from one revision of a card to another, matched by id, in the order in which a card is written.
 * @returns nothing where only the number or the state differ
 * @example
 * compareCards(twinCard(), { ...twinCard(), revision: 2 }).length // 0
 */
export function compareCards(before: Card, after: Card): CardDifference[] {
  const listed = <T>(part: CardDifference['part'], list: (card: Card) => [string, string, T][]) =>
    byKey(part, list(before), list(after))
  return [
    ...fields('name', 'name', nameOf(before), nameOf(after)),
    ...listed('variant', (card) => card.variants.map((one) => [one.id, one.label, one])),
    ...listed('terminal', (card) => card.terminals.map((one) => [one.id, one.label, one])),
    ...listed('plug', (card) => card.plugs.map((one) => [one.id, one.label, one])),
    ...listed('winding', (card) => card.windings.map((one) => [one.id, one.label, one])),
    ...listed('check', (card) => card.checks.map(({ limits: _limits, ...one }) => [one.id, one.label, one])),
    ...listed('limit', limitsOf),
    ...listed('relation', (card) => card.relations.map((one) => [one.id, one.label, one])),
    ...listed('source', (card) => card.sources.map((one) => [one.id, one.title, one])),
    ...listed('hint', (card) => card.hints.map((one, i) => [String(i), one.text, one])),
    ...fields('care', 'care', before.care, after.care),
  ]
}

const nameOf = ({ family, construction, name }: Card) => ({ family, construction, ...name })

const limitsOf = (card: Card): [string, string, string][] =>
  card.checks.flatMap((check) =>
    check.limits.map(({ id, limit, text, source, ...rest }): [string, string, string] => {
      const said = limit === 'derived' ? 'derived from its windings' : limitText(limit) || JSON.stringify(limit)
      const title = card.sources.find((one) => one.id === source)?.title ?? source
      const more = Object.entries(rest).flatMap(([key, value]) => (value === 'any' ? [] : [`${key} ${String(value)}`]))
      return [
        `${check.id} ${id}`,
        check.label,
        [said, ...more, ...(text && text !== said ? [`“${text}”`] : []), title].join(', '),
      ]
    }),
  )

function byKey<T>(
  part: CardDifference['part'],
  before: [string, string, T][],
  after: [string, string, T][],
): CardDifference[] {
  const was = new Map(before.map(([id, about, value]) => [id, { about, value }]))
  const is = new Map(after.map(([id, about, value]) => [id, { about, value }]))
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((id): CardDifference[] => {
    const [one, other] = [was.get(id), is.get(id)]
    const about = other?.about ?? one?.about ?? id
    if (!one || !other)
      return [{ part, about, before: one ? said(one.value) : null, after: other ? said(other.value) : null }]
    return isPlain(one.value) && isPlain(other.value)
      ? fields(part, about, one.value, other.value)
      : said(one.value) === said(other.value)
        ? []
        : [{ part, about, before: said(one.value), after: said(other.value) }]
  })
}

const isPlain = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value)

/** Field by field, so that one changed word does not show a whole plug twice. */
function fields(part: CardDifference['part'], about: string, before: object, after: object): CardDifference[] {
  const [one, other] = [before as Record<string, unknown>, after as Record<string, unknown>]
  return [...new Set([...Object.keys(one), ...Object.keys(other)])].flatMap((key): CardDifference[] => {
    const [was, is] = [said(one[key]), said(other[key])]
    if (was === is) return []
    return [
      {
        part,
        about: `${about}, ${key}`,
        before: one[key] === undefined ? null : was,
        after: other[key] === undefined ? null : is,
      },
    ]
  })
}

const said = (value: unknown): string => (typeof value === 'string' ? value : (JSON.stringify(value) ?? ''))
