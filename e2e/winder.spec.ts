import type { BenchPage } from './benchPage'
import { settled } from './controls'
import { facts, heading, rewindOf, say } from './winderPage'
import { expect, test } from './world'

/** The harbour light generator, found on its frame and decided to be rewound; at the winder, with its poles told. */
async function atWinder(bench: BenchPage, poles: string): Promise<void> {
  await bench.takeIn('harbour light', { words: 'the light faded, now the battery is flat' })
  await bench.prepare()
  await bench.goTo('Touch both tips to bare')
  await bench.type('0.1')
  await bench.press('y')
  await bench.press('d')
  await expect(bench.title).toContainText('reach')
  await expect(bench.page.getByRole('button', { name: 'the sheet', exact: true })).toBeVisible()
  await bench.page.waitForTimeout(400)
  const rewindAct = bench.page.getByRole('button', { name: /^rewind/ }).first()
  await rewindAct.click()
  await bench.say('wire is thick and the core is sound')
  await expect(bench.page.getByText('Decided: rewind')).toBeVisible()
  await bench.press('r')
  await say(bench, poles)
  await expect(bench.page.getByRole('heading', { level: 1 })).toContainText('Unwind')
  await settled(bench.page)
}

/** Strips, plans and settles the direction of a winding of poles alike. */
async function stripped(bench: BenchPage): Promise<void> {
  await bench.type('12, 11, 8')
  await expect(heading(bench)).toHaveText('Which way is pole 1 laid?')
  await say(bench, 'cw from outside')
  await say(bench, 'inside at the frame; over the top to pole 2')
  await expect(heading(bench)).toHaveText('How thick is its wire?')
  await bench.press('h', 'h')
  await bench.type('0.968')
  await expect(facts(bench)).toContainText('fits more than one wire')
  await bench.type('5x 4.81')
  await expect(facts(bench)).not.toContainText('fits more than one wire')
  await bench.press('a')
  await expect(heading(bench)).toHaveText('What is pole 1 to be?')
  await bench.page.getByLabel('mean turn, mm').fill('88')
  await expect(bench.page.getByText(/0\.074/).first()).toBeVisible()
  await bench.page.keyboard.press('Control+Enter')
  await expect(heading(bench)).toHaveText('Turn the machine once, by hand')
  await expect(facts(bench)).toContainText('Which way the machine lays is not settled')
  await bench.press('a')
  await expect(heading(bench)).toHaveText('Wind pole 1, clockwise')
}

test('a ring of ten poles: stripped, planned, wound with a beep, a pause and a wrong lay, fixed and proved', async ({
  bench,
  world,
}) => {
  const { page } = bench
  await atWinder(bench, '10')
  await stripped(bench)
  await expect(facts(bench)).toContainText('310')
  await expect(facts(bench)).toContainText(/739.mΩ|0\.739/)
  await bench.press('g')
  await bench.press('+', '+', '+', 'Space')
  await bench.press('Enter')
  await expect(heading(bench)).toHaveText('Wind pole 2, counter-clockwise')
  await expect(page.getByText('turn the machine counter-clockwise')).toBeVisible()
  await bench.type('31')
  await bench.press('Enter')
  await bench.type('12')
  await bench.press('y')
  await expect(facts(bench)).toContainText('beeped on pole 3 at turn 12')
  await bench.press('u')
  await expect(facts(bench)).not.toContainText('beeped')
  // a pause: the tab is opened again, and goes on from the turn it was at
  await page.reload()
  await expect(heading(bench)).toHaveText('Wind pole 3, clockwise')
  await expect(page.getByTestId('figure')).toHaveText('12')
  await bench.press('Space')
  await expect(page.getByTestId('figure')).toHaveText('13')
  await bench.type('31')
  await bench.press('Enter')
  await bench.type('31')
  await bench.press('q')
  await bench.press('Enter')
  await expect(facts(bench)).toContainText('works against its neighbours')
  await page.getByRole('button', { name: /wind pole 4/ }).click()
  await bench.press('a')
  await bench.type('31')
  await bench.press('Enter')
  await expect(facts(bench)).not.toContainText('works against its neighbours')
  for (let pole = 5; pole <= 10; pole++) {
    await expect(heading(bench)).toContainText(`Wind pole ${pole}`)
    await bench.type(pole === 7 ? '30' : '31')
    await bench.press('Enter')
  }
  await expect(heading(bench)).toHaveText('Leads, insulation, fixing')
  await say(bench, 'bake 110 C 2 h')
  await expect(page.getByRole('timer')).toContainText('left')
  await say(bench, 'leads soldered and sleeved')
  await expect(heading(bench)).toHaveText('Let it cool, then prove it')
  const view = await rewindOf(bench, world)
  const wound = view.rewind.entries.filter((entry) => entry.kind === 'wound')
  expect(wound.reduce((sum, entry) => sum + (entry.kind === 'wound' ? entry.turns : 0), 0)).toBe(309 + 31)
  expect(view.rewind.entries.map(({ n }) => n)).toEqual(view.rewind.entries.map((_, i) => i + 1))
  await bench.press('Enter')
  await expect(page).toHaveURL(/\/bench\//)
  await expect(page.getByRole('region', { name: 'The unit' })).toContainText('rewound')
})

test('a stop holds the winding and the proof until it is answered', async ({ bench, world }) => {
  const { page } = bench
  await atWinder(bench, '3')
  await page.getByRole('button', { name: /wind pole 1/ }).click()
  await expect(heading(bench)).toContainText('Wind pole 1')
  await bench.type('31')
  await bench.press('Enter')
  await expect(page.getByRole('alert').last()).toContainText('the last clashes with the first')
  await expect(heading(bench)).toContainText('Wind pole 1')
  await page.getByRole('button', { name: /prove it/ }).click()
  await settled(page)
  await bench.press('Enter')
  await expect(heading(bench)).toHaveText('Let it cool, then prove it')
  await bench.press('c')
  await say(bench, 'three as they were, in parallel')
  await page.getByRole('button', { name: /wind pole 1/ }).click()
  await settled(page)
  await bench.press('Enter')
  const { rewind } = await rewindOf(bench, world)
  expect(rewind.entries.map(({ kind }) => kind)).toEqual(['count', 'answer', 'wound'])
})

test.describe('away', () => {
  test.use({ tolerated: /ERR_CONNECTION_REFUSED|ERR_EMPTY_RESPONSE|ERR_CONNECTION_RESET|ERR_SOCKET_NOT_CONNECTED/ })

  test('a rewind goes on without the server, and all of it goes up when it is back', async ({ bench, world }) => {
    await atWinder(bench, '')
    await bench.allSent()
    await bench.readyAway()
    await world.kill()
    await bench.type('310')
    await say(bench, 'ccw from outside')
    await bench.page.reload()
    await expect(heading(bench)).toHaveText('Where do its ends come out?')
    await world.start()
    const view = await rewindOf(bench, world)
    expect(view.rewind.entries.map(({ kind }) => kind)).toEqual(['original', 'original'])
  })
})

test('what is typed at the winder and is nothing keeps nothing, and one key undoes the last', async ({
  bench,
  world,
}) => {
  await atWinder(bench, '')
  await bench.press('Enter')
  await expect(bench.page.getByRole('alert')).toContainText('Nothing is counted yet')
  await bench.type('31..2')
  await expect(bench.page.getByRole('alert')).toContainText('Nothing was kept of')
  await bench.press('Escape')
  await bench.type('300')
  await say(bench, 'sideways')
  await expect(bench.page.getByRole('alert')).toContainText('Say cw or ccw')
  await bench.page.getByRole('button', { name: /turns of/ }).click()
  await bench.press('Backspace')
  const { rewind } = await rewindOf(bench, world)
  expect(rewind.entries.map(({ kind }) => kind)).toEqual(['original', 'take-back'])
})
