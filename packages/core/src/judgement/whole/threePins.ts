import { nodesOf, onceFor, type Card } from '../../document'
import { pairResistance } from '../../network'
import { threeTerminal, type KindOfThree, type ThreePairs } from '../../relations'
import { clipsBelow, judgeFigure, ohmsRead, samePoint, sideOf, type Bench, type Evaluation } from '../figure'
import { pairKey, type PreparedCheck, type PreparedLimit } from '../preparedCard'
import { worstFirst, type Whole } from './whole'

export type Demanded = 'split-phase' | 'balanced' | 'single'

const byConstruction: Record<string, Demanded> = {
  'split-phase': 'split-phase',
  inverter: 'balanced',
  'single-winding': 'single',
}

/**
 * The kind that the card demands of a check on three pins: by its relation, else by its construction.
 * @example
 * demandedKind(compressorCard(), 'pins') // 'split-phase'
 */
export function demandedKind({ relations, construction = '' }: Card, check: string): Demanded | undefined {
  const relation = relations.find((one) => one.kind === 'kind-of-three' && one.check === check)
  return relation?.kind === 'kind-of-three' ? relation.must : byConstruction[construction]
}

/**
 * What three readings on three pins are; undefined until all three are read far enough.
 * @example
 * kindOf(scenes.pins().check('pins'), scenes.pins().all) // 'split-phase'
 */
export function kindOf(check: PreparedCheck, readings: Evaluation[]): KindOfThree | undefined {
  const read = pinOhms(check, readings)
  return read && threeTerminal(read.ohms).kind
}

/**
 * The three pins of a check and what reads between them.
 * @returns undefined until all three pairs are read far enough
 * @example
 * pinOhms(scenes.pins().check('pins'), scenes.pins().all)?.pins // [ 'C', 'R', 'S' ]
 */
export function pinOhms(
  check: PreparedCheck,
  readings: Evaluation[],
): { pins: [string, string, string]; ohms: ThreePairs } | undefined {
  const [a = '', b = '', c = ''] = pinsOf(check)
  const at = (pair: [string, string]) => {
    const read = readings.find((one) => one.pair && pairKey(one.pair) === pairKey(pair))
    return read && ohmsRead(read)
  }
  const [ab, bc, ca] = [at([a, b]), at([b, c]), at([c, a])]
  if (ab === undefined || bc === undefined || ca === undefined) return undefined
  const u = Math.max(0, ...readings.map((one) => one.netU ?? 0))
  return { pins: [a, b, c], ohms: { ab, bc, ca, u } }
}

const pinsOf = ({ at }: PreparedCheck): string[] => ('among' in at ? at.among : [])

/**
 * Three pins judged whole (METHODS 4, `three-pins`): the kind first, then the values in order of size against the card's.
 * A kind that no open winding of the card gives is another card's part, and no fault.
 * @example
 * judgeThreePins(scenes.pins().bench, scenes.pins().check('pins'), scenes.pins().all, scenes.pins().all).verdict
 * // 'within'
 */
export function judgeThreePins(bench: Bench, check: PreparedCheck, readings: Evaluation[], all: Evaluation[]): Whole {
  const kind = kindOf(check, readings)
  if (kind === undefined)
    return { verdict: 'none', reason: readings.length < 3 ? 'not-read' : 'range-unknown', wanted: [] }
  const opens = readings.filter((one) => ohmsRead(one) === 'Infinity')
  const wanted = opens.filter((one) => !samePoint(bench.tape, one, all).some((other) => ohmsRead(other) === 'Infinity'))
  if (kind === 'open') return { verdict: 'outside', reason: 'open-circuit', wanted }
  const must = demandedKind(bench.prepared.card, check.id)
  if (!must) return { verdict: 'none', reason: 'kind-unset', wanted: [] }
  if (kind === 'unclear') return { verdict: 'none', reason: 'undecided', wanted: [] }
  if (kind !== must)
    return kindsWithOneOpen(bench.prepared.card, check).has(kind)
      ? { verdict: 'outside', reason: 'wrong-kind', wanted }
      : { verdict: 'none', reason: 'another-card', wanted: [] }
  return judgeValues(bench, readings, limitOf(bench, check, readings), all)
}

/**
 * The kinds that one open winding of the card's network can show between a check's three pins.
 * @example
 * [...kindsWithOneOpen(scenes.pins().run.card, scenes.pins().check('pins'))] // [ 'single' ]
 */
export const kindsWithOneOpen = (card: Card, check: PreparedCheck): Set<KindOfThree> => kindsOf(card)(check)

const kindsOf = onceFor((card: Card) => onceFor((check: PreparedCheck) => workedOut(card, check)))

function workedOut(card: Card, check: PreparedCheck): Set<KindOfThree> {
  const [a = '', b = '', c = ''] = pinsOf(check)
  const nodes = nodesOf(card)
  const known = card.windings.map((winding, i) => ({ ...winding, ohms: winding.ohms ?? 1 + 0.137 * i }))
  return new Set(
    known.map((open) => {
      const left = { nodes, windings: known.filter((winding) => winding !== open) }
      const between = (from: string, to: string) => pairResistance({ ...left, a: from, b: to })
      return threeTerminal({ ab: between(a, b), bc: between(b, c), ca: between(c, a), u: 0 }).kind
    }),
  )
}

/** Pins may be named otherwise than on the card, so figures are compared in order of size. A contact only adds ohms: high is read twice. */
function judgeValues(bench: Bench, readings: Evaluation[], limit: PreparedLimit | undefined, all: Evaluation[]): Whole {
  const bands = limitsBySize(limit)
  const finite = readings.filter((one) => one.net !== undefined).sort((x, y) => (x.net ?? 0) - (y.net ?? 0))
  if (bands.length !== finite.length) return { verdict: 'within', wanted: [] }
  const apart = new Map(
    finite.map((one, i) => {
      const own = bands[i]
      return [one, own ? judgeFigure({ ...one, reason: undefined, limit: own }, own) : one]
    }),
  )
  const [worst] = [...apart.values()].sort(worstFirst)
  const wanted = finite.filter((one) => {
    const own = apart.get(one)
    return own?.verdict === 'outside' && sideOf(own) === 'high' && !wasHighBefore(bench, own, all)
  })
  return { verdict: worst?.verdict ?? 'within', wanted, apart }
}

/** Read twice beyond the same maximum, the second time by clips where that is under 10 Ω (METHODS 4, 11.2). */
function wasHighBefore(bench: Bench, one: Evaluation, all: Evaluation[]): boolean {
  const max = one.limit?.band.max ?? Infinity
  const before = samePoint(bench.tape, one, all).some((other) => (other.net ?? other.bound ?? 0) > max)
  return before && (max >= clipsBelow || one.entry.reading.contact === 'clips')
}

/**
 * The limit that judges first for the history these readings were taken under, with all its pairs.
 * @example
 * limitOf(scenes.pins().bench, scenes.pins().check('pins'), scenes.pins().all)?.grade // 'maker'
 */
export function limitOf(bench: Bench, check: PreparedCheck, [first]: Evaluation[]): PreparedLimit | undefined {
  return first && check.limits[bench.tape.history(first.entry)][0]
}

function limitsBySize(limit: PreparedLimit | undefined): PreparedLimit[] {
  if (!limit) return []
  const each = limit.byPair ? [...limit.byPair.values()] : [limit, limit, limit]
  return each
    .filter(({ band, expectOpen }) => !expectOpen && (band.min !== undefined || band.max !== undefined))
    .sort((x, y) => (x.band.max ?? 0) + (x.band.min ?? 0) - (y.band.max ?? 0) - (y.band.min ?? 0))
}
