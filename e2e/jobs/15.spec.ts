import type { RunView } from '@sure-spool/contract'
import type { BenchPage } from '../benchPage'
import { settled } from '../controls'
import { facts, heading, say } from '../winderPage'
import { expect, remarksOf, test, viewOf, worked, type World } from './job'

/** Found on its frame by the beeper, decided to be rewound, and at the winder with its ten poles. */
async function toWinder(bench: BenchPage, world: World): Promise<void> {
  const { page } = bench
  await bench.takeIn('harbour light', { words: 'the light faded, now the battery is flat' })
  await bench.press('Enter', 'a')
  await bench.goTo('Touch both tips to bare')
  await bench.take('Yard meter Y6')
  await bench.type('0.3')
  await bench.press('y')
  const found = await viewOf(bench, world)
  expect(found.state.causes).toMatchObject([{ kind: 'to-frame', of: ['ring'], ohms: 35 }])
  await bench.press('d')
  await expect(bench.title).toContainText('under 35')
  await settled(page)
  await bench.press('b')
  await bench.say('film cut at pole 4')
  await expect(page.getByText('Decided: rewind')).toBeVisible()
  await bench.press('r')
  await say(bench, '10')
  await expect(heading(bench)).toHaveText('Unwind pole 1, and count')
  await settled(page)
}

/** Wound as it was: a beep at pole 3, pole 4 first laid like it, pole 7 counted one short. */
async function wind(bench: BenchPage): Promise<void> {
  await bench.type('12, 11, 8')
  await say(bench, 'cw from outside')
  await say(bench, 'inside; over the top to pole 2')
  await expect(heading(bench)).toHaveText('How thick is its wire?')
  await bench.press('h', 'h')
  await bench.type('0.968')
  await expect(facts(bench)).toContainText('fits more than one wire')
  await bench.type('5x 4.81')
  await bench.press('n')
  await say(bench, 'film cut at pole 4, at the corner')
  await bench.press('a')
  await expect(heading(bench)).toHaveText('What is pole 1 to be?')
  await bench.page.getByLabel('mean turn, mm').fill('88')
  await bench.page.keyboard.press('Control+Enter')
  await expect(heading(bench)).toHaveText('Turn the machine once, by hand')
  await bench.press('a')
  await expect(facts(bench)).toContainText('27.3')
  await expect(facts(bench)).toContainText('154')
  await expect(facts(bench)).toContainText('0.739')
  await bench.press('g')
  for (let pole = 1; pole <= 10; pole++) {
    await expect(heading(bench)).toContainText(`Wind pole ${pole},`)
    if (pole === 3) {
      await bench.type('12')
      await bench.press('y')
      await expect(facts(bench)).toContainText('beeped on pole 3 at turn 12')
      await bench.press('u')
    }
    await bench.type(pole === 7 ? '30' : '31')
    if (pole === 4) await bench.press('q')
    await bench.press('Enter')
    if (pole !== 4) continue
    await expect(facts(bench)).toContainText('works against its neighbours')
    await bench.press('ArrowUp')
    await expect(heading(bench)).toContainText('Wind pole 4,')
    await bench.press('a')
    await bench.type('31')
    await bench.press('Enter')
  }
  await expect(facts(bench)).toContainText('Pole 7 has 30 turns')
  await say(bench, 'shellac')
  await say(bench, 'varnish over it, bake 110 C 2 h')
  await say(bench, 'leads soldered and sleeved')
  await expect(heading(bench)).toHaveText('Let it cool, then prove it')
  await settled(bench.page)
  await bench.press('Enter')
  await expect(bench.title).toHaveText('Look at the part')
  await settled(bench.page)
}

/** On the bench again, with its leads zeroed by arithmetic. */
async function ready(bench: BenchPage): Promise<void> {
  await bench.press('Enter', 'a')
  await bench.press('b')
  await bench.type('20')
  await expect(bench.title).toHaveText('Touch the tips together')
  await bench.take('Yard meter Y6')
  await bench.type('1.1')
}
const verdictOf = ({ state }: RunView, check: string) => state.verdicts.find((row) => row.check === check)?.verdict

test('15: a ring wound by hand; beeper first, the winder, then ohms by volts and amperes and its output at speed', async ({
  bench,
  world,
}) => {
  test.slow()
  const { page } = bench
  await toWinder(bench, world)
  await wind(bench)
  await ready(bench)
  await bench.goTo('Ohms: lead 1 and lead 2')
  await bench.type('1.8')
  const coarse = await viewOf(bench, world)
  expect(remarksOf(coarse)).toEqual(expect.arrayContaining(['poor-leads', 'meter-cannot']))
  await expect(page.getByText(/drive a steady current through it and type both/)).toBeVisible()
  await bench.goTo('Ohms: lead 1 and lead 2', 'ArrowUp')
  await bench.type('0.744V / 1.00A')
  expect(verdictOf(await viewOf(bench, world), 'ring')).toBe('within')
  await bench.goTo('Touch both tips to bare frame', 'ArrowUp')
  await bench.type('0.3')
  await bench.touches('frame')
  await bench.press('u')
  expect(remarksOf(await viewOf(bench, world))).toContain('ground-ceiling')
  expect(verdictOf(await viewOf(bench, world), 'frame')).toBe('none')
  await bench.type('OL 60M')
  expect(verdictOf(await viewOf(bench, world), 'frame')).toBe('within')
  // the varnish stays tacky: another coat opens a stage, and both are asked again
  await bench.press('w')
  await say(bench, 'varnished')
  for (let step = 0; step < 2; step++) {
    await bench.press('Escape')
    await expect(bench.title).toHaveText(/frame|Ohms/)
    await settled(page)
    const isFrame = (await bench.title.textContent())?.includes('frame') ?? false
    await bench.type(isFrame ? 'OL 60M' : '0.745V / 1.00A')
    await expect(bench.tape.getByRole('listitem').last()).toContainText(isFrame ? '60' : '0.745')
  }
  await bench.goTo('Volts AC at speed')
  await bench.take('Multimeter M2')
  await bench.type('43.4')
  await expect(bench.remark).toContainText('speed')
  await bench.press('a')
  await say(bench, '2570 rpm')
  await bench.press('d')
  await expect(bench.title).toContainText('No fault found, at rest and at speed.')
  await settled(page)
  await bench.press('a')
  await bench.say('as it was, and proved')
  const view = await worked('15', bench, world)
  expect(view.state.finding).toBe('no-fault-found')
  expect(remarksOf(view)).not.toContain('retest-missing')
})

test('15, caught: after baking the core reads some ohms, and what they are of is asked', async ({ bench, world }) => {
  await bench.takeIn('harbour light', { history: 'rewound' })
  await ready(bench)
  await bench.goTo('Touch both tips to bare frame')
  await bench.type('0.3')
  await bench.touches('frame')
  await bench.type('310')
  await expect(bench.remark).toContainText(/Ω|prefix|mega/i)
  await bench.press('o')
  const view = await viewOf(bench, world)
  expect(view.state.causes).toMatchObject([{ kind: 'to-frame', of: ['ring'], ohms: expect.closeTo(309, 0) }])
})

test('15, caught: at 2300 rpm the output stays unjudged', async ({ bench, world }) => {
  await bench.takeIn('harbour light', { history: 'rewound' })
  await ready(bench)
  await bench.goTo('Volts AC at speed')
  await bench.take('Multimeter M2')
  await bench.type('43.4 @ 2300 rpm')
  const { state } = await viewOf(bench, world)
  expect(state.verdicts.find(({ check }) => check === 'volts')).toMatchObject({
    verdict: 'none',
    reason: 'conditions-not-met',
  })
})
