import { expect, remarksOf, test, worked } from './job'

test('14: a stator that ohms cannot condemn; a coarse meter, content with continuity', async ({ bench, world }) => {
  await bench.takeIn('9 single', {
    history: 'used',
    complaint: 'hard to start',
    words: 'won’t fire on the cord, lamps burn lovely',
  })
  await bench.take('Yard meter Y6')
  await bench.press('n')
  await bench.say('seven thick coils for the lights, three thinner for ignition')
  await bench.press('Enter', 'a', 'b')
  await bench.type('18')
  await bench.goTo(/yellow and yellow/)
  await bench.type('0.8')
  await expect(bench.remark).toContainText('nobody zeroed them')
  await bench.press('z')
  await bench.type('0.2')
  await expect(bench.remark).toBeHidden()
  await expect(bench.tape).toContainText('0.8Ω')
  await bench.goTo(/black earth lead/)
  await bench.type('0.2')
  await expect(bench.verdict).toContainText('within')
  await bench.points('black earth lead to frame')
  await bench.type('0.2 @ flexed')
  await bench.goTo(/red and red/, 'ArrowUp')
  await bench.type('1.4')

  await bench.toFinding()
  await expect(bench.title).toContainText('Undecided')
  await bench.press('1')
  await bench.touches('frame')
  await bench.press('o')
  await bench.type('600')
  await expect(bench.verdict).toContainText('over range proves only more than 600')
  await bench.goTo('Touch both tips to bare frame', 'ArrowUp')
  await bench.type('0.2')
  for (let group = 0; group < 2; group++) {
    await bench.touches('frame')
    await bench.press('o')
    await bench.type('60M')
  }
  await bench.toFinding()
  await expect(bench.title).toContainText('No fault found by ohms')
  const page = bench.page.getByRole('main')
  await expect(page).toContainText('continuity only')
  await expect(page).toContainText('Shorted turns can hide from ohms')
  await bench.press('e')
  await bench.say('Ohms right, still doubted.')
  const view = await worked('14', bench, world)
  const remarks = remarksOf(view)
  for (const id of ['meter-cannot', 'static-only']) expect(remarks).toContain(id)
  for (const id of ['leads-matter', 'reads-like-leads', 'zero-or-open']) expect(remarks).not.toContain(id)
})
