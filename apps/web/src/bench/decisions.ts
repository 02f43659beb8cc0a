import type { DecisionId, RunState } from '@sure-spool/core'
import type { ShopSettings } from '@sure-spool/contract'
import { decisionWords } from '../words/kinds'

export interface Choice {
  what: DecisionId
  about: string[]
  label: string
  hint: string
}

/** Up to five decisions to choose from, the shop's habit first. A failed coil can be rewound alone or with all on its core. */
export function choicesFor(state: RunState, habit: ShopSettings['rewindHabit']): Choice[] {
  const { finding, run } = state
  const again: Choice = {
    what: 'more-tests',
    about: [],
    label: decisionWords['more-tests'],
    hint: 'the run stays open',
  }
  const plain = (what: DecisionId, hint: string): Choice => ({ what, about: [], label: decisionWords[what], hint })
  const swap = plain('exchange', 'tells whether it is this part')
  if (finding.word === 'undecided')
    return [
      again,
      plain('return', 'the sheet lists what is open'),
      swap,
      plain('clean', 'contacts and plug'),
      plain('replace', 'though undecided'),
    ]
  if (finding.word === 'no-fault-found')
    return [
      plain('return', 'the sheet lists what is not proved'),
      again,
      swap,
      plain('clean', 'contacts and plug'),
      plain('replace', 'nothing points to it'),
    ]
  const failed = failedWindings(state)
  const core = run.card.windings.filter((winding) =>
    failed.some((one) => one.core !== undefined && one.core === winding.core),
  )
  const one: Choice = {
    what: 'rewind',
    about: failed.map((winding) => winding.id),
    label: failed.length > 1 ? 'rewind what failed' : 'rewind one',
    hint: failed.map((winding) => winding.label).join(', ') || 'the failed winding',
  }
  const all: Choice = {
    what: 'rewind',
    about: core.map((winding) => winding.id),
    label: 'rewind all on the core',
    hint: core.map((winding) => winding.label).join(', '),
  }
  const rewinds = core.length > failed.length ? (habit === 'failed-coil' ? [one, all] : [all, one]) : [one]
  const joint = finding.faults.some((fault) => fault.side === 'high')
    ? [plain('rejoin', 'a joint or lead reads high')]
    : []
  const leak = finding.faults.some((fault) => fault.side === 'low' && isGround(state, fault.check))
    ? [plain('splice', 'a chafed lead')]
    : []
  const first = failed.length > 0 ? rewinds : [...joint, ...leak]
  return [...first, plain('replace', ''), ...(failed.length > 0 ? [...joint, ...leak] : []), again, swap].slice(0, 5)
}

const isGround = (state: RunState, check: string | undefined): boolean =>
  state.checks.some((one) => one.check.id === check && one.check.points.some((point) => point.pair.includes('frame')))

function failedWindings({ finding, checks, run }: RunState) {
  const touched = new Set(
    finding.faults.flatMap((fault) => {
      const check = checks.find((one) => one.check.id === fault.check)?.check
      return check && !check.toFrame ? [...check.touches] : []
    }),
  )
  return run.card.windings.filter((winding) => touched.has(winding.id))
}
