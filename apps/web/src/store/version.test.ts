import { beforeEach, expect, jest, test } from '@jest/globals'
import type * as Version from './version'

let version: typeof Version
beforeEach(async () => {
  jest.resetModules()
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true })
  version = await import('./version')
})

test('the first build that is heard is this page’s own; another is a newer one', () => {
  version.hearBuild(null)
  version.hearBuild('a')
  version.hearBuild('a')
  expect(version.newer.value).toBe(false)
  version.hearBuild('b')
  expect(version.newer.value).toBe(true)
})

test('where the browser keeps the program it is asked once for each build, and says itself when the newer one is kept', async () => {
  const look = jest.fn(() => Promise.resolve())
  const take = jest.fn(() => Promise.resolve())
  version.keptByBrowser(look)
  for (const build of ['a', 'b', 'b', 'b']) version.hearBuild(build)
  expect(look).toHaveBeenCalledTimes(1)
  expect(version.newer.value).toBe(false)
  version.newerIsHere(take)
  expect(version.newer.value).toBe(true)
  await expect(version.takeOver()).resolves.toBe(true)
  expect(take).toHaveBeenCalledTimes(1)
})

test('it waits while somebody works in any tab, this one’s own hold given up first', async () => {
  const held = new Set<string>()
  const locks = {
    request: async (name: string, _options: unknown, work: () => Promise<void>) => {
      held.add(name)
      await work()
      // the browser lets go a moment later
      await new Promise((resolve) => setTimeout(resolve, 5))
      held.delete(name)
    },
    query: () => Promise.resolve({ held: [...held].map((name) => ({ name })) }),
  }
  Object.defineProperty(navigator, 'locks', { value: locks, configurable: true })
  const take = jest.fn(() => Promise.resolve())
  version.newerIsHere(take)
  version.workHere(true)
  version.workHere(true)
  await expect(version.takeOver()).resolves.toBe(false)
  version.workHere(false)
  await expect(version.takeOver()).resolves.toBe(true)
  expect(take).toHaveBeenCalledTimes(1)
})

test('a look that the server did not answer is made again with the next build that is heard', async () => {
  const look = jest.fn(() => Promise.reject(new Error('away')))
  version.keptByBrowser(look)
  for (const build of ['a', 'b']) version.hearBuild(build)
  await Promise.resolve()
  await Promise.resolve()
  version.hearBuild('b')
  expect(look).toHaveBeenCalledTimes(2)
})

test('a page in which somebody works by then is loaded anew when they leave', () => {
  const reload = jest.fn()
  Object.assign(globalThis, { location: { reload } })
  version.workHere(true)
  version.tookOver()
  expect(reload).not.toHaveBeenCalled()
  version.workHere(false)
  expect(reload).toHaveBeenCalledTimes(1)
  version.tookOver()
  expect(reload).toHaveBeenCalledTimes(2)
})

test('where the browser keeps nothing the page is just loaded anew', async () => {
  const reload = jest.fn()
  Object.assign(globalThis, { location: { reload } })
  await expect(version.takeOver()).resolves.toBe(true)
  expect(reload).toHaveBeenCalledTimes(1)
})
