import { expectedOf } from '../conformance'
import { nodesOf, type Winding } from '../document'
import {
  temperatureFactor,
  isolatedAlike,
  limitAt,
  pairKey,
  readsFinite,
  readsOpen,
  windingsBetween,
  type Evaluation,
} from '../judgement'
import { pairResistance } from '../network'
import { beta, isMetal } from '../temperature'
import type { RunState } from '../state'
import type { Forecast } from './forecast'

/**
 * Ohms between two points as the display should show them: from what they read bare, where the isolation changed since, or cold, where the part was warmed; from what this unit's windings read (METHODS 9), else a sum's whole less its
 * other parts, else the card's figure at the part's temperature (METHODS 3); leads that stand in the reading are added.
 * @param next the reading that is about to be taken
 * @returns undefined where nothing says more than the limits do
 * @example
 * ohmsAhead(scenes.low().state, scenes.low().of('low'))?.from // undefined
 */
export function ohmsAhead(state: RunState, next: Evaluation): Forecast | undefined {
  const { leads } = next.governing
  const standing = leads.from === 'assumed' || leads.from === 'four-wire' ? 0 : leads.ohms
  const { parallelOhms } = next.governing
  const told = fromOwn(state, next) ?? fromParts(state, next) ?? fromWhole(state, next) ?? fromCard(next, standing)
  if (!told) return undefined
  if (told.open && parallelOhms !== undefined)
    return {
      quantity: 'resistance',
      from: told.from,
      value: parallelOhms + standing,
      parallel: parallelOhms,
      open: true,
    }
  const beside = (ohms: number) => (parallelOhms === undefined ? ohms : (ohms * parallelOhms) / (ohms + parallelOhms))
  const shown = (ohms: number | undefined) => (ohms === undefined ? undefined : beside(ohms) + standing)
  const moved = { value: shown(told.value), low: shown(told.low), high: shown(told.high) }
  const figures = Object.fromEntries(Object.entries(moved).filter(([, ohms]) => ohms !== undefined))
  return {
    ...told,
    ...figures,
    quantity: 'resistance',
    ...(parallelOhms === undefined ? {} : { parallel: parallelOhms }),
    ...(standing === 0 || told.open ? {} : { leads: standing }),
  }
}

/** how far ohms must have moved by warmth to be told */
const itShows = 0.05

type Told = Omit<Forecast, 'quantity'>
/** the part's temperature at the reading that is about to be taken */
type AtNow = Pick<Evaluation, 'temperature'>

/**
 * What stands for a winding by itself, from a check of its own or a pair of three pins: its ohms net of leads as warm as the part is now, or
 * that it is open.
 */
function windingsRead({ checks, prepared: { card } }: RunState, now: AtNow): Map<string, number | 'Infinity'> {
  const read = new Map<string, number | 'Infinity'>()
  for (const { check, points } of checks) {
    const isOwn = check.kind === 'resistance' && check.touches.size === 1
    if (!isOwn && check.kind !== 'three-pins') continue
    for (const winding of card.windings.filter(({ id }) => check.touches.has(id))) {
      const one = points.find(
        ({ evaluation, held }) => evaluation?.pair && !held && pairKey(evaluation.pair) === ends(winding),
      )?.evaluation
      if (!one) continue
      if (readsOpen(one)) read.set(winding.id, 'Infinity')
      else if (readsFinite(one) && one.net !== undefined) read.set(winding.id, one.net * temperatureFactor(one, now))
    }
  }
  return read
}

const ends = ({ from, to }: Winding) => pairKey([from, to])

/**
 * What this pair read with a lead lifted, or beside something else than now: bare it is the same still. Warmed or cooled since by so much
 * that it shows, by its metal's law.
 */
function fromOwn({ tape, checks }: RunState, { check, pair, entry, governing }: Evaluation): Told | undefined {
  const own = checks
    .find((state) => state.check.id === check.id)
    ?.points.find(
      ({ evaluation, held }) => !held && evaluation?.pair && pair && pairKey(evaluation.pair) === pairKey(pair),
    )?.evaluation
  if (!own || !readsFinite(own) || own.net === undefined) return undefined
  const { partC, from } = governing.temperature
  const warmer = temperatureFactor(own, governing)
  const told = { from: 'own', value: own.net * warmer, bare: own.net } as const
  if (partC !== undefined && from === 'measured' && Math.abs(warmer - 1) > itShows) return { ...told, partC }
  return isolatedAlike(tape, own.entry.n, entry.n) ? undefined : told
}

function fromParts(state: RunState, { check, pair, governing }: Evaluation): Told | undefined {
  const { card } = state.prepared
  if (!pair) return undefined
  const carrying = windingsBetween(card, pair, check.conditions)
  const own = card.windings.find((one) => carrying.length === 1 && carrying[0] === one.id)
  if (carrying.length === 0 || (own && ends(own) === pairKey(pair))) return undefined
  const read = windingsRead(state, governing)
  // where one is not read any ohms will do: only whether a path is left is asked
  const windings = card.windings.map(({ id, from, to }) => ({ id, from, to, ohms: read.get(id) ?? 1 }))
  const ohms = pairResistance({ nodes: nodesOf(card), windings, a: pair[0], b: pair[1] })
  if (ohms === 'Infinity') return { from: 'parts', open: true }
  return carrying.every((id) => typeof read.get(id) === 'number') ? { from: 'parts', value: ohms } : undefined
}

function fromWhole({ checks, run }: RunState, { check, governing }: Evaluation): Told | undefined {
  const netOf = (id: string) => {
    const one = checks.find((state) => state.check.id === id)?.points.find(({ held }) => !held)?.evaluation
    return one?.net !== undefined && readsFinite(one) ? one.net * temperatureFactor(one, governing) : undefined
  }
  for (const relation of run.card.relations) {
    if (relation.kind !== 'sum' || !relation.parts.includes(check.id)) continue
    const whole = netOf(relation.whole)
    const others = relation.parts.filter((id) => id !== check.id).map(netOf)
    const known = others.flatMap((ohms) => ohms ?? [])
    const left = (whole ?? 0) - known.reduce((sum, ohms) => sum + ohms, 0)
    if (whole !== undefined && known.length === others.length && left > 0) return { from: 'whole', value: left }
  }
  return undefined
}

function fromCard({ check, entry, pair, governing }: Evaluation, standing: number): Told | undefined {
  const [stated] = check.limits[governing.history]
  const limit = stated && limitAt(stated, entry.reading, pair)
  if (!limit || typeof limit === 'string' || limit.expectOpen || limit.kind === 'closed') return undefined
  const { min, max } = limit.band
  const { temperature } = governing
  const { material } = check
  const isKnown = temperature.partC !== undefined && temperature.from !== 'assumed'
  if (min === undefined || max === undefined || !isKnown || material === undefined || !isMetal(material))
    return undefined
  const { partC = 20 } = temperature
  const factor = (beta[material] + partC) / (beta[material] + (limit.referenceC ?? 20))
  const isBare = standing === 0 && governing.parallelOhms === undefined
  if (Math.abs(factor - 1) < 0.002 && isBare) return undefined
  return {
    from: 'card',
    value: (expectedOf(limit.band) ?? 0) * factor,
    low: min * factor,
    high: max * factor,
    partC,
    ...(limit.grade === 'guess' ? { guessed: true as const } : {}),
  }
}
