import { readFileSync } from 'node:fs'
import { sql } from 'drizzle-orm'
import { v7 } from 'uuid'
import type { Shop } from '@sure-spool/contract'
import { connect } from '@sure-spool/server'
import { spread, tell, timed } from './figures'

/** The queue and a unit's page with 100,000 runs in the shop against with the demo's, over HTTP. */
const address = process.env['ADDRESS'] ?? ''
const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
const { database, close } = await connect(process.env['DATABASE_URL'] ?? '', 'apps/server/drizzle')
const hex = (id: string) => sql.raw(`x'${id.replaceAll('-', '')}'`)
const unit = shop.units.find((one) => one.place === 'done')
const card = shop.cards[0]
const by = shop.people[0]?.id ?? ''
const pages = { 'the queue': '/units?place=waiting&limit=16', 'a unit’s page': `/units/${unit?.id}/runs?limit=12` }

async function measure(path: string): Promise<ReturnType<typeof spread>> {
  const times: number[] = []
  for (let i = 0; i < 160; i++) {
    const time = await timed(() => fetch(`${address}/api/v1${path}`).then((response) => response.text()))
    if (i >= 40) times.push(time)
  }
  return spread(times)
}
async function addRuns(count: number): Promise<void> {
  for (let n = 0; n < count; n += 1000) {
    const ids = Array.from({ length: 1000 }, () => v7())
    const at = (i: number) =>
      new Date(Date.parse('2025-01-01T00:00:00.000Z') + (n + i) * 60_000).toISOString().slice(0, 23).replace('T', ' ')
    await database.execute(
      sql`insert into runs (id, unit, card, revision, history, rule, instruments, started_at, started_by) values ${sql.join(
        ids.map(
          (id, i) =>
            sql`(${hex(id)}, ${hex(v7())}, ${hex(card?.id ?? '')}, 1, 'used', 'guarded', '[]', ${at(i)}, ${hex(by)})`,
        ),
        sql`, `,
      )}`,
    )
    await database.execute(
      sql`insert into run_states (run, entry_count, finding, closed, came_back, core, summary, standing) values ${sql.join(
        ids.map((id) => sql`(${hex(id)}, 1, 'undecided', true, false, '0.1.0', '{}', '{}')`),
        sql`, `,
      )}`,
    )
  }
}
const few = { queue: await measure(pages['the queue']), unit: await measure(pages['a unit’s page']) }
await addRuns(100_000)
const many = { queue: await measure(pages['the queue']), unit: await measure(pages['a unit’s page']) }
tell(
  'the queue with 100,000 runs',
  'with the demo’s',
  many.queue.median / few.queue.median,
  many.queue.p99 / few.queue.p99,
  '1.3 ×',
)
tell(
  'a unit’s page with 100,000 runs',
  'with the demo’s',
  many.unit.median / few.unit.median,
  many.unit.p99 / few.unit.p99,
  '1.3 ×',
)
await close()
