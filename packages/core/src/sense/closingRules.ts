import type { Family } from '../document'
import type { Bench, Evaluation, CheckState } from '../judgement'
import type { Remark } from './rule'

/** What is known when the tape is looked at as a whole. */
export interface Closing {
  bench: Bench
  checks: CheckState[]
  /** every reading evaluated, in tape order */
  all: Evaluation[]
  noFaultFound: boolean
  stood: (evaluation: Evaluation) => boolean
}

export type ClosingRule = (closing: Closing) => Remark | null

/** Families where shorted turns hide from ohms. */
export const ohmsMiss: Family[] = ['ignition-stator', 'charging-stator', 'low-ohm-stator', 'ignition-coil', 'coil-pack']

/** Some group of joined windings never tested to frame, or some pin never read. */
export const windingsUntested: ClosingRule = ({ bench, all, checks }) => {
  const { card, groups } = bench.prepared
  const judged = all.filter((one) => !bench.tape.gone.has(one.entry.id) && one.verdict !== 'none')
  const framed = new Set(judged.filter((one) => one.check.toFrame).flatMap((one) => one.pair ?? []))
  const wound = groups.filter(
    (group) => !group.includes('frame') && card.windings.some((winding) => group.includes(winding.from)),
  )
  const hasFrame = card.terminals.some((terminal) => terminal.id === 'frame') || checks.some((one) => one.check.toFrame)
  const ungrounded = hasFrame ? wound.filter((group) => !group.some((terminal) => framed.has(terminal))) : []
  const read = new Set(judged.flatMap((one) => one.pair ?? []))
  const pins = card.plugs.flatMap((plug) => plug.cavities.flatMap((cavity) => cavity.terminal ?? []))
  const unread = pins.filter((pin) => !read.has(pin) && wound.some((group) => group.includes(pin)))
  if (ungrounded.length === 0 && unread.length === 0) return null
  return {
    id: 'windings-untested',
    severity: 'warn',
    params: { groups: ungrounded.map((group) => group[0] ?? '').join(' '), pins: unread.join(' ') },
  }
}

/** No fault found by ohms on a family whose faults ohms are known to miss. */
export const staticOnly: ClosingRule = ({ bench, checks, noFaultFound }) => {
  const dynamic = checks.some(
    (one) => ['ac-output', 'dc-output', 'response'].includes(one.check.check.kind) && one.verdict === 'within',
  )
  return noFaultFound && !dynamic && ohmsMiss.includes(bench.run.card.family)
    ? { id: 'static-only', severity: 'note', params: { family: bench.run.card.family } }
    : null
}

/** The complaint comes and goes, and no lead was flexed to frame. */
export const flexTheLead: ClosingRule = ({ bench, all }) => {
  const intermittent = bench.run.unit.complaint.includes('intermittent')
  const flexed = all.some((one) => one.entry.reading.conditions?.state?.includes('flexed'))
  return intermittent && !flexed ? { id: 'flex-the-lead', severity: 'warn', params: {} } : null
}

/** Repaired, and the tests that failed it were not made again. */
export const retestMissing: ClosingRule = ({ bench, all, checks, stood }) => {
  if (bench.tape.works.length === 0) return null
  const failed = new Set(all.filter((one) => one.verdict === 'outside' && stood(one)).map((one) => one.check.check.id))
  const missing = checks.filter(
    (one) => failed.has(one.check.check.id) && one.points.every((point) => !point.evaluation),
  )
  return missing.length > 0
    ? { id: 'retest-missing', severity: 'stop', params: { checks: missing.map((one) => one.check.check.id).join(' ') } }
    : null
}

export const closingRules: ClosingRule[] = [windingsUntested, staticOnly, flexTheLead, retestMissing]
