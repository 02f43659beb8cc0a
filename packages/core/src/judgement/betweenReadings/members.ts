import type { Relation } from '../../document'
import type { Band, judgeValue } from '../../conformance'
import type { Figure } from '../../relations'
import { rectangular } from '../../uncertainty'
import { temperatureFactor, isUnzeroed, readsFinite, unzeroedU, type Evaluation } from '../figure'
import type { RelationState, StandingOf } from './relationState'

/** What a contact may add to one reading, as a standard uncertainty in ohms (METHODS 11.10). */
const contact = 0.01 / rectangular

/**
 * One figure a check, or why the relation cannot be judged.
 * @example
 * single(['low', 'high'], scenes.sound().standing).length // 2
 */
export function single(checks: string[], standing: StandingOf): Evaluation[] | 'not-read' | 'not-finite' {
  const found = checks.map((check) => standing(check).at(-1))
  if (found.some((one) => one === undefined)) return 'not-read'
  const members = found.filter((one) => one !== undefined)
  return members.every(readsFinite) ? members : 'not-finite'
}

/**
 * Readings as figures at one temperature. Where one meter took all on one function and range, its gain and zero cancel and
 * counts, resolution and contact alone are left.
 * @example
 * figuresOf([scenes.sound().of('low')], true).figures[0].value // 322
 */
export function figuresOf(
  members: Evaluation[],
  zeroApart: boolean,
): { figures: Figure[]; uLead: number; scales: number[] } {
  const [first] = members
  const alike = members.every(
    (one) => one.range !== undefined && one.range === first?.range && one.instrument === first.instrument,
  )
  const scales = members.map((one) => temperatureFactor(one, first))
  const figures = members.map((one, i) => {
    const scale = scales[i] ?? 1
    return { value: (one.net ?? 0) * scale, u: scale * ownUncertainty(one, alike, zeroApart) }
  })
  const uLead = Math.max(0, ...members.map(leadsOf))
  return { figures, uLead: zeroApart ? uLead : 0, scales }
}

function ownUncertainty(one: Evaluation, alike: boolean, zeroApart: boolean): number {
  const { parts, range, instrument, resolution = 0, netU = 0 } = one
  if (!parts) return netU
  if (alike) {
    const counts = range?.counts ?? (range?.percentOfReading === undefined ? 3 : 0)
    return Math.hypot(
      (counts * resolution) / rectangular,
      parts.resolution,
      parts.spread,
      instrument?.fourWire ? 0 : contact,
    )
  }
  const own = Math.hypot(parts.accuracy, parts.resolution, parts.spread)
  return zeroApart ? own : Math.hypot(own, leadsOf(one))
}

/** The leads' part in a reading's doubt, zeroed or not, ohms. */
const leadsOf = ({ leads }: Evaluation): number => (isUnzeroed(leads) ? unzeroedU(leads) : (leads?.u ?? 0))

/**
 * What a relation comes to by its own figure.
 * @example
 * figured(scenes.sound().relation('ratio'), judgeValue({ value: 8.8, u: 0.1, min: 7, max: 10, rule: 'guarded' }), { value: 8.8, u: 0.1 }, { min: 7, max: 10 }, []).verdict
 * // 'within'
 */
export const figured = (
  relation: Relation,
  judged: ReturnType<typeof judgeValue>,
  figure: Figure,
  limits: Band,
  members: Evaluation[],
): RelationState => ({
  relation,
  verdict: judged.verdict,
  conformance: judged.conformance,
  ...(judged.leaning ? { leaning: judged.leaning } : {}),
  value: figure.value,
  u: figure.u,
  limits,
  members,
})
