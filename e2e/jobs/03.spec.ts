import type { BenchPage } from '../benchPage'
import { pick, settled } from '../controls'
import { facts, heading, say } from '../winderPage'
import { expect, remarksOf, test, viewOf, worked, type World } from './job'

const main = (bench: BenchPage) => bench.page.getByRole('main')

let taken = 0
/** A part of which nobody has a card: what it is, and what of it can be touched. */
const sketched = (bench: BenchPage): Promise<void> =>
  bench.takeInSketch({
    find: 'Zither',
    name: 'drone pickup',
    family: 'pickup',
    points: 'brown, yellow, pink, blue, shield',
    tag: `D-${process.pid}-${++taken}-drone`,
    words: 'not a peep since the damp winter',
  })

/** Nothing seen, loose, its warmth measured, the pocket meter in hand. */
async function ready(bench: BenchPage, celsius: string): Promise<void> {
  await bench.press('Enter', 'a')
  await expect(bench.title).toHaveText('How warm is it?')
  await settled(bench.page)
  await bench.press('b')
  await bench.type(celsius)
  await bench.take('Pocket meter P6')
}

/** Told and read open from end to end, ever higher; then coil by coil, in farads too, and to its frame. */
async function read(bench: BenchPage, world: World): Promise<void> {
  await ready(bench, '20')
  await bench.points('brown blue told about 11.6k, whole, yellow and pink joined')
  await bench.type('OL 6k')
  await expect(bench.remark).toContainText('proves only more than 6 kΩ')
  await bench.press('a')
  await bench.type('OL 60k')
  expect((await viewOf(bench, world)).state.causes).toEqual([])
  for (let touch = 0; touch < 2; touch++) {
    await bench.points('brown blue')
    await bench.type('OL 6M')
  }
  await bench.press('w')
  await bench.say('unsoldered the joint')
  for (const pair of ['brown pink', 'yellow pink', 'yellow blue', 'brown yellow', 'pink blue']) {
    await bench.points(pair)
    await bench.type('OL 6M')
  }
  await bench.goTo('shield and frame')
  await bench.press('y')
  await bench.goTo('Touch both tips')
  await bench.type('0.2')
  for (const wire of ['brown', 'yellow', 'pink', 'blue']) {
    await bench.goTo(`${wire} and frame`)
    await bench.press('u')
  }
  for (const [words, text] of [
    ['brown yellow henries', '380m'],
    ['brown yellow farads', '160p'],
    ['pink blue farads', '22p'],
    ['brown blue farads', '9p'],
  ] as const) {
    await bench.points(words)
    await bench.type(text)
  }
  await expect(main(bench)).toContainText('brown with yellow 160 pF')
  await expect(main(bench)).toContainText('pink with blue 22 pF')
  await bench.points('brown yellow told 5.8k, upper coil')
  await bench.type('OL 6M')
  await bench.points('pink blue told 5.8k, lower coil')
  await bench.type('52.3M')
}

/** Tapped through an amplifier: a coil that is heard is not whole for that. */
async function tap(bench: BenchPage): Promise<void> {
  for (const [words, answer] of [
    ['tap brown yellow', 'a'],
    ['tap pink blue', 'c'],
  ] as const) {
    await bench.points(words)
    await expect(bench.title).toHaveText(words.replace(/tap (\w+) (\w+)/, 'Tap, $1–$2'))
    await settled(bench.page)
    await bench.press(answer)
  }
}

/** One coil as it was found; the second like the first. */
async function strip(bench: BenchPage, coil: string): Promise<void> {
  await expect(heading(bench)).toHaveText(`Unwind ${coil}, and count`)
  await settled(bench.page)
  await bench.press('x')
  await say(bench, 'cw seen from the cover')
  await say(bench, 'deep at the left lug; over the top to the right lug')
  await expect(heading(bench)).toHaveText('How thick is its wire?')
  await settled(bench.page)
  if (coil === 'upper coil') {
    await bench.press('h')
    await bench.type('0.055')
    await expect(facts(bench)).toContainText('fits more than one wire')
  }
  await bench.type('13x 0.72')
  await expect(facts(bench)).not.toContainText('fits more than one wire')
  await bench.page.getByRole('button', { name: /gauge 44/ }).click()
}

async function plan(bench: BenchPage, coil: string): Promise<void> {
  const { page } = bench
  await expect(heading(bench)).toHaveText(`What is ${coil} to be?`)
  await page.getByRole('button', { name: /the card’s figure/ }).click()
  await pick(page, 'the room it has', 'flat core, round ends')
  for (const [label, text] of [
    ['core length, mm', '58'],
    ['core width, mm', '5.5'],
    ['traverse, mm', '7.2'],
    ['packing', '0.62'],
  ] as const)
    await page.getByLabel(label).fill(text)
  await expect(page.getByRole('row', { name: /gauge 44/ })).toContainText(/5006.*667/)
  await page.keyboard.press('Control+Enter')
}

/** Both coils, the first looked over half way and stopped where it will read as planned. */
async function wind(bench: BenchPage): Promise<void> {
  for (const coil of ['upper coil', 'lower coil']) await strip(bench, coil)
  for (const coil of ['upper coil', 'lower coil']) await plan(bench, coil)
  await expect(facts(bench)).toContainText('Which way the machine lays is not settled')
  await bench.press('c')
  await expect(heading(bench)).toHaveText('Wind upper coil, clockwise')
  await bench.type('2400 2.74k @ 22')
  await expect(facts(bench)).toContainText(/4910 turns/)
  for (const coil of ['upper coil', 'lower coil']) {
    await expect(heading(bench)).toHaveText(`Wind ${coil}, clockwise`)
    await bench.type('4910')
    await bench.press('Enter')
  }
  await say(bench, 'taped')
  await say(bench, 'wax, 66 C, 8 min')
  await say(bench, 'leads fixed')
  await expect(heading(bench)).toContainText('Touch iron to lower coil, then to upper coil')
  await bench.press('c')
  await expect(heading(bench)).toHaveText('Let it cool, then prove it')
  await settled(bench.page)
  await bench.press('Enter')
  await expect(bench.title).toHaveText('Look at the part')
  await settled(bench.page)
}

test('03: two dead coils of a part without a card, both rewound', async ({ bench, world }) => {
  test.slow()
  const { page } = bench
  await sketched(bench)
  await read(bench, world)
  await tap(bench)
  await bench.press('l')
  await bench.say('corroded, broken wire at the lower start, at the flange')
  const found = await viewOf(bench, world)
  expect(found.state.causes).toMatchObject([{ kind: 'winding-open' }, { kind: 'winding-open' }])
  for (const id of ['over-on-low-range', 'ac-on-open', 'leak-over-break', 'ground-ceiling', 'tests-disagree'])
    expect(remarksOf(found)).toContain(id)
  await bench.press('d')
  await expect(bench.title).toHaveText('Upper coil open. Lower coil open; 52 MΩ leaks across the break.')
  await expect(main(bench)).toContainText('Seen at the lower start, at the flange: corroded, broken wire.')
  await settled(page)
  await bench.press('a')
  await bench.say('both open, one snapped at its flange')
  await expect(page.getByText('Decided: rewind')).toBeVisible()
  await bench.press('r')
  await say(bench, '1')
  await wind(bench)
  const begun = await viewOf(bench, world)
  expect(begun.run.card).toMatchObject({ state: 'sketch', revision: 2 })
  expect(begun.run.card.windings.map(({ label }) => label)).toEqual(['upper coil', 'lower coil'])
  await ready(bench, '44')
  await bench.points('brown blue')
  await bench.type('12.70k')
  await expect(bench.tape).toContainText('12.70')
  const hot = await viewOf(bench, world)
  expect(hot.state.verdicts.find(({ check }) => check === 't1-t4')).toMatchObject({
    verdict: 'borderline',
    reason: 'guess',
  })
  expect(remarksOf(hot)).toContain('no-ground-after')
  await bench.goTo('How warm', 'ArrowUp')
  await bench.press('b')
  await bench.type('20')
  for (const [pair, text] of [
    ['brown yellow', '5.82k'],
    ['pink blue', '5.79k'],
    ['brown blue', '11.61k'],
  ] as const) {
    await bench.points(pair)
    await bench.type(text)
  }
  await bench.goTo('shield and frame')
  await bench.press('y')
  await bench.goTo('Touch both tips')
  await bench.type('0.2')
  for (const wire of ['brown', 'pink']) {
    await bench.goTo(`${wire} and frame`)
    await bench.press('u')
    await bench.points(`${wire} frame`)
    await bench.type('OL 60M')
  }
  await bench.goToTest('No fault found')
  await settled(page)
  await bench.press('a')
  await bench.say('both wound to 4910 turns, sum holds')
  const view = await worked('03', bench, world)
  expect(view.state.relations).toMatchObject([{ id: 'told-sum-t1-t4', verdict: 'within' }])
  for (const id of ['no-ground-after', 'retest-missing', 'repeats-apart']) expect(remarksOf(view)).not.toContain(id)
})

test('03, caught: each coil reads right and only the whole is open: a joint, and nothing to rewind', async ({
  bench,
}) => {
  const { page } = bench
  await sketched(bench)
  await ready(bench, '20')
  await bench.points('brown blue told about 11.6k, whole, yellow and pink joined')
  await bench.points('brown yellow told 5.8k, upper coil')
  await bench.type('5.81k')
  await bench.points('pink blue told 5.8k, lower coil')
  await bench.type('5.78k')
  for (let touch = 0; touch < 2; touch++) {
    await bench.points('brown blue')
    await bench.type('OL 6M')
  }
  await bench.press('d')
  await expect(bench.title).toHaveText('The joint of yellow and pink is open.')
  await expect(page.getByRole('button', { name: /^rewind/ })).toHaveCount(0)
})

test('03, caught: blue beeps to the frame after fixing: shorted, and not closed', async ({ bench, world }) => {
  await sketched(bench)
  await ready(bench, '20')
  await bench.points('pink blue told 5.8k, lower coil')
  await bench.type('5.79k')
  await bench.goTo('Touch both tips')
  await bench.type('0.2')
  await bench.goTo('pink and frame')
  await bench.press('w')
  await bench.say('fixed lower coil')
  await bench.goTo('pink and frame')
  await bench.press('y')
  const { state } = await viewOf(bench, world)
  expect(state.causes).toMatchObject([{ kind: 'to-frame', of: ['told-t3-t4'] }])
  expect(state.verdicts.find(({ check }) => check === 'frame')).toMatchObject({ verdict: 'outside', reason: 'shorted' })
})
