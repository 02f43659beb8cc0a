import type { Cause, CauseKind, DecisionId, Family, RunState } from '@sure-spool/core'
import type { ShopSettings } from '@sure-spool/contract'
import { decisionWords } from '../words/kinds'

export interface Choice {
  what: DecisionId
  about: string[]
  label: string
  hint: string
  /** what follows from it, shown before it is kept */
  follows: string
}

/** What stands beside a part and looks like it, by family. */
const neighbours: Partial<Record<Family, string>> = {
  compressor: 'start relay, overload or control',
  'charging-stator': 'regulator or battery lead',
  'coil-pack': 'its driver or loom',
  'ignition-coil': 'ignition box or tower lead',
  'ignition-stator': 'ignition box or stop circuit',
  'low-ohm-stator': 'ignition box or regulator',
  pickup: 'control, switch or lead',
  relay: 'its control or what it switches',
  'valve-solenoid': 'loom or valve control',
}

const windingKinds: ReadonlySet<CauseKind> = new Set([
  'winding-open',
  'winding-low',
  'to-frame',
  'insulation-low',
  'bridged',
])

/** Up to five decisions to choose from, by what was found. A failed coil can be rewound alone or with all on its core, by the shop's habit. */
export function choicesFor(state: RunState, habit: ShopSettings['rewindHabit']): Choice[] {
  const { finding, run, causes } = state
  const plain = (what: DecisionId, hint: string, follows: string): Choice => ({
    what,
    about: [],
    label: decisionWords[what],
    hint,
    follows,
  })
  const undecided = finding.word === 'undecided'
  const open = undecided ? ' It counts as neither accepted nor rejected.' : ''
  const again = plain('more-tests', 'the run stays open', 'The run stays open, at the next step.')
  const swap = plain(
    'exchange',
    'tells whether it is this part',
    'The run closes; how it runs with another is its outcome, to be entered.',
  )
  const neighbour = plain(
    'replace-neighbour',
    neighbours[run.card.family] ?? 'loom or control',
    'The run closes; this part counts as neither accepted nor rejected, and its outcome is awaited.',
  )
  const clean = plain('clean', 'contacts and plug', `The run closes; it goes back cleaned.${open}`)
  const replace = (hint: string) => plain('replace', hint, 'The run closes, and the part is out.')
  if (undecided) {
    const suspected = rewinds(state, suspectedWindings(state), habit).slice(0, 1)
    const back = plain('return', 'the sheet lists what is open', `The run closes undecided.${open}`)
    return [again, back, swap, ...suspected, replace('though undecided'), clean].slice(0, 5)
  }
  if (finding.word === 'no-fault-found')
    return [
      plain('return', 'the sheet lists what is not proved', 'The run closes, and the part is accepted.'),
      neighbour,
      again,
      swap,
      clean,
    ]
  const failed = new Set(causes.flatMap(({ kind, of }) => (windingKinds.has(kind) ? of : [])))
  const bars = causes.flatMap(({ kind, of }) => (kind === 'bars' ? of : []))
  const wound = [
    ...rewinds(state, failed, habit),
    ...(bars.length > 0
      ? [plain('rewind', 'all its coils: one cannot be wound alone', 'The run closes. The armature is wound again.')]
      : []),
  ]
  const mends = mendsFor(causes).map((what) =>
    plain(what, mendWords[what] ?? '', 'The run closes; the tests that failed it are taken again after the work.'),
  )
  const first = causes.some(({ kind }) => kind === 'winding-open' || kind === 'winding-low' || kind === 'bars')
    ? [...wound, ...mends]
    : [...mends, ...wound]
  // what it gives at its own leads is right, and what comes out behind is not: the fault stands beside it
  const beyond = causes.every(({ kind }) => kind === 'output') && isClearedAtSpeed(state)
  if (beyond) return [neighbour, swap, again, replace('')]
  const out =
    run.card.family === 'compressor' ? [replace('its windings are sealed in'), ...first] : [...first, replace('')]
  return [...out, again, swap].slice(0, 5)
}

/** Its alternating volts were read at speed, at its own windings, and are right. */
const isClearedAtSpeed = ({ checks }: RunState): boolean =>
  checks.some(({ check, verdict }) => check.kind === 'ac-output' && check.touches.size > 0 && verdict === 'within')

const mendWords: Partial<Record<DecisionId, string>> = {
  rejoin: 'a joint or lead reads high',
  splice: 'a chafed or broken lead',
  clean: 'contacts and plug',
}

/** Work that mends a cause and keeps the winding. */
function mendsFor(causes: Cause[]): DecisionId[] {
  const kinds = new Set(causes.map(({ kind }) => kind))
  const has = (...some: CauseKind[]) => some.some((kind) => kinds.has(kind))
  return [
    ...(has('winding-high', 'joint') ? ['rejoin' as const] : []),
    ...(has('to-frame', 'insulation-low', 'bridged', 'wire', 'seen') ? ['splice' as const] : []),
    ...(has('contact-high', 'contact-open', 'insulation-low') ? ['clean' as const] : []),
  ]
}

/** What failed, rewound alone or with all that stand on its core; the sheet tells what the habit adds. */
function rewinds({ run }: RunState, ids: ReadonlySet<string>, habit: ShopSettings['rewindHabit']): Choice[] {
  const failed = run.card.windings.filter(({ id }) => ids.has(id))
  if (failed.length === 0) return []
  const names = failed.map(({ label }) => label).join(', ')
  const core = run.card.windings.filter(
    (one) => ids.has(one.id) || failed.some((other) => other.core !== undefined && other.core === one.core),
  )
  const added = core.filter(({ id }) => !ids.has(id)).map(({ label }) => label)
  const one: Choice = {
    what: 'rewind',
    about: failed.map(({ id }) => id),
    label: failed.length > 1 ? 'rewind what failed' : 'rewind one',
    hint: names,
    follows: `The run closes. Rewound: ${names}; the tests that failed it are taken again.`,
  }
  const all: Choice = {
    what: 'rewind',
    about: core.map(({ id }) => id),
    label: 'rewind all on the core',
    hint: core.map(({ label }) => label).join(', '),
    follows: `The run closes. Failed: ${names}. Added by habit: ${added.join(', ')}.`,
  }
  if (added.length === 0) return [one]
  return habit === 'failed-coil' ? [one, all] : [all, one]
}

/** Windings whose reading stands outside and waits for a second touch. */
function suspectedWindings({ finding, checks }: RunState): ReadonlySet<string> {
  const waiting = finding.open.filter(
    ({ why, leaning }) => why === 'take-again' || why === 'clip-on' || leaning === 'outside',
  )
  return new Set(
    waiting.flatMap(({ check: id }) => {
      const check = checks.find((one) => one.check.id === id)?.check
      return check && !check.toFrame ? [...check.touches] : []
    }),
  )
}
