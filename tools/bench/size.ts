import { readFileSync } from 'node:fs'
import { sql } from 'drizzle-orm'
import { v7 } from 'uuid'
import type { Shop } from '@sure-spool/contract'
import { connect } from '@sure-spool/server'
import { tallyAll } from '../../apps/server/src/repositories/cardTallies'
import { spread, tell, timed } from './figures'
import { longRun } from './longRun'

/** What a shop asks for all day, with 100,000 closed runs of one card in it against with the demo's, and a long tape against a short. */
const address = process.env['ADDRESS'] ?? ''
const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
const { database, close } = await connect(process.env['DATABASE_URL'] ?? '', 'apps/server/drizzle')
const hex = (id: string) => sql.raw(`x'${id.replaceAll('-', '')}'`)
const twin = shop.cards.find(({ name }) => name.model === '18 twin')
const unit = shop.units.find((one) => one.place === 'done' && one.card.id === twin?.id)
const by = shop.people[0]?.id ?? ''
const pages = {
  'the queue': '/units?place=waiting&limit=16',
  'a unit’s page': `/units/${unit?.id}/runs?limit=12`,
  'a card’s record': `/cards/${twin?.id}/record`,
  'the list of cards': '/cards?limit=24',
  'a search for a card': '/cards?find=18%20twin&limit=16',
  'the shop itself': '/shop',
}

async function measure(): Promise<Map<string, ReturnType<typeof spread>>> {
  const times = new Map(Object.keys(pages).map((what) => [what, [] as number[]]))
  // in turn, so that a drift of the machine meets all alike
  for (let i = 0; i < 160; i++)
    for (const [what, path] of Object.entries(pages)) {
      const time = await timed(() => fetch(`${address}/api/v1${path}`).then((response) => response.text()))
      if (i >= 40) times.get(what)?.push(time)
    }
  return new Map([...times].map(([what, some]) => [what, spread(some)]))
}

const checks = ['low', 'high', 'series', 'trigger', 'frame']
/** Runs that are closed, each of a unit of its own, with what five checks read. */
async function addRuns(count: number): Promise<void> {
  const card = hex(twin?.id ?? '')
  for (let n = 0; n < count; n += 1000) {
    const all = Array.from({ length: 1000 }, (_, i) => ({
      run: hex(v7()),
      unit: hex(v7()),
      tag: `B-${n + i}`,
      at: new Date(Date.parse('2025-01-01T00:00:00.000Z') + (n + i) * 60_000)
        .toISOString()
        .slice(0, 23)
        .replace('T', ' '),
    }))
    const insert = (into: string, rows: ReturnType<typeof sql>[]) =>
      database.execute(sql`insert into ${sql.raw(into)} values ${sql.join(rows, sql`, `)}`)
    await insert(
      'units (id, tag, history, complaint, words, card, revision, place, taken_in_at, taken_in_by, run)',
      all.map(
        ({ unit, tag, at, run }) =>
          sql`(${unit}, ${tag}, 'used', '["dead"]', 'made up', ${card}, 1, 'done', ${at}, ${hex(by)}, ${run})`,
      ),
    )
    await insert(
      'runs (id, unit, card, revision, history, rule, instruments, started_at, started_by)',
      all.map(({ run, unit, at }) => sql`(${run}, ${unit}, ${card}, 1, 'used', 'guarded', '[]', ${at}, ${hex(by)})`),
    )
    await insert(
      'run_states (run, card, started_at, entry_count, finding, closed, came_back, cured, core, summary, standing)',
      all.map(({ run, at }) => sql`(${run}, ${card}, ${at}, 1, 'undecided', true, false, false, '0.1.0', '{}', '{}')`),
    )
    await insert(
      'check_states (run, check_id, verdict, judged, judged_u, open)',
      all.flatMap(({ run }) => checks.map((check) => sql`(${run}, ${check}, 'within', 321.5, 0.9, false)`)),
    )
  }
  await tallyAll(database)
}
const few = await measure()
await addRuns(100_000)
const many = await measure()
for (const [what, { median, p99 }] of many) {
  const before = few.get(what)
  if (before) tell(`${what} with 100,000 runs`, 'with the demo’s', median / before.median, p99 / before.p99, '1.3 ×')
}

const json = async (path: string, body: unknown) => {
  const response = await fetch(`${address}/api/v1${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (!response.ok) throw new Error(await response.text())
}
const bench = shop.units.find((one) => one.tag === 'SQ-0447')
const read = ['322', '36.5', '358.4', '91']
/** The times of batches of 200 readings, each on a tape that held so many before. */
async function batches(before: number, rounds: number): Promise<number[]> {
  const times: number[] = []
  for (let round = 0; round < rounds; round++) {
    const script = longRun({ id: v7(), by, newId: () => v7(), startedAt: '2026-11-24T10:00:00.000Z' })
    await json('/runs', { id: script.run.id, unit: bench?.id, startedAt: script.run.startedAt, by })
    const send = (entries: unknown[]) => json(`/runs/${script.run.id}/entries`, { entries })
    await send(script.run.entries)
    const some = (count: number) =>
      Array.from({ length: count }, (_, i) => script.reading(checks[i % 4] ?? 'low', read[i % 4] ?? '322'))
    for (let held = 60; held < before; held += 180) await send(some(Math.min(180, before - held)))
    const batch = some(200)
    times.push(await timed(() => send(batch)))
  }
  return times
}
const [short, long] = [spread(await batches(60, 14)), spread(await batches(2400, 6))]
tell('200 entries onto a tape of 2,400', 'onto one of 60', long.median / short.median, long.p99 / short.p99, '2 ×')
await close()
