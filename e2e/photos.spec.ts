import type { RunView } from '@sure-spool/contract'
import type { Page } from '@playwright/test'
import { choose, settled } from './controls'
import { expect, test } from './world'

/** A picture that is drawn here: a round part with a dark place on it, wider than a photo is kept. */
async function picture(page: Page, width = 2400, height = 1200): Promise<Buffer> {
  const url = await page.evaluate(
    ([w, h]) => {
      const canvas = Object.assign(document.createElement('canvas'), { width: w, height: h })
      const context = canvas.getContext('2d')
      if (!context) throw new Error('no canvas')
      context.fillStyle = '#7a8'
      context.fillRect(0, 0, w, h)
      context.fillStyle = '#321'
      context.fillRect(w * 0.7, h * 0.2, w * 0.05, h * 0.1)
      return canvas.toDataURL('image/png')
    },
    [width, height] as const,
  )
  return Buffer.from(url.split(',')[1] ?? '', 'base64')
}
const photo = (page: Page) => page.getByAltText('the photo that goes with what is said next')

test.describe('without the server', () => {
  test.use({ tolerated: /ERR_CONNECTION_REFUSED/ })

  test('a photo of what is seen is made small, tapped, kept without the server, and stands on finding and sheet', async ({
    bench,
    world,
  }) => {
    const { page } = bench
    await bench.takeIn('18 twin')
    await expect(bench.title).toHaveText('Look at the part')
    await bench.allSent()
    const buffer = await picture(page)
    await world.kill()
    await choose(page, () => page.keyboard.press('f'), { name: 'part.png', mimeType: 'image/png', buffer })
    await expect(photo(page)).toBeVisible()
    const box = await photo(page).boundingBox()
    if (!box) throw new Error('the photo has no place')
    expect(box.width / box.height).toBeCloseTo(2, 1)
    await page.mouse.click(box.x + box.width * 0.72, box.y + box.height * 0.25)
    await expect(page.getByText('The place is marked.')).toBeVisible()
    await bench.press('3')
    await expect(page.getByRole('button', { name: /keep: chafed/ })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(bench.tape).toContainText('photo')
    await settled(page)
    await page.reload()
    await expect(bench.tape).toContainText('chafed')
    await world.start()
    await bench.allSent()

    const { run } = await world.get<RunView>(`/runs/${new URL(page.url()).pathname.split('/')[2]}`)
    const look = run.entries.find(({ kind }) => kind === 'look')
    if (look?.kind !== 'look' || look.photo === undefined) throw new Error('the look names no photo')
    expect(look.spot?.x).toBeCloseTo(0.72, 1)
    expect(look.spot?.y).toBeCloseTo(0.25, 1)
    const answer = await fetch(`${world.address}/api/v1/photos/${look.photo}`)
    expect(answer.headers.get('content-type')).toBe('image/jpeg')
    const bytes = Buffer.from(await answer.arrayBuffer())
    expect(bytes.length).toBeLessThan(300_000)

    await bench.press('a', 'd')
    await expect(page.getByAltText(/chafed/)).toBeVisible()
    const widths = await page.getByAltText(/chafed/).evaluate((image: HTMLImageElement) => image.naturalWidth)
    expect(widths).toBe(1600)
    await bench.press('p')
    await expect(page.getByRole('article').getByAltText(/chafed/)).toBeVisible()
  })
})

test('a place is tapped on the plug, a photo goes with a note, and a file that is no picture says so', async ({
  bench,
}) => {
  const { page } = bench
  await bench.takeIn('18 twin')
  await page.locator('.where .cavity').filter({ hasText: 'orange' }).first().click()
  await expect(page.getByRole('button', { name: 'nothing to be seen at orange' })).toBeVisible()
  await bench.press('1')
  await page.keyboard.press('Enter')
  await expect(bench.tape).toContainText('burnt')
  await expect(bench.tape).toContainText('orange')
  await bench.press('l')
  const words = page.locator('#ask-words')
  await expect(words).toBeFocused()
  await choose(page, () => page.getByRole('button', { name: 'photo' }).click(), {
    name: 'list.txt',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture at all'),
  })
  await expect(
    page.getByText('This file is no picture that the browser can open. Nothing was kept of it.'),
  ).toBeVisible()
  await choose(page, () => page.getByRole('button', { name: 'photo' }).click(), {
    name: 'part.png',
    mimeType: 'image/png',
    buffer: await picture(page, 300, 200),
  })
  await expect(photo(page)).toBeVisible()
  await expect(words).toBeFocused()
  await photo(page).click()
  await expect(page.getByText('The place is marked.')).toBeVisible()
  await expect(words).toBeFocused()
  await bench.say('which screw sat where')
  await expect(bench.tape).toContainText('which screw sat where')
  await expect(photo(page)).toBeHidden()

  // a photo that was taken of one part is not said of the next
  await bench.press('l')
  await choose(page, () => page.getByRole('button', { name: 'photo' }).click(), {
    name: 'part.png',
    mimeType: 'image/png',
    buffer: await picture(page, 300, 200),
  })
  await expect(photo(page)).toBeVisible()
  await page.keyboard.press('Escape')
  await bench.takeIn('18 twin')
  await expect(bench.title).toHaveText('Look at the part')
  await expect(photo(page)).toBeHidden()
})
