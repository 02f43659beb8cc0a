import { expect, test } from '@jest/globals'
import { twinCard } from '@sure-spool/core/testing'
import { conditionWords, loadWords } from './conditions'
import { figuresWith } from './figures'

const figures = figuresWith(() => false)
const card = twinCard()

test('a check without conditions says none', () => {
  expect(conditionWords(card, undefined, figures)).toEqual([])
  expect(conditionWords(card, {}, figures)).toEqual([])
})

test('all of them, in the order in which one sets them up', () => {
  const words = conditionWords(
    card,
    {
      state: ['flexed', 'hot'],
      peak: true,
      hertz: 1000,
      rpm: 3000,
      testVolts: 500,
      volts: 12.6,
      load: 'the headlamp',
      lamp: { volts: 12, watts: 21 },
      seriesOhms: 4700,
      drive: { plus: 'O', minus: 'G' },
      joined: [
        ['O', 'frame'],
        ['T', 'G'],
      ],
    },
    figures,
  )
  expect(words).toEqual([
    'orange joined to frame',
    'tan joined to grey',
    'driven: plus at orange, minus at grey',
    '4.7\u2009kΩ in series',
    'a 12\u2009V 21\u2009W lamp in series',
    'loaded with the headlamp',
    'at 12.6\u2009V',
    'tested with 500\u2009V',
    'at 3000\u2009rpm',
    'at 1\u2009kHz',
    'peak, with a peak adaptor',
    'flexed',
    'hot',
  ])
})

test('a coil at rest is a condition too, and a lamp of unknown size is still a lamp', () => {
  expect(conditionWords(card, { drive: null, lamp: {} }, figures)).toEqual(['nothing driven', 'a lamp in series'])
  expect(conditionWords(card, { load: 'none' }, figures)).toEqual(['not loaded'])
})

test('a load is said by its name, or as it is written where that says whether it is on', () => {
  expect(loadWords('none')).toBe('not loaded')
  expect(loadWords('the lamps')).toBe('loaded with the lamps')
  expect(loadWords('lamps on')).toBe('lamps on')
  expect(loadWords('lights off')).toBe('lights off')
  expect(loadWords('the carton')).toBe('loaded with the carton')
})
