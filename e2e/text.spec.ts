import type { Page } from '@playwright/test'
import { BenchPage } from './benchPage'
import { settled } from './controls'
import { longRun } from './longNames'
import { textFaults } from './textFaults'
import { expect, test, type World } from './world'

const sizes = [
  [1280, 800],
  [1024, 768],
  [800, 1280],
] as const

async function openBench(page: Page, world: World, run: string): Promise<BenchPage> {
  await page.goto(`${world.address}/bench/${run}`)
  const bench = new BenchPage(page, world.address)
  await expect(bench.tape).toBeVisible()
  return bench
}

for (const [width, height] of sizes)
  test(`no text lies on another or is cut, with the longest names there may be, at ${width}x${height}`, async ({
    another,
    world,
  }) => {
    test.slow()
    const run = await longRun(world)
    const page = await (await another({ viewport: { width, height } })).newPage()
    const look = async (where: string) => expect.soft(await textFaults(page), where).toEqual([])
    const bench = await openBench(page, world, run)
    await look('a reading')
    await bench.press('ArrowUp')
    await look('the step before')
    await bench.press('1')
    await look('a line that is open')
    await bench.press('Escape', 'g')
    await look('grounds')
    await bench.press('g', 's')
    await look('a question')
    await bench.press('Escape')
    for (let step = 0; step < 12; step++) {
      await bench.press('ArrowDown')
      await look(`step ${step} down the path`)
    }
    await bench.toFinding()
    await look('the finding')
    await bench.press('a')
    await look('the decision')
    await page.goto(world.address)
    await expect(page.getByText('Waiting', { exact: true })).toBeVisible()
    await settled(page)
    await look('the queue')
    await page.keyboard.press('b')
    await look('setting aside')
  })
