import type { Kept, QueueUnit, RunView, Unit } from '@sure-spool/contract'
import { useEventListener } from '@vueuse/core'
import pRetry from 'p-retry'
import { defineStore } from 'pinia'
import { onScopeDispose, ref } from 'vue'
import { afterPaint } from './afterPaint'
import { ask, Away, isFinal, Refused } from './api'
import { attachRun } from './attachRun'
import { addAgain, dropAside, readyToGo, release } from './asideItems'
import { browserDatabase } from './browserDatabase'
import { jot, jotted } from './journal'
import { moveJournal } from './moveJournal'
import { entriesOf, withThoseThatRefer, type Outgoing } from './outgoing'
import { plain } from './plain'
import { readPhotoCopy } from './photoCopies'
import { sealed } from './seats'
import { sendRunWhole } from './wholeRun'

const mostAtOnce = 100
/** what cannot be sent because it is not here */
const gone = (detail: string) => new Refused(410, { type: 'gone', title: 'Gone', status: 410, detail })
/** Between two tries while the server is away: at once in the beginning, never longer apart than this. */
const tries = {
  retries: Infinity,
  factor: 1.5,
  minTimeout: 1000,
  maxTimeout: 5000,
  randomize: true,
  unref: true,
} as const

/** Everything that waits to go up: kept in the browser, sent in order, in batches that are safe to repeat. */
export const useOutbox = defineStore('outbox', () => {
  const waiting = ref(0)
  /** what is jotted and not on this machine's disk yet; before the first count nobody knows */
  const keeping = ref<number>()
  const aside = ref<Outgoing[]>([])
  const away = ref(false)
  /** units that another bench was quicker to name: what they were called here, and what they are called now */
  const renamed = ref<{ from: string; to: string }[]>([])
  const listeners = new Set<(answer: { run: string; kept: Kept }) => void>()
  let running: Promise<void> | undefined
  let trying: Promise<void> | undefined
  let moving: Promise<void> = Promise.resolve()
  let wanted = false
  let over = false
  /** how much was put in this tab: what is counted meanwhile must not forget it */
  let puts = 0
  /** the server asked to be left alone until then */
  let notBefore = 0
  onScopeDispose(() => (over = true))

  /** Takes something in before it is shown: first the journal, in this very moment, then the database. */
  function put(item: Outgoing): void {
    const kept = plain(item)
    const seal = sealed(kept.body)
    jot(seal ? { ...kept, seal } : kept)
    puts++
    waiting.value++
    keeping.value = (keeping.value ?? 0) + 1
    afterPaint(() => void settle())
  }

  /** What is on its way into the database waits too: the status never says that all is sent while something is only jotted. */
  async function count(): Promise<void> {
    const database = await browserDatabase()
    const before = puts
    // the journal first: what leaves it in between is in the database by then
    const notes = jotted()
    const all = await database.outgoing.toArray()
    // what was put in between is in neither, and nobody may be told that all is kept
    if (puts !== before) return count()
    const known = new Set(all.map((item) => item.id))
    const onTheWay = notes.filter((item) => !known.has(item.id))
    keeping.value = onTheWay.length
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
      // whatever kept it from going up, it waits: only a final refusal is set aside
      away.value = true
      notBefore = Date.now() + askedFor(error)
      keepTrying(error)
    } finally {
      await count()
    }
  }

  /** Tries again until the server is there, no sooner than it asked for. */
  function keepTrying(cause: unknown): void {
    trying ??= pause(askedFor(cause))
      .then(() => pRetry(tryAgain, { ...tries, onFailedAttempt: ({ error }) => pause(askedFor(error)) }))
      .finally(() => (trying = undefined))
  }
  async function tryAgain(): Promise<void> {
    if (over || !away.value) return
    // whatever else goes wrong is no reason to stop trying
    await send().catch((error: unknown) => Promise.reject(new Away(String(error))))
    if (away.value) throw new Away('The server is still away.')
  }
  const askedFor = (error: unknown): number => (error instanceof Away ? error.retryAfterMs : 0)
  const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))

  /** Sends all that was put before this moment, as far as the server is there. */
  async function settle(): Promise<void> {
    // one move at a time in this tab: the journal is read once for each
    moving = moving.then(moveJournal)
    await moving
    await count()
    // a server that asked to be left alone is asked again by the one that waits for it
    if (Date.now() >= notBefore) await send()
  }

  async function pass(): Promise<void> {
    const database = await browserDatabase()
    const offered = new Set<string>()
    for (;;) {
      const ready = await readyToGo(await database.outgoing.orderBy('seq').toArray())
      const [first] = ready
      if (!first) return
      const batch = first.kind === 'entry' ? leadingEntries(ready, first.run) : [first]
      try {
        await sendBatch(batch)
        await database.outgoing.bulkDelete(batch.flatMap((item) => item.seq ?? []))
      } catch (error) {
        if (!isFinal(error)) throw error
        if (first.kind === 'entry' && error.status === 404 && !offered.has(first.run)) {
          offered.add(first.run)
          const refusal = await sendRunWhole(first.run)
          if (refusal === null) continue
          error.message += refusal
        }
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
    if (first?.kind === 'card') await sendCard(first)
    if (first?.kind === 'unit') await sendUnit(first)
    if (first?.kind === 'run') await ask<RunView>('/runs', { method: 'POST', body: first.body, seal: first.seal })
    if (first?.kind === 'photo') await sendPhoto(first)
    if (first?.kind === 'rewind') await ask('/rewinds', { method: 'POST', body: first.body, seal: first.seal })
    if (first?.kind === 'rewind-entry')
      await ask(`/rewinds/${first.rewind}/entries`, { method: 'POST', body: entriesOf(batch) })
    if (first?.kind !== 'entry') return
    const answer = await ask<Kept>(`/runs/${first.run}/entries`, { method: 'POST', body: entriesOf(batch) })
    for (const listener of listeners) listener({ run: first.run, kept: answer })
  }

  async function sendUnit({ body, seal }: Outgoing & { kind: 'unit' }): Promise<void> {
    const { tag } = await ask<Partial<Unit>>('/units', { method: 'POST', body, seal })
    if (tag !== undefined && tag !== body.tag) renamed.value = [...renamed.value, { from: body.tag, to: tag }]
  }

  async function sendPhoto({ body, seal }: Outgoing & { kind: 'photo' }): Promise<void> {
    const photo = await readPhotoCopy(body.id)
    if (!photo) throw gone('The picture itself is not in this browser any more; take the photo again.')
    await ask('/photos', { method: 'POST', body: photo, seal })
  }

  const sendCard = ({ body, seal }: Outgoing & { kind: 'card' }): Promise<unknown> =>
    ask(`/cards/${body.card.id}/revisions/${body.card.revision}`, { method: 'PUT', body, seal })

  /** One of a batch is refused: they go up one by one, so that only that one is set aside. */
  async function sendSingly(batch: Outgoing[]): Promise<void> {
    const database = await browserDatabase()
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
    const database = await browserDatabase()
    await database.transaction('rw', database.outgoing, async () => {
      for (const other of withThoseThatRefer(item, await database.outgoing.orderBy('seq').toArray())) {
        if (other.aside) continue
        const detail = other.id === item.id ? error.message : 'refers to one that was refused'
        await database.outgoing.put({ ...other, aside: { status: error.status, detail } })
      }
    })
  }

  /** What was set aside goes up again, with what rests on it. */
  const sendAgain = (id: string): Promise<void> => release(id).then(settle)

  /** Throws away what was set aside, with what rests on it; what it was and why stays in this browser. */
  const throwAway = (id: string, reason: string): Promise<void> => dropAside(id, reason).then(count)

  /** Gives a run that was set aside to another part. @returns a sentence where it cannot be */
  async function attach(id: string, unit: QueueUnit, by: string): Promise<string> {
    const problem = await attachRun(id, unit, by)
    if (problem === '') await settle()
    return problem
  }

  /** Takes in again what was saved as a file. @returns how many were not here already */
  async function takeInAgain(items: Outgoing[]): Promise<number> {
    const fresh = await addAgain(items)
    await settle()
    return fresh
  }

  /** Whoever wrote the new name on the part puts the word away. */
  const noteRenamed = (): void => void (renamed.value = renamed.value.slice(1))

  const onKept = (listener: (answer: { run: string; kept: Kept }) => void): (() => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }

  async function begin(): Promise<void> {
    useEventListener(window, 'online', () => void send())
    useEventListener(document, 'visibilitychange', () => document.visibilityState === 'visible' && void send())
    await count()
    await settle()
  }

  return {
    waiting,
    keeping,
    aside,
    away,
    renamed,
    put,
    settle,
    begin,
    sendAgain,
    throwAway,
    attach,
    takeInAgain,
    noteRenamed,
    onKept,
  }
})
