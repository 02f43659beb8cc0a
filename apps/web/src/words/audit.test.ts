import { expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { auditWords } from './audit'

const line = (what: string, about: string, detail: Record<string, unknown> = {}) =>
  auditWords({ id: 'a', at: '2026-11-29T08:00:00.000Z', what, about, detail })

test('every kind of change that the server notes has its words', () => {
  const folder = 'apps/server/src/services'
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.ts'))
  const kinds = files.flatMap((name) =>
    [
      ...readFileSync(join(folder, name), 'utf8').matchAll(
        /note\(\s*queries,\s*(?:before \? )?'([\w-]+)'(?: : '([\w-]+)')?/g,
      ),
    ].flatMap(([, one, other]) => [one, other].filter((kind) => kind !== undefined)),
  )
  expect(kinds.length).toBeGreaterThan(15)
  for (const kind of kinds) expect(line(kind, 'X')).not.toBe(`${kind} X`)
})

test.each([
  ['decided', 'SQ-0410', { what: 'return' }, /^decided on SQ-0410: /],
  ['secret', 'Tam Reyes-Holt', { what: ['pin', 'password'] }, /got a new PIN and password$/],
  ['imported', 'Sallow Quay', { cards: 3, runs: 2 }, /: 3 cards, 2 runs$/],
  ['moved', 'SQ-0431', { from: 'waiting', to: 'bench' }, /from waiting to bench$/],
  ['of-tomorrow', 'X', {}, /^of-tomorrow X$/],
])('%s', (what, about, detail, words) => {
  expect(line(what, about, detail)).toMatch(words)
})
