import { readFileSync } from 'node:fs'
import type { CardList } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { fillByKeys as fill, pick, pickByKeys as choose, rowsOf, tabTo } from './controls'
import { expect, test } from './world'

test('a card is written from nothing with the keyboard, undone and redone, published and worked', async ({
  page,
  world,
  bench,
}) => {
  // some hundreds of keys, one after another
  test.slow()
  await page.goto(`${world.address}/cards`)
  await expect(rowsOf(page, 'Cards found').first()).toBeVisible()
  await page.keyboard.press('n')
  const name = page.locator('#section-name')
  await choose(page, name.getByLabel('family'), 'solenoid')
  await fill(page, name.getByLabel('maker'), 'Fernhollow')
  await fill(page, name.getByLabel('model'), 'gate catch')
  const terminals = page.locator('#section-terminals')
  await page.keyboard.press('Control+ArrowDown')
  await tabTo(page, terminals.getByRole('button', { name: 'add a terminal' }))
  await page.keyboard.press('Enter')
  await expect(terminals.getByLabel('terminal 1')).toBeFocused()
  await page.keyboard.type('red')
  await page.keyboard.press('Enter')
  await expect(terminals.getByLabel('terminal 2')).toBeFocused()
  await page.keyboard.type('black/white')
  await expect(terminals.getByLabel('tracer').nth(1)).toHaveText('white')
  const plugs = page.locator('#section-plugs')
  await tabTo(page, plugs.getByRole('button', { name: 'add a plug' }))
  await page.keyboard.press('Enter')
  await expect(plugs.getByRole('gridcell')).toHaveText(['red', 'black/white'])
  await tabTo(page, plugs.getByRole('gridcell').first())
  await page.keyboard.press('2')
  await expect(plugs.getByRole('gridcell')).toHaveText(['black/white', 'empty'])
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('1')
  await expect(plugs.getByRole('gridcell')).toHaveText(['black/white', 'red'])
  const windings = page.locator('#section-windings')
  await tabTo(page, windings.getByRole('button', { name: 'add a winding' }))
  await page.keyboard.press('Enter')
  await fill(page, windings.getByLabel('ohms'), '21.6')
  const missing = page.getByRole('complementary', { name: 'What it will give, and what is missing' })
  await expect(missing).toContainText('Nothing reads the winding 1')
  const checks = page.locator('#section-checks')
  await tabTo(page, checks.getByRole('button', { name: 'add the check of the next winding' }))
  await page.keyboard.press('Enter')
  const coil = checks.getByRole('article', { name: 'winding 1' })
  await tabTo(page, coil.getByRole('button', { name: 'add a limit' }))
  await page.keyboard.press('Enter')
  await fill(page, coil.getByLabel('limit', { exact: true }), 'about 20')
  await expect(coil).toContainText('write 318 ±10%')
  await page.keyboard.press('Control+A')
  await page.keyboard.type('< 25')
  await expect(missing).toContainText('a short would pass')
  await page.keyboard.press('Control+A')
  await page.keyboard.type('21.6 ±8%')
  await expect(missing).not.toContainText('a short would pass')
  await expect(coil).toContainText('19.87 Ω – 23.33 Ω')
  await tabTo(page, checks.getByRole('button', { name: 'add the test to frame' }))
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+z')
  await expect(checks.getByRole('article', { name: 'open to frame' })).toHaveCount(0)
  await page.keyboard.press('Control+Shift+z')
  const frame = checks.getByRole('article', { name: 'open to frame' })
  await tabTo(page, frame.getByRole('button', { name: 'add a limit' }))
  await page.keyboard.press('Enter')
  await expect(missing).toContainText('Nothing.')
  await expect(missing).toContainText('Windings black/white–red'.replace('black/white–red', 'red–black/white'))
  await expect(page.getByRole('main').getByRole('status')).toHaveText('kept')
  await page.reload()
  await expect(page.locator('#section-name').getByLabel('model')).toHaveValue('gate catch')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText('revision 1, published')).toBeVisible()
  await bench.takeIn('gate catch')
  await bench.prepare()
  await bench.touches('red', 'black/white')
  await bench.type('17.1')
  await expect(bench.tape).toContainText('17.1')
  await bench.press('ArrowUp')
  await expect(bench.verdict).toContainText('outside')
})

test('a published card is revised, the two revisions stand side by side, and the old run is judged anew beside the old', async ({
  page,
  world,
}) => {
  type Done = { card: { id: string }; model: string; standing?: { run: string; closed: boolean } }
  const { units } = await world.get<{ units: Done[] }>('/units?place=done&limit=200')
  const unit = units.find(({ model, standing }) => model === '25 source and trigger coils' && standing?.closed)
  await page.goto(`${world.address}/cards/${unit?.card.id}`)
  await expect(page.getByText('revision 1, published')).toBeVisible()
  await page.keyboard.press('e')
  const source = page.locator('#section-checks').getByRole('article', { name: 'source coil' })
  await source.getByLabel('limit', { exact: true }).first().fill('315–386')
  await expect(page.getByRole('main').getByRole('status')).toHaveText('kept')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText('revision 2, published')).toBeVisible()
  await page.getByRole('link', { name: 'side by side' }).click()
  await expect(page.getByRole('row', { name: /source coil/ })).toContainText('315–386')
  await page.goto(`${world.address}/bench/${unit?.standing?.run}`)
  const today = page.getByRole('region', { name: 'By today’s card' })
  await expect(today).toContainText('revision 2')
  await expect(today).toContainText('what was found then stands')
})

test('what a card can say beyond figures has a form: conditions, relations by hand, hints on a verdict, care', async ({
  page,
  world,
}) => {
  const { cards } = await world.get<CardList>('/cards?find=DV-24')
  const id = cards[0]?.id
  await page.goto(`${world.address}/cards/${id}`)
  await page.getByRole('button', { name: 'revise' }).click()
  const coil = page.locator('#section-checks').getByRole('article', { name: 'coil', exact: true })
  await pick(coil, 'under', 'two terminals joined', { stays: false })
  await pick(coil, 'to', 'frame', { nth: 'last' })
  await pick(coil, 'under', 'a lamp in series', { stays: false })
  await coil.getByLabel('its watts').fill('21')
  await pick(coil, 'under', 'a coil driven, or none', { stays: false })
  await pick(coil, 'driven, plus at', 'right blade')
  await pick(coil, 'minus at', 'left blade')
  await pick(coil, 'under', 'ohms in series', { stays: false })
  await coil.getByLabel('ohms in series').fill('4.7')
  await coil.getByLabel('on range').fill('200 Ω')
  const relations = page.locator('#section-relations')
  await pick(relations, 'add by hand', 'like its twin', { stays: false })
  const twin = relations.getByRole('article', { name: 'like its twin' })
  await twin.getByLabel('within %').fill('0')
  await twin.getByLabel('within %').fill('4000')
  await expect(twin).toContainText('0 to 1000')
  await twin.getByLabel('within %').fill('4')
  const hints = page.locator('#section-hints')
  await hints.getByRole('button', { name: 'add a hint' }).click()
  const hint = hints.getByRole('article').last()
  await pick(hint, 'when', 'coil is outside')
  await hint.getByLabel('or a place').fill('the connector behind the panel')
  await hint.getByLabel('in words').fill('green inside the connector')
  const care = page.locator('#section-care')
  await care.getByRole('button', { name: 'electronics between two terminals' }).click()
  await pick(care, 'and', 'right blade')
  await page.locator('#section-plugs').getByLabel('what one needs to reach it').fill('a piercing clip')
  await expect(page.getByRole('main').getByRole('status')).toHaveText('kept')
  const card = await world.get<Card>(`/cards/${id}/revisions/2`)
  expect(card.checks.find((check) => check.id === 'coil')).toMatchObject({
    how: { range: '200 Ω', either: true },
    conditions: {
      joined: [[expect.any(String), 'frame']],
      lamp: { volts: 12, watts: 21 },
      drive: { plus: '2', minus: '1' },
      seriesOhms: 4.7,
    },
  })
  expect(card.relations.at(-1)).toMatchObject({ kind: 'twin', withinPct: 4 })
  expect(card.hints.at(-1)).toMatchObject({
    when: { check: 'coil', verdict: 'outside' },
    suspects: ['coil', 'the connector behind the panel'],
    text: 'green inside the connector',
  })
  expect(card.care.electronicsBetween).toEqual([['1', '2']])
  expect(card.plugs[0]?.adaptor).toBe('a piercing clip')
  await page.getByRole('button', { name: 'throw away' }).click()
  await page.getByRole('button', { name: 'throw it away for good' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cards')
})

test('a file of figures with errors says row by row what will happen, and only what is whole is taken', async ({
  page,
  world,
}) => {
  await page.goto(`${world.address}/cards/in`)
  const text = [
    'maker;model;check;from;to;limit (Ω);source;grade',
    'Nettlebrook;N1 coil;primary;+;-;1,35–1,75;shop book;told',
    'Nettlebrook;N1 coil;second;+;tower;=HYPERLINK("x");shop book;told',
    'Nettlebrook;N1 coil;third;+;case;five or so;shop book;told',
  ].join('\r\n')
  await page.setInputFiles('input[type=file]', {
    name: 'in.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`\uFEFF${text}`),
  })
  await expect(page.getByRole('row')).toHaveCount(4)
  await expect(page.getByRole('row').nth(1)).toContainText('formula')
  await expect(page.getByRole('row').nth(2)).toContainText('cannot be read')
  await expect(page.getByRole('row').nth(3)).toContainText('begins a new card')
  await page.getByRole('button', { name: 'take it in' }).press('Enter')
  await expect(page.getByText('1 draft written')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('region', { name: 'Being written' })).toContainText('N1 coil')
  await page.goto(`${world.address}/cards/in`)
  await page.setInputFiles('input[type=file]', {
    name: 'in.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([0x6d, 0xf6, 0xff, 0x2c, 0x0a]),
  })
  await expect(page.getByRole('alert')).toContainText('UTF-8')
})

test('a card that differs under the same revision is shown beside ours and taken as a draft only when told', async ({
  page,
  world,
}) => {
  const theirs = JSON.parse(readFileSync('demo/cards/wexmoor-make-12.json', 'utf8')) as {
    id: string
    revision: number
    name: { note?: string }
  }
  theirs.name.note = '<img src=x onerror=alert(1)> theirs'
  await page.goto(`${world.address}/cards/in`)
  const file = (name: string, body: unknown) => ({
    name,
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(body)),
  })
  await page.setInputFiles('input[type=file]', file('newer.json', { ...theirs, version: 2 }))
  await expect(page.getByRole('alert')).toContainText('a version this program does not know')
  await page.setInputFiles('input[type=file]', file('theirs.json', theirs))
  await expect(page.getByRole('region', { name: /make relay/ })).toContainText('<img src=x onerror=alert(1)> theirs')
  await expect(page.getByRole('button', { name: 'take it in' })).toBeDisabled()
  await page.getByLabel('take theirs as your next draft').check()
  await page.getByRole('button', { name: 'take it in' }).click()
  await expect(page.getByText('1 card taken in, 1 of them as a draft.')).toBeVisible()
  const view = await world.get<{ card: { revision: number }; revisions: { revision: number; state: string }[] }>(
    `/cards/${theirs.id}`,
  )
  expect(view.card.revision).toBe(theirs.revision)
  expect(view.revisions.at(-1)).toMatchObject({ revision: theirs.revision + 1, state: 'draft' })
})
