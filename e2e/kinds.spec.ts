import type { RunView } from '@sure-spool/contract'
import type { BenchPage } from './benchPage'
import { expect, test, type World } from './world'

const stateOf = async (bench: BenchPage, world: World) => {
  await bench.allSent()
  return (await world.get<RunView>(`/runs/${bench.runId}`)).state
}
const over = (bench: BenchPage) => bench.press('o', 'Enter')
const proveFrame = async (bench: BenchPage) => {
  await expect(bench.title).toHaveText(/^Touch both tips to bare /)
  await bench.type('0.1')
}

test('a relay whose break contact is welded: power only after ohms, and a fault at once', async ({ bench, world }) => {
  await bench.takeIn('changeover relay')
  await bench.prepare()
  await bench.touches('85', '86')
  await bench.type('312')
  for (const text of ['OL', '0.12', 'OL']) await (text === 'OL' ? over(bench) : bench.type(text))
  await expect(bench.title).toHaveText('Switch it on')
  await bench.type('24.1')
  await bench.goToTest('coil driven:')
  await bench.type('0.12')
  await bench.type('0.12')
  await bench.type('0.12')
  await bench.goToTest(/Contact .* stays closed\./)
  expect((await stateOf(bench, world)).finding).toBe('fault-found')
})

test('a compressor with its run winding open shows one pair; its open pairs are read twice', async ({
  bench,
  world,
}) => {
  await bench.takeIn('C3')
  await bench.prepare()
  await over(bench)
  await bench.type('11.6')
  await over(bench)
  await expect(bench.verdict).toContainText('open: no path where the card has one')
  await bench.touches('pin C', 'pin R')
  await over(bench)
  await bench.touches('pin R', 'pin S')
  expect((await stateOf(bench, world)).finding).toBe('undecided')
  await over(bench)
  const state = await stateOf(bench, world)
  expect(state.finding).toBe('fault-found')
  expect(state.relations).toEqual([{ id: 'kind', verdict: 'outside' }])
})

test('an armature with one low bar: twenty-three typed in a row, the odd one named by its number', async ({
  bench,
  world,
}) => {
  await bench.takeIn('winch motor armature')
  await bench.prepare({ first: /bar 1/i })
  for (let bar = 1; bar <= 23; bar++) {
    await expect(bench.title).toHaveText(new RegExp(`bar ${bar}\\b`, 'i'))
    await bench.type(bar === 9 ? '2.2' : `4.${2 + (bar % 3)}`)
  }
  await bench.goToTest('Touch both tips to bare shaft')
  await proveFrame(bench)
  await bench.touches('shaft')
  await over(bench)
  const state = await stateOf(bench, world)
  const out = state.verdicts.find((row) => row.check === 'bars')?.points.filter((point) => point.verdict === 'outside')
  expect(out?.map((point) => point.index)).toEqual([9])
  expect(state.finding).toBe('fault-found')
})

test('leads by length: a figure without its length says so, and a lead keeps its length while it is bent', async ({
  bench,
  world,
}) => {
  await bench.takeIn('lead set')
  await bench.prepare({ first: /lead 1/i })
  await bench.type('1.71k')
  await expect(bench.verdict).toContainText('over which length')
  await bench.press('ArrowUp')
  await bench.type('1.71k@.31')
  await bench.type('2.14k@38 cm')
  await bench.type('4.20k@.46')
  await expect(bench.verdict).toContainText('outside')
  await bench.press('ArrowDown')
  await bench.type('2.93k@.52')
  const state = await stateOf(bench, world)
  const points = state.verdicts.find((row) => row.check === 'still')?.points
  expect(points?.map((point) => [point.index, point.x, point.verdict])).toEqual([
    [1, 0.31, 'within'],
    [2, 0.38, 'within'],
    [3, 0.46, 'outside'],
    [4, 0.52, 'within'],
  ])
})

test('a sender read along its travel, worn at half', async ({ bench, world }) => {
  await bench.takeIn('tank sender')
  await bench.prepare({ first: /float at 0/i })
  for (const text of ['6.10', '48.2', '121.0']) await bench.type(text)
  await expect(bench.verdict).toContainText('wants a second touch')
  for (const text of ['121.3', '134.4', '178.1']) await bench.type(text)
  const state = await stateOf(bench, world)
  expect(state.finding).toBe('fault-found')
  expect(
    state.verdicts.find((row) => row.check === 'travel')?.points.filter((one) => one.verdict === 'outside'),
  ).toHaveLength(1)
})

test('a valve: insulation without its volts does not count, its draw fits, its plunger sticks', async ({
  bench,
  world,
}) => {
  await bench.takeIn('deck-valve')
  await bench.prepare()
  await bench.type('21.8')
  await proveFrame(bench)
  await bench.touches('frame')
  await bench.type('310M')
  await expect(bench.title).toHaveText(/^Insulation again: left blade and frame/)
  await expect(bench.tape).toContainText('not judged')
  await bench.type('512V 310M')
  await expect(bench.title).toHaveText('Switch it on')
  await bench.type('24.0')
  await bench.type('1.090')
  await expect(bench.page.getByText('draws volts over ohms')).toBeVisible()
  await expect(bench.title).toHaveText('A lamp in series')
  await bench.press('b')
  await expect(bench.title).toHaveText('Plunger travels both ways')
  await bench.press('b')
  const state = await stateOf(bench, world)
  expect(state.verdicts.find((row) => row.check === 'shell')).toMatchObject({
    verdict: 'within',
    reason: 'insulation-holds',
  })
  expect(state.relations).toEqual([{ id: 'r1', verdict: 'within' }])
  expect(state.verdicts.find((row) => row.check === 'travel')).toMatchObject({
    verdict: 'outside',
    reason: 'wrong-answer',
  })
})

test('an unmarked solenoid: a guess decides nothing, whatever it reads', async ({ bench, world }) => {
  await bench.takeIn('fog-bell')
  await bench.prepare()
  await bench.type('41.2')
  await expect(bench.tape).toContainText('borderline')
  expect((await stateOf(bench, world)).finding).toBe('undecided')
})
