import type { ListedRewind } from '@sure-spool/contract'
import { atTwinReference, rewindState, runState, windingRead, woundWindings, type RunState } from '@sure-spool/core'
import type { Queries } from '../database/connect'
import { asRewind, entriesOfRewind, listRewinds, type RewindRow } from '../repositories/rewinds'
import { closedRunBetween, readRun } from '../repositories/runs'

/** Rewinds of a unit or of a model, the newest first: how each winding was wound, and what it read in the run that proved it. */
export async function listedRewinds(
  queries: Queries,
  of: { unit: string } | { card: string },
): Promise<ListedRewind[]> {
  const rows = await listRewinds(queries, of)
  const listed: ListedRewind[] = []
  for (const { rewinds: row, tag } of rows) {
    const next = rows.findLast(({ rewinds: one }) => one.unit === row.unit && one.startedAt > row.startedAt)
    listed.push(await listedOne(queries, row, tag, next?.rewinds.startedAt))
  }
  return listed
}

async function listedOne(
  queries: Queries,
  row: RewindRow,
  tag: string,
  next: string | undefined,
): Promise<ListedRewind> {
  const wound = woundWindings(rewindState(asRewind(row, await entriesOfRewind(queries, row.id))))
  const proof = wound.length === 0 ? undefined : await closedRunBetween(queries, row.unit, row.startedAt, next)
  const run = proof && (await readRun(queries, proof.row))
  const state = run && runState(run)
  return {
    id: row.id,
    unit: row.unit,
    tag,
    startedAt: row.startedAt,
    coils: row.coils.length,
    wound: wound.map((one) => ({ ...one, ...(state ? ohmsIn(state, one.winding) : {}) })),
    ...(proof && state ? { after: { run: proof.row.id, finding: state.finding.word, cameBack: proof.cameBack } } : {}),
  }
}

function ohmsIn(state: RunState, winding: string): { ohms20?: number } {
  const read = windingRead(state, winding)
  return read?.net === undefined ? {} : { ohms20: atTwinReference(read).value }
}
