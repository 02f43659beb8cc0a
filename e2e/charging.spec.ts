import { stateOf, verdicts, work } from './kindSteps'
import { expect, test } from './world'

/** Legs, pickup, and every lead open to the frame, still and bent. */
const soundAtRest = ['.62', '.63', '.625', '137', 'frame', 'OL', 'OL', 'OL', 'OL', 'OL']

test('a charging stator: figures of tenths wait for the leads, legs alike, and output decides', async ({
  bench,
  world,
}) => {
  await bench.takeIn('60 charging')
  await bench.prepare({ zero: false })
  await bench.type('.91')
  await expect(bench.remark).toContainText('leads')
  await bench.press('a')
  await expect(bench.title).toHaveText('Touch the tips together')
  await bench.type('0.30')
  await work(bench, [...soundAtRest, 'machine', '40.8 @ 3000 rpm', '41.2', '41.0', 'bench'])
  const state = await stateOf(bench, world)
  expect(state.finding).toBe('no-fault-found')
  expect(state.relations[0]?.verdict).not.toBe('outside')
})

test('a charging stator with a weak leg reads right and fails at speed', async ({ bench, world }) => {
  await bench.takeIn('60 charging')
  await bench.prepare()
  await work(bench, [...soundAtRest, 'machine', '40.8 @ 3000 rpm', '21.0', '21.1', '41.0'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ uv: 'within', volts: 'outside' })
  expect(state.finding).toBe('fault-found')
})

test('a charging stator that gives its volts while the battery is not charged: look beyond it', async ({
  bench,
  world,
}) => {
  await bench.takeIn('60 charging')
  await bench.prepare()
  await work(bench, [...soundAtRest, 'machine', '40.8 @ 3000 rpm', '41.2', '41.0'])
  await expect(bench.page.getByText('Engine off for an hour.')).toBeVisible()
  await bench.type('12.61')
  await expect(bench.page.getByText('Loaded with the lamps, at 3000\u2009rpm.')).toBeVisible()
  await work(bench, ['12.58', '12.58'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ volts: 'within', rest: 'within', charge: 'outside' })
  expect(Object.fromEntries(state.relations.map((one) => [one.id, one.verdict]))).toMatchObject({ r2: 'outside' })
})

test('a rewound charging stator is judged by the limits of rewound ones', async ({ bench, world }) => {
  await bench.takeIn('harbour light', { history: 'rewound' })
  await bench.prepare()
  await work(bench, ['.75', 'frame', 'OL', '42.5 @ 2600 rpm'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ ring: 'within', volts: 'within' })
})
