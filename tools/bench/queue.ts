import { readFileSync } from 'node:fs'
import { v7 } from 'uuid'
import { connect } from '@sure-spool/server'
import type { Shop } from '@sure-spool/contract'
import { sql } from 'drizzle-orm'
import { spread, tell, timed } from './figures'

/** The queue with 10,000 units against 100, over HTTP. */
const address = process.env['ADDRESS'] ?? ''
const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
const card = shop.cards[0]
const { database, close } = await connect(process.env['DATABASE_URL'] ?? '', 'apps/server/drizzle')
const hex = (id: string) => sql.raw(`x'${id.replaceAll('-', '')}'`)

async function fill(upTo: number): Promise<void> {
  const [rows] = (await database.execute(sql`select count(*) as n from units`)) as unknown as [{ n: number }[]]
  for (let n = Number(rows[0]?.n ?? 0); n < upTo; n += 500) {
    const values = Array.from({ length: Math.min(500, upTo - n) }, (_, i) => {
      const at = new Date(Date.parse('2026-01-01T00:00:00.000Z') + (n + i) * 60_000)
        .toISOString()
        .replace('T', ' ')
        .replace('Z', '')
      return sql`(${hex(v7())}, ${`B-${n + i}-${v7().slice(-4)}`}, 'used', '["dead"]', 'made up', ${hex(card?.id ?? '')}, ${card?.revision ?? 1}, ${['waiting', 'bench', 'blocked', 'done', 'done', 'done'][(n + i) % 6] ?? 'done'}, ${at}, ${hex(shop.people[0]?.id ?? '')})`
    })
    await database.execute(
      sql`insert into units (id, tag, history, complaint, words, card, revision, place, taken_in_at, taken_in_by) values ${sql.join(values, sql`, `)}`,
    )
  }
}

async function measure(): Promise<number[]> {
  const times: number[] = []
  for (let i = 0; i < 120; i++) {
    const time = await timed(() =>
      fetch(`${address}/api/v1/units?place=waiting&limit=16`).then((response) => response.text()),
    )
    if (i >= 20) times.push(time)
  }
  return times
}
await fill(100)
const few = spread(await measure())
await fill(10_000)
const many = spread(await measure())
tell('the queue with 10,000 units', 'the queue with 100', many.median / few.median, many.p99 / few.p99, '1.3 ×')
await close()
