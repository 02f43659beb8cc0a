import { appendFileSync, cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { BenchPage } from './benchPage'
import { expect, test as base, World } from './world'

/** A part at the bench, in a browser that keeps the program; the server can be killed, and comes back with another build. */
const test = base.extend<{ at: { bench: BenchPage; renew: () => Promise<void> } }>({
  at: async ({ page }, use, info) => {
    const webRoot = mkdtempSync(join(tmpdir(), 'spool-web-'))
    cpSync('apps/web/dist', webRoot, { recursive: true })
    const world = await World.begin(`spool_test_newer_${info.parallelIndex}`, {
      openHouse: true,
      env: { WEB_ROOT: webRoot },
    })
    const renew = async () => {
      appendFileSync(join(webRoot, 'index.html'), '<meta name="build" content="newer">')
      const worker = join(webRoot, 'sw.js')
      writeFileSync(worker, readFileSync(worker, 'utf8').replace(/("index\.html",revision:")\w+/, '$1newer'))
      await world.kill()
      await world.start()
    }
    await page.goto(world.address)
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    const bench = new BenchPage(page, world.address)
    await bench.takeIn('18 twin')
    await bench.prepare()
    await use({ bench, renew })
    await world.end()
    rmSync(webRoot, { recursive: true, force: true })
  },
})
test.use({ tolerated: /ERR_(CONNECTION_RE(FUSED|SET)|SOCKET_NOT_CONNECTED)|Failed to fetch/ })

const buildOf = (page: Page): Promise<string> =>
  page.evaluate(() => document.querySelector('meta[name=build]')?.getAttribute('content') ?? 'first').catch(() => '')

/** The newer one is there. A browser ends a worker that has nothing to do, but none that a test looks at: it is told to. */
async function becomesNewer(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page)
  await session.send('ServiceWorker.enable')
  const build = async () => {
    const now = await buildOf(page)
    if (now === 'first') await session.send('ServiceWorker.stopAllWorkers')
    return now
  }
  await expect.poll(build, { intervals: [1000], timeout: 60_000 }).toBe('newer')
}

test('a newer version says that it is here, and takes over as one leaves the bench, never before', async ({
  page,
  at: { bench, renew },
}) => {
  await renew()
  await bench.type('322')
  await expect(page.getByText('a newer version is here, for afterwards')).toBeVisible()
  await bench.allSent()
  await expect(bench.tape).toContainText('322')
  expect(await buildOf(page)).toBe('first')
  const here = page.url()
  await page.getByRole('link', { name: 'Queue' }).click()
  await becomesNewer(page)
  await expect(page.getByText('newer version')).toBeHidden()
  await page.goto(here)
  await expect(bench.tape).toContainText('322')
})

test('it waits while somebody works in another tab, and comes when it is told to', async ({
  page,
  context,
  at: { bench, renew },
}) => {
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByRole('banner')).toContainText('Bench')
  await renew()
  await bench.type('322')
  await expect(page.getByText('a newer version is here')).toBeVisible()
  await page.getByRole('link', { name: 'Queue' }).click()
  await expect(page.getByText('a newer version waits for another tab')).toBeVisible()
  expect(await buildOf(page)).toBe('first')
  await other.close()
  await page.getByRole('button', { name: 'take it now' }).click()
  await becomesNewer(page)
})
