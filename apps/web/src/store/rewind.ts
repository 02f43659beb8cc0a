import type { NewRewind, RewindView } from '@sure-spool/contract'
import {
  nextRewindEntry,
  rewindState,
  type Coil,
  type Rewind,
  type RewindBody,
  type RewindState,
} from '@sure-spool/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { ask, whyMissing } from './api'
import { browserDatabase, keepCopy, readCopy } from './browserDatabase'
import { rightNow, stampNow } from './clock'
import { jotted } from './journal'
import { newId } from './newId'
import { useOutbox } from './outbox'
import { plain } from './plain'
import { useShop } from './shop'

/** The rewind that is worked on: its tape and what follows from it. It is begun and gone on with where the server is away, like a run. */
export const useRewind = defineStore('rewind', () => {
  const shop = useShop()
  const outbox = useOutbox()
  const rewind = shallowRef<Rewind>()
  const unit = ref<RewindView['unit']>()
  const missing = ref('')
  const state = computed<RewindState | undefined>(() => rewind.value && rewindState(rewind.value))

  const copyOf = (id: string) => `rewind ${id}`
  const keep = () =>
    rewind.value && unit.value
      ? keepCopy(copyOf(rewind.value.id), { rewind: rewind.value, unit: unit.value })
      : undefined

  function show(view: RewindView): void {
    const here = rewind.value?.id === view.rewind.id ? rewind.value.entries : []
    const all = new Map([...here, ...view.rewind.entries].map((entry) => [entry.id, entry]))
    rewind.value = { ...view.rewind, entries: [...all.values()].sort((a, b) => a.n - b.n) }
    unit.value = view.unit
    missing.value = ''
  }

  /** Entries of it that this browser has made and the server may not have yet, but for those it refused. */
  async function withWaiting(id: string): Promise<void> {
    const items = await (await browserDatabase()).outgoing.where('kind').equals('rewind-entry').toArray()
    // what was jotted as the tab closed may not be in the database yet
    const entries = [...items, ...jotted()].flatMap((item) =>
      item.kind === 'rewind-entry' && item.rewind === id && !item.aside ? [item.body] : [],
    )
    if (entries.length > 0 && rewind.value?.id === id && unit.value)
      show({ rewind: { ...rewind.value, entries }, unit: unit.value })
  }

  /** Opens a rewind where it was left: from this browser at once, then with what the server has besides. */
  async function open(id: string): Promise<void> {
    if (rewind.value?.id !== id) {
      rewind.value = undefined
      missing.value = ''
    }
    const copy = await readCopy<RewindView>(copyOf(id))
    if (copy) show(copy)
    await withWaiting(id)
    // what was begun here and is not there yet is asked for nowhere else
    const waits = await (await browserDatabase()).outgoing.where('id').equals(id).count()
    if (waits > 0 && rewind.value) return
    try {
      show(await ask<RewindView>(`/rewinds/${id}`))
      await withWaiting(id)
    } catch (error) {
      if (!rewind.value) missing.value = whyMissing(error, 'rewind')
    }
    await keep()
  }

  /** Begins a rewind of a unit. @returns its id */
  async function begin(of: RewindView['unit'], before: string | undefined, coils: Coil[]): Promise<string> {
    if (!shop.person || shop.person.access === 'reader') throw new Error('Who only reads here begins no rewind.')
    const body: NewRewind = {
      id: newId(),
      unit: of.id,
      ...(before === undefined ? {} : { before }),
      startedAt: rightNow().toISOString(),
      by: shop.person.id,
      coils,
    }
    outbox.put({ id: body.id, kind: 'rewind', body: plain(body) })
    const { by: _by, ...head } = body
    show({
      rewind: { format: 'sure-spool/rewind', version: 1, ...head, instruments: plain(shop.instruments), entries: [] },
      unit: of,
    })
    await keep()
    await outbox.settle()
    return body.id
  }

  /** Puts an entry on its tape: noted in the browser, shown at once, then sent. */
  function add(body: RewindBody): void {
    // who only reads is told so in the header
    if (!rewind.value || !shop.person || shop.person.access === 'reader') return
    const entry = nextRewindEntry(rewind.value, plain(body), { id: newId(), ...stampNow(), by: shop.person.id })
    outbox.put({ id: entry.id, kind: 'rewind-entry', rewind: rewind.value.id, body: entry })
    rewind.value = { ...rewind.value, entries: [...rewind.value.entries, entry] }
    void keep()
  }

  /** The last entry that stands: what Backspace undoes. */
  const lastEntry = computed(() =>
    rewind.value?.entries.findLast(({ id, kind }) => kind !== 'take-back' && !state.value?.takenBack.has(id)),
  )

  return { rewind, unit, missing, state, lastEntry, open, begin, add }
})
