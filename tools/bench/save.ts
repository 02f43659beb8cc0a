import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { v7 } from 'uuid'
import type { Shop } from '@sure-spool/contract'
import { runState, summarise } from '@sure-spool/core'
import { anyPort } from '../lib/database.mjs'
import { inTurn, spread, tell } from './figures'
import { longRun } from './longRun'

/** Saving one more entry on a run of 60 against a bare route that writes the same rows with the same durability. */
const address = process.env['ADDRESS'] ?? ''
const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
const by = shop.people[0]?.id ?? ''
const unit = shop.units.find((one) => one.tag === 'SQ-0447')
const json = async (url: string, body: unknown) => {
  const response = await fetch(url, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (!response.ok) throw new Error(await response.text())
  return response.json()
}

/** A fresh run that stands at 60 entries. */
async function standing(): Promise<ReturnType<typeof longRun>> {
  const script = longRun({ id: v7(), by, newId: () => v7(), startedAt: '2026-11-24T10:00:00.000Z' })
  await json(`${address}/api/v1/runs`, { id: script.run.id, unit: unit?.id, startedAt: script.run.startedAt, by })
  await json(`${address}/api/v1/runs/${script.run.id}/entries`, { entries: script.run.entries })
  return script
}

const port = await anyPort()
const bare = spawn(process.execPath, ['--import', 'tsx', 'tools/bench/bare.ts'], {
  stdio: 'inherit',
  env: { ...process.env, PORT: String(port) },
})
process.on('exit', () => bare.kill())
for (let tries = 0; tries < 100; tries++) {
  const up = await fetch(`http://127.0.0.1:${port}/`).then(
    () => true,
    () => false,
  )
  if (up) break
  await new Promise((resolve) => setTimeout(resolve, 100))
}
const summary = JSON.stringify(summarise(runState(longRun().run)))
const moment = '2026-11-24 12:00:00.000'
const otherRun = v7()
const rows = (text: string) => {
  const id = v7()
  return {
    entry: [
      id,
      otherRun,
      61,
      moment,
      by,
      'reading',
      JSON.stringify({ kind: 'reading', check: 'low', reading: { text } }),
      moment,
    ],
    reading: [id, otherRun, 'low', 'value', text, 322, null, null, 'm2'],
    state: [otherRun, otherRun, moment, 61, 'undecided', 0, 0, 0, '0.1.0', summary, '{}'],
    checks: ['look', 'low', 'high', 'series', 'trigger', 'frame', 'flex'].map((check) => [
      otherRun,
      check,
      'within',
      null,
      322,
      0.9,
      0,
    ]),
  }
}
const times = { mine: [] as number[], baseline: [] as number[] }
for (let run = 0; run < 45; run++) {
  const script = await standing()
  const url = `${address}/api/v1/runs/${script.run.id}/entries`
  const some = await inTurn(
    5,
    (round) => json(url, { entries: [script.reading('low', String(320 + round))] }),
    () => json(`http://127.0.0.1:${port}/save`, rows('322')),
  )
  if (run < 5) continue
  times.mine.push(...some.mine)
  times.baseline.push(...some.baseline)
}
const mine = spread(times.mine)
const base = spread(times.baseline)
tell(
  'saving an entry',
  'a bare route that writes the same rows',
  mine.median / base.median,
  mine.p99 / base.p99,
  '1.5 ×',
)
process.exit()
