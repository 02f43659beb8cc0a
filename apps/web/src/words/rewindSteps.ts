import type { RewindState, RewindStep } from '@sure-spool/core'
import { labelOf, layWords } from './rewind'

const sisterOf = (state: RewindState, { coil }: RewindStep): string =>
  state.rewind.coils.find(({ id }) => id === coil)?.sister ?? 'its sister'

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
    phase: `${name} against its sister`,
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
        how: 'Micrometer over the film, one strand or several side by side: 0.968, or 5x 4.81. What came off tells it too: 17.2 m 0.466 ohm @ 22, or 154 g; and henries, as 2.4 H.',
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
    case 'phase':
      return {
        title: `Touch iron to ${name}, then to ${sisterOf(state, step)}: does the meter swing the same way?`,
        how: 'Millivolts DC at the two ends of the pair. Watch the first swing as a screwdriver touches the poles, not as it leaves them. A compass tells how the magnets stand.',
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
