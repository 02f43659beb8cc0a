import { expect, type Locator, type Page } from '@playwright/test'

type Scope = Page | Locator
const pageOf = (scope: Scope): Page => ('page' in scope ? scope.page() : scope)

/** Chooses in a list by hand: opens it and takes the word; one that only adds what is chosen does not keep it. */
export async function pick(
  scope: Scope,
  label: string,
  word: string,
  { nth = 'first', stays = true }: { nth?: 'first' | 'last'; stays?: boolean } = {},
): Promise<void> {
  const box = scope.getByRole('combobox', { name: label, exact: true })[nth]()
  await box.click()
  await pageOf(scope).getByRole('option', { name: word, exact: true }).click()
  if (stays) await expect(box).toHaveText(word)
  await expect(pageOf(scope).getByRole('option')).toHaveCount(0)
}

/** Writes into a field sign by sign, in place of what stands there: a count takes its digits from the keys. */
export async function write(field: Locator, text: string): Promise<void> {
  await field.click()
  await field.press('Control+A')
  await field.pressSequentially(text)
}

/** Goes to the next field until one has the focus: the keyboard alone reaches everything. */
export async function tabTo(page: Page, field: Locator): Promise<void> {
  await expect(field).toBeVisible()
  for (let i = 0; i < 250; i++) {
    if (await field.evaluate((one) => one === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`The keyboard did not reach ${String(field)}`)
}

export async function fillByKeys(page: Page, field: Locator, text: string): Promise<void> {
  await tabTo(page, field)
  await page.keyboard.press('Control+A')
  await page.keyboard.type(text)
}

/** Chooses in a list as a keyboard does: the first letters of the word, and Enter. */
export async function pickByKeys(page: Page, field: Locator, word: string): Promise<void> {
  await tabTo(page, field)
  await page.keyboard.type(word)
  await page.keyboard.press('Enter')
  await expect(field).toHaveText(word)
}

/** Rows of a table without its head. */
export const rowsOf = (page: Page, name: string): Locator =>
  page.getByRole('table', { name }).locator('tbody').getByRole('row')

/**
 * A key that was pressed for the last screen does nothing on a new one for 300 ms, and nothing decides a finding that has just opened:
 * a person is slower than that, a test is not.
 */
export const settled = (page: Page): Promise<void> => page.waitForTimeout(350)

export interface Chosen {
  name: string
  mimeType: string
  buffer: Buffer
}

/** Chooses a file where a key or a button asks for one. */
export async function choose(page: Page, ask: () => Promise<void>, file: Chosen): Promise<void> {
  let chosen = false
  page.once('filechooser', (chooser) => void chooser.setFiles(file).then(() => (chosen = true)))
  // the browser is told to hand its chooser over, before anything opens one
  await page.evaluate(() => undefined)
  await ask()
  await expect.poll(() => chosen).toBe(true)
}
