import type { RemarkTexts } from './remarkTexts'
import { checkLabel } from '../points'
import { capital } from '../capital'

const ago = (minutes: number): string =>
  minutes < 1 ? 'just now' : minutes === 1 ? 'a minute ago' : `${minutes} minutes ago`

/** The part as it lies there: its contacts, its warmth, what is in parallel, what the figure means. */
export const partRemarks = {
  'fits-another': ({ pair, card, text }) => ({
    what: `That reads like ${checkLabel(card, text('other'))} (${pair('other')}).`,
    todo: 'Is the probe on the right pair?',
  }),
  'same-as-last': ({ pair }) => ({
    what: `The same figure as ${pair('last')}, where another was expected.`,
    todo: 'Did the clip move?',
  }),
  'not-isolated': () => ({
    what: 'Something in parallel may be measured too.',
    todo: 'Take the part loose or unplug it, or enter what is in parallel.',
  }),
  'frame-unproved': () => ({
    what: 'Paint and oxide read open too.',
    todo: 'Prove the frame contact: both tips on the same bare metal.',
  }),
  'temperature-decides': ({ figures, number }) => ({
    what: `Ten degrees Celsius either way would turn this (taken at ${figures.temperature(number('assumed'))}, not measured on the part).`,
    todo: 'Measure the part, or let it rest.',
  }),
  'not-settled': () => ({ what: 'Kept before it had settled.', todo: 'Keep holding, and take it again.' }),
  unsteady: () => ({ what: 'It moves while it is held.', todo: 'Clip on and repeat: contact or part?' }),
  'repeats-apart': ({ read }) => ({
    what: `The two readings are apart: ${read('before')}, then ${read('value')}.`,
    todo: 'Clean the contact and repeat.',
  }),
  'condition-missing': ({ text }) =>
    text('condition') === 'growler'
      ? {
          what: 'Nothing at all, and no other bar has read yet: is the growler on?',
          todo: 'Switch it on and take this again, or keep it as read while it was off.',
        }
      : { what: `The figure means nothing without its ${text('condition')}.`, todo: 'Enter it.' },
  'at-limit': ({ params, quantity }) =>
    params['by'] === 'meter'
      ? {
          what: 'Within the meter’s own uncertainty of a limit.',
          todo:
            quantity === 'resistance'
              ? 'Undecidable with this meter: more digits, or four wires.'
              : 'Undecidable with this meter: use a finer one.',
        }
      : { what: 'Only the temperature’s uncertainty reaches the limit.', todo: 'Measure the part’s temperature.' },
  'leak-over-break': ({ ohms }) => ({
    what: `${ohms('value')} on a winding is leakage over a break.`,
    todo: 'Call it open.',
  }),
  'part-warm': ({ figures, number, params }) => ({
    what: `The part was worked on or driven ${ago(number('minutes'))}, and ohms rise with warmth.${params['warmC'] === undefined ? '' : ` At ${figures.temperature(number('warmC'))} it would read so, and be what it was before.`}`,
    todo: 'Let it cool, or take its temperature.',
  }),
  'low-by-a-little': ({ figures, number }) => ({
    what: `${figures.plain(number('percent'), 2)} % under its limits, and nobody took the part’s temperature.`,
    todo: 'Cold, or shorted turns? The ratio to its sister decides.',
  }),
  'high-is-not-shorted': () => ({
    what: 'Shorted turns lower resistance, and this reads high.',
    todo: 'Look for a break or a joint.',
  }),
  'ac-on-open': ({ pair }) => ({
    what: `${capital(pair('check'))} reads open.`,
    todo: 'Do not judge its inductance or capacitance.',
  }),
  'ground-side': () => ({
    what: 'That frame contact is on a lead that belongs to frame.',
    todo: 'Harmless here: check which lead it is.',
  }),
} satisfies RemarkTexts
