import type { Card, Check, Relation, Source, Winding } from '../document'
import { quantityOf } from '../judgement'
import { parseLimit } from '../quantity'
import { askedOf, isAsked, type AskedKind } from './askedOf'

/** The source of what was told for one part at the bench (METHODS 11.19). */
const told = 'ask'
/** A lone figure that somebody told is taken so wide, per cent. */
const toldPct = 15

/** What somebody said two points read: `11.6k`, `5.8k ±10%`, with a name for what is between them, and what is joined while it is read. */
export interface ToldFigure {
  text: string
  label?: string
  joined?: [string, string]
}

/**
 * The check that a told figure makes of two points; judged like any, graded as told (METHODS 11.19).
 * @param id unique in the run
 * @returns or the problem that keeps the words from being a limit
 * @example
 * toldOf(scenes.low().run.card, 'x', ['O', 'T'], 'resistance', { text: '273 ±10%' }, false).limits[0].source // 'ask'
 */
export function toldOf(
  card: Card,
  id: string,
  pair: [string, string],
  kind: AskedKind,
  { text, label, joined }: ToldFigure,
  decimalComma: boolean,
): Check | { problem: string } {
  const asked = askedOf(card, id, pair, kind)
  const quantity = quantityOf(asked) ?? 'resistance'
  const plain = text.replace(/^(?:about|around|some|~)\s*/i, '').trim()
  const given = parseLimit({ text: plain, quantity, decimalComma })
  const isLone = 'problem' in given && given.problem === 'tolerance-missing'
  const limit = isLone ? parseLimit({ text: `${plain} ±${toldPct}%`, quantity, decimalComma }) : given
  if ('problem' in limit) return { problem: `“${text}” is no figure.` }
  return {
    ...asked,
    ...(label === undefined ? {} : { label }),
    limits: [{ id: asked.id, for: 'any', limit, text, source: told, ...(isLone ? { assumed: true as const } : {}) }],
    ...(joined ? { conditions: { joined: [joined] } } : {}),
  }
}

/**
 * Whether a check of a run carries what was told for it, and not what its card's windings add up to.
 * @example
 * isTold(scenes.low().run.card.checks[0]) // false
 */
export const isTold = ({ id, limits }: Pick<Check, 'id' | 'limits'>): boolean =>
  isAsked(id) && limits.some(({ source }) => source === told)

/** The two points of a check that is read between two. */
const pairOf = ({ at }: Check): [string, string] => ('pair' in at ? at.pair : ['', ''])
const isSame = (a: Check, b: Check): boolean =>
  a.kind === b.kind && pairOf(a).every((one) => pairOf(b).includes(one)) && 'pair' in a.at && 'pair' in b.at

/**
 * A card with figures that were told for one part: where it asks for the same points and has no limit, that check has it now. On a sketch a
 * told figure in ohms is a winding; one between the far ends of two others is their sum, and no winding (METHODS 11.23).
 * @param asks checks with what was told, in the order in which it was said; a later word on the same points goes before
 * @example
 * withTold(scenes.low().run.card, []).windings.length // 3
 */
export function withTold(card: Card, asks: Check[]): Card {
  if (asks.length === 0) return card
  const last = asks.filter((one, i) => !asks.slice(i + 1).some((later) => isSame(one, later)))
  const own = (ask: Check) => card.checks.find((one) => isSame(one, ask) && one.limits.every(isFromTold))
  const checks = [
    ...card.checks.map((one) => {
      const said = last.find((ask) => own(ask) === one)
      if (!said) return one
      const { label, limits, conditions } = said
      return { ...one, label, limits, ...(conditions ? { conditions } : {}) }
    }),
    ...last.filter((ask) => !own(ask)),
  ]
  const source: Source = { id: told, grade: 'told', title: 'told for this part' }
  const sources = card.sources.some(({ id }) => id === told) ? card.sources : [...card.sources, source]
  const found = { ...card, checks, sources }
  return card.state === 'sketch' ? { ...found, ...windingsOf(found) } : found
}

const isFromTold = ({ source }: Check['limits'][number]): boolean => source === told

/** The windings that told ohms are, now and in the runs before, and the sums of those in series. */
function windingsOf({ checks, windings, relations }: Card): Pick<Card, 'windings' | 'relations'> {
  const ohmic = checks.filter(
    ({ kind, limits }) => kind === 'resistance' && limits.some(isFromTold) && ohmsOf(limits[0]?.limit) !== undefined,
  )
  const partsOf = (whole: Check): Check[] => {
    const [a, b] = pairOf(whole)
    const from = ohmic.find((one) => one !== whole && pairOf(one).includes(a))
    const to = ohmic.find((one) => one !== whole && one !== from && pairOf(one).includes(b))
    return from && to ? [from, to] : []
  }
  const wholes = ohmic.filter((one) => partsOf(one).length > 0)
  const fresh = ohmic
    .filter((one) => !wholes.includes(one))
    .map((one): Winding => {
      const [from, to] = pairOf(one)
      const limit = one.limits[0]?.limit
      const tolerancePct = limit !== 'derived' && limit?.kind === 'nominal' ? limit.plusPct : toldPct
      const ohms = ohmsOf(limit)
      return { id: `told-${one.id}`, label: one.label, from, to, ohms, tolerancePct, material: 'copper' }
    })
  const sums = wholes.map((whole): Relation => ({
    id: `told-sum-${whole.id}`,
    label: 'whole is the sum',
    source: told,
    kind: 'sum',
    parts: partsOf(whole).map(({ id }) => id),
    whole: whole.id,
  }))
  const spans = ohmic.map(pairOf)
  const isOld = ({ from, to }: Winding) => spans.some((pair) => pair.includes(from) && pair.includes(to))
  return {
    windings: [...windings.filter((one) => !isOld(one)), ...fresh],
    relations: [...relations.filter(({ id }) => !id.startsWith('told-sum-')), ...sums],
  }
}

function ohmsOf(limit: Check['limits'][number]['limit'] | undefined): number | undefined {
  if (limit === undefined || limit === 'derived') return undefined
  if (limit.kind === 'nominal') return limit.value
  return limit.kind === 'band' ? (limit.min + limit.max) / 2 : undefined
}
