import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import type { Queue, RewindList } from '@sure-spool/contract'
import { settled } from './controls'
import { expect, test, type World } from './world'

type Group = 'the bench' | 'cards' | 'the shop'
const groups: Group[] = ['the bench', 'cards', 'the shop']

async function addresses(world: World, group?: Group): Promise<{ name: string; path: string; ready: string }[]> {
  const { units } = await world.get<Queue>('/units?limit=200')
  const runOf = (tag: string) => units.find((one) => one.tag === tag)?.standing?.run ?? ''
  const unitOf = (tag: string) => units.find((one) => one.tag === tag)?.id ?? ''
  const card = units.find((one) => one.tag === 'SQ-0431')?.card.id ?? ''
  const { rewinds } = await world.get<RewindList>(`/units/${unitOf('SQ-0362')}/rewinds`)
  const rewind = rewinds[0]?.id ?? ''
  const all: { name: string; path: string; ready: string; group: Group }[] = [
    { name: 'queue', path: '/', ready: 'Waiting', group: 'the bench' },
    { name: 'bench, held', path: `/bench/${runOf('SQ-0431')}`, ready: 'Between readings', group: 'the bench' },
    { name: 'bench', path: `/bench/${runOf('SQ-0438')}`, ready: 'just read', group: 'the bench' },
    { name: 'finding', path: `/bench/${runOf('SQ-0410')}`, ready: 'What would settle it', group: 'the bench' },
    { name: 'sheet', path: `/bench/${runOf('SQ-0402')}/sheet`, ready: 'To redo a line', group: 'the bench' },
    { name: 'cards', path: '/cards', ready: 'revision', group: 'cards' },
    { name: 'card', path: `/cards/${card}`, ready: 'Owner says', group: 'cards' },
    { name: 'cards by figures', path: '/cards?read=318%20and%2036', ready: 'high-speed coil', group: 'cards' },
    { name: 'writing', path: `/cards/${card}/write/4`, ready: 'Missing or in contradiction', group: 'cards' },
    { name: 'taking in', path: '/cards/in', ready: 'Drop a file here', group: 'cards' },
    { name: 'compare', path: `/cards/${card}/compare`, ready: 'The two say the same', group: 'cards' },
    { name: 'unit', path: `/units/${unitOf('SQ-0358')}`, ready: 'ran well', group: 'the shop' },
    {
      name: 'tray',
      path: `/tray/${units.find((one) => one.tag === 'SQ-0351')?.tray}`,
      ready: 'Accepted',
      group: 'the shop',
    },
    { name: 'kit', path: '/kit', ready: 'Multimeter M2', group: 'the shop' },
    { name: 'shop', path: '/shop', ready: 'Moving house', group: 'the shop' },
    { name: 'winder', path: `/rewinds/${rewind}`, ready: 'to go of 31', group: 'the shop' },
    { name: 'winding sheet', path: `/rewinds/${rewind}/sheet`, ready: 'All that was done', group: 'the shop' },
  ]
  return all.filter((one) => group === undefined || one.group === group)
}

async function open(page: Page, world: World, path: string, ready: string): Promise<void> {
  await page.goto(world.address + path)
  await expect(page.getByText(ready).first()).toBeVisible()
}

const sizes = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 800, height: 1280 },
]

/** Each screen is opened once and looked at in both themes and at every size: opening it anew is what takes the time. */
for (const group of groups)
  test(`axe finds nothing on the screens of ${group}, light and dark; nothing runs out of the side, and the bench needs no scrolling`, async ({
    another,
    world,
  }) => {
    // many screens, each read through: how long that takes is not what is tested
    test.slow()
    const page = await (await another()).newPage()
    for (const { name, path, ready } of await addresses(world, group)) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.emulateMedia({ colorScheme: 'light' })
      await open(page, world, path, ready)
      const light = await axe(page, `${name}, light`)
      await page.emulateMedia({ colorScheme: 'dark' })
      // colours turn by and by, and are read when they have
      await settled(page)
      await page.waitForFunction(() =>
        document
          .getAnimations()
          .every((one) => one.playState !== 'running' || one.effect?.getComputedTiming().endTime === Infinity),
      )
      expect(await axe(page, `${name}, dark`), 'the theme follows the system while the page is open').not.toBe(light)
      for (const { width, height } of sizes) {
        await page.setViewportSize({ width, height })
        const size = await page.evaluate(() => ({
          wide: document.documentElement.scrollWidth,
          high: document.documentElement.scrollHeight,
        }))
        expect(size.wide, `${name} at ${width}`).toBeLessThanOrEqual(width)
        if (name.startsWith('bench') && width > 900)
          expect(size.high, `${name} at ${width}`).toBeLessThanOrEqual(height)
      }
    }
  })

/** Fails with what axe finds; the colour the page is painted in. */
async function axe(page: Page, name: string): Promise<string> {
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map((one) => `${name}: ${one.id} ${one.nodes.map((node) => node.target).join(' ')}`)).toEqual([])
  return page.evaluate(() => getComputedStyle(document.body).backgroundColor)
}

test('the figure is set in the shipped face, with its ohm sign', async ({ page, world }) => {
  const all = await addresses(world)
  const bench = all.find((one) => one.name === 'bench')
  await open(page, world, bench?.path ?? '', bench?.ready ?? '')
  const session = await page.context().newCDPSession(page)
  await session.send('DOM.enable')
  await session.send('CSS.enable')
  const { root } = await session.send('DOM.getDocument')
  for (const selector of ['[data-testid=figure]', '.unit.n']) {
    const { nodeId } = await session.send('DOM.querySelector', { nodeId: root.nodeId, selector })
    const { fonts } = await session.send('CSS.getPlatformFontsForNode', { nodeId })
    expect(fonts.map((font) => font.familyName)).toEqual(['JetBrains Mono'])
  }
})

test('what a thumb needs is 44 px, and what the bench needs is 15 px or more', async ({ page, world }) => {
  const all = await addresses(world)
  for (const name of ['bench', 'bench, held']) {
    const one = all.find((each) => each.name === name)
    await open(page, world, one?.path ?? '', one?.ready ?? '')
    const small = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('main button')]
        // what is not shown is touched by nobody: the row of another moment stays in its place, hidden
        .filter((button) => button.checkVisibility() && button.getBoundingClientRect().height < 43.5)
        .map((button) => button.textContent),
    )
    expect(small).toEqual([])
    const tiny = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('main p, main span, main h1, main h2')]
        .filter((element) => element.childNodes.length > 0 && parseFloat(getComputedStyle(element).fontSize) < 15)
        .map((element) => element.textContent),
    )
    expect(tiny).toEqual([])
  }
})

test('a screen reader hears the step, the figure and the verdict', async ({ page, world }) => {
  const all = await addresses(world)
  const bench = all.find((one) => one.name === 'bench')
  await open(page, world, bench?.path ?? '', bench?.ready ?? '')
  await expect(page.locator('[aria-live=polite]', { hasText: 'Ohms:' })).toContainText('green')
  await expect(page.locator('.unseen[aria-live=polite]')).toContainText('brown–blue 347 Ω, within')
})
