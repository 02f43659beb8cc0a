import { expect, test } from '@jest/globals'
import { leadsCard, Script, twinCard } from '../../testing'
import { byItsLength } from './byItsLength'

const last = (script: Script) => {
  const found = [...script.state().evaluations.values()].at(-1)
  if (!found) throw new Error('nothing was read')
  return found
}
const lead = (text: string, more: object) =>
  byItsLength(last(new Script(leadsCard()).ready().read('still', text, more)))

test('ohms a metre, a foot and an inch of the length that was said', () => {
  const found = lead('9.0k', { index: 1, x: 0.6 })
  expect(found?.metre).toBeCloseTo(15_000, 6)
  expect(found?.foot).toBeCloseTo(15_000 * 0.3048, 6)
  expect(found?.inch).toBeCloseTo(15_000 * 0.0254, 6)
})

test('nothing without a length, without a figure, or of what is no lead', () => {
  expect(lead('9.0k', { index: 1 })).toBeUndefined()
  expect(lead('OL 40M', { index: 1, x: 0.6 })).toBeUndefined()
  expect(byItsLength(last(new Script(twinCard()).ready().read('low', '322', { x: 0.6 })))).toBeUndefined()
})
