import type { Card, CardLimit, Relation } from '../document'
import { prepareCard, relationChecks } from '../judgement'
import { cardRemarks, type CardRemark } from '../sense'

/** Something a card leaves out; `about` is the id of the terminal, winding, check or source it is about. */
export interface CardGap {
  id:
    | 'no-name'
    | 'no-check'
    | 'no-source'
    | 'no-limit'
    | 'limit-unread'
    | 'source-untitled'
    | 'terminal-untested'
    | 'terminal-unplugged'
    | 'winding-unread'
    | 'winding-no-ohms'
    | 'construction-unset'
    | 'no-frame-test'
  about?: string
}

const ruledByConstruction = new Set<Card['family']>(['compressor', 'relay'])
/** Relations that judge a reading by themselves; a sum or a ratio only finds that two do not fit. */
const judging = new Set<Relation['kind']>(['draw', 'twin', 'equal', 'above', 'kind-of-three'])
const withoutLimit = new Set(['look', 'act', 'pair-matrix', 'three-pins', 'contacts'])

/** A limit that neither gives a figure nor a word is none. */
const saysSomething = ({ limit, text }: CardLimit): boolean =>
  limit === 'derived' || limit.kind !== 'none' || Boolean(text)

/**
 * What is missing from a card before it is published, and what contradicts itself (`cardRemarks`). Nothing here forbids
 * publishing but a card without a check.
 * @returns gaps in the order in which a card is written
 * @example
 * cardGaps(cardTemplate('new', 'solenoid')).gaps[0].id // 'no-name'
 */
export function cardGaps(card: Card): { gaps: CardGap[]; remarks: CardRemark[] } {
  const { checks } = prepareCard(card)
  const prepared = [...checks.values()]
  const read = prepared.filter(({ kind }) => kind !== 'look')
  const tested = new Set(prepared.flatMap(({ points }) => points.flatMap(({ pair, covers }) => [...pair, ...covers])))
  const touched = new Set(prepared.flatMap(({ kind, touches }) => (kind === 'look' ? [] : [...touches])))
  const plugged = new Set(card.plugs.flatMap((plug) => plug.cavities.flatMap(({ terminal }) => terminal ?? [])))
  const hasFrame = card.terminals.some(({ id }) => id === 'frame')
  const related = new Set(card.relations.flatMap((one) => (judging.has(one.kind) ? relationChecks(one) : [])))
  const gaps: CardGap[] = [
    ...(card.name.model.trim() === '' ? [{ id: 'no-name' as const }] : []),
    ...(ruledByConstruction.has(card.family) && card.construction === undefined
      ? [{ id: 'construction-unset' as const }]
      : []),
    ...card.terminals.flatMap(({ id, part }): CardGap[] => {
      if (id === 'frame' || part === 'joint') return []
      return [
        ...(tested.has(id) ? [] : [{ id: 'terminal-untested' as const, about: id }]),
        ...(card.plugs.length > 0 && !plugged.has(id) ? [{ id: 'terminal-unplugged' as const, about: id }] : []),
      ]
    }),
    ...card.windings.flatMap(({ id, ohms }): CardGap[] => [
      ...(touched.has(id) ? [] : [{ id: 'winding-unread' as const, about: id }]),
      ...(ohms === undefined ? [{ id: 'winding-no-ohms' as const, about: id }] : []),
    ]),
    ...(read.length === 0 ? [{ id: 'no-check' as const }] : []),
    ...read.flatMap(({ id, kind, stated }): CardGap[] =>
      !stated.some(saysSomething) && !withoutLimit.has(kind) && !related.has(id) ? [{ id: 'no-limit', about: id }] : [],
    ),
    ...read.flatMap(({ id, stated }): CardGap[] =>
      stated.some(({ limit, text }) => limit !== 'derived' && limit.kind === 'none' && Boolean(text))
        ? [{ id: 'limit-unread', about: id }]
        : [],
    ),
    ...(hasFrame && card.windings.length > 0 && !prepared.some((one) => one.toFrame)
      ? [{ id: 'no-frame-test' as const }]
      : []),
    ...(card.sources.length === 0 && read.some(({ stated }) => stated.length > 0)
      ? [{ id: 'no-source' as const }]
      : []),
    ...card.sources.flatMap(({ id, title }): CardGap[] =>
      title.trim() === '' ? [{ id: 'source-untitled', about: id }] : [],
    ),
  ]
  return { gaps, remarks: cardRemarks(card) }
}
