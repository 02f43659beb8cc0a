import { expect, test } from './world'

test('a sender is read wherever it stands; one that goes back on its way is told', async ({ bench }) => {
  const { page } = bench
  await bench.takeIn('tank sender')
  await bench.prepare()
  await bench.goTo('float at 0')
  await bench.type('6.2')
  await bench.goTo('float at 50')
  await bench.type('96.0 @ 50%')
  await bench.goTo('float at 75')
  await bench.type('134.0')
  await bench.type('178.0')
  await expect(page.getByRole('img', { name: /^float: 4 read/ })).toBeVisible()
  await bench.press('d')
  await expect(page.getByText(/it went back/)).toHaveCount(0)
  await bench.goTo('float at 75', 'ArrowUp')
  await bench.type('91.0 @ 52')
  await expect(page.getByRole('img', { name: /^float: 5 read/ })).toBeVisible()
  await bench.press('d')
  await expect(page.getByText(/it went back from 96\sΩ to 91\sΩ/)).toBeVisible()
})

test('a response is many readings of one step, with its peak and where it has fallen by 3 dB', async ({
  bench,
  world,
}) => {
  const { page } = bench
  await bench.takeIn('two-coil pickup')
  await bench.prepare()
  await bench.points('red white response')
  await expect(bench.title).toContainText('Response: red and white')
  for (const [volts, hertz] of [
    ['0.21', '200 Hz'],
    ['0.55', '1 kHz'],
    ['0.92', '2.2 kHz'],
    ['0.5', '5 kHz'],
  ])
    await bench.type(`${volts} @ ${hertz}`)
  await expect(bench.title).toContainText('Response: red and white')
  await expect(page.getByText(/peak 920\smV at 2\.2\skHz, −3\sdB at 1\.29\skHz and 3\.51\skHz/)).toBeVisible()
  await bench.type('0.90 @ 2.2 kHz')
  await expect(page.getByText(/peak 900\smV at 2\.2\skHz/)).toBeVisible()
  await bench.type('0.2 @ 200 Hz')
  await expect(bench.tape.locator('.struck')).toHaveText([/^210/, /^920/])
  await bench.allSent()
  await page.goto(`${world.address}/bench/${bench.runId}/sheet`)
  await expect(page.getByRole('article')).toContainText('2.2 kHz')
})
