import type { BenchPage } from '../benchPage'
import { expect, remarksOf, test, viewOf, worked } from './job'

/** The soft supply without a load, and the clutch's ohms. */
async function clutchOhms(bench: BenchPage, ohms: string, idle = '24.8'): Promise<void> {
  await bench.takeIn('capstan', { words: 'she lets the rope go when it is heavy' })
  await bench.press('Enter', 'a')
  await bench.press('b')
  await bench.type('20')
  await bench.goTo('Switch it on')
  await bench.press('b')
  await bench.type(idle)
  await bench.press('z', 'b')
  await bench.type('0.14')
  await bench.goTo('Ohms: clutch wire')
  await bench.type(ohms)
}
/** Volts while it draws, from wherever the hand is. */
async function loaded(bench: BenchPage, volts: string, way: 'ArrowUp' | 'ArrowDown' = 'ArrowUp'): Promise<void> {
  await bench.goTo('Switch it on', way)
  await bench.press('a')
  await bench.type(volts)
}

test('13: capstan coils on a soft supply; ohms, arithmetic, then amperes through the meter', async ({
  bench,
  world,
}) => {
  const { page } = bench
  await clutchOhms(bench, '9.18')
  expect(remarksOf(await viewOf(bench, world))).not.toContain('supply-high')
  await bench.goTo('Amperes: clutch wire')
  await expect(page.getByText(/Expect 2\.74.A/)).toBeVisible()
  await bench.type('-2.51')
  await expect(bench.tape).toContainText('2.51')
  const first = await viewOf(bench, world)
  for (const told of ['negative', 'expected-current', 'supply-unloaded']) expect(remarksOf(first)).toContain(told)
  expect(first.state.relations.find(({ id }) => id === 'r1')?.verdict).toBe('borderline')
  await bench.goTo('Ohms: brake', 'ArrowUp')
  await expect(bench.remark).toContainText('just used for amperes')
  await bench.press('a', 'z', 'b')
  await bench.type('0.14')
  await expect(bench.title).toContainText('Ohms: brake')
  await bench.type('20.11')
  await bench.goTo('Amperes: brake')
  await expect(page.getByText(/Expect 1\.24.A/)).toBeVisible()
  await bench.type('1.19')
  await loaded(bench, '23.9')
  await bench.goTo('Amperes: clutch', 'ArrowUp')
  await loaded(bench, '22.9')
  await bench.goTo('Amperes: clutch', 'ArrowUp')
  await bench.press('t')
  await bench.type('2.51')
  await bench.goTo('Amperes: clutch', 'ArrowUp')
  await bench.type('0.20 @ 24V 5W lamp')
  const view = await viewOf(bench, world)
  expect(view.state.relations.map(({ verdict }) => verdict)).toEqual(['within', 'within'])
  for (const told of ['expected-current', 'supply-unloaded', 'repeats-apart'])
    expect(remarksOf(view)).not.toContain(told)
  await bench.toFinding()
  await expect(bench.title).toContainText('No fault found')
  const main = page.getByRole('main')
  await expect(main).not.toContainText('to frame')
  await expect(main).toContainText('a 24 V 5 W lamp in series')
  await bench.press('a')
  await bench.say('Deck wiring next.')
  await worked('13', bench, world)
})

test('13, the second part: a draw under load by plug pins; both ways is seen, not inferred from amperes', async ({
  bench,
  world,
}) => {
  await bench.takeIn('PV-6')
  await bench.press('Enter', 'a')
  await bench.press('b')
  await bench.type('20')
  await bench.press('z', 'b')
  await bench.type('0.14')
  await bench.goTo('Ohms: pin 1')
  await bench.type('8.04')
  await bench.goTo('Switch it on')
  await bench.press('a')
  await bench.type('22.7')
  await bench.goTo('Amperes: pin 1')
  await bench.type('2.86..2.74')
  await bench.goTo('Amperes: pin 1', 'ArrowUp')
  await bench.type('2.79 @ free')
  await bench.goTo('Amperes: pin 1', 'ArrowUp')
  await bench.type('2.80 @ held')
  await bench.goTo('plunger travels both ways')
  await bench.press('a')
  await bench.toFinding()
  await expect(bench.title).toContainText('No fault found')
  await expect(bench.page.getByRole('main')).toContainText('coil to shell')
  const view = await viewOf(bench, world)
  expect(remarksOf(view)).not.toContain('unsteady')
  expect(view.state.relations).toEqual([{ id: 'r1', verdict: 'within' }])
  expect(view.state.verdicts.find(({ check }) => check === 'draw')?.points).toHaveLength(3)
})

test('13, caught: a fifth under under load twice leaves it open; a low clutch is turns short', async ({
  bench,
  world,
}) => {
  await clutchOhms(bench, '7.64')
  await bench.goTo('Amperes: clutch wire')
  await expect(bench.page.getByText(/Expect 3\.31.A/)).toBeVisible()
  const { state } = await viewOf(bench, world)
  expect(state.causes).toMatchObject([{ kind: 'winding-low', of: ['clutch'], share: expect.closeTo(0.157, 2) }])
  await bench.goTo('Ohms: clutch', 'ArrowUp')
  await bench.press('e')
  await bench.type('9.18')
  await loaded(bench, '24.2', 'ArrowDown')
  await bench.goTo('Amperes: clutch')
  await bench.type('2.15')
  await bench.goTo('Amperes: clutch', 'ArrowUp')
  await bench.press('t')
  await bench.type('2.15')
  await expect(bench.tape).toContainText('2.15')
  const again = await viewOf(bench, world)
  expect(again.state.relations.find(({ id }) => id === 'r1')?.verdict).toBe('borderline')
  expect(again.state.finding).toBe('undecided')
})
