import type { BenchPage } from '../benchPage'
import { expect, remarksOf, test, viewOf, worked } from './job'

const amps = ['4.3', '4.3', '4.4', '4.2', '4.3', '4.3', '4.4', '4.3', '4.2', '4.3', '4.3']
const moreAmps = ['4.3', '4.3', '4.2', '4.3', '3.0', '4.3', '4.4', '4.3', '4.3', '4.2', '4.3']
/** AC volts of bars 2 to 23; the fifth turned elsewhere, and again in place */
const volts = Array.from({ length: 22 }, (_, i) => (i + 2 === 17 ? '.147' : i + 2 === 5 ? '.352' : `.41${i % 3}`))

const begin = async (bench: BenchPage) => {
  await bench.takeIn('winch motor armature', { words: 'pulls half of what it did' })
  await bench.press('Enter', 'a')
  await bench.goToTest('steel blade over the slots')
}
/** The bars one after the other, as the prongs go round. */
const round = async (bench: BenchPage, figures: string[]) => {
  for (const one of figures) await bench.type(one)
}

test('10: a winch that labours; growler, by eye and ear, then prongs', async ({ bench, world }) => {
  const { page } = bench
  await begin(bench)
  await expect(page.getByText('Two slots that pull are one coil’s two sides')).toBeVisible()
  await bench.press('b')
  await expect(page.getByLabel(/^Where\? The slots/)).toBeFocused()
  await bench.say('5 16')
  expect((await viewOf(bench, world)).state.finding).toBe('fault-found')
  await bench.goToTest('lamp, shaft to bars')
  await bench.press('a')
  await bench.goToTest('lamp over neighbouring bars')
  await expect(page.getByText('judges no short')).toBeVisible()
  await bench.press('a')
  await bench.goToTest(/Amperes: bar 1\b/i)
  await bench.take('Growler G1')
  await round(bench, amps)
  await bench.press('d')
  await expect(page.getByRole('main')).toContainText(/bar 12–23, 12 not read/)
  await bench.press('Escape')
  await bench.goTo(/bar 12\b/i, 'ArrowUp')
  await round(bench, ['4.4', '4.4'])
  await bench.press('Backspace')
  await expect(bench.title).toHaveText(/bar 13\b/i)
  await round(bench, moreAmps.slice(0, 5))
  await expect(bench.verdict).toContainText('outside')
  await expect(page.getByText(/One low, between 17 and 18\. Copper dust/)).toBeVisible()
  await round(bench, moreAmps.slice(5))
  const first = await viewOf(bench, world)
  expect(first.state.causes).toMatchObject([{ kind: 'bars', of: ['17'] }])
  expect(first.state.verdicts.find((row) => row.check === 'bars')?.points.map((one) => one.verdict)).toEqual(
    Array.from({ length: 23 }, (_, i) => (i === 16 ? 'outside' : 'within')),
  )
  expect(remarksOf(first)).not.toContain('tests-disagree')
  expect(remarksOf(first)).toContain('ground-ceiling')
  expect(remarksOf(first)).not.toContain('unknown-pins-power')
  await bench.goToTest(/volts.*bar 1\b/i)
  await bench.type('0.000')
  await expect(bench.remark).toContainText('is the growler on?')
  await bench.press('c', '1')
  await bench.goTo(/volts.*bar 1\b/i, 'ArrowUp')
  await bench.press('t')
  await bench.type('.411')
  await round(bench, volts)
  await bench.goTo(/volts.*bar 5\b/i, 'ArrowUp')
  await bench.press('t')
  await bench.type('.409')
  expect(remarksOf(await viewOf(bench, world))).toContain('repeats-apart')
  await bench.press('w')
  await bench.say('cleaned bars 17–18')
  await expect(bench.title).toHaveText(/Amperes: bar 17\b/)
  await bench.type('3.0')
  await bench.goToTest(/Amperes: bar/, 'PageUp')
  await expect(page.getByText(/and cleaned: the coil/)).toBeVisible()
  await bench.goToTest('Touch both tips to bare shaft')
  await bench.type('0.1')
  await bench.touches('shaft')
  await bench.press('o')
  await bench.press('Enter')
  await bench.toFinding()
  const found = page.getByRole('main')
  await expect(bench.title).toHaveText('Turns short in the coil between bars 17 and 18.')
  await bench.press('b')
  await bench.say('one coil cannot be wound alone')
  await expect(found).toContainText('replace')
  const view = await worked('10', bench, world)
  expect(view.state.causes).toMatchObject([{ kind: 'bars', of: ['17'] }])
  const rows = Object.fromEntries(view.state.verdicts.map((row) => [row.check, row.points.length]))
  expect(rows).toMatchObject({ bars: 23, volts: 23 })
  await page.getByRole('button', { name: 'the sheet', exact: true }).click()
  await expect(page.getByRole('img', { name: /bar: All 23 read.*Slots marked: 5, 16\./ })).toBeVisible()
  await expect(page.getByRole('img', { name: /AC volts, bar: 22 of 23 read/ })).toBeVisible()
})

test('10, caught: all bars alike, and the blade pulls: the blade is the stronger', async ({ bench, world }) => {
  await begin(bench)
  await bench.press('b', 'Enter')
  await bench.goToTest(/Amperes: bar 1\b/, 'PageUp')
  await bench.take('Growler G1')
  await round(
    bench,
    Array.from({ length: 23 }, (_, i) => `4.${2 + (i % 3)}`),
  )
  const view = await viewOf(bench, world)
  expect(view.state.finding).toBe('fault-found')
  expect(remarksOf(view)).toContain('tests-disagree')
  await bench.press('d')
  await expect(bench.page.getByRole('main')).toContainText('steel blade over the slots is the stronger')
})

test('10, caught: no amperes and a dark lamp at one bar: its coil is open, and no turns are short', async ({
  bench,
  world,
}) => {
  await begin(bench)
  await bench.goToTest('lamp over neighbouring bars')
  await bench.press('b', 'Enter')
  await bench.goToTest(/Amperes: bar 1\b/, 'PageUp')
  await bench.take('Growler G1')
  await round(
    bench,
    Array.from({ length: 23 }, (_, i) => (i === 8 ? '0.0' : `4.${2 + (i % 3)}`)),
  )
  const view = await viewOf(bench, world)
  expect(view.state.causes).toMatchObject([{ kind: 'bars', of: ['9'] }])
  await bench.press('d')
  await expect(bench.title).toHaveText('Coil between bars 9 and 10 open.')
})
