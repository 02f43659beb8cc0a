import { readFileSync } from 'node:fs'
import type { RewindView } from '@sure-spool/contract'
import type { BenchPage } from './benchPage'
import { choose, pick, settled } from './controls'
import { facts, heading, rewindOf, say } from './winderPage'
import { expect, test } from './world'

/** A two-coil pickup whose second coil is open, decided to be rewound, at the winder. */
async function atWinder(bench: BenchPage): Promise<string> {
  const tag = await bench.takeIn('two-coil pickup')
  await bench.prepare()
  await bench.goTo(/^Ohms.*green and black/)
  for (const _twice of [1, 2]) {
    await bench.press('o')
    await bench.page.keyboard.press('Enter')
    await expect(bench.verdict).toContainText('open')
    await settled(bench.page)
  }
  await bench.press('d')
  await expect(bench.title).toContainText('Second coil open')
  await settled(bench.page)
  await bench.press('a')
  await bench.say('open at the core')
  await expect(bench.page.getByText('Decided: rewind')).toBeVisible()
  await bench.press('r')
  await say(bench, '1')
  await expect(heading(bench)).toHaveText('Unwind second coil, and count')
  await settled(bench.page)
  return tag
}

async function stripped(bench: BenchPage): Promise<void> {
  await bench.type('4574')
  await say(bench, 'ccw from the cover')
  await say(bench, 'deep at the right lug; outside to the left lug')
  await expect(heading(bench)).toHaveText('How thick is its wire?')
}

test('what came off settles the wire; a plan by another of the model, against its window; two coils that must add', async ({
  bench,
  world,
}) => {
  const { page } = bench
  await atWinder(bench)
  await stripped(bench)
  await bench.type('0.055')
  await expect(facts(bench)).toContainText('fits more than one wire')
  await bench.type('498 m 4.36k ohm @ 22')
  await expect(facts(bench)).not.toContainText('fits more than one wire')
  await expect(facts(bench)).toContainText(/0.0503\smm of copper, 498 m/)
  await bench.type('2.2 H')
  await expect(facts(bench)).toContainText(/2\.2\sH/)
  await page.keyboard.press('Backspace')
  await expect(facts(bench)).not.toContainText(/2\.2\sH/)
  await bench.type('2.2 H')
  await bench.press('a')

  await expect(heading(bench)).toHaveText('What is second coil to be?')
  await page.getByRole('button', { name: /4600 turns, gauge 44, single film as SQ-0420 was wound/ }).click()
  await expect(page.getByLabel('core length, mm')).toHaveValue('46')
  await page.getByLabel('window height, mm').fill('2')
  await expect(page.getByText(/113\s% of the window/)).toBeVisible()
  await page.getByLabel('window height, mm').fill('3')
  await expect(page.getByText(/75\s% of the window/)).toBeVisible()
  await pick(page, 'what is aimed at', 'output')
  await page.getByLabel('output wanted, % of before').fill('110')
  await expect(page.getByRole('cell', { name: '5031' }).first()).toBeVisible()
  await pick(page, 'what is aimed at', 'henries')
  await page.getByLabel('henries wanted').fill('2.4')
  await expect(page.getByRole('cell', { name: '4777' }).first()).toBeVisible()
  await page.keyboard.press('Control+Enter')
  await expect(heading(bench)).toHaveText('Turn the machine once, by hand')
  await expect(facts(bench)).toContainText(/2\.4\sH/)
  await expect(facts(bench)).toContainText(/78\s% full/)

  await bench.press('b')
  await bench.type('1200')
  await bench.press('+', '+', 'k')
  await page.keyboard.press('Backspace')
  await expect(page.getByTestId('figure')).toContainText('1200')
  await bench.type('4777')
  await page.keyboard.press('Enter')
  await say(bench, 'leads soldered at the lugs')
  await expect(heading(bench)).toContainText('Touch iron to second coil, then to first coil')
  await bench.press('d')
  await expect(facts(bench)).toContainText('Second coil works against first coil')
  await bench.press('a')
  await expect(facts(bench)).not.toContainText('works against')
  await expect(heading(bench)).toHaveText('Let it cool, then prove it')
  const { rewind } = await rewindOf(bench, world)
  expect(rewind.coils).toEqual([{ id: 'second', winding: 'second', label: 'second coil', sister: 'first coil' }])
  expect(rewind.entries.filter(({ kind }) => kind === 'phase')).toMatchObject([
    { swing: 'opposite' },
    { swing: 'same', magnets: 'opposite' },
  ])
})

test('a rewind saved as a file is wound again on another part, and comes back to its own', async ({ bench, world }) => {
  const { page } = bench
  await bench.home()
  const [done] = (await world.get<{ units: { id: string; tag: string }[] }>('/units?limit=200')).units.filter(
    ({ tag }) => tag === 'SQ-0420',
  )
  await page.goto(`${world.address}/units/${done?.id}`)
  await expect(page.getByText('second coil: 4600 turns, gauge 44, single film')).toBeVisible()
  await page.getByRole('heading', { name: 'Rewound' }).locator('..').getByRole('link').first().click()
  await expect(heading(bench)).toBeVisible()
  await settled(page)
  const saved = page.waitForEvent('download')
  await bench.press('s')
  const file = { name: 'rewind.json', mimeType: 'application/json', buffer: readFileSync(await (await saved).path()) }
  const own = JSON.parse(file.buffer.toString()) as RewindView['rewind']

  const take = (given = file) => choose(page, () => page.keyboard.press('w'), given)
  await page.goto(`${world.address}/units/${done?.id}`)
  await expect(page.getByRole('button', { name: 'wind it as a file says' })).toBeVisible()
  await settled(page)
  await take({ ...file, buffer: Buffer.from('{"format":"sure-spool/run"}') })
  await expect(page.getByText(/rewind.json is no rewind: .* Nothing was taken in\./)).toBeVisible()
  await take()
  await expect(page).toHaveURL(new RegExp(`/rewinds/${own.id}`))

  await bench.takeIn('two-coil pickup')
  await bench.allSent()
  await page.getByRole('link', { name: /^T-/ }).first().click()
  await expect(page.getByRole('button', { name: 'wind it as a file says' })).toBeVisible()
  await settled(page)
  await take()
  await expect(page).toHaveURL(/\/rewinds\//)
  await expect(facts(bench)).toContainText('4600')
  const { rewind } = await rewindOf(bench, world)
  expect(rewind.id).not.toBe(own.id)
  expect(rewind.entries).toMatchObject([{ kind: 'plan', plan: { turns: 4600, from: 'told' } }])
})
