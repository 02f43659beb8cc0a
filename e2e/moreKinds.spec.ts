import { stateOf, verdicts, work } from './kindSteps'
import { expect, test } from './world'

test('a twin-tower coil: kilo typed for ohms is caught, the secondary is open', async ({ bench, world }) => {
  await bench.takeIn('twin-tower')
  await bench.prepare()
  await bench.type('.78')
  await bench.type('12.3*')
  await expect(bench.remark).toBeVisible()
  await bench.press('a')
  await work(bench, ['frame', 'OL', 'OL'])
  expect(verdicts(await stateOf(bench, world))).toMatchObject({
    primary: 'within',
    secondary: 'within',
    frame: 'within',
  })
  await bench.takeIn('twin-tower')
  await bench.prepare()
  await work(bench, ['.78', 'OL', 'OL'])
  expect((await stateOf(bench, world)).finding).toBe('fault-found')
})

test('a canister coil: the other way to its secondary reads the primary more, and no more', async ({
  bench,
  world,
}) => {
  await bench.takeIn('canister')
  await bench.prepare()
  await work(bench, ['1.52', '10.40k', '10.40k', 'frame', 'OL'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ primary: 'within', secondary: 'within', other: 'within', case: 'within' })
  expect(state.finding).toBe('no-fault-found')
})

test('a coil pack known in words: the shop’s own limits decide nothing, an open secondary does', async ({
  bench,
  world,
}) => {
  await bench.takeIn('galley-burner')
  await bench.prepare()
  await expect(bench.page.getByText('2 mm plug pin')).toBeVisible()
  await bench.type('1.9')
  await bench.type('7.4k')
  await expect(bench.tape).toContainText('borderline')
  await bench.press('ArrowUp')
  await work(bench, ['OL', 'OL'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ primary: 'borderline', secondary: 'outside' })
})

test('an injector solenoid: the lead zero decides, and insulation wants its volts', async ({ bench, world }) => {
  await bench.takeIn('metering')
  await bench.prepare()
  await work(bench, ['1.47', 'frame', '512V 120M'])
  const state = await stateOf(bench, world)
  expect(state.finding).toBe('no-fault-found')
  await bench.takeIn('metering')
  await bench.prepare()
  await work(bench, ['.71', '.70', '.71'])
  expect((await stateOf(bench, world)).finding).toBe('fault-found')
})

test('a clutch and brake through the body: a path to frame is not a fault, a weak draw says so', async ({
  bench,
  world,
}) => {
  await bench.takeIn('capstan')
  await bench.prepare()
  await work(bench, ['8.9', '19.5'])
  await expect(bench.title).toHaveText('Switch it on')
  await work(bench, ['24.0', '2.69', '.82'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ clutch: 'within', brake: 'within' })
  expect(state.relations[0]).toEqual({ id: 'r1', verdict: 'within' })
  expect(state.relations[1]?.verdict).not.toBe('within')
  expect(state.remarks.map((one) => one.id)).toContain('expected-current')
})

test('a make relay that closes with a bad contact', async ({ bench, world }) => {
  await bench.takeIn('make relay')
  await bench.prepare()
  await work(bench, ['84', 'OL'])
  await expect(bench.title).toHaveText('Switch it on')
  await work(bench, ['12.2', '1.9', '1.8'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)['coil']).toBe('within')
  expect(verdicts(state)['driven']).not.toBe('within')
})

test('a two-coil pickup: one coil half dead, its inductance with it', async ({ bench, world }) => {
  await bench.takeIn('two-coil')
  await bench.prepare()
  await work(bench, ['4.36k', '1.11', '2.2k', '2.21k', '.42'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ first: 'within', henries1: 'within', second: 'outside', henries2: 'outside' })
  expect(state.finding).toBe('fault-found')
})

test('a pickup is heard through its amplifier: support, never the decision', async ({ bench, world }) => {
  await bench.takeIn('two-coil')
  await bench.prepare()
  await work(bench, ['4.36k', '1.11', '4.34k', '1.1', '.4', 'frame', 'OL', 'OL'])
  await expect(bench.page.getByText('decides nothing by itself')).toBeVisible()
  await bench.page.getByRole('button', { name: 'one sounds' }).click()
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ first: 'within', second: 'within', heard: 'borderline' })
  expect(state.finding).not.toBe('fault-found')
})

test('an inverter compressor is balanced, a single-winding one has one pair', async ({ bench, world }) => {
  await bench.takeIn('C5')
  await bench.prepare()
  await work(bench, ['1.85', '1.86', '1.84', 'frame', '510V 80M'])
  const even = await stateOf(bench, world)
  expect(even.relations).toEqual([
    { id: 'kind', verdict: 'within' },
    { id: 'even', verdict: 'within' },
  ])
  expect(even.finding).toBe('no-fault-found')
  await bench.takeIn('C7')
  await bench.prepare()
  await work(bench, ['9.4', 'OL', 'OL', 'frame', '510V 80M'])
  const single = await stateOf(bench, world)
  expect(single.relations).toEqual([{ id: 'kind', verdict: 'within' }])
})

test('a thermistor off its curve when hot', async ({ bench, world }) => {
  await bench.takeIn('coolant sender')
  await bench.prepare({ first: ' at 20' })
  await work(bench, ['1.05k', '515', '270', '190', '191', '130', '131'])
  const state = await stateOf(bench, world)
  expect(state.verdicts.find((row) => row.check === 'heat')?.points.map((point) => point.verdict)).toEqual([
    'within',
    'within',
    'within',
    'outside',
    'outside',
  ])
})

test('a speed pickup that reads right and gives too little', async ({ bench, world }) => {
  await bench.takeIn('shaft-speed')
  await bench.prepare()
  await work(bench, ['866', 'frame', 'OL', '.4 @ 500 rpm'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ coil: 'within', frame: 'within', volts: 'outside' })
})

test('source, lighting and trigger coils: the wire chafes only while it is flexed', async ({ bench, world }) => {
  await bench.takeIn('source and trigger')
  await bench.prepare()
  await work(bench, ['350', '1.1', '45', 'frame'])
  await work(bench, ['OL', 'OL', 'OL'])
  await expect(bench.title).toContainText('lead bent:')
  await bench.type('3.2')
  await expect(bench.remark).toContainText('Ω, k, M or G?')
  expect((await stateOf(bench, world)).finding).toBe('undecided')
  await bench.press('o')
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ frame: 'within', flex: 'outside' })
  expect(state.finding).toBe('fault-found')
})

test('a coarse-wire stator: ohms prove little, volts decide', async ({ bench, world }) => {
  await bench.takeIn('9 single')
  await bench.prepare()
  await work(bench, ['.56', '1.24', '.05', 'frame', 'OL', 'OL', '18.2 @ 1200 rpm'])
  const state = await stateOf(bench, world)
  expect(verdicts(state)).toMatchObject({ lighting: 'within', ignition: 'within', volts: 'within' })
  expect(state.finding).toBe('no-fault-found')
})
