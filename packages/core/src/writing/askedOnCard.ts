import { isAsked, isImplied, isPointMade, sourcesWithTrials } from '../asked'
import { isCounted, plugsOf, type Card, type CardLimit, type Check, type Relation } from '../document'
import type { RunState } from '../state'
import { withBladesNamed } from './bladesOnCard'
import { freeId } from './freeId'
import { limitRead, sourceOfOne } from './limitRead'
import { plainDefaults, type CardDefaults } from './template'

/**
 * A card whose checks and points are all its own: what was asked of one run, and points made for it, take ids of the card; what a reference
 * at the bench implied is left out.
 * @example
 * asCardsOwn(scenes.sound().state.run.card).checks.length // 7
 */
export function asCardsOwn(card: Card): Card {
  const given: { id: string }[] = card.terminals.filter(({ id }) => !isPointMade(id))
  const points = new Map<string, string>()
  for (const { id } of card.terminals.filter((one) => isPointMade(one.id))) {
    const own = freeId('t', given)
    given.push({ id: own })
    points.set(id, own)
  }
  const ids: { id: string }[] = card.checks.filter(({ id }) => !isAsked(id))
  const own = (id: string) => points.get(id) ?? id
  const renamed = new Map<string, string>()
  const checks = card.checks.map((check): Check => {
    if (!isAsked(check.id)) return check
    const id = freeId('c', ids)
    ids.push({ id })
    renamed.set(check.id, id)
    const at =
      'pair' in check.at ? { pair: [own(check.at.pair[0]), own(check.at.pair[1])] as [string, string] } : check.at
    return { ...check, id, at, limits: check.limits.map((limit) => ({ ...limit, id: 'l1' })) }
  })
  const nameOf = (id: string) => renamed.get(id) ?? id
  const named = (sum: Relation & { kind: 'sum' }): Relation => ({
    ...sum,
    parts: sum.parts.map(nameOf),
    whole: nameOf(sum.whole),
  })
  return {
    ...card,
    terminals: card.terminals.map((one) => ({ ...one, id: own(one.id) })),
    checks,
    relations: card.relations.filter(({ id }) => !isImplied(id)).map((one) => (one.kind === 'sum' ? named(one) : one)),
  }
}

/**
 * The sketch that a unit's next run is measured on: its checks and points are all its own now, with what was told and asked of it. Where its
 * windings are told, pairs that have no figure need not be read again.
 * @param card as the last run had it
 * @param revision the sketch's next number
 * @example
 * sketchGrown(scenes.sound().state.run.card, 2).state // 'sketch'
 */
export function sketchGrown(card: Card, revision: number): Card {
  const own = asCardsOwn(card)
  const needed = ({ kind, limits, at }: Check) =>
    own.windings.length === 0 || kind !== 'resistance' || limits.length > 0 || !('pair' in at)
  const checks = own.checks.map((check) => (needed(check) ? check : { ...check, required: false }))
  return { ...own, checks, state: 'sketch', revision }
}

/**
 * A card with what was asked of one unit besides, and read: each as a check that is not required, judged by its windings where it was, else by
 * what this one unit read, a guess. What the card asks already, in that quantity at those points, is not asked twice.
 * @param card the draft it is put on; a later revision of the run's card, perhaps
 * @returns the same card where there is nothing to put on it
 * @example
 * withAskedKept(scenes.sound().state.run.card, scenes.sound().state).checks.length // 7
 */
export function withAskedKept(card: Card, state: RunState, defaults: CardDefaults = plainDefaults): Card {
  const asked = askedAndRead(state).flatMap(({ check, evaluation }) => {
    const own = atCardsOwn(check, card, state)
    return own ? [{ check: own, evaluation }] : []
  })
  const has = (check: Check) =>
    card.checks.some(
      ({ kind, at }) => kind === check.kind && 'pair' in at && 'pair' in check.at && samePair(at.pair, check.at.pair),
    )
  const wanted = asked.filter(({ check }) => !has(check))
  if (wanted.length === 0) return card
  const source = sourceOfOne(card, state)
  const checks = wanted.map(({ check, evaluation }): Check => {
    const limit = check.limits.length === 0 ? limitRead(evaluation, check, defaults) : undefined
    const measured: CardLimit[] = limit ? [{ id: 'l1', for: 'any', limit, source: source.id }] : []
    return { ...check, limits: [...check.limits, ...measured] }
  })
  const used = checks.some(({ limits }) => limits.some((limit) => limit.source === source.id))
  const known = new Set(card.terminals.map(({ id }) => id))
  const points = state.run.card.terminals.filter(
    ({ id }) => isPointMade(id) && !known.has(id) && checks.some(({ at }) => 'pair' in at && at.pair.includes(id)),
  )
  return asCardsOwn({
    ...card,
    terminals: [...card.terminals, ...points],
    checks: [...card.checks, ...checks],
    sources: sourcesWithTrials(checks, used ? [...card.sources, source] : card.sources),
  })
}

/**
 * Whether a run asked what its card does not, and read it: then it can be put on the card.
 * @example
 * hasAsked(scenes.sound().state) // false
 */
export const hasAsked = (state: RunState): boolean => askedAndRead(state).length > 0

const askedAndRead = (state: RunState) =>
  state.checks.flatMap(({ check, points: [point] }) => {
    const asked = isAsked(check.id) ? state.run.card.checks.find(({ id }) => id === check.id) : undefined
    return asked && point?.evaluation && !point.held ? [{ check: asked, evaluation: point.evaluation }] : []
  })

/** A check between blades that were counted stands on the card at the terminals they turned out to be, or not at all. */
function atCardsOwn(check: Check, card: Card, state: RunState): Check | undefined {
  if (!('pair' in check.at)) return check
  const named = isCounted(state.run.card) ? namesOnPlug(withBladesNamed(card, state), state) : new Map<string, string>()
  const pair = check.at.pair.map((id) => named.get(id) ?? id) as [string, string]
  const known = (id: string) => isPointMade(id) || card.terminals.some((one) => one.id === id)
  return pair.every(known) ? { ...check, at: { pair } } : undefined
}

const namesOnPlug = (card: Card, { run }: RunState): Map<string, string> =>
  new Map(
    plugsOf(card, run.unit.variant)
      .flatMap(({ cavities }) => cavities)
      .flatMap(({ mark, terminal }): [string, string][] => (mark && terminal ? [[mark, terminal]] : [])),
  )

const samePair = (a: [string, string], b: [string, string]): boolean => b.includes(a[0]) && b.includes(a[1])
