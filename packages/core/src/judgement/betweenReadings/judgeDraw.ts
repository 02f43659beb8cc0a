import type { Relation } from '../../document'
import { currentCheck } from '../../function'
import { judgeValue } from '../../conformance'
import { isMetal } from '../../temperature'
import { readsFinite, unzeroedU, type Bench, type Evaluation } from '../figure'
import type { RelationState, StandingOf } from './relationState'
import { voltsOf } from './supplyVolts'

/** A winding hotter than this has burnt: no winding explains a low current by its warmth beyond it, °C. */
const hottestWinding = 155

/** Amperes through the winding alone, as its check has them: behind a lamp they are what the lamp lets through. */
const isThroughIt = ({ entry, check }: Evaluation): boolean =>
  entry.reading.conditions?.lamp === undefined || check.conditions?.lamp !== undefined

/**
 * A measured draw beside volts over ohms (METHODS 4, 7). A low one fails only under loaded volts and where the winding would
 * have to be hotter than it can be; else its three explanations keep it open.
 * @example
 * judgeDraw(scenes.valve().bench, scenes.valve().relation('draw'), scenes.valve().standing).verdict // 'within'
 */
export function judgeDraw(
  bench: Bench,
  relation: Extract<Relation, { kind: 'draw' }>,
  standing: StandingOf,
): RelationState {
  const amps = standing(relation.amps).findLast(isThroughIt)
  const coil = standing(relation.ohms).at(-1)
  if (!amps || !coil) return { relation, verdict: 'none', reason: 'not-read', members: [] }
  const members = [amps, coil]
  const supply = voltsOf(bench, amps)
  if (!supply) return { relation, verdict: 'none', reason: 'volts-missing', members }
  if (amps.net === undefined || coil.net === undefined || !readsFinite(coil))
    return { relation, verdict: 'none', reason: 'not-finite', members }
  const { material } = coil.check
  const seriesOhms = amps.entry.reading.conditions?.seriesOhms ?? amps.check.conditions?.seriesOhms ?? 0
  const draw = currentCheck({
    volts: supply.volts,
    ohms: coil.net,
    amps: amps.net,
    seriesOhms,
    refC: coil.temperature?.partC ?? 20,
    material: material !== undefined && isMetal(material) ? material : 'copper',
  })
  if (!draw) return { relation, verdict: 'none', reason: 'not-finite', members }
  const relative = Math.hypot(
    (amps.netU ?? 0) / amps.net,
    supply.u / supply.volts,
    Math.hypot(coil.netU ?? 0, unzeroedU(coil.leads)) / (coil.net + seriesOhms),
  )
  const u = Math.abs((100 * amps.net * relative) / draw.expected)
  const limits = { min: -relation.withinPct, max: relation.withinPct }
  const judged = judgeValue({ value: draw.deviationPct, u, ...limits, rule: 'guarded' })
  const low = draw.deviationPct < 0
  const explained = low && !(supply.loaded && draw.impliedWindingC > hottestWinding)
  const verdict = judged.verdict === 'outside' && explained ? 'borderline' : judged.verdict
  return {
    relation,
    verdict,
    conformance: judged.conformance,
    ...(judged.leaning ? { leaning: judged.leaning } : {}),
    value: draw.deviationPct,
    u,
    limits,
    members,
    draw: { ...draw, ...supply },
    ...(judged.verdict === 'outside' ? { odd: amps, oddReadsHigh: false, contactGives: low } : {}),
  }
}
