import type { At, Card, Limit } from '@sure-spool/core'

export interface Contradiction {
  path: (string | number)[]
  message: string
}

/** What a card says that cannot be: references to nothing, one id twice, limits upside down. */
export function contradictionsIn(card: Card): Contradiction[] {
  return [...doubled(card), ...loose(card), ...upsideDown(card)]
}

function doubled(card: Card): Contradiction[] {
  const lists = {
    terminals: card.terminals,
    plugs: card.plugs,
    windings: card.windings,
    checks: card.checks,
    relations: card.relations,
    sources: card.sources,
    variants: card.variants,
  }
  return Object.entries(lists).flatMap(([name, list]) => {
    const seen = new Set<string>()
    return list.flatMap(({ id }, i) => {
      if (!seen.has(id)) {
        seen.add(id)
        return []
      }
      return [{ path: [name, i, 'id'], message: `"${id}" stands twice; every id may stand once` }]
    })
  })
}

/** References to terminals, sources, checks and variants that are not there. */
function loose(card: Card): Contradiction[] {
  const found: Contradiction[] = []
  const terminals = new Set([...card.terminals.map((one) => one.id), 'frame'])
  const needs = (known: Set<string>, what: string) => (id: string, path: (string | number)[]) => {
    if (!known.has(id)) found.push({ path, message: `names the ${what} "${id}", which this card does not have` })
  }
  const terminal = needs(terminals, 'terminal')
  const check = needs(new Set(card.checks.map((one) => one.id)), 'check')
  const source = needs(new Set(card.sources.map((one) => one.id)), 'source')
  const variant = needs(new Set(card.variants.map((one) => one.id)), 'variant')
  card.windings.forEach((winding, i) => {
    terminal(winding.from, ['windings', i, 'from'])
    terminal(winding.to, ['windings', i, 'to'])
  })
  card.plugs.forEach((plug, i) => {
    plug.cavities.forEach(
      (cavity, j) => cavity.terminal !== null && terminal(cavity.terminal, ['plugs', i, 'cavities', j, 'terminal']),
    )
    plug.only?.forEach((id, j) => variant(id, ['plugs', i, 'only', j]))
  })
  card.checks.forEach((one, i) => {
    terminalsOf(one.at).forEach((id) => terminal(id, ['checks', i, 'at']))
    one.limits.forEach((limit, j) => source(limit.source, ['checks', i, 'limits', j, 'source']))
    one.only?.forEach((id, j) => variant(id, ['checks', i, 'only', j]))
    const { joined, drive } = one.conditions ?? {}
    joined?.forEach((pair, j) => pair.forEach((id) => terminal(id, ['checks', i, 'conditions', 'joined', j])))
    if (drive)
      for (const end of ['plus', 'minus'] as const) terminal(drive[end], ['checks', i, 'conditions', 'drive', end])
  })
  card.care.electronicsBetween?.forEach((pair, i) =>
    pair.forEach((id) => terminal(id, ['care', 'electronicsBetween', i])),
  )
  card.hints.forEach(({ when }, i) => typeof when === 'object' && check(when.check, ['hints', i, 'when', 'check']))
  card.relations.forEach((relation, i) => {
    source(relation.source, ['relations', i, 'source'])
    for (const key of ['parts', 'checks'] as const)
      if (key in relation)
        (relation as { [k in typeof key]?: string[] })[key]?.forEach((id, j) => check(id, ['relations', i, key, j]))
    for (const key of ['whole', 'of', 'to', 'check', 'than', 'amps', 'ohms'] as const) {
      const id = (relation as Record<string, unknown>)[key]
      if (typeof id === 'string') check(id, ['relations', i, key])
    }
  })
  return found
}

function terminalsOf(at: At): string[] {
  if ('pair' in at) return at.pair
  if ('each' in at) return [...at.each, at.to]
  return 'among' in at ? at.among : []
}

function upsideDown(card: Card): Contradiction[] {
  return card.checks.flatMap((check, i) =>
    check.limits.flatMap(({ limit }, j) => {
      const message = limit === 'derived' ? undefined : limitContradiction(limit, card)
      return message === undefined ? [] : [{ path: ['checks', i, 'limits', j, 'limit'], message }]
    }),
  )
}

/** What one limit of a card says that cannot be; undefined where it can. */
export const limitContradiction = (limit: Limit, card: Pick<Card, 'family'>): string | undefined =>
  wrongLimit(limit) ?? bentCurve(limit, card)

function wrongLimit(limit: Limit): string | undefined {
  if (limit.kind === 'band' && limit.min > limit.max) return `stands upside down: ${limit.min} is above ${limit.max}`
  if (limit.kind === 'answer' && !limit.right.every((one) => limit.of.includes(one)))
    return 'calls an answer right that is not among those offered'
  return undefined
}

/** A curve is read from its place to its ohms: places go up, and where a figure must tell the place back, ohms go one way. */
function bentCurve(limit: Limit, { family }: Pick<Card, 'family'>): string | undefined {
  if (limit.kind !== 'curve') return undefined
  const steps = limit.points.slice(1).map((point, i) => {
    const before = limit.points[i] ?? point
    return { x: point.x - before.x, ohms: point.ohms - before.ohms }
  })
  const at = steps.findIndex(({ x }) => x <= 0)
  if (at >= 0) return `has its points out of order: ${limit.points[at + 1]?.x} stands behind ${limit.points[at]?.x}`
  if (family !== 'sender' && family !== 'thermistor') return undefined
  const oneWay = steps.every(({ ohms }) => ohms > 0) || steps.every(({ ohms }) => ohms < 0)
  return oneWay ? undefined : 'goes up and down again: one figure would stand for two places'
}
