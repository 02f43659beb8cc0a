import type { RunView } from '@sure-spool/contract'
import { pick, settled, write } from './controls'
import { expect, test } from './world'

test('a part without figures is sketched, measured at once, and becomes a card in one step', async ({
  page,
  bench,
}) => {
  await bench.takeInSketch({ find: 'brass clicker', family: 'solenoid', points: 'red, black', tag: 'T-SKETCH' })
  await bench.prepare()
  await bench.touches('red', 'black')
  await bench.type('40.2')
  await expect(bench.tape).toContainText('40.2')
  await expect(bench.title).toHaveText('Touch both tips to bare frame')
  await bench.type('0.1')
  for (let i = 0; i < 2; i++) {
    await bench.touches('frame')
    await bench.press('o', 'Enter')
  }
  // beside its ohms the family's usual: what it draws, and whether it moves
  await expect(bench.title).toHaveText('Switch it on')
  await bench.press('d')
  await expect(page.getByRole('button', { name: 'make a card of it' })).toBeVisible()
  await bench.press('y')
  const coil = page.locator('#section-checks').getByRole('article', { name: 'red to black' })
  await expect(coil.getByLabel('limit', { exact: true })).toHaveValue(/40.2 ±10%/)
  await expect(page.locator('#section-windings').getByLabel('ohms')).toHaveValue('40.2 Ω')
  await expect(page.locator('#section-sources')).toContainText('take off with 1 figures')
})

test('three pins of a compressor that nobody has figures for say which is common as they are read', async ({
  page,
  bench,
}) => {
  await bench.takeInSketch({ find: 'brass humdrum', family: 'compressor', points: '1, 2, 3', tag: 'T-PINS' })
  await bench.prepare()
  const triangle = page.getByRole('img', { name: /^Three pins/ })
  await expect(triangle).toHaveAttribute('aria-label', /1–2 to read; 2–3 to read; 3–1 to read/)
  for (const ohms of ['14.9', '46.6', '31.7']) {
    await bench.type(ohms)
    await expect(bench.tape).toContainText(ohms)
  }
  await expect(triangle).toContainText('common')
  await expect(triangle).toContainText('run')
  await expect(page.getByText('Run and start winding')).toBeVisible()
  await bench.press('d')
  await expect(page.getByRole('img', { name: /^Three pins/ })).toBeVisible()
})

test('a tray of three is worked with one key between, and ends on two piles', async ({ page, bench }) => {
  await bench.home()
  const { keyboard } = page
  await keyboard.press('i')
  await expect(page.getByLabel('model, maker or kind')).toBeFocused()
  await keyboard.type('metering')
  await expect(page.getByRole('option').first()).toContainText('metering')
  await keyboard.press('Enter')
  await page.getByLabel('tag', { exact: true }).fill('TR-008')
  await write(page.getByLabel('how many alike'), '3')
  await page.getByLabel('how many alike').press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A tray of 3')
  for (const tag of ['TR-008', 'TR-009', 'TR-010']) await expect(page.getByRole('link', { name: tag })).toBeVisible()
  await keyboard.press('Enter')
  await expect(bench.title).toHaveText('Look at the part')
  await settled(page)
  await bench.toFinding()
  await page.getByRole('button', { name: /return as is/ }).click()
  await keyboard.type('looks sound')
  await keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'next of the tray, TR-009' })).toBeVisible()
  await keyboard.press('Enter')
  await expect(page.getByRole('link', { name: 'TR-009' })).toBeVisible()
  await expect(bench.title).toHaveText('Look at the part')
  await settled(page)
  await bench.allSent()
  const tray = await page.evaluate(async () => {
    const { units } = (await (await fetch('/api/v1/units?limit=200')).json()) as {
      units: { tag: string; tray?: string }[]
    }
    return units.find((unit) => unit.tag === 'TR-010')?.tray
  })
  await page.goto(`${bench.address}/tray/${tray}`)
  await expect(page.getByRole('region', { name: 'Still to be read' }).getByRole('row')).toHaveCount(3)
})

test('after a repair the next run begins with what failed, in the condition it left, with the last figures beside', async ({
  page,
  bench,
}) => {
  const tag = await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.touches('orange', 'grey')
  await bench.type('240')
  await expect(bench.verdict).toContainText('outside')
  await bench.touches('orange', 'tan')
  await bench.type('36.5')
  await bench.toFinding()
  await expect(page.getByRole('heading', { level: 1 }).last()).toContainText('Low-speed charge coil 25 % low')
  const rewind = page.getByRole('button', { name: /^rewind/ })
  await rewind.first().click()
  await page.keyboard.type('shorted')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^Decided: rewind/)).toBeVisible()
  await bench.allSent()
  await page.getByRole('link', { name: 'its runs, and what became of it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tag)
  await page.keyboard.press('2')
  await expect(page.getByRole('row', { name: /became of it/ })).toContainText('came back')
  await page.keyboard.press('1')
  await expect(page.getByRole('row', { name: /became of it/ })).toContainText('ran well')
  await bench.allSent()
  await page.keyboard.press('Enter')
  await expect(bench.title).toHaveText('Look at the part')
  await settled(page)
  await expect(page.getByRole('region', { name: 'The unit' })).toContainText('rewound')
  await bench.prepare()
  await bench.touches('orange', 'grey')
  await bench.type('318')
  await expect(bench.verdict).toContainText('within')
  await bench.allSent()
  await page.goto(`${bench.address}/bench/${bench.runId}/sheet`)
  await expect(page.getByRole('columnheader', { name: 'last run' })).toBeVisible()
  await expect(page.getByRole('row', { name: /orange–grey/ }).first()).toContainText('240')
})

test('a shop of °F and inches types and reads in them, and the record keeps °C and metres', async ({
  page,
  bench,
  world,
}) => {
  const set = async (degrees: string, lengths: string) => {
    await page.goto(`${world.address}/shop`)
    await pick(page, 'temperatures in', degrees)
    await pick(page, 'lengths in', lengths)
    await expect(page.getByText('kept, in force at once')).toBeVisible()
  }
  await set('°F', 'inches')
  await bench.takeIn('lead set')
  await bench.prepare({ celsius: 68, first: /lead 1/i })
  await expect(page.getByRole('region', { name: 'The unit' })).toContainText('68\u2009°F')
  await bench.type('2.31k @ 16')
  await bench.allSent()
  const { run } = await world.get<RunView>(`/runs/${bench.runId}`)
  expect(run.entries.find((one) => one.kind === 'temperature')).toMatchObject({ partC: 20 })
  expect(run.entries.find((one) => one.kind === 'reading')).toMatchObject({
    reading: { value: 2310, x: expect.closeTo(0.4064, 9), xText: '16 in' },
  })
  await set('°C', 'metres')
})

test('kit and shop are changed and in force on the bench at once', async ({ page, bench, world }) => {
  await page.goto(`${world.address}/shop`)
  await expect(page.getByLabel('name of the shop')).toHaveValue('Sallow Quay Bench')
  await pick(page, 'decimal mark', 'comma: 36,5')
  await expect(page.getByText('kept, in force at once')).toBeVisible()
  await page.goto(`${world.address}/kit`)
  await expect(page.getByRole('heading', { name: 'Multimeter M2' })).toBeVisible()
  await page.keyboard.press('1')
  await page.getByLabel('calibration due').fill('2027-03-02')
  await page.keyboard.press('Enter')
  await expect(page.getByText('calibration due 2 March 2027')).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('A meter needs a name.')
  await page.keyboard.press('Escape')
  await bench.takeIn('metering')
  await bench.press('Enter', 'a', 'b')
  await bench.type('20,5')
  await expect(page.getByRole('region', { name: 'The unit' })).toContainText('20,5')
  await page.goto(`${world.address}/shop`)
  await pick(page, 'decimal mark', 'point: 36.5')
  await expect(page.getByText('kept, in force at once')).toBeVisible()
})
