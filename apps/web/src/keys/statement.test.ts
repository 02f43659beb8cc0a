import { describe, expect, test } from '@jest/globals'
import { readdirSync } from 'node:fs'
import { everywhereKeys } from './everywhereKeys'
import { capOf, clashesIn, isThere, stateKeys, type KeyStatement } from './statement'

const root = new URL('..', import.meta.url).pathname
const isStatement = (one: unknown): one is KeyStatement =>
  typeof one === 'object' && one !== null && 'situations' in one && 'acts' in one
const stated = (
  await Promise.all(
    readdirSync(root, { recursive: true, encoding: 'utf8' })
      .filter((file) => /(?<!keys\/use\w+)Keys\.ts$/.test(file))
      .map((file) => import(`../${file}`) as Promise<Record<string, unknown>>),
  )
)
  .flatMap((module) => Object.values(module))
  .filter(isStatement)
const screens = stated.filter((one) => one !== everywhereKeys)

describe('the keys of all screens', () => {
  test('are found where their files say so', () => {
    expect(screens.map(({ screen }) => screen)).toEqual(expect.arrayContaining(['The bench', 'Queue', 'Cards', 'Kit']))
    expect(screens.length).toBeGreaterThan(12)
  })

  test.each(screens.map((one) => [one.screen, one] as const))('%s: a key means one thing at a time', (_, statement) => {
    expect(clashesIn(statement, everywhereKeys)).toEqual([])
  })

  test.each(screens.map((one) => [one.screen, one] as const))('%s: every act has a key and a word', (_, statement) => {
    for (const act of Object.values(statement.acts)) {
      expect(act.keys.length).toBeGreaterThan(0)
      expect(act.label).not.toBe('')
      expect(capOf(act)).not.toBe('')
      expect(act.when ?? statement.situations).not.toEqual([])
    }
  })
})

describe('a clash', () => {
  const everywhere = stateKeys('everywhere', ['everywhere'], { help: { keys: ['?'], label: 'help' } })

  test('is one key for two things in one situation', () => {
    const both = stateKeys('a screen', ['list', 'form'], {
      one: { keys: ['a', 'b'], label: 'the one' },
      other: { keys: ['b'], label: 'the other', when: ['form'] },
    })
    expect(clashesIn(both, everywhere)).toEqual(['On a screen, form: b is “the one” and “the other”.'])
  })

  test('is a key that everywhere has a meaning already', () => {
    const own = stateKeys('a screen', ['list'], { mine: { keys: ['?'], label: 'mine' } })
    expect(clashesIn(own, everywhere)).toEqual(['On a screen, list: ? is “mine” and “help”.'])
  })

  test('is not the same key in two situations', () => {
    const apart = stateKeys('a screen', ['list', 'form'], {
      one: { keys: ['a'], label: 'the one', when: ['list'] },
      other: { keys: ['a'], label: 'the other', when: ['form'] },
    })
    expect(clashesIn(apart, everywhere)).toEqual([])
    expect([isThere(apart.acts.one, 'list'), isThere(apart.acts.one, 'form')]).toEqual([true, false])
  })
})

test.each([
  [['a'], 'a'],
  [['W'], 'Shift W'],
  [['ArrowUp'], 'Up'],
  [[' '], 'Space'],
  [['Enter', 'i'], 'Enter'],
  [['Ctrl+z'], 'Ctrl Z'],
  [['Ctrl+Shift+z'], 'Ctrl Shift Z'],
  [['Ctrl+ArrowDown'], 'Ctrl Down'],
])('the keys %j are written %s', (keys, cap) => {
  expect(capOf({ keys, label: '' })).toBe(cap)
  expect(capOf({ keys, label: '', cap: '1–9' })).toBe('1–9')
})
