import { readdirSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import type { Relation } from '../../document'
import { demoCard } from '../../testing'
import { relationChecks } from './relationChecks'

const head = { id: 'r', label: '', source: 's' }
const relations: [Relation, string[]][] = [
  [{ ...head, kind: 'sum', parts: ['a', 'b'], whole: 'c' }, ['a', 'b', 'c']],
  [{ ...head, kind: 'sum', parts: ['a', 'a'], whole: 'a' }, ['a']],
  [{ ...head, kind: 'ratio', of: 'a', to: 'b', ratio: 2, withinPct: 5 }, ['a', 'b']],
  [{ ...head, kind: 'equal', checks: ['a', 'b', 'c'], withinPct: 5 }, ['a', 'b', 'c']],
  [{ ...head, kind: 'unbalance', checks: ['a'], maxPct: 5 }, ['a']],
  [{ ...head, kind: 'twin', check: 'a', withinPct: 5 }, ['a']],
  [{ ...head, kind: 'above', check: 'a', than: 'b', by: 1 }, ['a', 'b']],
  [{ ...head, kind: 'draw', amps: 'a', ohms: 'b', withinPct: 5 }, ['a', 'b']],
  [{ ...head, kind: 'kind-of-three', check: 'a', must: 'balanced' }, ['a']],
]

test.each(relations)('%j names %j', (relation, checks) => {
  expect(relationChecks(relation)).toEqual(checks)
})

test.each(readdirSync('demo/cards'))('every check that a relation of %s names is on the card', (file) => {
  const card = demoCard(file.replace('.json', ''))
  const ids = card.checks.map(({ id }) => id)
  expect(ids).toEqual(expect.arrayContaining(card.relations.flatMap(relationChecks)))
})
