import type { NewUnit, Queue, QueueUnit, UnitPlace } from '@sure-spool/contract'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { ask } from './api'
import { keepCardsOf } from './cardCopies'
import { browserDatabase, keepCopy, readCopy } from './browserDatabase'
import { plain } from './plain'
import { useOutbox } from './outbox'
import { useShop } from './shop'

const places: UnitPlace[] = ['bench', 'waiting', 'blocked', 'done']

/** The queue: units by where they stand, with those taken in here and not yet gone up. */
export const useQueue = defineStore('queue', () => {
  const units = ref<QueueUnit[]>([])
  const counts = ref<Queue['counts']>({ waiting: 0, bench: 0, blocked: 0, done: 0, upTo: 200 })
  const known = ref(false)
  const cardsKept = ref(false)
  const shop = useShop()
  const outbox = useOutbox()

  const at = (place: UnitPlace) => computed(() => units.value.filter((unit) => unit.place === place))
  const bench = at('bench')
  const waiting = at('waiting')
  const blocked = at('blocked')
  const done = at('done')

  /** The run that was worked on last, by whoever: `r` goes on with it. */
  const last = computed(() =>
    [...bench.value]
      .sort((a, b) => ((a.standing?.lastAt ?? '') < (b.standing?.lastAt ?? '') ? 1 : -1))
      .find((unit) => unit.standing),
  )

  async function load(): Promise<void> {
    if (!known.value) {
      const copy = await readCopy<Queue>('queue')
      if (copy) await show(copy)
    }
    const pages = await Promise.all(
      places.map((place) => ask<Queue>(`/units?place=${place}&limit=${place === 'done' ? 12 : 60}`)),
    ).catch(() => undefined)
    if (!pages) return
    const fresh: Queue = { units: pages.flatMap((page) => page.units), counts: pages[0]?.counts ?? counts.value }
    await show(fresh)
    await keepCopy('queue', fresh)
    cardsKept.value = await keepCardsOf([...bench.value, ...waiting.value])
  }

  async function show(queue: Queue): Promise<void> {
    const outgoing = await (await browserDatabase()).outgoing.where('kind').equals('unit').toArray()
    for (const item of outgoing) if (item.kind === 'unit') takenInHere.set(item.id, asQueueUnit(item.body))
    for (const unit of queue.units) takenInHere.delete(unit.id)
    const local = [...takenInHere.values()]
    units.value = [...local, ...queue.units]
    counts.value = { ...queue.counts, waiting: queue.counts.waiting + local.length }
    // a browser that was killed may not remember which of its own numbers it gave
    const tags = new Set(units.value.map(({ tag }) => tag))
    while (tags.has(shop.nextTag)) shop.tagGiven(shop.nextTag)
    known.value = true
  }

  /** taken in on this browser and not yet in the server's answer, which may be a moment older */
  const takenInHere = new Map<string, QueueUnit>()
  const named = new Map<string, { maker: string; model: string; family: string }>()
  const asQueueUnit = (unit: NewUnit): QueueUnit => ({
    ...unit,
    place: 'waiting',
    ...(named.get(unit.card.id) ?? { maker: '', model: '', family: '' }),
  })

  /** Takes a unit in: it stands in the queue at once and goes up when it can. */
  function takeIn(unit: NewUnit, card: { maker: string; model: string; family: string }): void {
    named.set(unit.card.id, { maker: card.maker, model: card.model, family: card.family })
    outbox.put({ id: unit.id, kind: 'unit', body: plain(unit) })
    takenInHere.set(unit.id, asQueueUnit(unit))
    units.value = [asQueueUnit(unit), ...units.value]
    counts.value = { ...counts.value, waiting: counts.value.waiting + 1 }
    shop.tagGiven(unit.tag)
  }

  async function move(unit: QueueUnit, place: 'waiting' | 'blocked' | 'bench', blockedBy?: string): Promise<void> {
    const by = shop.person?.id
    if (by === undefined) return
    await ask(`/units/${unit.id}/place`, {
      method: 'PUT',
      body: { place, by, ...(blockedBy === undefined ? {} : { blockedBy }) },
    })
    await load()
  }

  return { units, counts, known, cardsKept, bench, waiting, blocked, done, last, load, takeIn, move }
})
