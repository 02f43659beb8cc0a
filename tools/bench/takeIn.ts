import { readFileSync } from 'node:fs'
import { createPool } from 'mysql2/promise'
import type { Shop } from '@sure-spool/contract'
import { figuresOf, wordsOf } from '@sure-spool/core'
import { inTurn, spread, tell } from './figures'
import { manyCards } from './manyCards'

/** Taking 2,000 cards in over HTTP against inserting the very same rows by raw SQL, a hundred at a time in one transaction. */
const address = process.env['ADDRESS'] ?? ''
const by = (JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop).people[0]?.id ?? ''
const pool = createPool({ uri: process.env['DATABASE_URL'] ?? '' })
const rounds = 6
const files = Array.from({ length: 2 * rounds + 1 }, (_, round) => manyCards(2000, round + 20))

const bodies = files.map((cards) => [{ by }, ...cards].map((one) => JSON.stringify(one)).join('\n'))
async function overHttp(body: string): Promise<void> {
  const response = await fetch(`${address}/api/v1/cards/import`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-ndjson' },
    body,
  })
  if (!response.ok) throw new Error(await response.text())
  await response.text()
}
const prepared = files.map((cards) =>
  cards.map((card) => ({
    id: Buffer.from(card.id.replaceAll('-', ''), 'hex'),
    body: JSON.stringify(card),
    search: JSON.stringify({
      revision: 1,
      partNumbers: card.name.partNumbers,
      words: wordsOf(card),
      figures: figuresOf(card),
    }),
    card,
  })),
)
async function bare(rows: (typeof prepared)[number]): Promise<void> {
  const connection = await pool.getConnection()
  await connection.beginTransaction()
  for (let at = 0; at < rows.length; at += 100) {
    const some = rows.slice(at, at + 100)
    await connection.query('INSERT INTO card_revisions (card, revision, state, hash, body) VALUES ?', [
      some.map((row) => [row.id, 1, 'published', 'x'.repeat(64), row.body]),
    ])
    await connection.query('INSERT INTO cards (id, maker, model, family, published, search) VALUES ?', [
      some.map(({ id, card, search }) => [id, card.name.maker, card.name.model, card.family, 1, search]),
    ])
  }
  await connection.commit()
  connection.release()
}
// the first work starts the thread that does it
await overHttp(bodies.at(-1) ?? '')
const times = await inTurn(
  rounds,
  (round) => overHttp(bodies[2 * round] ?? ''),
  (round) => bare(prepared[2 * round + 1] ?? []),
)
const [mine, baseline] = [spread(times.mine), spread(times.baseline)]
tell(
  'taking 2,000 cards in',
  'inserting the same rows',
  mine.median / baseline.median,
  mine.p99 / baseline.p99,
  '2.5 ×',
)
await pool.end()
