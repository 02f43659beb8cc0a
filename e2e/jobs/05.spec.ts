import { expect, remarksOf, test, viewOf, worked } from './job'

test('05: a tight liner, and nothing to judge by; in place, one wire lifted, its twin beside it', async ({
  bench,
  world,
}) => {
  await bench.takeIn('fog-bell', { words: 'it rings; why worry?' })
  await bench.press('l')
  await bench.say('tight fit at the liner')
  await bench.press('Enter')
  await bench.press('d')
  await expect(bench.page.getByText(/What stands in parallel/)).toBeVisible()
  await bench.press('Enter')
  await bench.press('b')
  await bench.type('18')
  await bench.type('0.11')
  await expect(bench.title).toContainText('upper wire and lower wire')
  await bench.type('29.5')
  await expect(bench.remark).toContainText(/parallel/)
  await bench.press('a')
  await expect(bench.title).toHaveText('Make it safe')
  await bench.press('c')
  await expect(bench.page.getByText(/Which lead is lifted/)).toBeVisible()
  await bench.press('1')
  await expect(bench.page.getByRole('navigation', { name: 'Path' })).toContainText('To refitupper wire')
  await bench.goTo('upper wire and lower wire')
  await bench.type('57-61')
  await expect(bench.tape).toContainText('57–61Ω')
  // typed at the step that came: no bare metal reads so much, and nothing is kept
  await bench.type('59.2')
  await expect(bench.page.getByRole('alert')).toContainText('Nothing was kept of “59.2”')
  await bench.press('Escape', 'k', 't')
  await bench.type('59.2')
  await bench.goTo('upper wire and lower wire', 'ArrowUp')
  await bench.press('c')
  await bench.say('58.6')
  await expect(bench.page.getByRole('complementary')).toContainText('alike within 5 %holds: 1 %')
  await bench.press('w')
  await bench.say('refitted upper wire')
  await expect(bench.page.getByRole('navigation', { name: 'Path' })).not.toContainText('To refit')
  await bench.goTo('strikes after refitting')
  await bench.press('a')
  await bench.toFinding()
  await expect(bench.page.getByRole('main')).toContainText(
    'alike with the one beside it, 1 % apart, and judged only by a guess',
  )
  await expect(bench.page.getByRole('main')).toContainText('Turns short in one would read lower: none seen.')
  await bench.press('b')
  await bench.say('Alike and both strike; tight liner eased.')
  const view = await worked('05', bench, world)
  expect(view.state).toMatchObject({ finding: 'undecided', causes: [], untested: ['frame'] })
  const remarks = remarksOf(view)
  for (const id of ['not-isolated', 'unsteady', 'twins-both-off']) expect(remarks).toContain(id)
  expect(remarks).not.toContain('leads-matter')
  expect(view.run.entries.filter(({ kind }) => kind === 'isolation')).toMatchObject([
    { state: 'in-circuit' },
    { state: 'one-lead-lifted', lifted: ['1'] },
    { state: 'in-circuit' },
  ])
})

test('05, caught: apart from its neighbour it is the lower one that is looked at, though it fits the guess', async ({
  bench,
  world,
}) => {
  await bench.takeIn('fog-bell')
  await bench.prepare({ celsius: 18 })
  await bench.type('41.7')
  await bench.goTo('upper wire and lower wire', 'ArrowUp')
  await bench.press('c')
  await bench.say('59.2')
  const { state } = await viewOf(bench, world)
  expect(state).toMatchObject({ finding: 'fault-found', causes: [{ kind: 'unlike', of: ['coil'] }] })
})

test('05, caught: silent after refitting, whole from lug to lug and open from wire to lug: a joint, not the coil', async ({
  bench,
  world,
}) => {
  await bench.takeIn('fog-bell')
  await bench.prepare({ celsius: 18 })
  await bench.points('new upper lug on upper wire')
  await bench.points('upper lug and lower wire')
  await bench.type('59.1')
  await bench.points('upper wire and upper lug')
  await bench.press('o', 'Enter')
  await bench.points('upper wire and upper lug')
  await bench.press('o', 'Enter')
  for (let touch = 0; touch < 2; touch++) {
    await bench.points('upper wire and lower wire')
    await bench.press('o', 'Enter')
  }
  const { state } = await viewOf(bench, world)
  expect(state.causes).toMatchObject([{ kind: 'joint', of: ['1'] }])
})
