import type { RunView } from '@sure-spool/contract'
import type { BenchPage } from './benchPage'
import { expect, test, type World } from './world'

/** The 18 twin as far as its ground test, every coil right. */
async function toGround(bench: BenchPage): Promise<void> {
  await bench.takeIn('18 twin')
  await bench.prepare()
  for (const figure of ['318', '36.5', '354.5', '91']) await bench.type(figure)
  await bench.type('0.1')
  await bench.touches('frame')
}
/** The last entry that the server has, once everything is sent. */
async function last(bench: BenchPage, world: World) {
  await bench.allSent()
  return (await world.get<RunView>(`/runs/${bench.runId}`)).run.entries.at(-1)
}

test('where open is expected a bare figure has no prefix: four keys ask, and the answer stands in full', async ({
  bench,
  world,
}) => {
  await toGround(bench)
  await bench.page.keyboard.press('3')
  await expect(bench.page.getByText('no prefix yet')).toBeVisible()
  await bench.press('.', '4', 'Enter')
  await expect(bench.remark).toContainText('“3.4”: Ω, k, M or G?')
  await bench.press('o')
  await expect(bench.remark).toBeHidden()
  await expect(bench.verdict).toContainText('outside: a hard path where none should be')
  expect(await last(bench, world)).toMatchObject({ reading: { text: '3.4 Ω', value: 3.4, mistyped: true } })
})

test('the same figure in mega passes, and what was asked is answered once', async ({ bench, world }) => {
  await toGround(bench)
  await bench.type('5.2')
  await expect(bench.remark).toContainText('Ω, k, M or G?')
  await bench.press('m')
  await expect(bench.remark).toBeHidden()
  expect(await last(bench, world)).toMatchObject({ reading: { text: '5.2 MΩ', value: 5.2e6 } })
  await bench.press('5', '.', '2', 'M')
  await expect(bench.page.getByText('mega', { exact: true })).toBeVisible()
})

test('kilo is kept as kilo, and a figure typed while it is asked is the new reading', async ({ bench, world }) => {
  await toGround(bench)
  await bench.type('310')
  await bench.press('k')
  expect(await last(bench, world)).toMatchObject({ reading: { text: '310 kΩ', value: 310e3 } })
  await bench.press('ArrowUp', 'ArrowDown')
})

test('a beep is under its threshold, no beep over it, and neither is ohms', async ({ bench, world }) => {
  await toGround(bench)
  await bench.press('u')
  await expect(bench.verdict).toContainText('more than 35')
  expect(await last(bench, world)).toMatchObject({
    reading: { kind: 'above', value: 35, method: 'beeper', text: 'no beep' },
  })
  await bench.press('t', 'y')
  await expect(bench.verdict).toContainText('a hard path where none should be')
  expect(await last(bench, world)).toMatchObject({ reading: { kind: 'below', value: 35, method: 'beeper' } })
})

test('a speed is what was said: none is taken from the card, and one said stands for the next leg', async ({
  bench,
  world,
}) => {
  await bench.takeIn('9 single')
  await bench.prepare()
  for (const figure of ['.56', '1.24', '.05', '0.1', 'OL 40M', 'OL 40M']) await bench.type(figure)
  await expect(bench.page.getByText('Type the speed it runs at behind an @')).toBeVisible()
  await bench.type('18.2')
  await expect(bench.remark).toContainText('speed')
  await bench.press('a')
  await expect(bench.page.getByLabel('At what speed was it taken?')).toBeFocused()
  await bench.page.keyboard.type('1190')
  await bench.press('Enter')
  await expect(bench.remark).toBeHidden()
  expect(await last(bench, world)).toMatchObject({ reading: { text: '18.2', conditions: { rpm: 1190 } } })
})

test('a figure beyond the meter is asked about, and an over-range sign is no one ohm', async ({ bench }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.type('318M')
  await expect(bench.remark).toBeVisible()
  await bench.press('b')
  await bench.type('318')
  await expect(bench.tape).toContainText('318')
})

test('a decision says what follows before it is kept; a closed run is decided again, the old one struck', async ({
  bench,
}) => {
  const { page } = bench
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.type('164.3')
  await bench.toFinding()
  await expect(bench.title).toHaveText(/^Low-speed charge coil \d+ % low: turns short, at most about that many\.$/)
  await bench.press('a')
  await expect(page.getByText('The run closes. Rewound: low-speed charge coil')).toBeVisible()
  await page.keyboard.type('half is gone')
  await bench.press('Enter')
  await expect(page.getByText(/^Decided: rewind/)).toBeVisible()
  await bench.press('d')
  await page.getByRole('button', { name: /more tests/ }).click()
  await page.keyboard.type('the owner waits')
  await bench.press('Enter')
  await expect(bench.title).not.toContainText('Low-speed charge coil')
  await bench.allSent()
})
