import type { RewindList } from '@sure-spool/contract'
import type { BenchPage } from '../benchPage'
import { pick, settled } from '../controls'
import { facts, heading, say } from '../winderPage'
import { expect, remarksOf, test, viewOf, worked, type World } from './job'

const main = (bench: BenchPage) => bench.page.getByRole('main')

/** One coil only is heard; the first reads right through the controls, the second like the control alone. */
async function throughTheControls(bench: BenchPage, second = '0.328M'): Promise<void> {
  await bench.takeIn('two-coil pickup', { words: 'the drones sound as if next door' })
  await bench.goTo('heard')
  await bench.press('b')
  await bench.goTo('How warm')
  await bench.press('b')
  await bench.type('20')
  await bench.goTo(/^Ohms.*red and white/)
  await bench.type('4.29k')
  await expect(bench.remark).toContainText('parallel')
  await bench.press('a')
  await expect(bench.title).toHaveText('Make it safe')
  await bench.press('d')
  await bench.say('330k')
  await expect(bench.tape).toContainText('still in circuit')
  await bench.goTo(/^Ohms.*green and black/)
  await expect(main(bench)).toContainText('expect 4.293 kΩ')
  await bench.type(second)
}

/** How the part is kept apart now: a lifted lead, or in circuit beside the control. */
async function isolate(bench: BenchPage, key: 'c' | 'd', words: string): Promise<void> {
  await bench.goTo('Make it safe', 'ArrowUp')
  await bench.press(key)
  await bench.say(words)
  await settled(bench.page)
}

async function atWinder(bench: BenchPage): Promise<void> {
  const { page } = bench
  await bench.press('d')
  await expect(bench.title).toHaveText('Second coil open; 2.6 MΩ leaks across the break.')
  await expect(main(bench)).toContainText('Magnets alike: 18 mT, 17 mT, both north.')
  await settled(page)
  await bench.press('a')
  await bench.say('shorted in itself')
  await expect(page.getByRole('alert')).toContainText('Shorted turns lower resistance')
  await page.locator('#ask-words').fill('')
  await bench.say('open inside; its neighbour is whole')
  await expect(page.getByText('Decided: rewind')).toBeVisible()
  await bench.press('r')
  await say(bench, '1')
  await expect(heading(bench)).toHaveText('Unwind second coil, and count')
  await settled(page)
}

async function wind(bench: BenchPage): Promise<void> {
  const { page } = bench
  await bench.press('x')
  await say(bench, 'counter-clockwise seen from the cover')
  await say(bench, 'deep at the right lug; over the top to the left lug')
  await expect(heading(bench)).toHaveText('How thick is its wire?')
  await bench.press('h')
  await bench.type('10x 0.56')
  await bench.press('n')
  await say(bench, 'nothing seen inside')
  await bench.press('a')
  await expect(heading(bench)).toHaveText('What is second coil to be?')
  await page.getByRole('button', { name: /the card’s figure/ }).click()
  await pick(page, 'the room it has', 'ohms a thousand turns')
  await page.getByLabel('ohms of a thousand').fill('950')
  await expect(page.getByRole('row', { name: /gauge 44/ })).toContainText('4579')
  await pick(page, 'the room it has', 'flat core, round ends')
  for (const [label, text] of [
    ['core length, mm', '46'],
    ['core width, mm', '9'],
    ['traverse, mm', '9'],
    ['packing', '0.7'],
  ] as const)
    await page.getByLabel(label).fill(text)
  await expect(page.getByRole('row', { name: /gauge 44/ })).toContainText(/4574.*500/)
  await pick(page, 'what is aimed at', 'turns')
  await page.getByRole('textbox', { name: 'turns', exact: true }).fill('4600')
  await expect(page.getByRole('row', { name: /gauge 44/ })).toContainText('4.377')
  await page.keyboard.press('Control+Enter')
  await expect(facts(bench)).toContainText('Which way the machine lays is not settled')
  await bench.press('b')
  await expect(heading(bench)).toHaveText('Wind second coil, counter-clockwise')
  await expect(page.getByText('turn the machine clockwise')).toBeVisible()
  await bench.type('3100')
  await bench.press('n')
  await say(bench, 'a lump at the right end, evened')
  await bench.type('4600')
  await bench.press('Enter')
  await say(bench, 'leads soldered to their lugs')
  await expect(heading(bench)).toContainText('Touch iron to second coil, then to first coil')
  await bench.press('b')
  await expect(facts(bench)).toContainText('with magnets alike they add the hum of mains as well')
  await expect(heading(bench)).toHaveText('Let it cool, then prove it')
  await settled(page)
  await bench.press('Enter')
  await expect(bench.title).toHaveText('Look at the part')
  await settled(page)
}

/** Ohms beside its neighbour's, waxed, hot and cold, to frame again, and back in its instrument. */
async function prove(bench: BenchPage, world: World): Promise<void> {
  await bench.press('Enter', 'd')
  await bench.say('330k')
  await expect(bench.title).toHaveText('How warm is it?')
  await bench.press('a')
  await bench.type('20')
  await bench.goTo(/^Ohms.*red and white/)
  await bench.type('4.29k')
  await isolate(bench, 'c', 'green, shield')
  await bench.goTo(/^Ohms.*green and black/, 'ArrowUp')
  await bench.type('4.47k')
  const soldered = await viewOf(bench, world)
  expect(soldered.state.verdicts.find(({ check }) => check === 'second')).toMatchObject({ verdict: 'within' })
  expect(soldered.state.relations).toMatchObject([{ id: 'r1', verdict: 'within' }])
  expect(remarksOf(soldered)).toContain('part-warm')
  await bench.press('w')
  await bench.say('waxed second coil')
  await bench.goTo(/^Ohms.*green and black/, 'ArrowUp')
  await bench.type('4.90k')
  await expect(main(bench)).toContainText('At 44 °C it would read so')
  await bench.goTo(/^Ohms.*green and black/, 'ArrowUp')
  await bench.press('t')
  await bench.type('4.48k')
}

test('16: the drone coil of a hurdy-gurdy; through the controls, opened little, rewound to its neighbour', async ({
  bench,
  world,
}) => {
  test.slow()
  const { page } = bench
  await throughTheControls(bench)
  await expect(bench.verdict).toContainText('as much as the 330 kΩ beside it reads alone')
  await bench.goTo('Look at', 'ArrowUp')
  await bench.press('Enter')
  await bench.press('l')
  await bench.say('corroded the base plate')
  await bench.points('field first coil')
  await bench.type('18m @ north')
  await bench.points('field second coil')
  await bench.type('17m @ north')
  await bench.press('w')
  await bench.say('reflowed second coil')
  await bench.goTo(/^Ohms.*green and black/)
  await bench.type('0.328M')
  await isolate(bench, 'c', 'green')
  await bench.goTo(/^Ohms.*green and black/)
  await bench.type('2.6M')
  const found = await viewOf(bench, world)
  expect(found.state.causes).toMatchObject([{ kind: 'winding-open', of: ['second'] }])
  expect(remarksOf(found)).toContain('leak-over-break')
  for (const id of ['prefix-jump', 'reads-like-leads', 'part-warm', 'repeats-apart'])
    expect(remarksOf(found)).not.toContain(id)
  await atWinder(bench)
  await wind(bench)
  await prove(bench, world)
  expect(remarksOf(await viewOf(bench, world))).toContain('no-ground-after')
  await bench.goTo('shield and baseplate')
  await bench.type('0.6')
  await bench.goTo('Touch both tips to bare baseplate')
  await bench.type('0.1')
  for (const coil of ['red', 'green']) {
    await bench.goTo(`${coil} and baseplate`)
    await bench.press('o', 'Enter')
  }
  for (const lead of ['green', 'shield']) {
    await bench.press('w')
    await bench.say(`refitted ${lead}`)
  }
  await isolate(bench, 'd', '330k')
  await bench.goTo(/^Ohms.*green and black/, 'ArrowUp')
  await bench.press('t')
  await expect(main(bench)).toContainText('Expect 4.420 kΩ: it read 4.48 kΩ bare, 330 kΩ in parallel with it.')
  await bench.type('4.42k')
  await bench.goTo('heard')
  await bench.press('a')
  await bench.press('d')
  await expect(bench.title).toContainText('No fault found')
  await expect(main(bench)).toContainText('Second coil reads 4.48 kΩ, 3 % over first coil.')
  await settled(page)
  await bench.press('a')
  await bench.say('both sound, full together')
  const view = await worked('16', bench, world)
  expect(view.state).toMatchObject({ finding: 'no-fault-found', causes: [], untested: ['henries1', 'henries2'] })
  expect(remarksOf(view)).not.toContain('repeats-apart')
  expect(view.run.compare).toMatchObject([{ as: 'earlier', failed: ['second'] }])
  const { rewinds } = await world.get<RewindList>(`/units/${view.run.unit.id}/rewinds`)
  await page.goto(`${bench.address}/rewinds/${rewinds[0]?.id ?? ''}/sheet`)
  const sides = page.getByRole('table', { name: 'Ohms before, planned and after' })
  await expect(sides).toContainText('2.6 MΩ, outside')
  await expect(sides).toContainText('4.377 kΩ')
  await expect(sides).toContainText('4.42 kΩ, within')
})

test('16, caught: whole again after its lugs were reflowed, it was a joint there, mended', async ({ bench, world }) => {
  await throughTheControls(bench)
  await bench.press('w')
  await bench.say('reflowed second coil')
  await bench.points('green black ohms')
  await bench.type('4.29k')
  const { state } = await viewOf(bench, world)
  expect(state).toMatchObject({ causes: [], finding: 'undecided' })
  await bench.press('d')
  await expect(main(bench)).toContainText('Second coil: 328 kΩ before it was reflowed, 4.29 kΩ since.')
  await expect(bench.page.getByRole('button', { name: /^rewind/ })).toHaveCount(0)
})

test('16, caught: 3.00 kΩ with a lead lifted is turns short, about a third of them', async ({ bench, world }) => {
  await throughTheControls(bench, '2.97k')
  await isolate(bench, 'c', 'green')
  await bench.points('green black ohms')
  await bench.type('3.00k')
  await bench.press('d')
  await settled(bench.page)
  await bench.press('a')
  await bench.say('shorted in itself')
  const view = await viewOf(bench, world)
  expect(view.state.causes).toMatchObject([{ kind: 'winding-low', of: ['second'], share: expect.closeTo(0.31, 2) }])
  await expect(bench.title).toContainText('Second coil 31 % low: turns short')
  expect(remarksOf(view)).not.toContain('high-is-not-shorted')
})
