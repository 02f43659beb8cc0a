import { runState } from '@sure-spool/core'
import { inTransaction, type Database } from '../database/connect'
import { tallyAll } from '../repositories/cardTallies'
import { readRun, runsPage, type RunRow } from '../repositories/runs'
import { inPages } from './jsonText'
import { keepJudged } from './keepJudged'

const runsAtOnce = 100

/**
 * Computes every run's state again from its entries: after a new core, or when a list looks wrong. Meant for a process of its own
 * (`npm run rebuild`), one run a transaction.
 * @returns how many runs were judged
 */
export async function rebuildStates(database: Database): Promise<number> {
  let judged = 0
  for await (const row of inPages((after: RunRow | undefined) => runsPage(database, after?.id, runsAtOnce))) {
    await inTransaction(database, async (queries) => {
      const run = await readRun(queries, row)
      if (run) await keepJudged(queries, runState(run))
    })
    judged++
  }
  await inTransaction(database, tallyAll)
  return judged
}
