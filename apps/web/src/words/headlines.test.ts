import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { itemFindings, type RunState } from '@sure-spool/core'
import { demoRuns } from '../testing/demoRuns'
import { magnetsBeside, mendedLine, rewoundLine, seenBeside } from './evidence'
import { figuresWith } from './figures'
import { findingTitle, notProvedWords, notTestedWords, wouldSettle } from './finding'
import { foundLines } from './lines'
import { pileWords } from './piles'
import { reasonLine } from './reasons'

const figures = figuresWith(() => false)
const runs = demoRuns()
const plain = (text: string) => text.replaceAll('\u2009', ' ')
const listed = (file: string) => readFileSync(file, 'utf8').trimEnd()

/** `demo/headlines.txt` was read line by line beside the readings; a line that changes is to be read again. */
test('the headline of every run of the demo is the one that was read through', () => {
  const said = runs.map(({ name, state }) => {
    const { title, line } = findingTitle(state, figures)
    return plain(`${name}: ${title}${title === 'Undecided.' ? ` ${line}` : ''}`)
  })
  expect(said.sort().join('\n')).toBe(listed('demo/headlines.txt'))
})

/** A finding as it is said on the bench and on the sheet, a line each: what, then the words. */
function saidOf(state: RunState): string[] {
  const { title, line } = findingTitle(state, figures)
  const lines = foundLines(state, true, figures).map(({ group, points, under, label, evaluation, gone, aside, side }) =>
    [group, label, points, under, evaluation.entry.reading.text, reasonLine(evaluation, figures), side, gone, aside]
      .filter((one) => one !== undefined && one !== '' && one !== 'other')
      .join(' | '),
  )
  const beside = [seenBeside, mendedLine, rewoundLine, magnetsBeside].map((words) => words(state, figures))
  const piles = pileWords(state, itemFindings(state), figures).map(({ name, items }) => `${name}: ${items}`)
  return [
    `says ${title} ${line}`,
    ...[...beside, ...piles].filter((one) => one !== '').map((one) => `beside ${one}`),
    ...lines.map((one) => `read ${one}`),
    ...notTestedWords(state).map(({ what, why }) => `not tested ${what} ${why}`),
    ...notProvedWords(state, figures).map(({ head, text }) => `not proved ${head} ${text}`),
    ...wouldSettle(state, figures).map(({ head, text, step }) => `would settle ${head} ${text} → ${step ?? 'no step'}`),
  ].map((one) => plain(`  ${one.trim()}`))
}

/** `demo/findings.txt` was read through as those who get such a sheet read it. */
test('what is said of every run of the demo is what was read through', () => {
  const said = runs.flatMap(({ name, state }) => [name, ...saidOf(state)])
  expect(said.join('\n')).toBe(listed('demo/findings.txt'))
})
