import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { tmpdir } from 'node:os'
import { afterAll, expect, test } from '@jest/globals'
import request from 'supertest'
import { v7 } from 'uuid'
import type { Shop } from '@sure-spool/contract'
import { startDatabase, type RunningDatabase } from '../../../tools/lib/database.mjs'
import { connect, createApp, HeavyWork, importShop } from '../src'
import { entryFor, reading, runOf } from './world'

const folder = join(tmpdir(), `spool-killed-${v7()}`)
let running: RunningDatabase | undefined
afterAll(async () => {
  await running?.stop()
  rmSync(folder, { recursive: true, force: true })
}, 60_000)

async function bench() {
  const database = (running = await startDatabase(folder))
  const url = `${database.url}/spool_killed`
  const connection = await connect(url, 'apps/server/drizzle')
  return {
    connection,
    app: createApp({
      database: connection.database,
      heavy: new HeavyWork(url),
      version: 'test',
      house: { house: 'open' },
    }),
  }
}

test('a database killed outright loses nothing that was acknowledged, and takes the rest when it is back', async () => {
  const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
  const before = await bench()
  await importShop(before.connection.database, shop, null)
  const run = runOf(shop, 'SQ-0438')
  const path = `/api/v1/runs/${run.id}/entries`
  const kept = entryFor(run, reading('source', '351', 351))
  expect(
    (
      await request(before.app)
        .post(path)
        .send({ entries: [kept] })
    ).status,
  ).toBe(200)

  process.kill(Number(readFileSync(join(folder, 'mariadb.pid'), 'utf8')), 'SIGKILL')
  await new Promise((resolve) => setTimeout(resolve, 300))
  const waiting = { ...entryFor(run, reading('source', '352', 352)), n: kept.n + 1 }
  const away = await request(before.app)
    .post(path)
    .send({ entries: [waiting] })
  expect(away.status).toBe(503)
  expect(away.type).toBe('application/problem+json')
  await before.connection.close().catch(() => undefined)
  await running?.stop()

  const after = await bench()
  const again = await request(after.app)
    .post(path)
    .send({ entries: [kept, waiting] })
  expect(again.status).toBe(200)
  expect((again.body as { kept: { repeated: boolean }[] }).kept.map((one) => one.repeated)).toEqual([true, false])
  const read = await request(after.app).get(`/api/v1/runs/${run.id}`)
  const ids = (read.body as { run: { entries: { id: string }[] } }).run.entries.map((entry) => entry.id)
  expect(ids.slice(-2)).toEqual([kept.id, waiting.id])
  await after.connection.close()
}, 120_000)
