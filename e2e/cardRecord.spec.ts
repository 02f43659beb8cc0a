import type { CardList } from '@sure-spool/contract'
import { expect, test } from './world'

test.use({ tolerated: /ERR_INTERNET_DISCONNECTED|Failed to fetch/ })

test('a card’s record is drawn from its newest runs, and from older ones as they are asked for', async ({
  page,
  world,
}) => {
  // as a shop with many would be answered
  await page.route(/\/record$/, (route) => route.continue({ url: `${route.request().url()}?limit=5` }))
  const { cards } = (await (await fetch(`${world.address}/api/v1/cards?find=18%20twin`)).json()) as CardList
  await page.goto(`${world.address}/cards/${cards[0]?.id}`)
  const figures = page.getByRole('region', { name: 'Figures' })
  const low = figures.locator('.check').filter({ hasText: 'low-speed coil' }).first().getByRole('img').first()
  await expect(figures).toContainText('drawn and learned from are the newest 5')
  await expect(low).toHaveAccessibleName(/^[1-5] runs near these limits/)
  const older = figures.getByRole('button', { name: 'older ones too' })
  await page.context().setOffline(true)
  await older.click()
  await expect(figures.getByRole('alert')).toContainText('The server does not answer')
  await expect(low).toHaveAccessibleName(/^[1-5] runs near these limits/)
  await page.context().setOffline(false)
  await older.click()
  await expect(low).toHaveAccessibleName(/^\d\d runs near these limits/)
  await expect(figures).not.toContainText('the newest')
})
