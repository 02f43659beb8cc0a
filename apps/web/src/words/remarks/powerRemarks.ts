import { terminalLabel } from '../points'
import type { RemarkTexts } from './remarkTexts'

/** What is under power, and what may not be. */
export const powerRemarks = {
  'expected-current': ({ ohms, figures, number }) => {
    const off = figures.plain(Math.abs(number('percent')), 2)
    return number('percent') < 0
      ? {
          what: `Draws ${off} % less than volts over ohms.`,
          todo: `An extra ${ohms('ohms')}, a winding at ${figures.temperature(number('celsius'))}, or a supply that sagged: take the volts while it is on.`,
        }
      : {
          what: `Draws ${off} % more than volts over ohms.`,
          todo: 'Shorted turns, a colder winding, or more volts than entered.',
        }
  },
  'supply-unloaded': ({ figures, number }) => ({
    what: `Judged with ${figures.plain(number('volts'), 3)} V of a supply that was not loaded.`,
    todo: 'Enter the volts while it is on.',
  }),
  'over-volts': ({ figures, number }) => ({
    what: `${figures.plain(number('volts'), 3)} V is more than this part may see.`,
    todo: `At most ${figures.plain(number('most'), 3)} V.`,
  }),
  'across-electronics': ({ card, text }) =>
    text('plus') === ''
      ? { what: 'There are electronics between these two.', todo: 'This pair must not see test volts.' }
      : {
          what: 'Backwards across its diode: that is a short.',
          todo: `Plus goes on ${terminalLabel(card, text('plus'))}. Turn the leads round before power is on.`,
        },
  'unknown-pins-power': () => ({
    what: 'Power, and the pins are not known by ohms yet.',
    todo: 'Ohms first, no spark.',
  }),
  'supply-high': ({ figures, number }) => ({
    what: `${figures.plain(number('volts'), 3)} V on a part for ${figures.plain(number('rated'), 3)} V heats it ${figures.plain(number('times'), 2)} times as much.`,
    todo: 'Use the rated supply.',
  }),
  'click-only': () => ({
    what: 'A click proves the magnet, not the contact.',
    todo: 'Read the contacts, or look at the travel.',
  }),
} satisfies RemarkTexts
