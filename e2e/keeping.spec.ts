import type { RunView } from '@sure-spool/contract'
import { BenchPage } from './benchPage'
import { settled } from './controls'
import { expect, test } from './world'

/** a server that is killed under a page is complained of by the browser itself */
test.use({
  tolerated:
    /ERR_CONNECTION_REFUSED|ERR_EMPTY_RESPONSE|ERR_CONNECTION_RESET|ERR_INCOMPLETE|Service Worker registration blocked/,
})

const typed = (view: RunView) =>
  view.run.entries.flatMap((entry) => (entry.kind === 'reading' ? [entry.reading.text] : []))

test('a server killed in the middle loses nothing: what waits goes up when it is back', async ({ bench, world }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.type('322')
  await bench.allSent()
  await world.kill()
  await bench.touches('tan')
  await bench.type('36.5')
  await bench.touches('grey', 'tan')
  await bench.type('358.4')
  await expect(bench.verdict).toContainText('within')
  await expect(bench.page.getByRole('status').first()).toContainText('2 waiting to go up')
  await world.start()
  await bench.allSent()
  expect(typed(await world.get<RunView>(`/runs/${bench.runId}`))).toEqual(['322', '36.5', '358.4'])
})

test('a tab closed with the answer still out stands at the same step when it is opened again', async ({
  bench,
  world,
  context,
}) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.allSent()
  const url = bench.page.url()
  await context.route('**/api/v1/runs/*/entries', () => new Promise(() => undefined))
  await bench.type('322')
  await bench.page.close({ runBeforeUnload: false })
  await context.unroute('**/api/v1/runs/*/entries')
  const page = await context.newPage()
  const again = new BenchPage(page, world.address)
  await page.goto(url)
  await again.touches('orange', 'tan')
  await expect(again.tape).toContainText('322')
  await again.allSent()
  expect(typed(await world.get<RunView>(`/runs/${again.runId}`))).toEqual(['322'])
})

test('the installed app opens without a server, at the same step', async ({ bench, world, context }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.type('322')
  await bench.allSent()
  const url = bench.page.url()
  await bench.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await bench.page.reload()
  await bench.touches('tan')
  await world.kill()
  const page = await context.newPage()
  const away = new BenchPage(page, world.address)
  await page.goto(url)
  await away.touches('orange', 'tan')
  await away.type('36.5')
  await expect(page.getByRole('status').first()).toContainText('waiting to go up')
  await world.start()
  await away.allSent()
  expect(typed(await world.get<RunView>(`/runs/${away.runId}`))).toEqual(['322', '36.5'])
})

test('two tabs on one run, and another browser, stand at one step', async ({ bench, world, context, another }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.allSent()
  const second = new BenchPage(await context.newPage(), world.address)
  await second.page.goto(bench.page.url())
  await second.touches('orange', 'grey')
  await second.type('322')
  await second.allSent()
  await bench.touches('orange', 'tan')
  await bench.type('36.5')
  await bench.allSent()
  await second.touches('grey', 'tan')
  const elsewhere = await another()
  const third = new BenchPage(await elsewhere.newPage(), world.address)
  await third.page.goto(bench.page.url())
  await third.touches('grey', 'tan')
  await expect(third.tape).toContainText('36.5')
  const view = await world.get<RunView>(`/runs/${bench.runId}`)
  expect(view.run.entries.map((entry) => entry.n)).toEqual(view.run.entries.map((_, i) => i + 1))
})

test('undo, take back and skip stay on the tape, struck and with their reasons', async ({ bench, world }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.type('310')
  await expect(bench.tape).toContainText('310')
  await bench.press('Backspace')
  await bench.touches('orange', 'grey')
  await expect(bench.tape).toContainText('taken back')
  await bench.type('322')
  await bench.touches('tan')
  await bench.press('s')
  await bench.page.keyboard.type('plug is full of resin')
  await bench.press('Enter')
  await bench.touches('grey', 'tan')
  await bench.press('x')
  await bench.press('1')
  await expect(bench.tape.getByText('taken back: wrong pair')).toBeVisible()
  await bench.touches('grey', 'tan')
  await bench.allSent()
  const { run } = await world.get<RunView>(`/runs/${bench.runId}`)
  expect(run.entries.filter((entry) => entry.kind === 'take-back').map((entry) => entry.reason)).toEqual([
    'undone',
    'wrong pair',
  ])
  expect(run.entries.find((entry) => entry.kind === 'skip')).toMatchObject({
    check: 'high',
    reason: 'plug is full of resin',
  })
})

test('a part taken in while the server is away goes up with its first readings', async ({ bench, world }) => {
  await bench.home()
  await bench.page.goto(`${world.address}/cards`)
  await bench.page.getByRole('link', { name: /18 twin/ }).click()
  await expect(bench.page.getByRole('heading', { level: 1 })).toContainText('figures')
  await bench.home()
  await bench.readyAway()
  await world.kill()
  await bench.press('i')
  await expect(bench.page.getByLabel('model, maker or kind')).toBeFocused()
  await bench.page.keyboard.type('18 twin')
  await expect(bench.page.getByRole('option').first()).toContainText('18 twin')
  await bench.press('Enter')
  await expect(bench.page.getByLabel('tag', { exact: true })).toBeFocused()
  const tag = `away-${Date.now()}`
  await bench.page.keyboard.type(tag)
  await bench.press('Enter', 'Enter', 'Enter', 'Enter', 'Enter')
  await expect(bench.page.getByRole('button', { name: new RegExp(tag) })).toBeVisible()
  await bench.press('Enter')
  await expect(bench.title).toHaveText('Look at the part')
  await settled(bench.page)
  await bench.prepare()
  await bench.type('322')
  await expect(bench.tape).toContainText('322')
  await world.start()
  await bench.allSent()
  expect(typed(await world.get<RunView>(`/runs/${bench.runId}`))).toEqual(['322'])
})

test('two benches that are away name parts by numbers of their own: neither is renamed', async ({
  bench,
  world,
  another,
}) => {
  const second = new BenchPage(await (await another()).newPage(), world.address)
  const benches = [bench, second]
  for (const one of benches) {
    await one.page.goto(`${world.address}/cards`)
    await one.page.getByRole('link', { name: /18 twin/ }).click()
    await expect(one.page.getByRole('heading', { level: 1 })).toContainText('figures')
    await one.home()
    await one.readyAway()
  }
  // what is theirs stays theirs when the page is opened again
  const shown = second.page.getByRole('button', { name: /^take in a part/ })
  const own = /SQ-\d+/.exec(await shown.innerText())?.[0] ?? 'no tag'
  await second.home()
  await expect(shown).toContainText(own)
  await second.readyAway()
  await world.kill()
  const tags: string[] = []
  for (const { page } of [bench, second, bench]) {
    await page.keyboard.press('i')
    await expect(page.getByLabel('model, maker or kind')).toBeFocused()
    await page.keyboard.type('18 twin')
    await expect(page.getByRole('option').first()).toContainText('18 twin')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('tag', { exact: true })).toBeFocused()
    tags.push(await page.getByLabel('tag', { exact: true }).inputValue())
    await page.getByRole('button', { name: 'take in', exact: true }).click()
    // rows leave the shop's prefix out
    const row = new RegExp(tags.at(-1)?.slice(-4) ?? 'no tag')
    await expect(page.locator('.line').getByRole('button', { name: row })).toBeVisible()
  }
  expect(new Set(tags).size).toBe(3)
  await world.start()
  for (const one of benches) {
    await one.allSent()
    await expect(one.page.getByText(/another part’s by now/)).toHaveCount(0)
  }
  const { units } = await world.get<{ units: { tag: string }[] }>('/units?place=waiting&limit=200')
  expect(units.map(({ tag }) => tag)).toEqual(expect.arrayContaining(tags))
})

test('a part that waits is begun while the server is away, though its card was never opened here', async ({
  bench,
  world,
}) => {
  await bench.home()
  await bench.readyAway()
  await world.kill()
  const row = bench.page.locator('.line').getByRole('button').last()
  const tag = await row.locator('.tag').innerText()
  await row.click()
  await expect(bench.title).toHaveText('Look at the part')
  await expect(bench.page.getByText(tag).first()).toBeVisible()
  await settled(bench.page)
  await bench.press('Enter')
  await world.start()
  await bench.allSent()
  const { run } = await world.get<RunView>(`/runs/${bench.runId}`)
  expect(run.unit.tag).toContain(tag)
  expect(run.entries.map((entry) => entry.kind)).toEqual(['look'])
})

test('a screen that was never loaded says so while the server is away, and opens when it is back', async ({
  another,
  world,
}) => {
  const page = await (await another({ serviceWorkers: 'block' })).newPage()
  const bench = new BenchPage(page, world.address)
  await bench.home()
  await bench.readyAway()
  await world.kill()
  await page.getByRole('link', { name: 'Kit' }).click()
  await expect(page.getByRole('alert')).toContainText('could not be loaded')
  await expect(page.getByRole('heading', { name: 'The queue' })).toBeAttached()
  await world.start()
  await page.getByRole('link', { name: 'Kit' }).click()
  await expect(page.getByRole('heading', { name: 'The queue' })).toHaveCount(0)
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('a clock that is off is said, what is kept stands in the right time and says by how much it was off', async ({
  bench,
  world,
}) => {
  await bench.page.clock.setSystemTime(Date.now() + 10 * 60_000)
  await bench.takeIn('18 twin')
  await expect(bench.page.getByRole('status').first()).toContainText('this clock is 10 minutes ahead')
  await bench.prepare()
  await bench.type('322')
  await expect(bench.page.getByRole('status').first()).toContainText('everything kept')
  await expect
    .poll(async () => typed(await world.get<RunView>(`/runs/${bench.runId}`)), { timeout: 60_000 })
    .toEqual(['322'])
  const { run } = await world.get<RunView>(`/runs/${bench.runId}`)
  const entry = run.entries.at(-1)
  expect(Math.abs((entry?.clock ?? 0) + 600)).toBeLessThan(30)
  expect(Math.abs(Date.parse(entry?.at ?? '') - Date.now())).toBeLessThan(60_000)
})
