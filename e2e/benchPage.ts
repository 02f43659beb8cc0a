import { expect, type Locator, type Page } from '@playwright/test'
import { pick, settled, write } from './controls'

let tags = 0

/** The bench as a technician uses it: keys from anywhere on the screen, eyes on the title, the figure and the verdict. */
export class BenchPage {
  /** keys pressed on the bench so far */
  keys = 0

  constructor(
    readonly page: Page,
    readonly address: string,
  ) {}

  get title(): Locator {
    return this.page.getByRole('heading', { level: 1 }).last()
  }
  get verdict(): Locator {
    return this.page.getByTestId('verdict')
  }
  get figure(): Locator {
    return this.page.getByTestId('figure')
  }
  get remark(): Locator {
    return this.page.getByRole('alert', { name: 'Remark' })
  }
  get tape(): Locator {
    return this.page.getByRole('list', { name: 'Tape, oldest first' })
  }

  async home(): Promise<void> {
    await this.page.goto(this.address)
    await expect(this.page.getByText('everything kept')).toBeVisible()
    await expect(this.page.getByText('Waiting', { exact: true })).toBeVisible()
  }

  /** Waits until the browser has all it needs to begin any part without the server. */
  async readyAway(): Promise<void> {
    await expect(this.page.getByRole('status').first()).toHaveAttribute('title', /without the server/)
  }

  /** Takes a part in by keyboard alone and takes it to the bench. @returns its tag */
  async takeIn(
    card: string,
    options: {
      history?: 'used' | 'rewound'
      variant?: string
      complaint?: string
      words?: string
      items?: number
    } = {},
  ): Promise<string> {
    await this.home()
    const tag = `T-${process.pid}-${++tags}`
    const { keyboard } = this.page
    await keyboard.press('i')
    await expect(this.page.getByLabel('model, maker or kind')).toBeFocused()
    await keyboard.type(card)
    await expect(this.page.getByRole('option').first()).toContainText(card)
    await keyboard.press('Enter')
    await expect(this.page.getByLabel('tag', { exact: true })).toBeFocused()
    await keyboard.type(tag)
    await keyboard.press('Enter')
    await keyboard.press('Enter')
    if (options.history) await pick(this.page, 'condition', options.history)
    await keyboard.press('Enter')
    if (options.complaint) await pick(this.page, 'complaint', options.complaint)
    await keyboard.press('Enter')
    const which = this.page.getByRole('combobox', { name: 'which of them' })
    if (options.variant !== undefined) await expect(which).toBeVisible()
    // the card says so a moment after it was chosen, or not at all while the server is away
    if (/18 twin|relay/.test(card)) await which.waitFor({ timeout: 5_000 }).catch(() => undefined)
    if (await which.isVisible()) {
      await pick(
        this.page,
        'which of them',
        options.variant ?? (/relay/.test(card) ? 'blades marked' : 'remote control'),
      )
      await keyboard.press('Enter')
    }
    if (options.items !== undefined) {
      await write(this.page.getByLabel('how many in it'), String(options.items))
      await this.page.getByLabel('in their own words').focus()
    }
    await keyboard.type(options.words ?? 'made up for a test')
    await keyboard.press('Enter')
    await expect(this.page.getByRole('button', { name: new RegExp(tag) })).toBeVisible()
    await keyboard.press('Enter')
    await expect(this.title).toHaveText('Look at the part')
    await settled(this.page)
    return tag
  }

  /** Takes in a part that nobody has figures for: a sketch of the points that can be touched. */
  async takeInSketch(part: {
    find: string
    name?: string
    family: string
    points: string
    tag: string
    words?: string
  }) {
    const { page } = this
    await this.home()
    await page.keyboard.press('i')
    await expect(page.getByLabel('model, maker or kind')).toBeFocused()
    await page.keyboard.type(part.find)
    await expect(page.getByRole('option')).toHaveText([/No card of it/])
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('what is it called')).toBeFocused()
    if (part.name !== undefined) await page.getByLabel('what is it called').fill(part.name)
    await pick(page, 'what is it', part.family)
    await page.getByLabel(/what can be touched/).fill(part.points)
    await page.getByLabel('tag', { exact: true }).fill(part.tag)
    if (part.words !== undefined) await page.getByLabel('in their own words').fill(part.words)
    await page.getByRole('button', { name: 'take in', exact: true }).click()
    await page.getByRole('button', { name: new RegExp(part.tag) }).click()
    await expect(this.title).toHaveText('Look at the part')
    await settled(page)
  }

  /** Takes in several alike on one tray and takes the first of them to the bench. */
  async takeInTray(card: string, count: number): Promise<void> {
    await this.home()
    const { keyboard } = this.page
    await keyboard.press('i')
    await expect(this.page.getByLabel('model, maker or kind')).toBeFocused()
    await keyboard.type(card)
    await expect(this.page.getByRole('option').first()).toContainText(card)
    await keyboard.press('Enter')
    await expect(this.page.getByLabel('tag', { exact: true })).toBeFocused()
    await keyboard.type(`R${process.pid}-${++tags}01`)
    await write(this.page.getByLabel('how many alike'), String(count))
    await this.page.getByLabel('in their own words').fill('one of these shakes the engine')
    await keyboard.press('Enter')
    await expect(this.page.getByRole('heading', { level: 1 })).toHaveText(`A tray of ${count}`)
    await keyboard.press('Enter')
    await expect(this.title).toHaveText('Look at the part')
    await settled(this.page)
  }

  /** Types a figure and keeps it. */
  async type(text: string): Promise<void> {
    for (const key of text) await this.page.keyboard.press(key === ' ' ? 'Space' : key)
    await this.page.keyboard.press('Enter')
    this.keys += text.length + 1
  }

  async press(...keys: string[]): Promise<void> {
    for (const key of keys) await this.page.keyboard.press(key)
    this.keys += keys.length
  }

  /** Types words into the line that is open, and keeps them. */
  async say(words: string): Promise<void> {
    await this.page.keyboard.type(words)
    await this.page.keyboard.press('Enter')
    this.keys += words.length + 1
  }

  /** Takes another meter in hand, key by key. */
  async take(meter: string): Promise<void> {
    const inHand = this.page.getByRole('region', { name: 'The unit' })
    await this.pressUntil('j', inHand, meter)
    await expect(inHand).toContainText(meter)
  }

  /** Goes to any two points, as typed. */
  async points(words: string): Promise<void> {
    await this.press('p')
    await expect(this.page.getByLabel(/^Which two points/)).toBeFocused()
    await this.say(words)
    await settled(this.page)
  }

  /** Goes up or down the path until the title says so. */
  async goTo(words: string | RegExp, way: 'ArrowUp' | 'ArrowDown' = 'ArrowDown'): Promise<void> {
    await this.pressUntil(way, this.title, words)
  }

  /** Goes up or down the path, test by test. */
  async goToTest(words: string | RegExp, way: 'PageUp' | 'PageDown' = 'PageDown'): Promise<void> {
    await this.pressUntil(way, this.title, words)
  }

  /** Presses a key until something says so, each time once what it says has changed. */
  private async pressUntil(key: string, where: Locator, words: string | RegExp): Promise<void> {
    for (let presses = 0; presses < 40; presses++) {
      const said = (await where.textContent()) ?? ''
      if (typeof words === 'string' ? said.toLowerCase().includes(words.toLowerCase()) : words.test(said)) return
      await settled(this.page)
      await this.press(key)
      await expect(where).not.toHaveText(said)
    }
    throw new Error(`${key} never led to ${String(words)}`)
  }

  /** Looks, makes safe, enters the temperature measured on the part, and zeroes the leads in the meter. */
  async prepare({
    celsius = 20,
    zero = true,
    first = /:|Touch both/,
  }: { celsius?: number; zero?: boolean; first?: string | RegExp } = {}): Promise<void> {
    await this.press('Enter')
    await expect(this.title).toHaveText('Make it safe')
    await this.press('a')
    await expect(this.title).toHaveText('How warm is it?')
    await this.press('b')
    await this.type(String(celsius))
    await expect(this.title).toHaveText('Touch the tips together')
    if (zero) await this.type('0.11')
    else {
      await this.press('s')
      await this.press('1')
    }
    await expect(this.title).toContainText(first)
  }

  async touches(...names: string[]): Promise<void> {
    await expect(this.title).toContainText(':')
    for (const name of names) await expect(this.title).toContainText(name)
  }

  /** Proves the frame contact and reads the groups of the 18 twin open. */
  async groundTwin(): Promise<void> {
    await expect(this.title).toHaveText('Touch both tips to bare frame')
    await this.type('0.1')
    for (let group = 0; group < 2; group++) {
      await this.touches('frame')
      await this.press('o')
      await this.press('Enter')
      await expect(this.verdict).toContainText('within')
    }
  }

  /** Skips the optional step that stands open, and reaches the finding. */
  async toFinding(): Promise<void> {
    await this.press('d')
    await expect(this.page.getByRole('button', { name: 'the sheet', exact: true })).toBeVisible()
    await settled(this.page)
  }

  async allSent(): Promise<void> {
    // what was kept by the last key is counted a frame later
    await this.page.evaluate(
      () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 100)))),
    )
    await expect(this.page.getByRole('status').first()).toHaveText('everything kept', { timeout: 60_000 })
  }

  get runId(): string {
    return new URL(this.page.url()).pathname.split('/')[2] ?? ''
  }
}
