import { expect, remarksOf, test, viewOf, worked } from './job'

test('07: the valve that never opened; ohms, then a lamp in series, no more', async ({ bench, world }) => {
  const { page } = bench
  await bench.takeIn('DV-24', { words: 'the panel says that valve is dead' })
  await bench.press('Enter', 'b', 'z')
  await bench.type('0.14')
  await bench.goTo('Ohms: left blade and right blade')
  await bench.type('23.30')
  await expect(bench.tape).toContainText('borderline')
  await bench.goTo('How warm is it?', 'ArrowUp')
  await bench.press('b')
  await bench.type('31')
  await expect(bench.tape).not.toContainText('borderline')
  await bench.goTo('Switch it on')
  await bench.press('b')
  await bench.type('25.4')
  await bench.goTo('a lamp in series')
  await expect(
    page.getByText(/Expect 590.mA: 25\.4.V over 23\.3.Ω and the lamp\. The lamp has 3\d.% of its power: dim\./),
  ).toBeVisible()
  await bench.goTo('Switch it on', 'ArrowUp')
  await bench.press('a')
  await bench.type('24.9')
  await bench.goTo('a lamp in series')
  await expect(
    page.getByText(
      /The lamp has 31.% of its power: dim\. The coil keeps 13\.5.V of 24\.9.V: a soft pull proves nothing/,
    ),
  ).toBeVisible()
  await bench.press('b')
  await bench.press('n')
  await bench.say('no click on, a click off; three times the same')
  await bench.goTo('plunger travels both ways')
  await bench.press('a')
  await bench.toFinding()
  await expect(page.getByRole('main')).toContainText('Coil to shell has not been read')
  await bench.goTo('left blade and frame', 'ArrowUp')
  await bench.take('Insulation tester T1')
  await bench.type('>5G 500V')
  await bench.toFinding()
  await expect(bench.title).toContainText('No fault found')
  const found = page.getByRole('main')
  await expect(found).toContainText('draw at 24 V')
  await expect(found).not.toContainText('lead is bent')
  await bench.press('b')
  await bench.say('Loom or valve control.')
  const view = await worked('07', bench, world)
  const remarks = remarksOf(view)
  // the temperature that was taken since answers it, as if it had been there
  for (const silent of ['temperature-decides', 'condition-missing', 'supply-high', 'click-only'])
    expect(remarks).not.toContain(silent)
  expect(view.state.untested).toEqual(['draw'])
})

test('07, caught: the same figure on a colder part is above its limits, and reads high', async ({ bench, world }) => {
  await bench.takeIn('DV-24')
  await bench.prepare({ celsius: 14 })
  await bench.type('23.30')
  await bench.goTo('left blade and right blade', 'ArrowUp')
  await bench.press('t')
  await bench.type('24.10')
  const { state } = await viewOf(bench, world)
  expect(state.causes).toMatchObject([{ kind: 'winding-high', of: ['coil'] }])
})

test('07, caught: turns short, and the lamp would not be dim; one low reading suffices', async ({ bench, world }) => {
  await bench.takeIn('DV-24')
  await bench.prepare({ celsius: 31 })
  await bench.type('13.40')
  await bench.goTo('Switch it on')
  await bench.type('24.9')
  await bench.goTo('a lamp in series')
  await expect(bench.page.getByText(/Expect 690.mA/)).toBeVisible()
  const { state } = await viewOf(bench, world)
  expect(state.causes).toMatchObject([{ kind: 'winding-low', of: ['coil'], share: expect.closeTo(0.41, 2) }])
})
