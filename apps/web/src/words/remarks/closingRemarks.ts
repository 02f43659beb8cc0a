import type { RemarkTexts } from './remarkTexts'
import { checkLabel } from '../points'
import { capital } from '../capital'

/** Before it is closed; and what a card or a rewind leaves open. */
export const closingRemarks = {
  'windings-untested': ({ card, text }) => {
    const words = (key: string) =>
      text(key)
        .split(' ')
        .filter((id) => id !== '')
        .map((id) => card.terminals.find((terminal) => terminal.id === id)?.label ?? id)
    const groups = words('groups')
    const pins = words('pins')
    return {
      what: [
        groups.length > 0 ? `Not tested to frame: ${groups.join(', ')}.` : '',
        pins.length > 0 ? `Not read at all: ${pins.join(', ')}.` : '',
      ]
        .filter((one) => one !== '')
        .join(' '),
      todo: 'Test them, or say why not.',
    }
  },
  'static-only': ({ text }) => ({
    what: 'Shorted turns can hide from ohms on this kind of part.',
    todo: text('family').endsWith('stator')
      ? 'Measure output at speed, or swap in a known good one.'
      : 'Swap in a known good one.',
  }),
  'flex-the-lead': () => ({
    what: 'The complaint comes and goes, and no lead was flexed.',
    todo: 'Test each lead to frame while you bend it.',
  }),
  'no-floor': ({ card, text }) => ({
    what: `${capital(checkLabel(card, text('check')))} has no minimum.`,
    todo: 'A short would pass: give one.',
  }),
  'limits-conflict': ({ card, text }) => ({
    what: `Limits of ${checkLabel(card, text('check'))} contradict: ${text('one')} against ${text('other')}.`,
    todo: 'No part could meet both; look at the sources.',
  }),
  'kind-unset': () => ({
    what: 'The construction decides what three figures mean.',
    todo: 'Choose it on the card first.',
  }),
  'gauges-too-near': ({ text }) => ({
    what: `The micrometer fits gauges ${text('gauges')}.`,
    todo: 'Measure several strands side by side.',
  }),
  'odd-poles': ({ number }) => ({
    what: `${number('poles')} poles cannot alternate round a ring.`,
    todo: 'The last clashes with the first: look at the original.',
  }),
  'winder-direction': () => ({
    what: 'The winder’s direction is not settled against the original.',
    todo: 'The bobbin turns opposite to the lay it makes: check with one turn.',
  }),
  'no-ground-after': () => ({
    what: 'Rewound, and not tested to frame since it was fixed.',
    todo: 'Fixing can pinch: test to frame again.',
  }),
  'retest-missing': ({ card, text }) => ({
    what: `Repaired, and not tested again: ${text('checks')
      .split(' ')
      .map((id) => checkLabel(card, id))
      .join(', ')}.`,
    todo: 'Repeat the tests that failed it.',
  }),
} satisfies RemarkTexts
