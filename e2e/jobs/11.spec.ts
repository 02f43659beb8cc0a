import type { BenchPage } from '../benchPage'
import { expect, remarksOf, test, viewOf, worked } from './job'

/** Seven odd leads on one knob meter in clips: looked at once, zeroed once, lead by lead. */
async function setUp(bench: BenchPage): Promise<void> {
  await bench.takeIn('40 ignition lead set', { words: 'any of these still fit to use?', items: 7 })
  await bench.press('Enter')
  await expect(bench.title).toHaveText('Make it safe')
  await bench.press('b')
  await bench.goTo('Touch the tips together')
  await bench.take('Knob meter K4')
  await bench.press('k')
  await bench.type('0.3')
  await bench.goTo('lead 1')
  await bench.press('h')
  await bench.say('lead by lead')
}

const lengths = ['0.38', '0.46', '0.31', '0.52', '0.31', '0.46', '20.5 in']

test('11: a tray of old leads; ohms and bending first, lengths last', async ({ bench, world }) => {
  await setUp(bench)
  await bench.type('2.14')
  await expect(bench.title).toContainText('bent lead 1')
  await expect(bench.remark).toBeHidden()
  await bench.type('2.13-2.16k')
  await bench.type('2.2-3.1k')
  await bench.goTo('bent lead 2')
  await bench.type('2.7-7.4k')
  await expect(bench.title).toContainText('again, clipped on')
  await bench.type('2.5-7.1k')
  await expect(bench.title).toContainText(/: lead 3/)
  await bench.type('1')
  await expect(bench.remark).toContainText('A bare 1 on this meter is its over-range sign')
  await bench.press('a')
  await expect(bench.title).toContainText('bent lead 3')
  await expect(bench.verdict).toContainText('over range proves only more than 30')
  await bench.press('o', '3', 'M', 'Enter')
  await bench.goTo(/: lead 3/, 'ArrowUp')
  await expect(bench.title).toContainText('on 300 kΩ')
  await bench.press('o', '3', 'M', 'Enter')
  await bench.type('2.98')
  await bench.type('2.98-3.01k')
  await bench.type('1.66')
  await bench.type('1.66k..OL @ bent at the coil boot')
  await bench.press('o')
  await bench.type('1.66k..OL @ bent at the coil boot')
  await bench.press('n')
  await bench.say('4 cm from coil end')
  await expect(bench.title).toContainText(/: lead 6/)
  await bench.type('3.62')
  await bench.type('3.61-3.63k')
  await bench.type('2.93')
  await bench.type('2.92-2.94k')
  await expect(bench.title).toHaveText(/^Length: lead 1/)
  expect(remarksOf(await viewOf(bench, world))).not.toContain('condition-missing')
  for (const [i, length] of lengths.entries()) {
    await expect(bench.title).toHaveText(new RegExp(`^Length: lead ${i + 1}`))
    await bench.type(length)
  }
  await bench.toFinding()
  await expect(bench.title).toHaveText(
    /^Lead 2 unsteady\. Lead 3 open\. Lead 5 drops out at the coil boot\. Lead 6 high for its length: 7\.87.kΩ\/m\.$/,
  )
  const main = bench.page.getByRole('main')
  await expect(main).toContainText('Jackets at spark volts')
  for (const absent of ['At speed', 'frame']) await expect(main).not.toContainText(absent)
  await expect(main).toContainText('good: 1 (380 mm), 4 (520 mm), 7 (521 mm)')
  await expect(main).toContainText('not good: 2 (460 mm), 3 (310 mm), 5 (310 mm), 6 (460 mm)')
  await bench.press('a')
  await bench.say('four go, three stay in use')
  const view = await worked('11', bench, world)
  expect(view.state.items.filter(({ finding }) => finding === 'no-fault-found').map(({ index }) => index)).toEqual([
    1, 4, 7,
  ])
  await bench.press('p')
  const sheet = bench.page.getByRole('main')
  await expect(sheet).toContainText('bent at the coil boot')
  await expect(sheet).toContainText('4 cm from coil end')
})

test('11, caught: the same ohms on a longer lead are within', async ({ bench, world }) => {
  await setUp(bench)
  await bench.goTo(/: lead 6/)
  await bench.type('3.62 @ 0.64')
  await expect(bench.tape).toContainText('3.62')
  const { state } = await viewOf(bench, world)
  expect(state.verdicts.find(({ check }) => check === 'still')?.points.find(({ index }) => index === 6)?.verdict).toBe(
    'within',
  )
})

test('11, caught: a lead that was never bent at its boot passes, and its line says where it was bent', async ({
  bench,
  world,
}) => {
  await setUp(bench)
  await bench.goTo(/: lead 5/)
  await bench.type('1.66 @ 0.31')
  await bench.type('1.66-1.67k @ 0.31, bent at the middle')
  await expect(bench.tape).toContainText('bent at the middle')
  const { state } = await viewOf(bench, world)
  expect(state.causes).toEqual([])
})
