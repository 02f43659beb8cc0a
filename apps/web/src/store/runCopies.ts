import type { NewRun, QueueUnit, RunView } from '@sure-spool/contract'
import type { Entry, Run } from '@sure-spool/core'
import { ask, Refused } from './api'
import { browserDatabase } from './browserDatabase'
import { readCard } from './cardCopies'
import { rightNow } from './clock'
import { newId } from './newId'
import type { useOutbox } from './outbox'
import { plain } from './plain'
import type { useShop } from './shop'

/** Entries of a run that this browser has made and the server may not have yet, but for those it refused. */
export async function waitingEntries(run: string): Promise<Entry[]> {
  const items = await (await browserDatabase()).outgoing.where('run').equals(run).toArray()
  return items.flatMap((item) => (item.kind === 'entry' && !item.aside ? [item.body] : []))
}

/**
 * Starts a run of a unit: on the server where it is there and knows the unit, else here on the card's copy, to go up later.
 * @throws Refused where the server will not have it; Error where it is away and this browser has no copy of the card
 */
export async function startRun(
  unit: QueueUnit,
  outbox: ReturnType<typeof useOutbox>,
  shop: ReturnType<typeof useShop>,
): Promise<Run> {
  const body = { id: newId(), unit: unit.id, startedAt: rightNow().toISOString(), by: shop.person?.id ?? '' }
  // what waits may be this very unit, taken in here or in another tab
  if (outbox.waiting > 0 || (await waits(unit.id))) await outbox.settle()
  const view = (await waits(unit.id)) ? undefined : await startThere({ ...body, goOn: true })
  if (view) return view.run
  const run = await runHere(unit, body, shop)
  outbox.put({ id: body.id, kind: 'run', body })
  return run
}

const waits = async (id: string): Promise<boolean> =>
  (await (await browserDatabase()).outgoing.where('id').equals(id).count()) > 0

/** @returns undefined where the server is away; @throws Refused where it will not have it */
const startThere = (body: NewRun): Promise<RunView | undefined> =>
  ask<RunView>('/runs', { method: 'POST', body }).catch((error: unknown) => {
    if (error instanceof Refused) throw error
    return undefined
  })

async function runHere(unit: QueueUnit, body: NewRun, shop: ReturnType<typeof useShop>): Promise<Run> {
  const card = await readCard(unit.card)
  if (!card)
    throw new Error(
      'The server is away and this browser has no copy of the card. Open the card once while the server is there.',
    )
  const { id, tag, serial, items, variant, history, complaint, words } = unit
  return {
    format: 'sure-spool/run',
    version: 1,
    id: body.id,
    unit: plain({ id, tag, serial, items, variant, history, complaint, words }),
    card,
    rule: shop.settings.rule,
    instruments: plain(shop.instruments),
    startedAt: body.startedAt,
    entries: [],
  }
}
