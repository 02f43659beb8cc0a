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

test('undecided: each thing that would settle it is one key from the step that does it', async ({ bench }) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  await bench.type('318')
  await bench.press('d')
  const first = bench.page.getByRole('button', { name: /has not been read/ }).first()
  await expect(first).toHaveAttribute('aria-keyshortcuts', '1')
  const name = (await first.innerText()).replace(/^1\s*/, '').replace(/ has not been read\.$/, '')
  await bench.press('1')
  await expect(bench.page.getByRole('heading', { level: 1 })).toContainText(new RegExp(name.split('–')[0] ?? '', 'i'))
  await bench.type('36.5')
  await bench.press('d')
  await expect(bench.page.getByRole('button', { name: `${name} has not been read.` })).toHaveCount(0)
})

test('a construction that three pins read as stands beside the others, on the bench and on the sheet', async ({
  bench,
}) => {
  await bench.takeIn('C3')
  await bench.prepare()
  for (const figure of ['4.9', '11.7', '16.6']) await bench.type(figure)
  const told = bench.page.getByRole('complementary', { name: 'What it means' })
  await expect(told).toContainText('common pin C, run pin R, start pin S')
  await expect(told).toContainText('Three alike')
  await bench.press('d', 'p')
  await expect(bench.page.locator('.prove')).toContainText('common pin C, run pin R, start pin S')
})

test('on a meter ranged by hand the over-range key takes the range said last at this step, else the one asked for', async ({
  bench,
}) => {
  await bench.takeIn('18 twin')
  await bench.prepare()
  for (let turns = 0; turns < 6 && !(await bench.title.getByText('Knob meter K3').isVisible()); turns++)
    await bench.press('j')
  await bench.press('o')
  await expect(bench.figure).toContainText('OL 2k')
  await bench.press('Backspace', 'Backspace', '2', '0', 'M')
  await expect(bench.figure).toContainText(/OL ?20M/)
  await bench.press('Enter', 't', 'o')
  await expect(bench.figure).toContainText(/OL ?20M/)
})

test('what wants test volts puts the tester into the hand, whatever was taken up before', async ({ bench }) => {
  await bench.takeIn('C3')
  await bench.prepare()
  await bench.type('4.9')
  await expect(bench.verdict).toContainText('it waits for the others that it is judged with')
  for (const figure of ['11.7', '16.6']) await bench.type(figure)
  await bench.type('0.1')
  const hand = bench.page.locator('.unit-area')
  for (let turns = 0; turns < 6 && !(await hand.getByText('Multimeter M2').isVisible()); turns++) await bench.press('j')
  for (const key of ['o', 'Enter', 'd']) await bench.press(key)
  await bench.page.getByRole('button', { name: /use the insulation tester/ }).click()
  await expect(hand).toContainText('Insulation tester T1')
})

test('loose wires that belong together are said to be start and finish, and nothing is kept that nobody said', async ({
  bench,
  world,
}) => {
  await bench.takeIn('one-coil pickup')
  await bench.prepare({ first: /wire 1 and wire 2/ })
  for (const figure of ['6.31k', 'OL 20M', 'OL 20M']) await bench.type(figure)
  await expect(bench.page.getByText('start and finish not told apart').first()).toBeVisible()
  await bench.points('wire 2 = middle')
  await expect(bench.page.getByText('“middle” is none of the loose wires. Nothing was kept.')).toBeVisible()
  await bench.points('wire 2 = start')
  await expect(bench.page.getByText('Say also which wire 1 is. Nothing was kept.')).toBeVisible()
  await bench.points('wire 2 = start, wire 1 = finish')
  await expect(bench.page.getByText('start wire 2, finish wire 1').first()).toBeVisible()
  await expect(bench.tape).toContainText('wire 2 is start, wire 1 is finish')
  expect(await last(bench, world)).toMatchObject({ kind: 'wires', map: { A: 'B', B: 'A' } })
})
