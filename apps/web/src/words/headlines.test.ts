import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import type { Shop } from '@sure-spool/contract'
import { runState, type Run } from '@sure-spool/core'
import { figuresWith } from './figures'
import { findingTitle } from './finding'

const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop

function runOf(one: Shop['runs'][number]): Run {
  const unit = shop.units.find(({ id }) => id === one.unit)
  const card = shop.cards.find(({ id, revision }) => id === one.card.id && revision === one.card.revision)
  if (!unit || !card) throw new Error(`the run ${one.id} names a unit and a card`)
  const instruments = shop.instruments.filter(({ id }) => one.instruments.includes(id))
  const { id, tag, complaint, words, variant } = unit
  return {
    format: 'sure-spool/run',
    version: 1,
    id: one.id,
    unit: { id, tag, complaint, words, ...(variant === undefined ? {} : { variant }), history: one.history },
    card,
    rule: one.rule,
    instruments,
    startedAt: one.startedAt,
    ...(one.compare ? { compare: one.compare } : {}),
    entries: one.entries,
  }
}

/** `demo/headlines.txt` was read line by line beside the readings; a line that changes is to be read again. */
test('the headline of every run of the demo is the one that was read through', () => {
  const figures = figuresWith(() => false)
  const said = shop.runs.map((one) => {
    const run = runOf(one)
    const { title, line } = findingTitle(runState(run), figures)
    const about = `${run.unit.tag} ${run.card.name.model}`
    return `${about}: ${title}${title === 'Undecided.' ? ` ${line}` : ''}`.replaceAll('\u2009', ' ')
  })
  expect(said.sort().join('\n')).toBe(readFileSync('demo/headlines.txt', 'utf8').trimEnd())
})
