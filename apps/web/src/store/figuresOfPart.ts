import type { Queue, QueueUnit, RunView } from '@sure-spool/contract'
import { comparisonOf, runState, type Comparison, type Run } from '@sure-spool/core'
import { ask } from './api'
import { merged, readRunCopy } from './browserDatabase'
import type { useQueue } from './queue'

/** What another part of the same model read when it was last on the bench, as a twin’s figures; or, in words, why there are none. */
export async function figuresOfPart(
  tag: string,
  run: Run,
  queue: Pick<ReturnType<typeof useQueue>, 'units'>,
): Promise<Comparison | { problem: string }> {
  const unit = await unitTagged(tag, queue.units)
  if (unit === 'away') return { problem: `The server does not answer, and this browser knows no part tagged ${tag}.` }
  if (!unit) return { problem: `No part here is tagged ${tag}.` }
  if (unit.id === run.unit.id)
    return { problem: `${unit.tag} is this part: what it read before stands beside it already.` }
  if (unit.card.id !== run.card.id) return { problem: `${unit.tag} is another model: its figures say nothing here.` }
  const other = unit.standing && (await lastRead(unit.standing.run))
  if (!other) return { problem: `${unit.tag} was not on the bench yet.` }
  const { failed: _failed, ...twin } = comparisonOf(runState(other), 'twin')
  return twin.figures.length > 0 ? twin : { problem: `Nothing that counts was read of ${unit.tag} yet.` }
}

async function unitTagged(tag: string, known: QueueUnit[]): Promise<QueueUnit | 'away' | undefined> {
  const here = known.find((unit) => unit.tag === tag)
  if (here) return here
  const found = await ask<Queue>(`/units?tag=${encodeURIComponent(tag)}`).catch(() => 'away' as const)
  return found === 'away' ? found : found.units[0]
}

/** From the server with what this browser has besides; from this browser alone where the server is away. */
async function lastRead(id: string): Promise<Run | undefined> {
  const [there, here] = await Promise.all([
    ask<RunView>(`/runs/${id}`).catch(() => undefined),
    readRunCopy(id).catch(() => undefined),
  ])
  if (!there || !here) return there?.run ?? here
  return { ...there.run, entries: merged(here.entries, there.run.entries) }
}
