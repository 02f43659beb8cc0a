import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { RunView } from '@sure-spool/contract'
import type { BenchPage } from '../benchPage'
import { expect, type World } from '../world'

export { expect, test, type World } from '../world'

/** What `docs/jobs.md` says a job takes, in keys pressed on the bench. */
function keysWritten(job: string): number | undefined {
  const row = readFileSync('docs/jobs.md', 'utf8')
    .split('\n')
    .find((line) => line.startsWith(`| ${job} `))
  const cells = row?.split('|').map((cell) => cell.trim())
  return cells?.[3] === undefined ? undefined : Number(cells[3])
}

/** A job worked to its end: the keys it took are those that `docs/jobs.md` says, and all of it is in the record. `JOB_SHOTS` keeps its picture. */
export async function worked(job: string, bench: BenchPage, world: World): Promise<RunView> {
  process.stdout.write(`job ${job}: ${bench.keys} keys on the bench\n`)
  const view = await viewOf(bench, world)
  const folder = process.env['JOB_SHOTS']
  if (folder) await bench.page.screenshot({ path: join(folder, `${job}.png`) })
  expect.soft(bench.keys, `keys of job ${job}, beside docs/jobs.md`).toBe(keysWritten(job))
  return view
}

/** The run on the bench as the server has it, once all of it is there. */
export async function viewOf(bench: BenchPage, world: World): Promise<RunView> {
  await bench.allSent()
  return world.get<RunView>(`/runs/${bench.runId}`)
}

/** The ids of remarks that were ever made in a run, answered or not. */
export const remarksOf = ({ state }: RunView): string[] => state.remarks.map(({ id }) => id)
