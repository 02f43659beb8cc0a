import { expect, test } from '@jest/globals'
import { existsSync, mkdirSync, rmSync } from 'node:fs'
import { spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sweepBodies, whyNotOnDisk } from '../src/http/onDisk'
import { ProblemError } from '../src/http/problem'

test('what a killed server left of a body is swept away; what another server takes in just now is not', async () => {
  const { pid: gone } = spawnSync('true')
  const [left, mine, another] = [`${gone}-x`, `${process.pid}-x`, 'notes'].map((name) =>
    join(tmpdir(), `sure-spool-body-${name}`),
  ) as [string, string, string]
  for (const folder of [left, mine, another]) mkdirSync(folder, { recursive: true })
  await sweepBodies()
  expect([left, mine, another].map((folder) => existsSync(folder))).toEqual([false, true, true])
  for (const folder of [mine, another]) rmSync(folder, { recursive: true })
})

test('a full disk is said to be one, anything else broke off, and what was refused stays refused', () => {
  expect(whyNotOnDisk(Object.assign(new Error('no space'), { code: 'ENOSPC' }))).toMatchObject({ status: 507 })
  expect(whyNotOnDisk(new Error('aborted'))).toMatchObject({ status: 400 })
  const refused = new ProblemError(413, 'too-large', 'larger')
  expect(whyNotOnDisk(refused)).toBe(refused)
})
