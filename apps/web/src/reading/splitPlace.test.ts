import { expect, test } from '@jest/globals'
import { leadsCard, senderCard, twinCard } from '@sure-spool/core/testing'
import { splitPlace } from './splitPlace'

const metric = { temperature: '°C', length: 'm' } as const
const words = { loads: ['lamps'], states: ['flexed'] }
const point = { decimalComma: false, units: metric, words }
const comma = { decimalComma: true, units: metric, words }

const [lead] = leadsCard().checks
const [travel] = senderCard().checks
const [, winding] = twinCard().checks

test('a length behind the figure is the lead’s, in whatever unit it is typed', () => {
  if (!lead) throw new Error('the leads have a check')
  expect(splitPlace(lead, '2.31k @ 41 cm', point, undefined)).toEqual({
    figure: '2.31k',
    setting: { x: 0.41, xText: '41 cm' },
  })
  expect(splitPlace(lead, '2,31k @ 0,41', comma, undefined)).toEqual({
    figure: '2,31k',
    setting: { x: 0.41, xText: '0,41' },
  })
})

test('without one the place that is known stands, and a place that is no figure is told', () => {
  if (!lead || !travel) throw new Error('both have a check')
  expect(splitPlace(lead, '2.31k', point, 0.41)).toEqual({ figure: '2.31k', setting: { x: 0.41 } })
  expect(splitPlace(travel, '92', point, 50)).toEqual({ figure: '92', setting: { x: 50 } })
  expect(splitPlace(lead, '2.31k @ long', point, 0.41)).toHaveProperty('problem')
})

test('a winding has no place: its @ is left to the figure', () => {
  if (!winding) throw new Error('the twin has a winding')
  expect(splitPlace(winding, 'OL@20M', point, undefined)).toEqual({ figure: 'OL@20M', setting: {} })
})

test('a bare length is in the shop’s unit, and the record says which', () => {
  if (!lead) throw new Error('the leads have a check')
  const inches = { decimalComma: false, units: { temperature: '°F', length: 'in' }, words } as const
  expect(splitPlace(lead, '2.31k @ 16', inches, undefined)).toEqual({
    figure: '2.31k',
    setting: { x: expect.closeTo(0.4064, 10), xText: '16 in' },
  })
  expect(splitPlace(lead, '2.31k @ 41 cm', inches, undefined)).toMatchObject({ setting: { x: 0.41, xText: '41 cm' } })
})

test('conditions stand behind the @ too, alone or after the place', () => {
  if (!winding || !lead) throw new Error('both have a check')
  expect(splitPlace(winding, '43.4 @ 2570 rpm, lamps', point, undefined)).toEqual({
    figure: '43.4',
    setting: {},
    conditions: { rpm: 2570, load: 'lamps' },
  })
  expect(splitPlace(lead, '2.31k @ 41 cm, bent', point, undefined)).toEqual({
    figure: '2.31k',
    setting: { x: 0.41, xText: '41 cm' },
    conditions: { state: ['flexed'] },
  })
  expect(splitPlace(lead, '2.31k @ bent', point, 0.41)).toEqual({
    figure: '2.31k',
    setting: { x: 0.41 },
    conditions: { state: ['flexed'] },
  })
  expect(splitPlace(winding, '43.4 @', point, undefined)).toEqual({ problem: 'empty' })
})

test('test volts stay with their ohms', () => {
  if (!winding) throw new Error('the twin has a winding')
  expect(splitPlace(winding, '2.1G @ 500 V', point, undefined)).toEqual({ figure: '2.1G @ 500 V', setting: {} })
})
