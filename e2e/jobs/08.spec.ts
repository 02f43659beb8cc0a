import { expect, remarksOf, test, viewOf, worked } from './job'

test('08: misses from half throttle up; the suspected coil first, a knob meter, points off the card', async ({
  bench,
  world,
}) => {
  await bench.takeIn('18 twin', {
    history: 'used',
    complaint: 'misses above half throttle',
    words: 'fine at harbour speed, stutters when I open her up',
  })
  await bench.press('Enter', 'a', 'b')
  await bench.type('12')
  await bench.goTo('orange and tan')
  await bench.press('f', 'F')
  await expect(bench.page.getByText(/notch bottom/)).toBeVisible()
  await bench.take('Knob meter K4')
  await expect(bench.title).toHaveText(/^Ohms: orange and tan, Knob meter K4 on 300.Ω$/)
  await bench.type('1')
  await expect(bench.remark).toContainText('Over range, or one ohm?')
  await bench.press('a')
  await bench.press('z')
  await bench.type('0.4')
  await bench.press('k', 't', 'o')
  await bench.type('30M')
  await bench.goTo('orange and grey', 'ArrowUp')
  await expect(bench.page.getByText(/^At 12.°C expect 308/)).toBeVisible()
  await bench.type('304')
  await bench.goTo('grey and tan')
  await expect(bench.page.getByText('Expect over range: it leads through what reads open.')).toBeVisible()
  await bench.press('o')
  await bench.type('30M')
  await expect(bench.verdict).toContainText('outside')

  await bench.points('new tan tail on tan')
  await bench.points('new orange tail on orange')
  await bench.points('tan and tan tail')
  await expect(bench.title).toContainText('tan and tan tail')
  await bench.type('0.4')
  await bench.points('orange and orange tail')
  await bench.type('0.4')
  await bench.points('orange tail and tan tail')
  await bench.press('o')
  await bench.type('30M')
  await bench.goTo('violet and violet/white')
  await bench.type('88.1')
  await bench.goTo('Touch both tips to bare frame')
  await bench.type('0.4')
  for (let group = 0; group < 3; group++) {
    await bench.touches('frame')
    await bench.press('o')
    await bench.type('30M')
    await expect(bench.verdict).toContainText('within')
  }
  await bench.toFinding()
  await expect(bench.title).toHaveText(
    'High-speed charge coil open, inside the winding: between orange tail and tan tail.',
  )
  const found = bench.page.getByRole('main')
  await expect(found).toContainText('orange to frame while the lead is bent')
  await expect(found).not.toContainText('read, and not judged')
  await bench.press('b')
  await bench.say('High-speed coil open inside; both rewound by habit.')
  const view = await worked('08', bench, world)
  const remarks = remarksOf(view)
  for (const id of ['open-adds-nothing']) expect(remarks).toContain(id)
  for (const id of ['leads-matter']) expect(remarks).not.toContain(id)
  expect(view.state.causes).toMatchObject([{ kind: 'winding-open', of: ['high'] }])
  expect(view.state.explained).toContain('series')
})

test('08, caught: right in every figure it is not cleared of shorted turns', async ({ bench, world }) => {
  await bench.takeIn('18 twin', { complaint: 'misses above half throttle' })
  await bench.prepare({ celsius: 12 })
  for (const figure of ['304', '35.3', '339']) await bench.type(figure)
  await bench.type('88.1')
  await bench.groundTwin()
  await bench.toFinding()
  await expect(bench.title).toContainText('No fault found')
  expect(remarksOf(await viewOf(bench, world))).toContain('static-only')
})

test('08, caught: cold, a low coil inside its printed limits is outside them at 20 °C, and fits both in series', async ({
  bench,
  world,
}) => {
  await bench.takeIn('18 twin')
  await bench.prepare({ celsius: 4 })
  await bench.type('345')
  await bench.goTo('orange and grey', 'ArrowUp')
  await bench.press('t')
  await bench.type('345')
  const view = await viewOf(bench, world)
  expect(view.state.verdicts.find(({ check }) => check === 'low')?.verdict).toBe('outside')
  expect(remarksOf(view)).toContain('fits-another')
})
