import type { Queue, QueueUnit, Shop, ShopView } from '@sure-spool/contract'
import type { Run } from '@sure-spool/core'
import { ask, Refused } from './api'
import { browserDatabase, readCopy, readRunCopy } from './browserDatabase'

/**
 * Sends a run whole, with its part, card, meters and people, to a server that does not know it any more, because it came back from an
 * older backup; with it has gone up all that waited for it. What is there already is left as it is.
 * @returns null where it was taken, else what to add to the first refusal: nothing where this browser has no copy of it
 * @throws Away
 */
export async function sendRunWhole(id: string): Promise<string | null> {
  const [run, shop, queue] = await Promise.all([readRunCopy(id), readCopy<ShopView>('shop'), readCopy<Queue>('queue')])
  if (!run || !shop) return ''
  const taken = queue?.units.find((unit) => unit.id === run.unit.id)
  try {
    await ask('/shop/import', { method: 'POST', body: asShop(run, shop, taken) })
  } catch (error) {
    if (error instanceof Refused) return ` Sent whole it was refused too: ${error.message}`
    throw error
  }
  const known = new Set(run.entries.map((entry) => entry.id))
  const { outgoing } = await browserDatabase()
  const waited = outgoing.where('run').equals(id)
  await waited.filter((item) => known.has(item.id)).delete()
  return null
}

/** @param taken the part as the queue had it; without it who began the run, and when, stand for who took it in */
function asShop({ unit, card, ...run }: Run, { settings, people, instruments }: ShopView, taken?: QueueUnit): Shop {
  const by = run.entries[0]?.by ?? people[0]?.id ?? ''
  const on = { id: card.id, revision: card.revision }
  const { takenInAt = run.startedAt, takenInBy = by, from, tray } = taken ?? {}
  return {
    format: 'sure-spool/shop',
    version: 1,
    settings,
    people,
    instruments,
    cards: [card as Shop['cards'][number]],
    units: [{ ...unit, card: on, place: 'bench', takenInAt, takenInBy, from, tray } as Shop['units'][number]],
    runs: [
      {
        id: run.id,
        unit: unit.id,
        card: on,
        history: unit.history,
        rule: run.rule,
        instruments: run.instruments,
        startedAt: run.startedAt,
        startedBy: by,
        entries: run.entries,
        ...(run.compare ? { compare: run.compare } : {}),
      } as Shop['runs'][number],
    ],
  }
}
