import { expect, test } from '@jest/globals'
import { itemFindings } from '@sure-spool/core'
import { leadsCard, Script, twinCard } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { pileWords } from './piles'

const figures = figuresWith(() => false)
const piles = (script: Script) => pileWords(script.state(), itemFindings(script.state()), figures)
const lead = (script: Script, index: number, still: string, bent: string, x?: number) => {
  const more = { contact: 'clips' as const, index, ...(x === undefined ? {} : { x }) }
  return script.read('still', still, more).read('bent', bent, { ...more, conditions: { state: ['flexed'] } })
}

test('good with their lengths, not good, and open where something is missing; an empty pile is none', () => {
  const script = new Script(leadsCard()).ready()
  lead(script, 1, '6.00k', '6.01k', 0.4)
  lead(script, 2, 'OL 40M', 'OL 40M', 0.31)
  lead(script, 3, '6.00k', '6.01k')
  expect(piles(script).map(({ name, mark }) => [name, mark])).toEqual([
    ['good', 'within'],
    ['not good', 'outside'],
    ['open', 'none'],
  ])
  expect(piles(script)[0]?.items).toBe('1 (400\u2009mm)')
  expect(piles(script)[2]?.items).toBe('3')
})

test('a part that is no set has none', () => {
  expect(piles(new Script(twinCard()).ready().read('low', '322'))).toEqual([])
})
