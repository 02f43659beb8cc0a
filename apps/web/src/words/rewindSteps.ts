import type { RewindState, RewindStep } from '@sure-spool/core'
import { labelOf, layWords } from './rewind'

export const phaseWords = {
  strip: 'Strip',
  plan: 'Plan',
  direction: 'Direction',
  wind: 'Wind',
  finish: 'Fix and finish',
  prove: 'Prove',
} as const

interface StepWords {
  /** on the path: `turns of pole 1` */
  short: string
  /** what to do, biggest on the screen */
  title: string
  /** a line on how */
  how: string
}

/** What a step of a rewind is called, and what it asks. */
export function rewindStepWords(state: RewindState, { id, coil }: RewindStep): StepWords {
  const name = labelOf(state, coil)
  switch (id.split(':')[0]) {
    case 'turns':
      return {
        short: `turns of ${name}`,
        title: `Unwind ${name}, and count`,
        how: 'Space is one turn, + is ten; or type what was counted, layer by layer: 12, 11, 8. Write down what you see first: it is gone afterwards.',
      }
    case 'lay':
      return {
        short: `lay of ${name}`,
        title: `Which way is ${name} laid?`,
        how: 'From the start inside outwards: cw or ccw, and seen from where: cw from outside.',
      }
    case 'ends':
      return {
        short: `start and finish of ${name}`,
        title: 'Where do its ends come out?',
        how: 'The start, a semicolon, the finish: deep at the right lug; over the top to the left lug.',
      }
    case 'wire':
      return {
        short: `wire of ${name}`,
        title: 'How thick is its wire?',
        how: 'Micrometer over the film, one strand or several side by side: 0.968, or 5x 4.81. What came off tells it too: 17.2 m 0.466 ohm @ 22, or 154 g; and henries, as 2.4 H.',
      }
    case 'plan':
      return {
        short: `plan ${name}`,
        title: `What is ${name} to be?`,
        how: 'Turns or ohms, the room it has, the wire. Packing by hand is about 0.6 to 0.75.',
      }
    case 'direction':
      return {
        short: 'one turn by hand',
        title: 'Turn the machine once, by hand',
        how: 'A bobbin that turns lays opposite to a flyer that goes round it. Look at the one turn: which way did the machine go, and how does it lie?',
      }
    case 'wind':
      return {
        short: `wind ${name}`,
        title: `Wind ${name}${laidWords(state, coil)}`,
        how: 'Space and + count, a number says how many so far. Half way type turns, ohms and warmth: 2400 2.74k @ 22. Bare start to core, live ground on.',
      }
    case 'finish':
      return {
        short: 'leads, fix, finish',
        title: 'Leads, insulation, fixing',
        how: 'One after the other, with warmth and time where it has them: leads soldered and sleeved; wax, 66 C, 8 min; bake 110 C 2 h; no fixing.',
      }
    case 'phase':
      return {
        short: `${name} against its sister`,
        title: `Touch iron to ${name}, then to ${sisterOf(state, coil)}: does the meter swing the same way?`,
        how: 'Millivolts DC at the two ends of the pair. Watch the first swing as a screwdriver touches the poles, not as it leaves them. A compass tells how the magnets stand.',
      }
    default:
      return {
        short: 'prove it',
        title: 'Let it cool, then prove it',
        how: 'To frame again, since fixing pinches; what failed before; its ohms cold, or with its temperature measured.',
      }
  }
}

const sisterOf = (state: RewindState, coil?: string): string =>
  state.rewind.coils.find(({ id }) => id === coil)?.sister ?? 'its sister'

function laidWords(state: RewindState, coil?: string): string {
  const lay = state.coils.find((one) => one.coil.id === coil)?.lay
  return lay ? `, ${layWords[lay]}` : ''
}
