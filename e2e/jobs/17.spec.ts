import type { RunView } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import type { BenchPage } from '../benchPage'
import { pick, settled } from '../controls'
import { expect, remarksOf, test, viewOf, worked } from './job'

const begin = async (bench: BenchPage, card: string) => {
  await bench.takeIn(card, {
    variant: 'no marks: blades counted from the notch',
    words: 'one of these stops the bilge pump; which?',
  })
  await bench.press('Enter', 'a')
  await bench.press('b')
  await bench.type('20')
  // taken off by arithmetic
  await bench.press('b')
  await bench.type('0.16')
  await expect(bench.title).toContainText('1 and 2')
}

/** Both on one tray, each by its own card; the first of them goes to the bench. */
async function onOneTray(bench: BenchPage): Promise<void> {
  const { page } = bench
  const { keyboard } = page
  const card = async (model: string) => {
    await expect(page.getByLabel('model, maker or kind')).toBeFocused()
    await keyboard.type(model)
    await expect(page.getByRole('option').first()).toContainText(model)
    await keyboard.press('Enter')
    await pick(page, 'which of them', 'no marks: blades counted from the notch')
  }
  await bench.home()
  await keyboard.press('i')
  await card('make relay')
  await page.getByLabel('tag', { exact: true }).fill('T-PUMP-A')
  await page.getByLabel('in their own words').fill('one of these stops the bilge pump; which?')
  await keyboard.press('Control+Enter')
  await expect(page.getByRole('status').filter({ hasText: 'Beside T-PUMP-A.' })).toBeVisible()
  await expect(page.getByLabel('in their own words')).toHaveValue(/bilge pump/)
  await card('changeover relay')
  await page.getByLabel('tag', { exact: true }).fill('T-PUMP-B')
  await page.getByRole('button', { name: 'take in', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A tray of 2')
  for (const said of [/make relay.*: T-PUMP-A/, /changeover relay.*: T-PUMP-B/])
    await expect(page.locator('main header').filter({ hasText: said })).toBeVisible()
  await settled(page)
  await keyboard.press('Enter')
  await expect(bench.title).toHaveText('Look at the part')
  await settled(page)
}

test('17: a tray of two relays without markings; power, click, beep, elimination; one decision', async ({
  bench,
  world,
}) => {
  const { page } = bench
  await onOneTray(bench)
  await bench.press('Enter', 'a')
  await bench.press('b')
  await bench.type('20')
  // taken off by arithmetic
  await bench.press('b')
  await bench.type('0.16')
  await expect(bench.title).toContainText('1 and 2')
  // power on a pair, to hear: there is no reason that keeps it
  await bench.points('1 2 A')
  await bench.type('0.5')
  await expect(bench.remark).toContainText(/by ohms/)
  await expect(bench.remark.getByRole('button', { name: /keep/ })).toHaveCount(0)
  await bench.press('Backspace')
  await bench.goTo(/Ohms.*1 and 2/, 'ArrowUp')
  await bench.press('u')
  await expect(bench.remark).toContainText('jack')
  await bench.press('a')
  await bench.press('u')
  await bench.touches('1', '3')
  await bench.type('83.1')
  await expect(bench.verdict).toContainText('within')
  await expect(page.getByRole('img', { name: /1–3: 82.9.*2–4: not read yet/ })).toBeVisible()
  await bench.touches('2', '4')
  await bench.press('u')
  await expect(bench.title).toHaveText('Switch it on')
  await bench.type('24.3V 0.2A')
  await expect(page.getByText(/4\.1 times/)).toBeVisible()
  await bench.goTo('Switch it on', 'ArrowUp')
  await bench.type('12.4V 0.2A')
  await expect(bench.title).toContainText('Amperes')
  await bench.take('Bench supply S1')
  await expect(page.getByText(/Expect 150.mA/)).toBeVisible()
  await bench.type('0.15')
  await bench.goToTest('it clicks')
  await bench.press('a')
  expect(remarksOf(await viewOf(bench, world))).toContain('click-only')
  await bench.goToTest(/plus on 1: 2 and 4/, 'PageUp')
  await bench.press('y')
  await expect(bench.verdict).toContainText(/under 35.Ω, and the limit is 0\.2.Ω: read its ohms/)
  await bench.type('0.22')
  await bench.goTo(/plus on 1: 2 and 4/, 'ArrowUp')
  await bench.press('q')
  await expect(page.getByText(/Driven: plus at 3, minus at 1/)).toBeVisible()
  await bench.press('y')
  await bench.type('0.22')
  await bench.press('d')
  await expect(bench.title).toHaveText('No fault found: operates either way, contact 0.06\u2009Ω.')
  const a = await viewOf(bench, world)
  const remarks = remarksOf(a)
  for (const silent of ['part-warm', 'expected-current']) expect(remarks).not.toContain(silent)
  expect(remarks).toContain('supply-high')
  expect(a.state.untested.filter((id) => !id.startsWith('ask-'))).toEqual([])

  // the other; the first waits for the one decision
  await bench.press('t')
  await expect(bench.title).toHaveText('Look at the part')
  await expect(page.getByRole('link', { name: 'T-PUMP-B' })).toBeVisible()
  await settled(page)
  await bench.press('Enter', 'a')
  await bench.press('b')
  await bench.type('20')
  // the zero is shown and serves no longer: the lead was in the ampere jack since
  await expect(page.getByRole('region', { name: 'The unit' })).toContainText(/leads 0\.16.Ω/)
  await bench.press('z', 'b')
  await bench.type('0.16')
  await expect(bench.title).toContainText('1 and 2')
  await bench.press('u')
  await bench.press('u')
  await bench.touches('1', '4')
  await bench.type('298')
  await bench.touches('2', '3')
  await bench.press('u')
  await bench.touches('2', '5')
  await bench.press('y')
  await bench.type('0.23')
  // 3 and 5 is not asked: what tells most is driven
  await expect(bench.title).toHaveText('Switch it on')
  await bench.type('24.3V 0.2A')
  await bench.take('Bench supply S1')
  await expect(page.getByText(/backwards across a diode is a short/)).toBeVisible()
  await expect(page.getByText(/Expect 80.mA/)).toBeVisible()
  await bench.type('0.8V 0.20A')
  await expect(page.getByText('A diode, backwards: turn the leads round.', { exact: false })).toBeVisible()
  await expect(page.getByText(/Driven: plus at 4, minus at 1/)).toBeVisible()
  await bench.type('0.08')
  await bench.touches('2', '3')
  await bench.press('y')
  await bench.type('0.24')
  await bench.touches('2', '5')
  await bench.press('u')
  await bench.goToTest('No fault found')
  await expect(bench.title).toHaveText(
    'No fault found: operates with plus on 4; 2–5 rests closed 0.07\u2009Ω, 2–3 closes 0.08\u2009Ω.',
  )
  const found = await viewOf(bench, world)
  expect(found.state.finding).toBe('no-fault-found')
  expect(remarksOf(found)).not.toContain('expected-current')
  // five blades, eight touches and three of them driven: no more were wanted
  expect(found.run.entries.filter(({ kind }) => kind === 'reading').length).toBeLessThanOrEqual(13)
  await bench.press('t')
  await expect(page.getByRole('region', { name: 'Found, not decided' }).getByRole('row')).toHaveCount(4)
  await settled(page)
  await bench.press('a')
  await bench.say('both back')
  const accepted = page.getByRole('region', { name: 'Accepted' })
  await expect(accepted.getByRole('link')).toHaveText(['T-PUMP-A', 'T-PUMP-B'])
  await page.goto(`${bench.address}/bench/${a.run.id}/sheet`)
  await expect(page.getByText('no, it moves either way')).toBeVisible()
  const { run } = await world.get<RunView>(`/runs/${a.run.id}`)
  expect(run.entries.at(-1)).toMatchObject({ kind: 'decision', what: 'return', why: 'both back' })
  await page.goto(`${bench.address}/bench/${found.run.id}`)
  const view = await worked('17', bench, world)
  expect(view.run.entries.at(-1)).toMatchObject({ kind: 'decision', what: 'return', why: 'both back' })
  await page.getByRole('button', { name: 'the sheet', exact: true }).click()
  await expect(page.getByText('1 = 85, 2 = 30, 3 = 87, 4 = 86 (+), 5 = 87a')).toBeVisible()

  // and the map goes on the card: the next one of its kind is read by name
  await bench.press('Escape')
  await page.getByRole('button', { name: 'put the blades’ names on the card' }).click()
  await expect(page).toHaveURL(/\/write\/2\?asked=/)
  await expect(page.getByRole('status').filter({ hasText: /^kept$/ })).toBeVisible()
  const { plugs } = await world.get<Card>(`/cards/${view.run.card.id}/revisions/2`)
  expect(plugs.at(-1)?.cavities.map(({ mark, terminal }) => `${mark}=${terminal}`)).toEqual([
    '1=85',
    '2=30',
    '3=87',
    '4=86',
    '5=87a',
  ])
})

test('17, caught: it clicks both ways and its contact stays open', async ({ bench, world }) => {
  await begin(bench, 'make relay')
  await bench.press('u')
  await bench.type('83.1')
  await bench.press('u')
  await expect(bench.title).toHaveText('Switch it on')
  await bench.type('12.4')
  await bench.goToTest(/plus on 1: 2 and 4/)
  await bench.press('u')
  await bench.goToTest('it clicks')
  await bench.press('a')
  await bench.goToTest(/plus on 3: 2 and 4/)
  await bench.press('u')
  await bench.goToTest('Contact 2–4 stays open.')
  const { state } = await viewOf(bench, world)
  expect(state.causes).toMatchObject([{ kind: 'contact-open', of: ['2', '4'] }])
  expect(state.verdicts.find(({ check }) => check === 'coil')?.verdict).toBe('within')
})

test('17, caught: driven, the contact that rests closed beeps still', async ({ bench, world }) => {
  await begin(bench, 'changeover relay')
  await bench.press('u')
  await bench.press('u')
  await bench.type('298')
  await bench.press('u')
  await bench.press('y')
  await bench.type('0.23')
  await expect(bench.title).toHaveText('Switch it on')
  await bench.type('24.3')
  await bench.take('Bench supply S1')
  await bench.type('0.08')
  await bench.touches('2', '3')
  await bench.press('y')
  await bench.type('0.24')
  await bench.touches('2', '5')
  await bench.press('y')
  await bench.goToTest('Contact 2–5 stays closed.')
  expect((await viewOf(bench, world)).state.finding).toBe('fault-found')
})
