import { execSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { v7 } from 'uuid'
import type { Shop } from '@sure-spool/contract'
import { spread, tell } from './figures'
import { longRun } from './longRun'

/**
 * From Enter to the painted verdict in Chromium, on a run of 60 entries, against one frame of 60 Hz: figures typed at the pace of a quick
 * hand, and all at once, where what the digits began to paint is in the way. Of how many the verdict stood in the first frame after the key
 * is told beside it.
 */
const frame = 1000 / 60
const paces = [
  ['a key every 60 ms', 60],
  ['all keys at once', 0],
] as const
/** One reading: milliseconds, and the frame in which its verdict stood. */
interface Taken {
  ms: number
  frames: number
}
const address = process.env['ADDRESS'] ?? ''
const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
const by = shop.people[0]?.id ?? ''
const unit = shop.units.find((one) => one.tag === 'SQ-0446')
const script = longRun({ id: v7(), by, newId: () => v7(), startedAt: '2026-11-24T10:00:00.000Z' })
const post = (path: string, body: unknown) =>
  fetch(`${address}/api/v1${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  })
await post('/runs', { id: script.run.id, unit: unit?.id, startedAt: script.run.startedAt, by })
await post(`/runs/${script.run.id}/entries`, { entries: script.run.entries })

const browser = await chromium.launch({
  executablePath: execSync('command -v chromium', { encoding: 'utf8' }).trim(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`${address}/bench/${script.run.id}`)
await page.waitForSelector('[aria-label=Path]')
// what runs this file gives functions their names by one that the page lacks
await page.evaluate('globalThis.__name = (one) => one')
await page.evaluate(() => {
  const taken: Taken[] = []
  Object.assign(window, { taken })
  const later = (then: () => void) => {
    const channel = new MessageChannel()
    channel.port1.onmessage = then
    channel.port2.postMessage(null)
  }
  /** the verdict of what was read, and no more the line that is typed */
  const stands = () =>
    document.querySelector('[data-testid=verdict]') !== null &&
    !document.querySelector('.caption')?.textContent.startsWith('typing')
  window.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Enter') return
      const start = performance.now()
      const painted = (frames: number) =>
        requestAnimationFrame(() => {
          later(() => {
            if (stands()) taken.push({ ms: performance.now() - start, frames })
            else if (frames < 60) painted(frames + 1)
          })
        })
      painted(1)
    },
    true,
  )
})
const title = () => page.locator('h1').last().textContent()
async function toGrey(): Promise<void> {
  for (let up = 0; up < 14 && !(await title())?.includes('grey'); up++) await page.keyboard.press('ArrowUp')
}
await page.keyboard.press('ArrowUp')
await toGrey()
for (const [words, delay] of paces) {
  await page.evaluate(() => void ((window as unknown as { taken: Taken[] }).taken.length = 0))
  for (let i = 0; i < 105; i++) {
    await page.keyboard.type(String(318 + (i % 5)), { delay })
    await page.keyboard.press('Enter')
    await page.waitForTimeout(120)
    await toGrey()
  }
  const taken = (await page.evaluate(() => (window as unknown as { taken: Taken[] }).taken)).slice(5)
  const { median, p99 } = spread(taken.map(({ ms }) => ms))
  const what = `key press to painted verdict, ${words} (${taken.length} readings)`
  tell(what, 'one 60 Hz frame', median / frame, p99 / frame, '1 ×')
  const first = taken.filter(({ frames }) => frames === 1).length
  process.stdout.write(`  the verdict stood in the first frame after the key in ${first} of ${taken.length}\n`)
}
await browser.close()
