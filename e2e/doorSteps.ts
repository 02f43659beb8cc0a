import type { Page } from '@playwright/test'
import { expect } from './world'

export const setupCode = 'ABCD-2345'
const owner = { name: 'Ines Okafor-Lind', pin: '4711', password: 'a long winter on the quay' }

export const door = (page: Page) => page.getByRole('dialog')
export const gone = (page: Page) => expect(door(page)).toHaveCount(0)

export async function firstRun(page: Page, address: string): Promise<void> {
  await page.goto(address)
  await page.getByLabel('code').fill(setupCode)
  await page.getByLabel('name of the shop').fill('Sallow Quay Bench')
  await page.getByLabel('your name').fill(owner.name)
  await page.getByLabel('your PIN').fill(owner.pin)
  await page.getByLabel('your password').fill(owner.password)
  await page.keyboard.press('Enter')
  await gone(page)
}

/** The owner takes the shop's file in, and gives everybody a PIN. */
export async function furnish(page: Page, address: string): Promise<void> {
  await page.goto(`${address}/shop`)
  await page.locator('input[type=file]').first().setInputFiles('demo/shop.json')
  await expect(page.getByRole('status').filter({ hasText: 'taken in: ' })).toBeVisible({ timeout: 60_000 })
  for (const [name, pin] of [
    ['Tam Reyes-Holt', '2580'],
    ['Wil Dace', '1357'],
  ] as const) {
    const rows = page.getByRole('table', { name: 'People' }).getByRole('row')
    const row = async () => {
      const fields = await rows.getByLabel('name').all()
      const names = await Promise.all(fields.map((field) => field.inputValue()))
      return names.indexOf(name) + 1
    }
    await expect.poll(row).toBeGreaterThan(0)
    await rows
      .nth(await row())
      .getByRole('button', { name: 'new PIN or password' })
      .click()
    await page.getByLabel('new PIN', { exact: true }).fill(pin)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status').filter({ hasText: `${name} comes in by the new PIN` })).toBeVisible()
  }
}

export async function sit(page: Page, name: string, pin: string): Promise<void> {
  await door(page).getByRole('button', { name }).click()
  await page.getByLabel(`${name}: PIN`).fill(pin)
  await page.keyboard.press('Enter')
}
