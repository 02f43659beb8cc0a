import { afterAll, expect, test } from '@jest/globals'
import { mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { begin, worldOf } from './world'

const folder = mkdtempSync(join(tmpdir(), 'spool-backups-'))
const world = worldOf('backups', { empty: true, backups: folder })
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const shown = async (of = world) => (await request(of.app).get('/api/v1/shop/backups')).body as unknown

function backup(day: string, bytes: number, tried?: string) {
  const file = join(folder, `sure_spool-${day}T04-00-00-000Z.sql.gz`)
  writeFileSync(file, Buffer.alloc(bytes))
  utimesSync(file, new Date(`${day}T04:00:00Z`), new Date(`${day}T04:00:00Z`))
  writeFileSync(`${file}.sha256`, 'of it')
  if (tried !== undefined) writeFileSync(`${file}.tried`, tried)
}

test('the backups of the folder, the newest first, each with what its trial found', async () => {
  expect(await shown()).toEqual({ kept: true, backups: [] })
  const tried = { at: '2026-11-28T04:01:00.000Z', tables: 21, differ: ['entries'] }
  backup('2026-11-28', 900, JSON.stringify(tried))
  backup('2026-11-30', 1100, '{"at":')
  backup('2026-11-29', 1000)
  writeFileSync(join(folder, 'sure_spool-2026-11-30.sql.gz.unfinished'), 'half')
  expect(await shown()).toEqual({
    kept: true,
    backups: [
      { at: '2026-11-30T04:00:00.000Z', bytes: 1100 },
      { at: '2026-11-29T04:00:00.000Z', bytes: 1000 },
      { at: '2026-11-28T04:00:00.000Z', bytes: 900, tried },
    ],
  })
})

test('of many the last thirty are shown; where nobody keeps any it says so', async () => {
  for (let day = 1; day <= 31; day++) backup(`2026-10-${String(day).padStart(2, '0')}`, day)
  const { backups } = (await shown()) as { backups: { at: string }[] }
  expect([backups.length, backups.at(-1)?.at]).toEqual([30, '2026-10-05T04:00:00.000Z'])
  const none = await begin('backups_none', { empty: true })
  try {
    expect(await shown(none)).toEqual({ kept: false, backups: [] })
  } finally {
    await none.end()
  }
})
