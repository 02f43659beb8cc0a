import type { Coil, CoilFacts, CoilPlan, Rewind, RewindEntry, RewindEntryOf } from '../document'
import { rangeOf } from '../meter'
import {
  fitsLeft,
  gaugeFits,
  midWind,
  otherWires,
  planCoil,
  scaleInductance,
  strandsToTell,
  wireLeft,
  type LeftTells,
  type PlannedCoil,
} from '../rewind'
import { readingUncertainty } from '../uncertainty'
import type { CoilState, GaugeRead, MidCheck } from './rewindStanding'

/** A winding's temperature as it is measured on the machine, standard uncertainty, °C; where nobody measured, twice that. */
const byHandC = 2

/**
 * The first coil of the winding that a coil belongs to.
 * @example
 * leaderOf({ coils: [{ id: 'c', winding: 'w', label: 'c' }] }, { winding: 'w' })?.id // 'c'
 */
export const leaderOf = (rewind: Pick<Rewind, 'coils'>, { winding }: Pick<Coil, 'winding'>): Coil | undefined =>
  rewind.coils.find((one) => one.winding === winding)

/**
 * One coil by the entries that stand: what was found on it, its plan, how far it is.
 * @example
 * coilState({ instruments: [], coils: [], entries: [] }, { id: 'c', winding: 'w', label: 'c' }, []).turns // 0
 */
export function coilState(rewind: Rewind, coil: Coil, stand: RewindEntry[]): CoilState {
  const leader = leaderOf(rewind, coil)
  const about = (entry: RewindEntry, whom: Coil | undefined) => 'coil' in entry && entry.coil === whom?.id
  const facts = (whom: Coil | undefined) =>
    stand.flatMap((entry) => (entry.kind === 'original' && about(entry, whom) ? [entry.facts] : []))
  const original: CoilFacts = Object.assign({}, ...facts(leader), ...facts(coil)) as CoilFacts
  const counts = (what: 'strip' | 'wind') =>
    stand.findLast((entry) => entry.kind === 'count' && entry.of === what && about(entry, coil))
  const plans = (whom: Coil | undefined) =>
    stand.flatMap((entry) => (entry.kind === 'plan' && about(entry, whom) ? [entry.plan] : []))
  const plan = plans(coil).at(-1) ?? plans(leader).at(-1)
  const planned = plan ? (planCoil({ ...plan, wire: plan.wire ?? {} }) ?? undefined) : undefined
  const restart = stand.findLast((entry) => entry.kind === 'broke' && entry.then === 'again' && about(entry, coil))
  const since = (entry: RewindEntry) => about(entry, coil) && entry.n > (restart?.n ?? 0)
  const wound = stand.findLast((entry): entry is RewindEntryOf<'wound'> => entry.kind === 'wound' && since(entry))
  const left = wireLeft(original.left ?? {}, original.wire)
  const henries = henriesOf(original, plan, planned)
  const last = counts('wind')
  const stripped = counts('strip')
  return {
    coil,
    original,
    unknown: new Set(stand.flatMap((entry) => (entry.kind === 'unknown' && about(entry, leader) ? [entry.of] : []))),
    stripped: stripped?.kind === 'count' ? stripped.turns : 0,
    gauges: stand.flatMap((entry) =>
      entry.kind === 'gauge' && about(entry, leader) ? [gaugeRead(entry, original, left)] : [],
    ),
    left,
    ...(plan ? { plan } : {}),
    ...(planned ? { planned } : {}),
    ...(henries === undefined ? {} : { henries }),
    turns: wound?.turns ?? (last?.kind === 'count' && since(last) ? last.turns : 0),
    mid: stand.flatMap((entry) =>
      entry.kind === 'mid-wind' && since(entry) ? (midCheck(rewind, entry, plan, planned) ?? []) : [],
    ),
    ...(wound ? { wound } : {}),
    ...phaseOf(stand, coil, wound),
    beeps: beepsOf(stand, coil),
  }
}

function gaugeRead(
  { id, strands, reading, build: lookedFor }: RewindEntryOf<'gauge'>,
  { wire }: CoilFacts,
  left: LeftTells,
): GaugeRead {
  const build = lookedFor ?? wire?.build
  const overallMm = (1000 * (reading.value ?? 0)) / strands
  const all = gaugeFits({ overallMm, strands, ...(build ? { build } : {}) })
  const agreeing = fitsLeft(all, left)
  const fits = agreeing.length > 0 ? agreeing : all
  return {
    entry: id,
    strands,
    overallMm,
    fits,
    others: otherWires(fits),
    wanted: strandsToTell(fits),
    ...(agreeing.length === 0 ? { unlikeLeft: true as const } : {}),
  }
}

/** Henries to expect on the new coil: as planned, else as the old one had them, by the square of the turns. */
function henriesOf(
  { henries, turns }: CoilFacts,
  plan: CoilPlan | undefined,
  planned: PlannedCoil | undefined,
): number | undefined {
  if (plan?.henries !== undefined || henries === undefined || turns === undefined || !planned) return plan?.henries
  return turns > 0 ? scaleInductance({ henries, turnsOld: turns, turnsNew: planned.turns }) : undefined
}

/** How the coil swings against its sister, as it was tried last since it was wound. */
function phaseOf(
  stand: RewindEntry[],
  coil: Coil,
  wound: RewindEntryOf<'wound'> | undefined,
): Pick<CoilState, 'phase'> {
  const tried = stand.findLast(
    (entry): entry is RewindEntryOf<'phase'> =>
      entry.kind === 'phase' && entry.coil === coil.id && entry.n > (wound?.n ?? 0),
  )
  return tried ? { phase: tried } : {}
}

function midCheck(
  { instruments }: Rewind,
  entry: RewindEntryOf<'mid-wind'>,
  plan: CoilPlan | undefined,
  planned: PlannedCoil | undefined,
): MidCheck | null {
  const ohms = entry.reading.value ?? 0
  const meter = instruments.find(({ id }) => id === entry.reading.instrument)
  const range = rangeOf(meter, 'resistance', ohms)
  const { u } = readingUncertainty({
    value: ohms,
    resolution: range?.resolution ?? 0,
    percentOfReading: range?.percentOfReading ?? 1,
    counts: range?.counts ?? 3,
  })
  const { shape, traverseMm, packing, wire } = plan ?? {}
  const overallMm = wire?.overallMm
  const told = midWind({
    turns: entry.turns,
    ohms,
    uOhms: u,
    atC: entry.partC ?? 20,
    uC: entry.partC === undefined ? 2 * byHandC : byHandC,
    ...(planned ? { targetTurns: Math.round(planned.turns), targetOhms: plan?.ohms20 ?? planned.ohms20 } : {}),
    ...(shape && traverseMm !== undefined && packing !== undefined && overallMm !== undefined
      ? { geometry: { shape, traverseMm, packing, overallMm } }
      : {}),
  })
  return (
    told && {
      ...told,
      entry: entry.id,
      turns: entry.turns,
      ohms,
      atC: entry.partC ?? 20,
      ...(entry.partC === undefined ? { assumedC: true as const } : {}),
    }
  )
}

/** Where the live ground beeped on a coil, and whether that was mended before the next thing. */
function beepsOf(stand: RewindEntry[], coil: Coil): CoilState['beeps'] {
  const grounds = stand.filter((entry): entry is RewindEntryOf<'live-ground'> => entry.kind === 'live-ground')
  return grounds.flatMap((entry, i) =>
    entry.state === 'beep' && entry.coil === coil.id
      ? [{ turns: entry.turns ?? 0, mended: grounds[i + 1]?.state === 'mended', entry: entry.id }]
      : [],
  )
}
