import type { Queue, UnitRuns } from '@sure-spool/contract'
import { readFileSync } from 'node:fs'
import { settled } from './controls'
import { expect, test } from './world'

/** what the server refuses, the browser notes */
test.use({ tolerated: /status of (404|422)/ })

test('text that is no reading gets a sentence, and nothing is kept of it', async ({ bench }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  const before = await bench.tape.getByRole('listitem').count()
  for (const [text, sentence] of [
    ['4..7', 'not a number'],
    ['12,3,4k', 'part thousands'],
    ['1e999', 'not a number'],
    ['5NaN', 'unit'],
    ['12V', 'unit does not belong'],
    ['3.7k to 11', 'Is the prefix meant for both'],
  ] as const) {
    await bench.type(text)
    await expect(bench.page.getByRole('alert')).toContainText(sentence)
    await bench.press('Escape')
  }
  await bench.press('5')
  await bench.page.locator('[data-line]').fill(`5${'🔧'.repeat(20)}${'9'.repeat(10_000)}`)
  await bench.press('Enter')
  await expect(bench.page.getByRole('alert')).toContainText('too long')
  await bench.press('Escape')
  expect(await bench.tape.getByRole('listitem').count()).toBe(before)
  await bench.type('322')
  await expect(bench.verdict).toContainText('within')
})

test('an address that names nothing says so, with a way home', async ({ page, world }) => {
  await page.goto(`${world.address}/bench/019a0000-dead-7000-8000-000000000000`)
  await expect(page.getByText('This run is not here')).toBeVisible()
  await page.goto(`${world.address}/cards/nothing`)
  await expect(page.getByText('This card cannot be shown.')).toBeVisible()
  await page.goto(`${world.address}/nowhere/at/all`)
  await expect(page.getByText('No such page.')).toBeVisible()
})

test('a reading the server refuses is set aside with a sentence, and the rest go on', async ({ bench, context }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.allSent()
  let refused = false
  await context.route('**/api/v1/runs/*/entries', async (route) => {
    const { entries } = route.request().postDataJSON() as { entries: { kind: string; reading?: { text: string } }[] }
    if (entries.some((entry) => entry.reading?.text === '319')) {
      refused = true
      await route.fulfill({
        status: 422,
        contentType: 'application/problem+json',
        body: JSON.stringify({
          type: '/problems/entry-refused',
          title: 'no',
          status: 422,
          detail: 'refused for this test',
        }),
      })
    } else await route.continue()
  })
  await bench.type('319')
  await expect(bench.page.getByText('1 set aside')).toBeVisible()
  expect(refused).toBe(true)
  await bench.touches('tan')
  await bench.type('36.5')
  await expect(bench.page.getByRole('status').first()).toHaveText(/^everything kept, 1 set aside/)
  const saving = bench.page.waitForEvent('download')
  await bench.page.getByRole('link', { name: /1 set aside/ }).click()
  const row = bench.page.getByRole('row', { name: /Reading 319/ })
  await expect(row).toContainText('refused for this test')
  await bench.press('s')
  expect((await saving).suggestedFilename()).toBe('set-aside.json')
  await bench.press('a')
  await expect(bench.page.getByText('The server would not take it this time either.')).toBeVisible()
  await context.unroute('**/api/v1/runs/*/entries')
  await bench.press('a')
  await expect(bench.page.getByText('Nothing is set aside.')).toBeVisible()
  await expect(bench.page.getByRole('status').first()).toHaveText('everything kept')
})

test('what was set aside is thrown away with its reason, or taken in again from its file', async ({
  bench,
  context,
}) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.allSent()
  const refuse = (detail: string) =>
    context.route('**/api/v1/runs/*/entries', (route) =>
      route.fulfill({
        status: 422,
        contentType: 'application/problem+json',
        body: JSON.stringify({ type: '/problems/entry-refused', title: 'no', status: 422, detail }),
      }),
    )
  await refuse('not now')
  await bench.type('318')
  await bench.page.getByRole('link', { name: /1 set aside/ }).click()
  await expect(bench.page.getByRole('row', { name: /Reading 318/ })).toBeVisible()
  const saving = bench.page.waitForEvent('download')
  await bench.press('s')
  const file = await (await saving).path()
  await bench.press('x')
  await bench.page.keyboard.type('entered on the other bench')
  await bench.press('Enter')
  await expect(bench.page.getByText('Nothing is set aside.')).toBeVisible()
  await context.unroute('**/api/v1/runs/*/entries')
  await bench.page
    .locator('input[type=file]')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('[1]') })
  await expect(bench.page.getByText(/x\.json is not a file of what was set aside/)).toBeVisible()
  await bench.page
    .locator('input[type=file]')
    .setInputFiles({ name: 'set-aside.json', mimeType: 'application/json', buffer: readFileSync(file) })
  await expect(bench.page.getByText('1 of 1 were not here yet; they go up now.')).toBeVisible()
  await expect(bench.page.getByRole('status').first()).toHaveText('everything kept')
})

test('a run whose part the server would not take is given to another part of its model', async ({
  bench,
  context,
  world,
}) => {
  const tag = await bench.takeIn('18 twin')
  await bench.allSent()
  const { units } = await world.get<Queue>(`/units?tag=${tag}`)
  await context.route('**/api/v1/units', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({
          status: 422,
          contentType: 'application/problem+json',
          body: JSON.stringify({ type: '/problems/refused', title: 'no', status: 422, detail: 'taken in twice' }),
        })
      : route.continue(),
  )
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.type('318')
  await bench.page.getByRole('link', { name: /set aside/ }).click()
  const give = async (to: string) => {
    await bench.press('p')
    await expect(bench.page.locator('#ask-words')).toBeFocused()
    await bench.say(to)
  }
  await expect(bench.page.getByRole('row', { name: /Part taken in/ })).toBeVisible()
  await settled(bench.page)
  await give('NO-SUCH-TAG')
  await expect(bench.page.getByText('No part here is called NO-SUCH-TAG. Nothing was given away.')).toBeVisible()
  await give(tag)
  await expect(bench.page.getByText(`It is ${tag}’s now.`)).toBeVisible()
  await expect(bench.page.getByText('Nothing is set aside.')).toBeVisible()
  await expect(bench.page.getByRole('status').first()).toHaveText('everything kept')
  const { runs } = await world.get<UnitRuns>(`/units/${units[0]?.id}/runs`)
  // its own, and the one it was given
  expect(runs).toHaveLength(2)
  expect(JSON.stringify(runs)).toContain('318')
})
