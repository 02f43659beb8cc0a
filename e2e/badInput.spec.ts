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
  await bench.page.getByRole('button', { name: /export/ }).click()
  expect((await saving).suggestedFilename()).toBe('set-aside.json')
})
