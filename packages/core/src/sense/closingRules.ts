import { trialIn } from '../asked'
import { plugsOf, type Card, type Family } from '../document'
import { below } from '../conformance'
import { entriesThatStand, pairKey, readsOpen, type CheckState, type Evaluation } from '../judgement'
import type { ClosingRule } from './closing'
import type { Remark } from './rule'
import { sweepBack } from './sweepBack'

/** Families where shorted turns hide from ohms. */
export const ohmsMiss: Family[] = ['ignition-stator', 'charging-stator', 'low-ohm-stator', 'ignition-coil', 'coil-pack']

/**
 * Some group of joined windings never tested to frame, or some pin never read.
 * @example
 * windingsUntested(scenes.low().closing)?.params // { groups: 'G V', pins: 'T V VW' }
 */
export const windingsUntested: ClosingRule = ({ bench, all, checks }) => {
  const { card, unitGroups } = bench.prepared
  const framed = new Set<string>()
  const read = new Set<string>()
  for (const { entry, pair, check, verdict } of all) {
    if (!pair || bench.tape.gone.has(entry.id)) continue
    for (const terminal of pair) {
      read.add(terminal)
      if (check.toFrame && verdict !== 'none') framed.add(terminal)
    }
  }
  const wound = unitGroups.filter(
    (group) =>
      !group.includes('frame') && card.windings.some(({ from, to }) => group.includes(from) || group.includes(to)),
  )
  const hasFrame = card.terminals.some((terminal) => terminal.id === 'frame') || checks.some((one) => one.check.toFrame)
  const ungrounded = hasFrame ? wound.filter((group) => !group.some((terminal) => framed.has(terminal))) : []
  const plugs = plugsOf(card, bench.run.unit.variant)
  const pins = [...new Set(plugs.flatMap((plug) => plug.cavities.flatMap((cavity) => cavity.terminal ?? [])))]
  const unread = pins.filter((pin) => !read.has(pin) && wound.some((group) => group.includes(pin)))
  if (ungrounded.length === 0 && unread.length === 0) return null
  return {
    id: 'windings-untested',
    severity: 'warn',
    params: { groups: ungrounded.map((group) => touchable(card, group)).join(' '), pins: unread.join(' ') },
  }
}

/** The terminal of a group that a probe can reach: a star point has no pin. */
const touchable = ({ terminals }: Card, group: string[]): string =>
  group.find((id) => terminals.find((one) => one.id === id)?.part !== 'joint') ?? group[0] ?? ''

/**
 * No fault found by ohms on a family whose faults ohms are known to miss.
 * @example
 * staticOnly({ ...scenes.sound().closing, noFaultFound: true })?.id // 'static-only'
 */
export const staticOnly: ClosingRule = ({ bench, checks, noFaultFound }) => {
  const dynamic = checks.some(
    (one) => ['ac-output', 'dc-output', 'response'].includes(one.check.kind) && one.verdict === 'within',
  )
  return noFaultFound && !dynamic && ohmsMiss.includes(bench.run.card.family)
    ? { id: 'static-only', severity: 'note', params: { family: bench.run.card.family } }
    : null
}

/**
 * The complaint comes and goes, the part has leads, and none was flexed to frame.
 * @example
 * flexTheLead(scenes.sound().closing) // null
 */
export const flexTheLead: ClosingRule = ({ bench, all }) => {
  const intermittent = bench.run.unit.complaint.includes('intermittent')
  const flexed = all.some((one) => one.entry.reading.conditions?.state?.includes('flexed'))
  const hasLeads = bench.run.card.terminals.some(({ wire }) => wire !== undefined)
  return intermittent && hasLeads && !flexed ? { id: 'flex-the-lead', severity: 'warn', params: {} } : null
}

/**
 * Repaired, and the tests that failed it were not made again.
 * @example
 * retestMissing(scenes.sound().closing) // null
 */
export const retestMissing: ClosingRule = ({ bench, all, checks, stood }) => {
  if (bench.tape.changes.length === 0) return null
  const failed = new Set(all.filter((one) => one.verdict === 'outside' && stood(one)).map((one) => one.check.id))
  const missing = checks.filter((one) => failed.has(one.check.id) && one.points.every((point) => !point.evaluation))
  return missing.length > 0
    ? { id: 'retest-missing', severity: 'stop', params: { checks: missing.map((one) => one.check.id).join(' ') } }
    : null
}

/**
 * It operated, and neither contacts nor travel were looked at: a click proves the magnet alone.
 * @example
 * clickOnly(scenes.sound().closing) // null
 */
export const clickOnly: ClosingRule = ({ checks }) => {
  const acted = checks.some((one) => one.check.kind === 'act' && one.verdict === 'within')
  const left = checks.filter(
    ({ check, verdict }) => (check.kind === 'contacts' || check.kind === 'act') && verdict === 'none',
  )
  return acted && left.length > 0
    ? { id: 'click-only', severity: 'warn', params: { checks: left.map((one) => one.check.id).join(' ') } }
    : null
}

const outputKinds = new Set(['ac-output', 'dc-output', 'response', 'inductance'])

/**
 * Two methods on one part contradict each other: one was not what it seemed, and output is the stronger; a tap that is heard is not
 * stronger than an open.
 * @example
 * testsDisagree(scenes.sound().closing) // null
 */
export const testsDisagree: ClosingRule = ({ checks }) => {
  const params = contradiction(checks)
  return params && { id: 'tests-disagree', severity: 'warn', params }
}

/** Sound by output and open by ohms or the other way round; balanced bars and a failed short test. */
function contradiction(checks: CheckState[]): Remark['params'] | null {
  const params = (one: CheckState, stronger: CheckState) => ({
    one: one.check.id,
    stronger: stronger.check.id,
  })
  const pairOf = ({ check }: CheckState) => ('pair' in check.at ? pairKey(check.at.pair) : undefined)
  const openAt = (one: CheckState) =>
    checks.find(
      (other) => other.reason === 'open-circuit' && pairOf(other) !== undefined && pairOf(other) === pairOf(one),
    )
  const outputs = checks.filter(({ check }) => outputKinds.has(check.kind))
  for (const one of outputs.length > 0 ? checks : []) {
    if (one.check.kind !== 'resistance' || pairOf(one) === undefined) continue
    for (const other of outputs) {
      if (pairOf(other) !== pairOf(one)) continue
      const open = one.reason === 'open-circuit' && other.verdict === 'within'
      const silent = one.verdict === 'within' && other.verdict === 'outside'
      if (open || silent) return params(one, other)
    }
  }
  const heard = checks.find((one) => isTapHeard(one) && openAt(one) !== undefined)
  const silent = heard && openAt(heard)
  if (heard && silent) return params(heard, silent)
  const apart = openAndNot(checks)
  if (apart) return params(...apart)
  const balanced = checks.find((one) => one.check.kind === 'bars' && one.verdict === 'within')
  const shorted = checks.find((one) => one.check.kind === 'act' && one.verdict === 'outside')
  return balanced && shorted ? params(balanced, shorted) : null
}

/** A tap that was heard through an amplifier: a coil picks up across a break too. */
const isTapHeard = ({ check, verdict }: CheckState): boolean =>
  verdict === 'within' && trialIn({ kind: check.kind, limits: check.stated }) === 'tap'

/** One pair that a check reads open and another reads finite below it, under the same conditions: a path that was seen is the stronger. */
function openAndNot(checks: CheckState[]): [open: CheckState, finite: CheckState] | undefined {
  const read = checks.filter(({ check }) => check.kind !== 'contacts')
  for (const state of read)
    for (const { evaluation: one } of state.points) {
      const most = one && isOhms(one) && readsOpen(one) ? (one.bound ?? one.net) : undefined
      if (!one || most === undefined) continue
      const finite = read.find((other) =>
        other.points.some(
          ({ evaluation: its }) =>
            other !== state &&
            its?.net !== undefined &&
            isOhms(its) &&
            alikeTaken(its, one) &&
            below(its.net, most) &&
            !readsOpen(its),
        ),
      )
      if (finite) return [state, finite]
    }
  return undefined
}

const isOhms = ({ pair, quantity }: Evaluation): boolean => pair !== undefined && quantity === 'resistance'

const alikeTaken = (a: Evaluation, b: Evaluation): boolean =>
  a.pair !== undefined &&
  b.pair !== undefined &&
  pairKey(a.pair) === pairKey(b.pair) &&
  JSON.stringify(a.entry.reading.conditions ?? {}) === JSON.stringify(b.entry.reading.conditions ?? {})

/**
 * Rewound, and not tested to frame since it was fixed: fixing can pinch.
 * @example
 * noGroundAfter(scenes.sound().closing) // null
 */
export const noGroundAfter: ClosingRule = ({ bench, all, checks }) => {
  const works = bench.tape.changes
  const last = works.findLast((work) => work.what === 'rewind' || work.what === 'fix')
  const framed = checks.some((one) => one.check.toFrame)
  if (!last || !framed || !works.some((work) => work.what === 'rewind')) return null
  const since = all.some(
    (one) => one.check.toFrame && one.entry.n > last.n && one.verdict !== 'none' && !bench.tape.gone.has(one.entry.id),
  )
  return since ? null : { id: 'no-ground-after', severity: 'stop', params: {} }
}

/** Shorted turns, as they are named; `no shorts`, `short of time` and `a short lead` name none. */
const namesShorts = /(?<!\b(?:no|not|never|nothing)\s)\bshort(?:s|ed|ing)?\b(?!\s+(?:of|on|time|leads?|wires?)\b)/i

/**
 * Shorted turns named, by a note or the last decision, for a winding that reads high: shorts lower resistance.
 * @example
 * highIsNotShorted(scenes.sound().closing) // null
 */
export const highIsNotShorted: ClosingRule = ({ bench: { tape }, checks }) => {
  const decision = entriesThatStand(tape, 'decision').at(-1)
  const said = [
    ...(decision ? [{ words: decision.why, about: (decision.about ?? []).map(String) }] : []),
    ...entriesThatStand(tape, 'note').map(({ words, about }) => ({ words, about: about === undefined ? [] : [about] })),
  ].filter(({ words }) => namesShorts.test(words))
  const high = checks.find(
    ({ check, reason }) =>
      check.kind === 'resistance' &&
      (reason === 'above-maximum' || reason === 'open-circuit') &&
      said.some(
        ({ about }) =>
          about.length === 0 ||
          about.includes(check.id) ||
          [...check.touches].some((winding) => about.includes(winding)),
      ),
  )
  return high ? { id: 'high-is-not-shorted', severity: 'warn', params: { check: high.check.id } } : null
}

export const closingRules: ClosingRule[] = [
  windingsUntested,
  staticOnly,
  flexTheLead,
  retestMissing,
  clickOnly,
  testsDisagree,
  noGroundAfter,
  highIsNotShorted,
  sweepBack,
]
