import { execSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { v7 } from 'uuid'
import type { Shop } from '@sure-spool/contract'
import { spread, tell } from './figures'

/**
 * From the queue to the first step painted, a new run begun on the way, against drawing the queue itself; opened by a hand, half a second
 * after the part was seen there.
 */
const address = process.env['ADDRESS'] ?? ''
const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
const card = shop.cards.find((one) => one.name.model === '18 twin')
const rounds = 12
const tags = Array.from({ length: rounds }, (_, i) => `OPEN-${100 + i}`)
for (const tag of tags)
  await fetch(`${address}/api/v1/units`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      id: v7(),
      tag,
      history: 'used',
      complaint: ['none'],
      words: '',
      card: { id: card?.id, revision: card?.revision },
      takenInAt: new Date().toISOString(),
      takenInBy: shop.people[0]?.id,
    }),
  })
const browser = await chromium.launch({
  executablePath: execSync('command -v chromium', { encoding: 'utf8' }).trim(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const [queue, opened]: [number[], number[]] = [[], []]
for (const tag of tags) {
  let start = performance.now()
  await page.goto(address)
  const row = page.getByRole('button', { name: new RegExp(tag) })
  await row.waitFor()
  queue.push(performance.now() - start)
  await page.waitForTimeout(500)
  start = performance.now()
  await row.click()
  await page.getByRole('heading', { name: 'Look at the part' }).waitFor()
  opened.push(performance.now() - start)
}
await browser.close()
const [mine, baseline] = [spread(opened.slice(2)), spread(queue.slice(2))]
tell(
  'opening a card and starting a run to its first step',
  'drawing the queue',
  mine.median / baseline.median,
  mine.p99 / baseline.p99,
)
