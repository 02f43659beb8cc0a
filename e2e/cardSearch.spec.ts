import { rowsOf } from './controls'
import { expect, test } from './world'

test('a card is found by its words, misspelt, and by digits typed from anywhere', async ({ page, world }) => {
  await page.goto(`${world.address}/cards`)
  const found = rowsOf(page, 'Cards found')
  await expect(found).toHaveCount(26)
  await page.keyboard.press('/')
  await page.keyboard.type('brindelcote compresor')
  await expect(found).toHaveCount(3)
  await page.keyboard.press('Control+A')
  await page.keyboard.type('violet/white 6 way')
  await expect(found).toHaveCount(1)
  await expect(found).toContainText('Orrinvale 18 twin')
  await page.goto(`${world.address}/cards`)
  await expect(found).toHaveCount(26)
  await page.keyboard.type('318 and 36.9, both open to frame')
  await expect(found.first()).toContainText('18 twin')
  await expect(found.first()).toContainText('high-speed coil, 1.1 % over the middle')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Maker’s figures')
})

test('Enter behind the last letter opens what was typed, not what stood there before', async ({ page, world }) => {
  await page.goto(`${world.address}/cards`)
  await expect(rowsOf(page, 'Cards found')).toHaveCount(26)
  await page.keyboard.press('/')
  await page.keyboard.type('violet/white 6 way')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Maker’s figures')
  await expect(page.getByRole('main')).toContainText('Orrinvale 18 twin')
})

test('un-zeroed leads in a figure are tolerated and said', async ({ page, world }) => {
  await page.goto(`${world.address}/cards?read=1.02`)
  const found = rowsOf(page, 'Cards found')
  await expect(found.filter({ hasText: '60 charging stator' })).toContainText('Ω of leads in it')
})
