import { beforeEach, expect, test } from '@jest/globals'
import { alongTape } from './alongTape'
import type { Entry } from './run'

const entry = (n: number) => ({ id: `e${n}`, n, kind: 'note' }) as Entry
let taken: number[] = []
const sum = alongTape(
  () => ({ sum: 0 }),
  (told, { n }) => {
    taken.push(n)
    told.sum += n
  },
)
beforeEach(() => {
  taken = []
})

test('what was added is gone along alone', () => {
  const tape = [entry(1), entry(2)]
  expect(sum(tape).sum).toBe(3)
  tape.push(entry(4))
  expect([sum(tape).sum, taken]).toEqual([7, [1, 2, 4]])
  expect([sum(tape).sum, taken]).toEqual([7, [1, 2, 4]])
})

test('a tape that begins empty grows too', () => {
  const tape: Entry[] = []
  expect(sum(tape).sum).toBe(0)
  tape.push(entry(5))
  expect([sum(tape).sum, taken]).toEqual([5, [5]])
})

test.each([
  ['cut back', (tape: Entry[]) => void tape.pop(), 1],
  ['cut back to nothing', (tape: Entry[]) => void tape.splice(0), 0],
  ['cut back and grown', (tape: Entry[]) => void tape.splice(1, 1, entry(7), entry(8)), 16],
])('a tape that was %s is gone along anew', (_, change, expected) => {
  const tape = [entry(1), entry(2)]
  sum(tape)
  change(tape)
  expect(sum(tape).sum).toBe(expected)
})

test('two tapes are told apart, though they begin alike', () => {
  const first = entry(1)
  expect([sum([first, entry(2)]).sum, sum([first, entry(3)]).sum]).toEqual([3, 4])
})
