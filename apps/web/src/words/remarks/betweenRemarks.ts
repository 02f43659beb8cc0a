import type { RemarkTexts } from './remarkTexts'
import { checkLabel } from '../points'
import { capital } from '../capital'

/** What two readings say of one another. */
export const betweenRemarks = {
  'beyond-physics': ({ ohms, pair }) => ({
    what: `${capital(pair('part'))} (${ohms('value')}) reads more than ${pair('whole')} (${ohms('of')}) that it is part of.`,
    todo: 'Not possible: type it again or measure it again.',
  }),
  'sum-off': ({ ohms, pair, number }) => {
    const likely = pair('likely')
    return {
      what: `Parts add to ${ohms('parts')}, ${pair('wholeCheck')} reads ${ohms('whole')}.`,
      todo:
        number('residual') > 0
          ? `${capital(likely)} was likely read high.`
          : `${capital(likely)} was likely read high, or a part was read on another pair.`,
    }
  },
  'one-open-of-three': ({ pair }) => ({
    what: `Two of three joined pairs read, and ${pair('open')} is open.`,
    todo: 'Not possible: a contact. Take it again.',
  }),
  'open-adds-nothing': ({ pair }) => ({
    what: `${capital(pair('open'))} is open, so ${pair('whole')} must be too.`,
    todo: 'The series reading adds no second place.',
  }),
  'shared-resistance': ({ ohms }) => ({
    what: `${ohms('ohms')} sits in the shared lead or its contact.`,
    todo: 'Clean the shared pin, clip on and read both again.',
  }),
  'sister-ratio': ({ pair, figures, number }) => ({
    what: `Two coils on one core, and their ratio is ${figures.plain(number('ratio'), 3)} where the card says ${figures.plain(number('stated'), 3)}.`,
    todo: `Temperature moves both alike, so ${pair('odd')} is out.`,
  }),
  'tests-disagree': ({ card, params, text }) => {
    if ('meter' in params)
      return {
        what: `${text('meter')} and this meter part here: one reads open, the other a figure.`,
        todo: 'Neither counts until one is taken again.',
      }
    return {
      what: `${capital(checkLabel(card, text('one')))} and ${checkLabel(card, text('stronger'))} say different things.`,
      todo: `One was not what it seemed; ${checkLabel(card, text('stronger'))} is the stronger.`,
    }
  },
  'twins-both-off': () => ({
    what: 'The twins are alike, and both are off the card or an estimate.',
    todo: 'Alike is not proved right.',
  }),
  'sweep-back': ({ figures, number }) => {
    const ohms = (key: string) => figures.bound(Number(number(key).toPrecision(3)))
    return {
      what: `Going on from ${figures.plain(number('from'), 4)} to ${figures.plain(number('to'), 4)} it went back from ${ohms('before')} to ${ohms('after')}.`,
      todo: 'Read both places again, slowly: a wiper that lifts or a bridged turn does so, and what had not settled.',
    }
  },
} satisfies RemarkTexts
