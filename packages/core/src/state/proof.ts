import { isAsked } from '../asked'
import type { Family } from '../document'
import { readsOpen } from '../judgement'
import { isReadHot } from './heatAndTurns'
import type { RunState } from './runState'

/** What a pass of this part leaves unproved, an id each; worded in one place. */
export type Unproved =
  | 'shorted-turns'
  | 'output-at-speed'
  | 'spark-under-load'
  | 'jackets-at-spark-volts'
  | 'insulation-at-volts'
  | 'when-hot'
  | 'movement'
  | 'contacts-under-load'
  | 'pull-in-when-hot'
  | 'starting-and-pumping'
  | 'sound-in-its-instrument'
  | 'shaken-and-hot'

const byFamily: Record<Family, Unproved[]> = {
  'ignition-stator': ['shorted-turns', 'output-at-speed', 'insulation-at-volts', 'when-hot'],
  'charging-stator': ['shorted-turns', 'output-at-speed', 'insulation-at-volts', 'when-hot'],
  'low-ohm-stator': ['shorted-turns', 'output-at-speed', 'insulation-at-volts', 'when-hot'],
  'ignition-coil': ['shorted-turns', 'spark-under-load', 'insulation-at-volts', 'when-hot'],
  'coil-pack': ['shorted-turns', 'spark-under-load', 'insulation-at-volts', 'when-hot'],
  'ignition-leads': ['jackets-at-spark-volts'],
  'injector-solenoid': ['movement', 'when-hot'],
  'valve-solenoid': ['movement', 'when-hot'],
  solenoid: ['movement', 'when-hot'],
  'solenoid-set': ['movement', 'when-hot'],
  relay: ['contacts-under-load', 'pull-in-when-hot'],
  compressor: ['starting-and-pumping', 'when-hot'],
  motor: ['insulation-at-volts', 'when-hot'],
  armature: ['insulation-at-volts', 'when-hot'],
  pickup: ['sound-in-its-instrument'],
  'speed-sensor': ['output-at-speed', 'when-hot'],
  sender: ['shaken-and-hot'],
  thermistor: ['shaken-and-hot'],
  other: ['insulation-at-volts', 'when-hot'],
}

/**
 * Whether a part was read warm: something that stands was read at a measured 50 °C or more. That it was warmed is no reading.
 * @example
 * wasHot(scenes.sound().state) // false
 */
export const wasHot = ({ checks }: Pick<RunState, 'checks'>): boolean =>
  checks.some(({ points }) => points.some(({ evaluation }) => evaluation !== undefined && isReadHot(evaluation)))

/** Kinds of check whose pass proves what stands here. */
const provedBy: Partial<Record<Unproved, ReadonlySet<string>>> = {
  'shorted-turns': new Set(['ac-output', 'response']),
  'output-at-speed': new Set(['ac-output', 'dc-output', 'response']),
  'insulation-at-volts': new Set(['insulation']),
}

/**
 * What the readings of this part do not prove, by its family, without what was done and what it does not have (METHODS 4): no insulation where
 * there is no frame, no heat where it was read hot, no movement that was seen, no short turns where nothing but breaks was read.
 * @example
 * notProved(scenes.sound().state) // [ 'shorted-turns', 'output-at-speed', 'insulation-at-volts', 'when-hot' ]
 */
export function notProved(state: RunState): Unproved[] {
  const { card } = state.run
  const passed = new Set(state.checks.filter(({ verdict }) => verdict === 'within').map(({ check }) => check.kind))
  const hasFrame = state.checks.some(({ check }) => check.toFrame) || card.terminals.some(({ id }) => id === 'frame')
  return byFamily[card.family].filter((one) => {
    if ([...(provedBy[one] ?? [])].some((kind) => (passed as Set<string>).has(kind))) return false
    if (one === 'insulation-at-volts') return hasFrame
    if (one === 'shorted-turns') return !isAllOpen(state)
    return one !== 'when-hot' || !wasHot(state)
  })
}

/** Where every winding that was read is broken, no turns of it can be short. */
function isAllOpen({ checks }: RunState): boolean {
  const read = checks
    .filter(({ check }) => check.kind === 'resistance' && !check.toFrame && check.touches.size > 0)
    .flatMap(({ points }) => points.flatMap(({ evaluation }) => evaluation ?? []))
  return read.length > 0 && read.every(readsOpen)
}

/** Something that was not tested: a check of the card, or what its complaint asks for. */
export type Untested =
  | { what: 'check'; check: string; skipped?: string }
  | { what: 'unjudged'; check: string }
  /** some items of a set, by their numbers: the others were read */
  | { what: 'items'; check: string; items: number[] }
  | { what: 'hot' | 'leads-flexed' }

/**
 * What was not tested: checks without a reading, checks whose readings judge nothing, and what the complaint asks for and nobody did.
 * Never what was read, seen or tried, and no flexing where there are no leads.
 * @example
 * notTested(scenes.sound().state).at(-1) // { what: 'check', check: 'flex' }
 */
export function notTested(state: RunState): Untested[] {
  const { run } = state
  const checks = state.untested.map((check): Untested => {
    const skipped = state.checks.find((one) => one.check.id === check)?.skipped?.reason
    return { what: 'check', check, ...(skipped === undefined ? {} : { skipped }) }
  })
  // what was asked besides is there for what it tells, and is no test of the card's
  const unjudged = state.unjudged.filter((id) => !isAsked(id)).map((check): Untested => ({ what: 'unjudged', check }))
  const items = state.checks.flatMap(({ check, points }): Untested[] => {
    const missing = points.flatMap((one) => (one.evaluation ? [] : (one.index ?? [])))
    const begun = points.some((one) => one.evaluation?.entry.reading.index !== undefined)
    return begun && missing.length > 0 ? [{ what: 'items', check: check.id, items: missing }] : []
  })
  const warm = run.unit.complaint.includes('trips-when-hot') && !wasHot(state)
  const hasLeads = run.card.terminals.some(({ wire }) => wire !== undefined)
  const asked = run.unit.complaint.includes('intermittent') && hasLeads
  const flexed = [...state.evaluations.values()].some((one) => one.entry.reading.conditions?.state?.includes('flexed'))
  const listed = run.card.checks.some(({ conditions }) => conditions?.state?.includes('flexed'))
  return [
    ...checks,
    ...unjudged,
    ...items,
    ...(warm ? [{ what: 'hot' as const }] : []),
    ...(asked && !flexed && !listed ? [{ what: 'leads-flexed' as const }] : []),
  ]
}
