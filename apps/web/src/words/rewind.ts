import type {
  CoilFacts,
  CoilState,
  CoilWire,
  RewindEntry,
  RewindRemark,
  RewindState,
  RewindStep,
  WireFit,
} from '@sure-spool/core'
import { capital } from './capital'
import type { Figures } from './figures'

/** What an entry of a rewind is, in a word or two. */
export const rewindKindWords: Record<RewindEntry['kind'], string> = {
  original: 'As it was',
  unknown: 'As it was',
  gauge: 'Micrometer',
  plan: 'Plan',
  direction: 'One turn by hand',
  count: 'Turns so far',
  'mid-wind': 'Half way',
  'live-ground': 'Live ground',
  broke: 'Wire broke',
  wound: 'Wound',
  step: 'Step',
  answer: 'Answer to a remark',
  note: 'Note',
  'take-back': 'Taken back',
}

/** said of what the old coil does not tell any more */
export const notKnown = 'cannot be known'
const unknownWords = { turns: 'Turns', lay: 'Lay', ends: 'Start', wire: 'Wire' } as const

export const layWords = { cw: 'clockwise', ccw: 'counter-clockwise' } as const
const mm = (value: number, figures: Figures) => `${figures.plain(value, 4)}\u2009mm`

/** A wire by its gauge or size: `gauge 44, single film`, `0.9 mm, heavy film`. */
export function wireWords(wire: CoilWire | WireFit, figures: Figures): string {
  const size =
    wire.awg === undefined ? (wire.bareMm === undefined ? '' : mm(wire.bareMm, figures)) : `gauge ${wire.awg}`
  return [size, wire.build === undefined ? '' : `${wire.build} film`].filter((one) => one !== '').join(', ')
}

const labelOf = (state: RewindState, coil: string | undefined): string =>
  state.rewind.coils.find(({ id }) => id === coil)?.label ?? ''

/** A step of the path: `turns of pole 1`, `wind pole 3`. */
export function rewindStepWords(state: RewindState, step: RewindStep): string {
  const name = labelOf(state, step.coil)
  const [what = ''] = step.id.split(':')
  const words: Record<string, string> = {
    turns: `turns of ${name}`,
    lay: `lay of ${name}`,
    ends: `start and finish of ${name}`,
    wire: `wire of ${name}`,
    plan: `plan ${name}`,
    direction: 'one turn by hand',
    wind: `wind ${name}`,
    finish: 'leads, fix, finish',
    prove: 'prove it',
  }
  return words[what] ?? what
}

export const phaseWords = {
  strip: 'Strip',
  plan: 'Plan',
  direction: 'Direction',
  wind: 'Wind',
  finish: 'Fix and finish',
  prove: 'Prove',
} as const

/** What to do at a step, biggest on the screen, and a line on how. */
export function rewindTitle(state: RewindState, step: RewindStep): { title: string; how: string } {
  const name = labelOf(state, step.coil)
  switch (step.id.split(':')[0]) {
    case 'turns':
      return {
        title: `Unwind ${name}, and count`,
        how: 'Space is one turn, + is ten; or type what was counted, layer by layer: 12, 11, 8. Write down what you see first: it is gone afterwards.',
      }
    case 'lay':
      return {
        title: `Which way is ${name} laid?`,
        how: 'From the start inside outwards: cw or ccw, and seen from where: cw from outside.',
      }
    case 'ends':
      return {
        title: `Where do its ends come out?`,
        how: 'The start, a semicolon, the finish: deep at the right lug; over the top to the left lug.',
      }
    case 'wire':
      return {
        title: `How thick is its wire?`,
        how: 'Micrometer over the film, one strand or several side by side: 0.968, or 5x 4.81.',
      }
    case 'plan':
      return {
        title: `What is ${name} to be?`,
        how: 'Turns or ohms, the room it has, the wire. Packing by hand is about 0.6 to 0.75.',
      }
    case 'direction':
      return {
        title: 'Turn the machine once, by hand',
        how: 'A bobbin that turns lays opposite to a flyer that goes round it. Look at the one turn: which way did the machine go, and how does it lie?',
      }
    case 'wind':
      return {
        title: `Wind ${name}${laidWords(state, step)}`,
        how: 'Space and + count, a number says how many so far. Half way type turns, ohms and warmth: 2400 2.74k @ 22. Bare start to core, live ground on.',
      }
    case 'finish':
      return {
        title: 'Leads, insulation, fixing',
        how: 'One after the other, with warmth and time where it has them: leads soldered and sleeved; wax, 66 C, 8 min; bake 110 C 2 h; no fixing.',
      }
    default:
      return {
        title: 'Let it cool, then prove it',
        how: 'To frame again, since fixing pinches; what failed before; its ohms cold, or with its temperature measured.',
      }
  }
}

function laidWords(state: RewindState, { coil }: RewindStep): string {
  const lay = state.coils.find((one) => one.coil.id === coil)?.lay
  return lay ? `, ${layWords[lay]}` : ''
}

/** A remark on a rewind: what is so, and what to do. */
export function rewindRemarkWords(
  remark: RewindRemark,
  state: RewindState,
  figures: Figures,
): { what: string; todo: string } {
  const { params } = remark
  const name = labelOf(state, remark.coil)
  const at = (key: string) => Number(params[key] ?? 0)
  switch (remark.id) {
    case 'gauges-too-near': {
      const fits = state.coils.find(({ coil }) => coil.id === remark.coil)?.gauges.at(-1)?.fits ?? []
      return {
        what: `${mm(at('overallMm'), figures)} fits more than one wire: ${fits
          .slice(0, 4)
          .map((one) => wireWords(one, figures))
          .join('; ')}.`,
        todo: `Measure ${at('wanted')} strands side by side.`,
      }
    }
    case 'wire-unlike':
      return {
        what: `The plan takes ${String(params['is'])}, and ${name} was ${String(params['was'])}.`,
        todo: 'Another wire has other ohms a turn: is it meant?',
      }
    case 'odd-poles':
      return {
        what: `${at('poles')} poles in a ring: alternating, the last clashes with the first.`,
        todo: 'Count them again, or look how the original did it.',
      }
    case 'winder-direction':
      return { what: 'Which way the machine lays is not settled.', todo: 'One turn by hand, look, say.' }
    case 'laid-alike':
      return {
        what: `${capital(name)} is laid ${layWords[params['lay'] as 'cw' | 'ccw']}, and ${layWords[params['wanted'] as 'cw' | 'ccw']} was due: it works against its neighbours, and no ohms show it.`,
        todo: 'Unwind it and lay it the other way.',
      }
    case 'turns-off':
      return {
        what: `${capital(name)} has ${at('turns')} turns, planned were ${at('planned')}.`,
        todo: 'Counted right? It stands on the sheet.',
      }
    case 'ground-beeps':
      return {
        what: `The live ground beeped on ${name} at turn ${at('turns')}.`,
        todo: 'Find the place and mend it before the next turn; then say mended.',
      }
    case 'ends-outside':
      return {
        what: `Going on so it ends at ${figures.bound(Number(at('ohms20').toPrecision(3)))}, outside the plan.`,
        todo:
          at('stopAt') > 0
            ? `For the planned ohms stop at ${at('stopAt')} turns.`
            : 'Look at the wire and the packing.',
      }
  }
}

/** What is known of a coil as it was, a line each, and what nobody can tell any more. */
export const originalLines = ({ original, unknown }: Pick<CoilState, 'original' | 'unknown'>, figures: Figures) => [
  ...factLines(original, figures),
  ...[...unknown].map((of) => ({ name: unknownWords[of], text: notKnown })),
]

function factLines(facts: CoilFacts, figures: Figures): { name: string; text: string }[] {
  const { turns, layers, lay, seenFrom, start, finish, wire, ohms20 } = facts
  const line = (name: string, text: string) => (text === '' ? [] : [{ name, text }])
  return [
    ...line('Turns', turns === undefined ? '' : `${turns}${layers === undefined ? '' : ` in ${layers} layers`}`),
    ...line(
      'Lay',
      lay === undefined ? '' : `${layWords[lay]}${seenFrom === undefined ? '' : `, seen from ${seenFrom}`}`,
    ),
    ...line('Start', start ?? ''),
    ...line('Finish', finish ?? ''),
    ...line('Wire', wire ? wireWords(wire, figures) : ''),
    ...line('Ohms', ohms20 === undefined ? '' : figures.bound(ohms20)),
  ]
}

/** An entry of the tape: what it says, in one line. */
export function rewindEntryWords(entry: RewindEntry, state: RewindState, figures: Figures): string {
  const of = 'coil' in entry && entry.coil !== undefined ? `${labelOf(state, entry.coil)}: ` : ''
  switch (entry.kind) {
    case 'original':
      return (
        of +
        factLines(entry.facts, figures)
          .map(({ name, text }) => `${name.toLowerCase()} ${text}`)
          .join(', ')
      )
    case 'unknown':
      return `${of}${unknownWords[entry.of].toLowerCase()} ${notKnown}`
    case 'gauge':
      return `${of}${entry.strands === 1 ? 'one strand' : `${entry.strands} strands`} ${entry.reading.text}`
    case 'plan':
      return (
        of +
        [
          entry.plan.turns === undefined ? '' : `${Math.round(entry.plan.turns)} turns`,
          entry.plan.wire ? wireWords(entry.plan.wire, figures) : '',
        ]
          .filter((one) => one !== '')
          .join(', ')
      )
    case 'direction':
      return `machine ${layWords[entry.machine]} lays ${layWords[entry.lay]}`
    case 'count':
      return `${of}${entry.turns}`
    case 'mid-wind':
      return `${of}${entry.turns} turns, ${entry.reading.text}${entry.partC === undefined ? '' : ` at ${figures.temperature(entry.partC)}`}`
    case 'live-ground':
      return `${of}${entry.state}${entry.turns === undefined ? '' : ` at turn ${entry.turns}`}`
    case 'broke':
      return `${of}at turn ${entry.turns}, ${entry.then === 'splice' ? 'spliced' : 'begun again'}`
    case 'wound':
      return `${of}${entry.turns} turns${entry.lay === undefined ? '' : `, ${layWords[entry.lay]}`}`
    case 'step':
      return entry.words ?? entry.what
    case 'answer':
      return entry.reason
    case 'note':
      return entry.words
    case 'take-back':
      return entry.reason
  }
}
