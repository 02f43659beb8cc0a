import { readFileSync } from 'node:fs'
import type { Shop } from '@sure-spool/contract'
import { spread, tell } from './figures'
import { manyCards } from './manyCards'

/** How long a health request waits while 20 MB of cards are taken in, against the same server with nothing to do. */
const address = process.env['ADDRESS'] ?? ''
const by = (JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop).people[0]?.id ?? ''
const wanted = 20e6
const requests = 400

async function waits(until?: Promise<unknown>): Promise<number[]> {
  const times: number[] = []
  let over = false
  void until?.finally(() => (over = true))
  while (until ? !over : times.length < requests) {
    const begun = performance.now()
    await (await fetch(`${address}/healthz`)).text()
    times.push(performance.now() - begun)
  }
  return times
}

function twentyMegabytes(seed: number): string {
  const lines = [JSON.stringify({ by })]
  for (let size = 0, round = 0; size < wanted; round++)
    for (const card of manyCards(500, seed + round)) {
      const line = JSON.stringify(card)
      size += line.length
      if (size < wanted) lines.push(line)
    }
  return lines.join('\n')
}

const body = twentyMegabytes(9000)
await waits()
const idle = spread(await waits())
const taking = fetch(`${address}/api/v1/cards/import`, {
  method: 'POST',
  headers: { 'Content-Type': 'application/x-ndjson' },
  body,
}).then(async (response) => {
  if (!response.ok) throw new Error(await response.text())
  await response.text()
})
const busy = spread(await waits(taking))
await taking
tell(
  'a health request while 20 MB are taken in',
  'an idle server',
  busy.median / idle.median,
  busy.p99 / idle.p99,
  'p99 3 ×',
)
