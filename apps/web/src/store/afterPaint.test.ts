import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { afterPaint } from './afterPaint'

let frames: (() => void)[] = []
const paint = () => frames.splice(0).forEach((frame) => frame())
beforeEach(() => {
  frames = []
  jest.useFakeTimers()
  Object.assign(globalThis, { requestAnimationFrame: (frame: () => void) => frames.push(frame) })
})
afterEach(() => {
  paint()
  jest.runAllTimers()
  jest.useRealTimers()
})

test('work waits for the frame, and then for what comes before it', () => {
  const done: string[] = []
  afterPaint(() => done.push('a'))
  afterPaint(() => done.push('b'))
  expect(frames).toHaveLength(1)
  paint()
  expect(done).toEqual([])
  jest.advanceTimersByTime(0)
  expect(done).toEqual(['a', 'b'])
  jest.runAllTimers()
  expect(done).toEqual(['a', 'b'])
})

test('where nothing is painted it is done a tenth of a second later, once', () => {
  const done: string[] = []
  afterPaint(() => done.push('a'))
  jest.advanceTimersByTime(99)
  expect(done).toEqual([])
  jest.advanceTimersByTime(2)
  expect(done).toEqual(['a'])
  paint()
  jest.runAllTimers()
  expect(done).toEqual(['a'])
})

test('a frame that comes late does not hurry what was put off since', () => {
  const done: string[] = []
  afterPaint(() => done.push('a'))
  jest.advanceTimersByTime(101)
  const [late] = frames.splice(0)
  afterPaint(() => done.push('b'))
  late?.()
  jest.advanceTimersByTime(1)
  expect(done).toEqual(['a'])
  paint()
  jest.advanceTimersByTime(1)
  expect(done).toEqual(['a', 'b'])
})

test('work that breaks keeps nothing else from being done', () => {
  const done: string[] = []
  afterPaint(() => {
    throw new Error('broken')
  })
  afterPaint(() => done.push('b'))
  paint()
  expect(() => jest.advanceTimersByTime(0)).toThrow('broken')
  jest.advanceTimersByTime(0)
  expect(done).toEqual(['b'])
})
