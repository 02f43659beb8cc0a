import type { RunView } from '@sure-spool/contract'
import { expect, test } from './world'

/** The bench follows the hand: steps out of order, points that the card does not ask for. */

test('a coil picked by hand is gone on from, and what was left out is said and comes before the next set-up', async ({
  bench,
}) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.touches('orange', 'grey')
  await expect(bench.title).toHaveText(/^Ohms: orange and grey, Multimeter M2 on 600\sΩ or auto$/)
  await bench.press('ArrowDown')
  await bench.touches('orange', 'tan')
  await bench.type('36.7')
  await bench.touches('grey', 'tan')
  await bench.type('358.5')
  await bench.touches('violet', 'violet/white')
  await expect(bench.page.getByText(/^Left out/)).toBeHidden()
  await bench.type('92')
  await bench.touches('orange', 'grey')
  await expect(bench.page.getByText('Left out so far: orange–grey.')).toBeVisible()
  await bench.type('322')
  await expect(bench.title).toHaveText('Touch both tips to bare frame')
  await expect(bench.page.getByText(/^Left out/)).toBeHidden()
})

test('a figure begun for one step does not reach another that is picked meanwhile', async ({ bench }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  for (const key of '36.7') await bench.press(key)
  await expect(bench.figure).toContainText('36.7')
  await bench.page.getByRole('button', { name: 'orange–tan' }).click()
  await bench.touches('orange', 'tan')
  await expect(bench.page.getByRole('alert')).toContainText('“36.7” was typed for another step and was not kept.')
  await bench.press('Enter')
  await expect(bench.tape).not.toContainText('36.7')
})

test('any two points: what the card asks for there is gone to, all else is asked of this run, kept and judged', async ({
  bench,
  world,
}) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  const points = async (words: string) => {
    await bench.press('p')
    await bench.page.getByLabel(/^Which two points/).fill(words)
    await bench.press('Enter')
  }
  await points('pink grey')
  await expect(
    bench.page.getByText('“pink” is no point of this part and no quantity. Nothing was asked.'),
  ).toBeVisible()
  await points('tan and grey')
  await bench.touches('grey', 'tan')
  await bench.press('Escape')
  await bench.touches('orange', 'grey')
  await points('grey violet')
  await expect(bench.title).toContainText('Ohms: grey and violet')
  await expect(bench.page.getByRole('navigation', { name: 'Path' })).toContainText('Besides')
  await bench.press('o', 'Enter')
  await bench.touches('orange', 'grey')
  await points('grey tan henries')
  await expect(bench.title).toContainText('Henries: grey and tan')
  await bench.press('Escape')
  await bench.allSent()
  const { run, state } = await world.get<RunView>(`/runs/${bench.runId}`)
  expect(run.entries.filter(({ kind }) => kind === 'ask')).toHaveLength(2)
  expect(state.verdicts.some(({ check }) => check.startsWith('ask-'))).toBe(true)
  await bench.page.goto(`${world.address}/bench/${bench.runId}/sheet`)
  await expect(bench.page.getByRole('main')).toContainText('grey–violet')
})

test('two points clicked on the plug go to their step', async ({ bench }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  const cavity = (name: string) =>
    bench.page.locator('.plug .cavity', { has: bench.page.locator(`title:text-is("${name}")`) })
  await cavity('grey').click()
  await expect(bench.page.getByText('and the other point')).toBeVisible()
  await cavity('tan').click()
  await bench.touches('grey', 'tan')
  await bench.type('358.5')
  await bench.touches('violet', 'violet/white')

  // a winding's line is its two ends, and the frame stands beside the plug
  await bench.page
    .locator('.plug .reach', { has: bench.page.locator('title:text-is("low-speed charge coil")') })
    .dispatchEvent('click')
  await bench.touches('orange', 'grey')
  await bench.page.locator('.plug').getByRole('button', { name: 'frame', exact: true }).click()
  await cavity('orange').click()
  await bench.touches('orange', 'frame')
})
