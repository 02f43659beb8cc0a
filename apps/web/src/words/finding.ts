import { expectedAt, ohmsMiss, sharesThatCouldBeGone, type RunState } from '@sure-spool/core'
import { capital } from './capital'
import { checkLabel, checkPoints } from './points'
import type { Figures } from './figures'

/** The finding in one sentence, and what stands behind it. */
export function findingTitle(state: RunState): { title: string; line: string } {
  const { finding, run } = state
  const warm = run.unit.complaint.includes('trips-when-hot')
  if (finding.word === 'no-fault-found') {
    const dynamic = state.checks.some((one) => one.check.conditions?.rpm !== undefined && one.verdict === 'within')
    const hot = state.tape.entries.some((entry) => entry.kind === 'temperature' && (entry.partC ?? 0) >= 50)
    const title = dynamic
      ? 'No fault found, at rest and at speed.'
      : hot
        ? 'No fault found by ohms, at rest.'
        : 'No fault found by ohms, cold, at rest.'
    return {
      title,
      line:
        warm && !hot
          ? 'The complaint says warm. Nothing was read warm, so it is neither explained nor ruled out.'
          : 'Every reading that counts is inside its limits.',
    }
  }
  if (finding.word === 'fault-found') {
    const names = [...new Set(finding.faults.map((fault) => faultName(state, fault)))]
    const [first] = finding.faults
    const how = first?.entry ? how1(state, first.entry) : ''
    const several = names.length > 3 ? [...names.slice(0, 3), `and ${names.length - 3} more`] : names
    return {
      title: `Fault found: ${several.join(', ')}${how}.`,
      line:
        state.explained.length > 0
          ? `${state.explained.map((id) => checkPoints(run.card, id)).join(', ')} reads what its parts read, so it is one fault and not two.`
          : '',
    }
  }
  const [open] = finding.open
  return { title: 'Undecided.', line: open ? openWords(state, open) : '' }
}

/** A fault by what was read: its check, the number of a bar or lead, what was seen; a relay's contacts as one. */
function faultName({ run, evaluations }: RunState, fault: RunState['finding']['faults'][number]): string {
  if (fault.check === undefined) return run.card.relations.find((one) => one.id === fault.relation)?.label ?? ''
  const evaluation = fault.entry === undefined ? undefined : evaluations.get(fault.entry)
  const { index, answer } = evaluation?.entry.reading ?? {}
  const label = checkLabel(run.card, fault.check)
  if (evaluation?.reason === 'contact-fault') return 'a contact does not follow the coil'
  if (evaluation?.reason === 'does-not-operate') return 'it does not operate'
  if (answer !== undefined) return `${label}: ${answer}`
  return index === undefined ? label : `${label} ${index}`
}

function how1(state: RunState, entry: string): string {
  const reason = state.evaluations.get(entry)?.reason
  if (reason === 'open-circuit') return ' is open'
  if (reason === 'above-maximum') return ' reads high'
  if (reason === 'shorted') return ' reads a hard path'
  return reason === 'below-minimum' ? ' reads low' : ''
}

/** What keeps the finding open, and what would settle it. */
export function openWords(state: RunState, open: RunState['finding']['open'][number]): string {
  const { card } = state.run
  const pair = open.check ? checkPoints(card, open.check) : ''
  const name = capital(pair || (card.relations.find((one) => one.id === open.relation)?.label ?? ''))
  switch (open.why) {
    case 'not-read':
      return `${name} has not been read.`
    case 'none':
      return `${name} was read and says nothing yet: read it on another range, or at a known temperature.`
    case 'borderline':
      return `${name} is at a limit, leaning ${open.leaning ?? ''}: measure the part’s temperature, or take more digits.`
    case 'held':
      return `${name} is held by a remark: answer it, or take it again.`
    case 'take-again':
      return `Take ${pair} again with the probes lifted between: a contact only adds ohms.`
    case 'clip-on':
      return `Clip on and take ${pair} again: under 10 Ω a contact is half the reading.`
    case 'sum-off':
      return `The parts do not add up: take ${pair} again.`
    case 'not-as-drawn':
      return 'The parts do not add up and were clipped: it is not wired as the card draws it.'
    case 'relation':
      return `${name} is undecided, leaning ${open.leaning ?? ''}: a finer meter would tell.`
  }
}

/** What was not tested, each in a few words. */
export function notTested(state: RunState): { what: string; why: string }[] {
  const { run, tape } = state
  const checks = state.untested.map((id) => {
    const skipped = state.checks.find((one) => one.check.id === id)?.skipped
    return { what: checkLabel(run.card, id), why: skipped ? `skipped: ${skipped.reason}` : '' }
  })
  const unjudged = state.unjudged.map((id) => ({ what: checkLabel(run.card, id), why: 'read, and not judged' }))
  const hot = tape.entries.some((entry) => entry.kind === 'temperature' && (entry.partC ?? 0) >= 50)
  const flexed = [...state.evaluations.values()].some((one) => one.entry.reading.conditions?.state?.includes('flexed'))
  const hasFlex = run.card.checks.some((check) => check.conditions?.state?.includes('flexed'))
  return [
    ...checks,
    ...unjudged,
    ...(hot ? [] : [{ what: 'hot', why: 'every reading is cold' }]),
    ...(flexed || hasFlex ? [] : [{ what: 'leads flexed to frame', why: '' }]),
  ]
}

/** What a pass does not prove, with the share of turns that could be missing and still read inside the limits. */
export function notProved(state: RunState, figures: Figures): { head: string; text: string }[] {
  const { run } = state
  if (!ohmsMiss.includes(run.card.family))
    return [{ head: 'Working volts and heat.', text: 'Ohms at rest show neither.' }]
  const shares = sharesThatCouldBeGone(state).map(
    ({ check, ohms, upper, share }) =>
      `${checkPoints(run.card, check)} 1 − ${figures.plain(ohms)}/${figures.plain(upper)} = ${Math.round(100 * share)} %`,
  )
  return [
    {
      head: 'Shorted turns.',
      text:
        shares.length > 0
          ? `A coil that began at its upper limit could have lost this share of its turns and read the same: ${shares.join('; ')}.`
          : 'A few shorted turns read the same within the limits.',
    },
    {
      head: 'Output at speed, insulation at working volts.',
      text: 'Ohms at rest show neither; the meter puts on only a few volts.',
    },
  ]
}

/** Where a winding is hot enough to show what it hides, °C. */
const hotC = 80

/** What would settle it, in the order in which to try it. */
export function wouldSettle(state: RunState, figures: Figures): { head: string; text: string }[] {
  const { run, finding } = state
  if (finding.word === 'undecided')
    return finding.open.slice(0, 4).map((one) => ({ head: openWords(state, one), text: '' }))
  if (finding.word === 'fault-found')
    return [
      {
        head: 'After the repair',
        text: 'take the tests again that failed it, and each group to frame: fixing can pinch a wire.',
      },
    ]
  const expected = expectedAt(state, hotC).map(
    ({ check, ohms }) => `${checkPoints(run.card, check)} ${figures.figure(ohms)}`,
  )
  const volts = run.card.checks.find((check) => check.kind === 'ac-output')
  return [
    {
      head: 'The same readings hot, each lead flexed to frame.',
      text:
        expected.length > 0
          ? `At a measured ${figures.temperature(hotC)} expect ${expected.join(', ')}. What lags, jumps or opens is the fault.`
          : '',
    },
    {
      head: volts ? `Then ${volts.label}.` : 'Then output at speed, beside a known good one.',
      text: volts?.limits[0]?.text ?? 'The card gives no volts for it.',
    },
  ]
}
