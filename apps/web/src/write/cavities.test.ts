import { expect, test } from '@jest/globals'
import type { Plug } from '@sure-spool/core'
import { putInto, setContacts, stamp } from './cavities'

const plug = (): Plug => ({
  id: 'p',
  label: 'base',
  shape: 'blades',
  size: { count: 3 },
  key: { kind: 'none', side: 'top' },
  drawnFrom: 'outside',
  cavities: [
    { at: [0, 0], terminal: 'A', gender: 'male', mark: '1' },
    { at: [1, 0], terminal: 'B', gender: 'male', mark: '2' },
    { at: [2, 0], terminal: null, mark: '3' },
  ],
})
const after = (change: (one: Plug) => void) => {
  const one = plug()
  change(one)
  return one.cavities
}

test('a terminal that is put elsewhere leaves its place empty, and what is stamped stays where it is', () => {
  expect(after((one) => putInto(one, [2, 0], 'A'))).toEqual([
    { at: [0, 0], terminal: null, mark: '1' },
    { at: [1, 0], terminal: 'B', gender: 'male', mark: '2' },
    { at: [2, 0], terminal: 'A', gender: 'male', mark: '3' },
  ])
})

test('a place is emptied alone, and what is empty elsewhere is not touched', () => {
  expect(after((one) => putInto(one, [1, 0], null))).toEqual([
    { at: [0, 0], terminal: 'A', gender: 'male', mark: '1' },
    { at: [1, 0], terminal: null, mark: '2' },
    { at: [2, 0], terminal: null, mark: '3' },
  ])
})

test('contacts are said of what holds a terminal, and unsaid; the stamps stay', () => {
  expect(after((one) => setContacts(one, 'female'))).toMatchObject([
    { gender: 'female', mark: '1' },
    { gender: 'female', mark: '2' },
    { terminal: null, mark: '3' },
  ])
  expect(after((one) => setContacts(one, undefined)).some((cavity) => 'gender' in cavity)).toBe(false)
})

test('what is stamped at a place is said and taken away, there alone', () => {
  expect(after((one) => stamp(one, [1, 0], '87 ')).map(({ mark }) => mark)).toEqual(['1', '87 ', '3'])
  expect('mark' in (after((one) => stamp(one, [1, 0], ' '))[1] ?? {})).toBe(false)
})
