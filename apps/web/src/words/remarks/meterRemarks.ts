import type { RemarkTexts } from './remarkTexts'

/** Minutes as a person says them. */
const age = (minutes: number): string =>
  minutes >= 2880
    ? `${Math.round(minutes / 1440)} days`
    : minutes >= 120
      ? `${Math.round(minutes / 60)} hours`
      : `${minutes} minutes`

/** The meter: its range, its signs, its leads and its zero. */
export const meterRemarks = {
  'over-on-low-range': ({ params, read }) => ({
    what: `Over range here proves only more than ${read('bound')}.`,
    todo:
      'goTo' in params ? `Go to ${read('goTo')} before calling it open.` : 'Use a higher range before calling it open.',
  }),
  'near-full-scale': ({ read }) => ({
    what: `Close to the end of the ${read('range')} range.`,
    todo: 'A slightly larger part would have read open; take the next range.',
  }),
  'meter-cannot': ({ read, doubt, quantity }) => ({
    what: `The limits are ${read('window')} apart and this meter is good to ±${doubt('u')}.`,
    todo:
      quantity === 'resistance'
        ? 'No reading on it can settle this: use four wires or a finer meter, or drive a steady current through it and type both, as 0.744V / 1.00A.'
        : 'No reading on it can settle this: use a finer meter.',
  }),
  'coarse-range': ({ read }) => ({
    what: `Few digits on the ${read('range')} range.`,
    todo: `Drop to ${read('goTo')} for more.`,
  }),
  'one-or-over': () => ({ what: 'A bare 1 on this meter is its over-range sign.', todo: 'Over range, or one ohm?' }),
  'zero-or-open': () => ({ what: 'Zero is joined, over range is no path.', todo: 'Which does the meter show?' }),
  'prefix-jump': ({ read, figures, number, quantity }) => ({
    what: `${quantity === 'resistance' || quantity === 'insulation' ? 'k, M or G?' : 'Which prefix?'} As typed it is ${figures.plain(number('times'), 2)} times what is expected (${read('expected')}).`,
    todo: 'Look at the meter’s prefix again.',
  }),
  'prefix-decides': ({ text }) => ({
    what: `“${text('text')}”: Ω, k, M or G? The prefix decides this one.`,
    todo: 'Look at the meter again, and press what it shows.',
  }),
  'beyond-meter': ({ text, read }) => ({
    what: `${text('meter')} ends at ${read('highest')}, and this says ${read('value')}.`,
    todo: 'Which meter, which figure?',
  }),
  'milli-or-mega': () => ({ what: 'A small m is milli.', todo: 'Milli or mega?' }),
  negative: ({ params }) =>
    'net' in params
      ? { what: 'Less than the leads alone: the zero is stale.', todo: 'Zero the leads again and take it again.' }
      : { what: 'The leads are reversed; only the size counts.', todo: 'Nothing to do.' },
  'leads-matter': ({ params, ohms, number, figures }) => {
    const about = (key: string) => figures.bound(Number(number(key).toPrecision(2)))
    return {
      what:
        'leads' in params
          ? `The leads (about ${ohms('leads')}) are large beside this.`
          : `Leads of ${about('from')}${'to' in params ? ` to ${about('to')}` : ' or more'} would put it inside, and nobody zeroed them.`,
      todo: 'since' in params ? 'They are zeroed now: take it again.' : 'Zero them first.',
    }
  },
  'stale-zero': ({ params, number }) => ({
    what:
      params['why'] === 'age'
        ? `The zero is ${age(number('minutes'))} old.`
        : params['why'] === 'drift'
          ? 'The zero has moved since.'
          : 'The leads or the jack were changed since the zero.',
    todo: 'Zero the leads again.',
  }),
  'reads-like-leads': () => ({
    what: 'That may be your leads alone.',
    todo: 'Look where the tips are, and take it again.',
  }),
  'meter-unproved': () => ({ what: 'A dead meter reads open too.', todo: 'Touch the tips together and see it fall.' }),
  'ground-ceiling': () => ({ what: 'This test sees hard shorts only.', todo: 'It says nothing of the insulation.' }),
  'poor-leads': ({ ohms }) => ({
    what: `The leads read ${ohms('ohms')}: they or their clips are poor.`,
    todo: 'Clean or change them.',
  }),
  'jack-after-amps': () => ({
    what: 'The meter was just used for amperes.',
    todo: 'Move the lead back to the ohm jack first.',
  }),
  'meters-disagree': ({ read, text }) => ({
    what: `${text('meter')} read ${read('other')} here, this one ${read('value')}: more than both may be off.`,
    todo: 'Compare their zeros.',
  }),
} satisfies RemarkTexts
