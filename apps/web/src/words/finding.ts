import {
  byComparison,
  expectedAt,
  leftToReadHot,
  notProved,
  notTested,
  settledAt,
  sharesThatCouldBeGone,
  wasHot,
  type RunState,
  type Unproved,
} from '@sure-spool/core'
import { capital, inWords } from './capital'
import { causeWords } from './causes'
import { inRuns } from './inRuns'
import { checkLabel, checkPoints } from './points'
import { responseLine } from './response'
import { magnetsBeside, mendedLine, mendedTitle, rewoundLine, seenBeside } from './evidence'
import type { Figures } from './figures'
import { operatesWords } from './operates'
import { openWords } from './openWords'

/** The finding in one sentence, and what stands behind it. */
export function findingTitle(state: RunState, figures: Figures): { title: string; line: string } {
  const { finding, run } = state
  const warm = run.unit.complaint.includes('trips-when-hot')
  if (finding.word === 'no-fault-found') {
    const hot = wasHot(state)
    const only = continuityOnly(state)
    const beside = byComparison(state)
    if (beside.length > 0) return alikeTitle(beside)
    return {
      title: [mendedTitle(state), passTitle(state, figures), only].filter((one) => one !== '').join(' '),
      line:
        warm && !hot
          ? 'The complaint says warm. Nothing was read warm, so it is neither explained nor ruled out.'
          : only === ''
            ? mendedLine(state, figures) ||
              rewoundLine(state, figures) ||
              'Every reading that counts is inside its limits.'
            : 'What this meter could tell is inside its limits; a finer one, or four wires, would tell the rest.',
    }
  }
  if (finding.word === 'fault-found') {
    const said = state.causes.map((cause) => causeWords(cause, state, figures))
    const several = said.length > 3 ? [...said.slice(0, 3), `And ${said.length - 3} more.`] : said
    return {
      title: several.join(' '),
      line: [
        seenBeside(state),
        magnetsBeside(state, figures),
        responseLine(state, figures),
        mendedLine(state, figures),
        state.explained.length > 0
          ? `${capital(state.explained.map((id) => checkPoints(run.card, id)).join(', '))} reads what its parts read, so it is one fault and not two.`
          : '',
      ]
        .filter((one) => one !== '')
        .join(' '),
    }
  }
  const [open] = finding.open
  const [other] = state.causes
  return {
    title: other ? `Undecided: ${causeWords(other, state, figures)}` : 'Undecided.',
    line: [open ? openWords(state, open, figures) : '', mendedLine(state, figures)]
      .filter((one) => one !== '')
      .join(' '),
  }
}

/** A pass that rests on another part alone. */
const alikeTitle = (beside: string[]): { title: string; line: string } => ({
  title: `No fault by comparison: it reads like ${inWords(beside.map((tag) => (tag === 'neighbour' ? 'its neighbour' : tag)))}.`,
  line: 'No figure of the model stands behind it. If both are off alike, this does not show it.',
})

/** Kinds of check that are more than ohms at rest. */
const beyondOhms: ReadonlySet<string> = new Set(['insulation', 'current', 'lamp', 'act', 'contacts', 'inductance'])
const turning: ReadonlySet<string> = new Set(['ignition-stator', 'charging-stator', 'low-ohm-stator', 'speed-sensor'])

/** A pass, with how far it reaches: by ohms alone, cold, at rest or at speed, each where the part has it. */
function passTitle(state: RunState, figures: Figures): string {
  const { card } = state.run
  const operates = operatesWords(state, figures)
  if (operates !== '') return `No fault found: ${operates}.`
  const passed = state.checks.filter(({ verdict }) => verdict === 'within').map(({ check }) => check)
  const atSpeed = passed.some(({ conditions }) => conditions?.rpm !== undefined)
  if (atSpeed) return 'No fault found, at rest and at speed.'
  const byOhms = passed.some(({ kind }) => beyondOhms.has(kind)) ? '' : ' by ohms'
  const cold = card.windings.length > 0 && !wasHot(state) ? ', cold' : ''
  const atRest = turning.has(card.family) ? ', at rest' : ''
  return `No fault found${byOhms}${cold}${atRest}.`
}

/** Windings whose limits no reading on their meter could settle: that they are whole is all that was shown (METHODS 4). */
function continuityOnly({ finding, run: { card } }: RunState): string {
  const names = finding.continuityOnly.map((id) => checkLabel(card, id))
  return names.length === 0 ? '' : `${capital(inWords(names))}: continuity only on this meter.`
}

/** What was not tested, each in a few words. */
export function notTestedWords(state: RunState): { what: string; why: string }[] {
  return notTested(state).map((one) => {
    switch (one.what) {
      case 'check':
        return {
          what: checkLabel(state.run.card, one.check),
          why: one.skipped === undefined ? '' : `skipped: ${one.skipped}`,
        }
      case 'unjudged':
        return { what: checkLabel(state.run.card, one.check), why: 'read, and not judged' }
      case 'items':
        return {
          what: `${checkLabel(state.run.card, one.check)} ${inRuns(one.items)}`,
          why: `${one.items.length} not read`,
        }
      case 'hot':
        return { what: 'hot', why: 'the complaint says warm, and every reading is cold' }
      case 'leads-flexed':
        return { what: 'leads flexed', why: 'the complaint comes and goes' }
    }
  })
}

const unprovedWords: Record<Exclude<Unproved, 'shorted-turns'>, { head: string; text: string }> = {
  'output-at-speed': { head: 'Output at speed.', text: 'Ohms at rest do not show it.' },
  'spark-under-load': { head: 'Spark under load.', text: 'The meter puts on only a few volts.' },
  'jackets-at-spark-volts': { head: 'Jackets at spark volts.', text: 'The meter puts on only a few volts.' },
  'insulation-at-volts': { head: 'Insulation at working volts.', text: 'The meter puts on only a few volts.' },
  'when-hot': { head: 'Hot.', text: 'Every reading is cold.' },
  movement: { head: 'Movement against its load.', text: 'A right coil can move too little.' },
  'contacts-under-load': { head: 'Contacts at their working current.', text: 'Ohms and a beep use next to none.' },
  'pull-in-when-hot': { head: 'Pull-in when hot.', text: 'A warm coil takes more volts.' },
  'starting-and-pumping': { head: 'Starting, draw and pumping.', text: 'Right windings prove none of them.' },
  'sound-in-its-instrument': { head: 'How it sounds in its instrument.', text: 'Figures do not tell loudness.' },
  'shaken-and-hot': { head: 'Shaken, and warm.', text: 'It was read at rest.' },
}

/** What a pass does not prove, with the share of turns that could be missing and still read inside the limits. */
export function notProvedWords(state: RunState, figures: Figures): { head: string; text: string }[] {
  return notProved(state).map((one) => (one === 'shorted-turns' ? shortedTurns(state, figures) : unprovedWords[one]))
}

function shortedTurns(state: RunState, figures: Figures): { head: string; text: string } {
  const shares = sharesThatCouldBeGone(state).map(
    ({ check, ohms, upper, share }) =>
      `${checkPoints(state.run.card, check)} 1 − ${figures.plain(ohms)}/${figures.plain(upper)} = ${Math.round(100 * share)} %`,
  )
  return {
    head: 'Shorted turns.',
    text:
      shares.length > 0
        ? `A coil that began at its upper limit could have lost this share of its turns and read the same: ${shares.join('; ')}.`
        : 'A few shorted turns read the same within the limits.',
  }
}

/** Where a winding is hot enough to show what it hides, °C. */
const hotC = 80
/** As many as a person does before looking again. */
const mostActions = 3

/** One thing that would settle it, and the step that does it where the path has one. */
export interface Settling {
  head: string
  text: string
  step?: string
  /** it wants the insulation tester in the hand */
  tester?: boolean
  /** it wants the part's own temperature, since it was warmed */
  warmed?: boolean
  /** the reading that it takes again */
  again?: string
}

/** What would settle it, in the order in which to try it; nothing that was done, nothing that the part cannot follow. */
export function wouldSettle(state: RunState, figures: Figures): Settling[] {
  const { run, finding, causes } = state
  if (finding.word === 'undecided')
    return finding.open
      .map((one) => ({
        head: openWords(state, one, figures),
        text: '',
        step: settledAt(state, one),
        tester: state.evaluations.get(one.entry ?? '')?.reason === 'low-voltage-test',
      }))
      .filter(({ head }, i, all) => all.findIndex((one) => one.head === head) === i)
      .slice(0, mostActions)
  if (finding.word === 'fault-found') return afterRepair(causes)
  const left = notProved(state)
  const output = run.card.checks.find(({ id, kind }) => kind === 'ac-output' && state.untested.includes(id))
  return [
    ...hotReadings(state, figures),
    ...(output
      ? [
          {
            head: `${capital(output.label)}.`,
            text: output.limits[0]?.text ?? '',
            step: settledAt(state, { why: 'not-read', check: output.id }),
          },
        ]
      : []),
    ...(!output && left.includes('shorted-turns') ? [{ head: 'A known good one in its place.', text: '' }] : []),
  ]
}

/** The same readings hot: first how hot it is, then each winding that was read cold. */
function hotReadings(state: RunState, figures: Figures): Settling[] {
  const { card } = state.run
  const hot = leftToReadHot(state)
  if (hot)
    return hot.figures.slice(0, mostActions).map(({ check, ohms, cold }) => ({
      head: `${capital(checkPoints(card, check))}, hot.`,
      text: `At ${figures.temperature(hot.c)} expect ${figures.figure(ohms)}; what lags, jumps or opens is the fault.`,
      step: settledAt(state, { why: 'take-again', check, entry: cold }),
      again: cold,
    }))
  const expected = expectedAt(state, hotC).map(
    ({ check, ohms }) => `${checkPoints(card, check)} ${figures.figure(ohms)}`,
  )
  if (!notProved(state).includes('when-hot') || expected.length === 0) return []
  const text = `At a measured ${figures.temperature(hotC)} expect ${expected.join(', ')}. What lags, jumps or opens is the fault.`
  return [{ head: 'The same readings hot.', text, step: 'temperature', warmed: true }]
}

const windingKinds: ReadonlySet<string> = new Set([
  'winding-open',
  'winding-low',
  'winding-high',
  'to-frame',
  'insulation-low',
  'bridged',
])

function afterRepair(causes: RunState['causes']): { head: string; text: string }[] {
  const wound = causes.some(({ kind }) => windingKinds.has(kind))
  return [
    {
      head: 'After the repair',
      text: `take the tests again that failed it${wound ? ', and each group to frame: fixing can pinch a wire' : ''}.`,
    },
  ]
}
