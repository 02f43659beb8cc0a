import type { Kept, RunView, WrittenCard } from '@sure-spool/contract'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { afterPaint } from './afterPaint'
import { ask, isFinal, type Refused } from './api'
import { jot, jotted, kept, plain, unjot, type Outgoing } from './kept'

const again = 3000
const mostAtOnce = 100

/** Everything that waits to go up: kept in the browser, sent in order, in batches that are safe to repeat. */
export const useOutbox = defineStore('outbox', () => {
  const waiting = ref(0)
  const aside = ref<Outgoing[]>([])
  const away = ref(false)
  const listeners = new Set<(answer: { run: string; kept: Kept }) => void>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let running: Promise<void> | undefined
  let moving: Promise<void> = Promise.resolve()
  let wanted = false

  /** Takes something in before it is shown: first the journal, in this very moment, then the database. */
  function put(item: Outgoing): void {
    jot(plain(item))
    waiting.value++
    afterPaint(() => void settle())
  }

  /** One move at a time: two at once would put one item into the database twice. */
  function moveJournal(): Promise<void> {
    moving = moving.then(moveJotted)
    return moving
  }

  async function moveJotted(): Promise<void> {
    const database = await kept()
    for (const item of jotted()) {
      const known = await database.outgoing.where('id').equals(item.id).count()
      if (known === 0) {
        await database.outgoing.add(item)
        if (item.kind === 'entry') await addToRun(item)
      }
      unjot(item.id)
    }
    await count()
  }

  async function addToRun(item: Outgoing & { kind: 'entry' }): Promise<void> {
    const database = await kept()
    const row = await database.runs.get(item.run)
    if (!row || row.run.entries.some((entry) => entry.id === item.id)) return
    await database.runs.put({ ...row, run: { ...row.run, entries: [...row.run.entries, item.body] } })
  }

  /** What is on its way into the database waits too: the status never says that all is sent while something is only jotted. */
  async function count(): Promise<void> {
    const all = await (await kept()).outgoing.toArray()
    const known = new Set(all.map((item) => item.id))
    const onTheWay = jotted().filter((item) => !known.has(item.id))
    waiting.value = all.filter((item) => !item.aside).length + onTheWay.length
    aside.value = all.filter((item) => item.aside)
  }

  /** Sends what waits; one tab at a time where the browser can see to it. Repeating does no harm. */
  async function send(): Promise<void> {
    if (running) {
      wanted = true
      return running
    }
    running = sendOnce()
    await running.finally(() => (running = undefined))
    if (!wanted || away.value) return
    wanted = false
    await send()
  }

  async function sendOnce(): Promise<void> {
    try {
      await ('locks' in navigator ? navigator.locks.request('sure-spool-outbox', pass) : pass())
      away.value = false
    } catch (error) {
      if (!(error instanceof Error)) throw error
      away.value = true
      clearTimeout(timer)
      timer = setTimeout(() => void send(), again)
    } finally {
      await count()
    }
  }

  /** Sends all that was put before this moment, as far as the server is there. */
  async function settle(): Promise<void> {
    await moveJournal()
    await send()
  }

  async function pass(): Promise<void> {
    const database = await kept()
    for (;;) {
      const ready = (await database.outgoing.orderBy('seq').toArray()).filter((item) => !item.aside)
      const [first] = ready
      if (!first) return
      const batch = first.kind === 'entry' ? leadingEntries(ready, first.run) : [first]
      try {
        await sendBatch(batch)
        await database.outgoing.bulkDelete(batch.flatMap((item) => item.seq ?? []))
      } catch (error) {
        if (!isFinal(error)) throw error
        if (batch.length === 1) await setAside(first, error)
        else await sendSingly(batch)
      }
    }
  }

  const leadingEntries = (ready: Outgoing[], run: string): Outgoing[] => {
    const end = ready.findIndex((item) => item.kind !== 'entry' || item.run !== run)
    return ready.slice(0, Math.min(end === -1 ? ready.length : end, mostAtOnce))
  }

  async function sendBatch(batch: Outgoing[]): Promise<void> {
    const [first] = batch
    if (first?.kind === 'card') await sendCard(first.body)
    if (first?.kind === 'unit') await ask('/units', { method: 'POST', body: first.body })
    if (first?.kind === 'run') await ask<RunView>('/runs', { method: 'POST', body: first.body })
    if (first?.kind !== 'entry') return
    const entries = batch.map((item) => item.body)
    const answer = await ask<Kept>(`/runs/${first.run}/entries`, { method: 'POST', body: { entries } })
    for (const listener of listeners) listener({ run: first.run, kept: answer })
  }

  const sendCard = ({ card, by }: WrittenCard): Promise<unknown> =>
    ask(`/cards/${card.id}/revisions/${card.revision}`, { method: 'PUT', body: { card, by } })

  /** One of a batch is refused: they go up one by one, so that only that one is set aside. */
  async function sendSingly(batch: Outgoing[]): Promise<void> {
    const database = await kept()
    for (const item of batch) {
      const fresh = await database.outgoing.get(item.seq ?? 0)
      if (!fresh || fresh.aside) continue
      try {
        await sendBatch([fresh])
        await database.outgoing.delete(fresh.seq ?? 0)
      } catch (error) {
        if (!isFinal(error)) throw error
        await setAside(fresh, error)
      }
    }
  }

  /** Sets an item aside with all that refers to it; they stay to be seen and exported. */
  async function setAside(item: Outgoing, error: Refused): Promise<void> {
    const database = await kept()
    const all = await database.outgoing.toArray()
    const gone = new Set([item.id])
    for (const other of all) if (!gone.has(other.id) && refersTo(other, gone)) gone.add(other.id)
    for (const other of all)
      if (gone.has(other.id) && !other.aside)
        await database.outgoing.put({
          ...other,
          aside: {
            status: error.status,
            detail: other.id === item.id ? error.message : 'refers to one that was refused',
          },
        })
  }

  const onKept = (listener: (answer: { run: string; kept: Kept }) => void): (() => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }

  async function begin(): Promise<void> {
    window.addEventListener('online', () => void send())
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && void send())
    await settle()
  }

  return { waiting, aside, away, put, settle, begin, onKept }
})

function refersTo(item: Outgoing, gone: Set<string>): boolean {
  if (item.kind === 'unit') return gone.has(item.body.card.id)
  if (item.kind === 'run') return gone.has(item.body.unit)
  if (item.kind !== 'entry') return false
  const { body } = item
  if (gone.has(item.run)) return true
  if (body.kind === 'reading') return gone.has(body.reading.supersedes ?? '')
  return body.kind === 'take-back' && gone.has(body.entry)
}
