import type { EntryOf, Relation } from '../document'
import { currentCheck } from '../function'
import { judgeValue, openFrom } from '../spec'
import { isMetal } from '../temperature'
import type { Bench, Evaluation } from './evaluation'
import type { RelationState } from './relations'

/** A winding hotter than this has burnt: no winding explains a low current by its warmth beyond it, °C. */
const hottestWinding = 155

export interface Draw {
  volts: number
  u: number
  /** taken while the part drew its current */
  loaded: boolean
}

/** The volts of a draw: the nearest supply that was on, before or after; else the last one off, else what the card states (METHODS 11.6). */
export function voltsOf({ tape }: Bench, amps: Evaluation): Draw | undefined {
  const supplies = tape.entries.filter(
    (entry): entry is EntryOf<'supply'> => entry.kind === 'supply' && !tape.takenBack.has(entry.id),
  )
  const away = ({ at }: { at: string }) => Math.abs(Date.parse(at) - Date.parse(amps.entry.at))
  const [on] = supplies.filter((entry) => entry.while === 'on').sort((a, b) => away(a) - away(b))
  if (on) return { volts: on.volts, u: on.u, loaded: true }
  const off = supplies.findLast((entry) => entry.while === 'off')
  if (off) return { volts: off.volts, u: off.u, loaded: false }
  const volts = amps.entry.reading.conditions?.volts ?? amps.check.check.conditions?.volts
  return volts === undefined ? undefined : { volts, u: 0, loaded: false }
}

/**
 * A measured draw beside volts over ohms (METHODS 4, 7). A low one fails only under loaded volts and where the winding would
 * have to be hotter than it can be; else its three explanations keep it open.
 */
export function judgeDraw(
  bench: Bench,
  relation: Extract<Relation, { kind: 'draw' }>,
  standing: (check: string) => Evaluation[],
): RelationState {
  const amps = standing(relation.amps).at(-1)
  const coil = standing(relation.ohms).at(-1)
  if (!amps || !coil) return { relation, verdict: 'none', reason: 'not-read', members: [] }
  const members = [amps, coil]
  const supply = voltsOf(bench, amps)
  if (!supply) return { relation, verdict: 'none', reason: 'volts-missing', members }
  if (amps.net === undefined || coil.net === undefined || coil.net >= openFrom)
    return { relation, verdict: 'none', reason: 'not-finite', members }
  const { material } = coil.check
  const seriesOhms = amps.entry.reading.conditions?.seriesOhms ?? amps.check.check.conditions?.seriesOhms ?? 0
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
    (coil.netU ?? 0) / (coil.net + seriesOhms),
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
