import { readFileSync } from 'node:fs'
import type { Card } from '@sure-spool/core'
import type { Shop } from '@sure-spool/contract'
import { spread, tell } from './figures'
import { manyCards } from './manyCards'

/** Finding a card among 20,000 against among 200, over HTTP: by words, misspelt, and by what was measured. */
const address = process.env['ADDRESS'] ?? ''
const by = (JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop).people[0]?.id ?? ''
const questions = {
  words: ['find=orrinvale%2018', 'find=18-1140', 'find=violet%2Fwhite%206%20way', 'find=sallow'],
  'misspelt words': ['find=orinvale%20twin', 'find=duskwatter', 'find=brindelcote%20compresor'],
  figures: ['read=about%20318%20and%2036%2C%20both%20open%20to%20frame', 'read=21.6', 'read=4.35k%20and%208.7k'],
}
const cards = manyCards(20_000)

async function fill(from: number, to: number): Promise<void> {
  for (let at = from; at < to; at += 2000) await take(cards.slice(at, Math.min(to, at + 2000)))
}
async function take(some: Card[]): Promise<void> {
  const response = await fetch(`${address}/api/v1/cards/import`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ cards: some, by, preview: false }),
  })
  if (!response.ok) throw new Error(await response.text())
}
async function measure(): Promise<Record<string, ReturnType<typeof spread>>> {
  const found: Record<string, ReturnType<typeof spread>> = {}
  for (const [name, paths] of Object.entries(questions)) {
    const times: number[] = []
    for (let round = 0; round < 60; round++)
      for (const path of paths) {
        const start = performance.now()
        await fetch(`${address}/api/v1/cards?limit=20&${path}`).then((response) => response.text())
        if (round >= 15) times.push(performance.now() - start)
      }
    found[name] = spread(times)
  }
  return found
}
/** A card is looked at again for some seconds after it changed; what is measured is the rest of the day. */
const settle = () => new Promise((resolve) => setTimeout(resolve, 7000))
await fill(0, 176)
await settle()
const few = await measure()
await fill(176, 20_000 - 24)
await settle()
const many = await measure()
for (const name of Object.keys(questions)) {
  const [one, other] = [few[name], many[name]]
  if (one && other)
    tell(`finding a card by ${name} among 20,000`, 'among 200', other.median / one.median, other.p99 / one.p99, '1.5 ×')
}
