import type { Browser, BrowserContext, Page } from '@playwright/test'
import type { RunView } from '@sure-spool/contract'
import { BenchPage } from './benchPage'
import { door, firstRun, furnish, gone, setupCode, sit } from './doorSteps'
import { expect, test as base, World } from './world'

/** A shop of its own that signs people in: empty, until the first run makes its owner. */
const test = base.extend<{ shut: World; joinedBench: BenchPage }>({
  shut: async ({ browser: _browser }, use, info) => {
    const house = { openHouse: false as const, setupCode }
    const world = await World.begin(`spool_test_e2e_door_${info.parallelIndex}`, house)
    await use(world)
    await world.end()
  },
  /** its second bench, in a browser of its own, at which nobody sits; the owner has taken a file in and given PINs */
  joinedBench: async ({ page, shut, browser }, use) => {
    await firstRun(page, shut.address)
    await furnish(page, shut.address)
    const { context, bench } = await joined(browser, page, shut)
    await use(bench)
    await context.close()
  },
})

/** a guess that is wrong, a seat that is over and a server that is gone are complained of by the browser itself */
test.use({ tolerated: /status of (400|401|403)|ERR_CONNECTION|ERR_EMPTY_RESPONSE|Service Worker registration blocked/ })
test.setTimeout(300_000)

async function joined(
  browser: Browser,
  page: Page,
  world: World,
): Promise<{ context: BrowserContext; bench: BenchPage }> {
  await page.getByRole('button', { name: 'a code for another bench' }).click()
  const code = await page.locator('.code strong').textContent()
  const context = await browser.newContext()
  const other = await context.newPage()
  await other.goto(world.address)
  await other.getByLabel('code').fill(code ?? '')
  await other.getByLabel('name of this bench').fill('window bench')
  await other.getByLabel('name of this bench').press('Enter')
  await expect(door(other)).toContainText('Who is at the bench?')
  return { context, bench: new BenchPage(other, world.address) }
}

test('an empty shop gets its owner by the printed code, takes its file in, and says who changed what', async ({
  page,
  shut,
}) => {
  await firstRun(page, shut.address)
  await expect(page.getByRole('banner')).toContainText('Ines, Sallow Quay')
  await expect(page.getByRole('banner')).not.toContainText('demo')
  await furnish(page, shut.address)
  await page.reload()
  const list = page.getByRole('table', { name: 'What was changed' })
  await expect(list).toContainText('Wil Dace got a new PIN')
  await expect(list).toContainText('took in a shop’s file of Sallow Quay Bench')
  const begun = list.getByRole('row').filter({ hasText: 'began the shop' })
  await expect(begun.getByRole('cell')).toHaveText([/:/, /^Ines/, 'bench', 'began the shop Sallow Quay Bench'])
})

test('a bench is joined, people sit down by PIN, and what one made goes up with their seal when they have gone', async ({
  joinedBench: bench,
  shut,
}) => {
  await sit(bench.page, 'Tam Reyes-Holt', '0000')
  await expect(door(bench.page)).toContainText('That is not the PIN.')
  await bench.page.getByLabel('Tam Reyes-Holt: PIN').fill('2580')
  await bench.page.keyboard.press('Enter')
  await gone(bench.page)
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.allSent()
  await shut.kill()
  await bench.type('322')
  await bench.page.keyboard.press('Shift+W')
  await door(bench.page).getByRole('button', { name: 'leave the bench' }).click()
  await expect(door(bench.page)).toContainText('Who is at the bench?')
  await shut.start()
  await expect(bench.page.getByRole('status').first()).toHaveText('everything kept', { timeout: 60_000 })
  await sit(bench.page, 'Wil Dace', '1357')
  await gone(bench.page)
  await expect(bench.tape).toContainText('322')
  const view = await bench.page.evaluate(
    async (id) => (await fetch(`/api/v1/runs/${id}`)).json() as Promise<RunView>,
    bench.runId,
  )
  const last = view.run.entries.findLast(({ kind }) => kind === 'reading')
  expect(last?.by).toBe('019a0000-0000-7000-8000-0000000000a2')
})

test('who is learning decides with a second person’s PIN at the bench, and both names stand on the sheet', async ({
  joinedBench: bench,
  shut,
}) => {
  await sit(bench.page, 'Wil Dace', '1357')
  await gone(bench.page)
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.toFinding()
  await bench.page
    .getByRole('button', { name: /return/ })
    .first()
    .click()
  await bench.page.keyboard.type('leads broken off')
  await bench.press('Enter')
  const second = bench.page.getByText('A second person looks at it first.')
  await expect(second).toBeVisible()
  await bench.page.getByLabel('their PIN').fill('0000')
  await bench.page.keyboard.press('Enter')
  await expect(bench.page.getByText('That is not the PIN.')).toBeVisible()
  await bench.page.getByRole('combobox', { name: 'who stands for it' }).click()
  await bench.page.getByRole('option', { name: 'Tam Reyes-Holt' }).click()
  await bench.page.getByLabel('their PIN').fill('2580')
  await bench.page.keyboard.press('Enter')
  await expect(bench.page.getByText('Tam Reyes-Holt stands for it.')).toBeVisible()
  await bench.allSent()
  await bench.page.goto(`${shut.address}/bench/${bench.runId}/sheet`)
  await expect(bench.page.getByText(/Wil Dace.*Tam Reyes-Holt stands for it/)).toBeVisible()
})

test('a figure that one began to type is not kept as another’s', async ({ joinedBench: bench }) => {
  await sit(bench.page, 'Tam Reyes-Holt', '2580')
  await gone(bench.page)
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.page.keyboard.type('32W')
  await expect(bench.figure).toContainText('32W')
  await bench.page.getByRole('button', { name: /At the bench/ }).click()
  await sit(bench.page, 'Wil Dace', '1357')
  await gone(bench.page)
  await expect(bench.page.getByText('Somebody else is at the bench: “32W” was not kept. Read it again.')).toBeVisible()
  await bench.type('322')
  await bench.allSent()
})
