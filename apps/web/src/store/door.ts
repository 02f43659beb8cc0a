import type { Bench, Door, FirstRun, Seated } from '@sure-spool/contract'
import type { Entry } from '@sure-spool/core'
import { useIdle } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { ask, Away, onUnseated, Refused } from './api'
import { keepCopy, readCopy } from './browserDatabase'
import { chooseSeat, currentSeat, dropSeat, keepSeat, nameSeat, seatsHere, sealWith, type KeyedSeat } from './seats'
import { useShop } from './shop'

/** What stands between whoever comes and the work: an empty shop, a browser that is no bench, a bench at which nobody sits. */
export type Need = 'first' | 'join' | 'seat'

const idleMs = 30 * 60_000

/** Who may work in this browser, and who sits at it. */
export const useDoor = defineStore('door', () => {
  const shop = useShop()
  const door = ref<Door>()
  const seat = ref<KeyedSeat | undefined>(currentSeat())
  /** somebody changes places, though somebody sits here */
  const changing = ref(false)

  const open = computed(() => door.value?.house === 'open')
  const need = computed<Need | null>(() => {
    if (!door.value || open.value) return null
    if (door.value.house === 'empty') return 'first'
    if (!door.value.bench) return 'join'
    return seat.value ? null : 'seat'
  })
  /** who can take a seat here, and whether they sit here already */
  const people = computed(() =>
    (door.value?.people ?? []).map((one) => ({ ...one, sits: seatsHere().some(({ person }) => person === one.id) })),
  )

  /** From this browser's copy at once, where it has one; then as the server says it. */
  async function begin(): Promise<void> {
    door.value = await readCopy<Door>('door')
    sitDown(currentSeat())
    const fresh = load()
    if (!door.value) await fresh
  }

  async function load(): Promise<void> {
    const fresh = await ask<Door>('/door').catch(() => undefined)
    if (!fresh) return
    door.value = fresh
    const here = new Set(fresh.seats?.map(({ id }) => id))
    // a seat that the server has ended is one no more, wherever its key is
    if (fresh.bench) for (const one of seatsHere()) if (!here.has(one.id)) dropSeat(one.id)
    sitDown(currentSeat())
    await keepCopy('door', fresh)
  }

  function sitDown(fresh: KeyedSeat | undefined): void {
    seat.value = fresh
    nameSeat(fresh?.id)
    if (fresh) shop.choosePerson(fresh.person)
  }

  function came({ bench, seat: fresh }: Seated): void {
    keepSeat(fresh as KeyedSeat)
    door.value = { ...door.value, house: 'shut', bench }
    sitDown(fresh as KeyedSeat)
  }

  /** @throws Refused, Away with the sentence to show */
  async function first(body: FirstRun): Promise<void> {
    came(await ask<Seated>('/door/first', { method: 'POST', body }))
    await load()
  }
  async function join(code: string, name: string): Promise<void> {
    const bench = await ask<Bench>('/door/join', { method: 'POST', body: { code, name } })
    door.value = { house: 'shut', bench }
    await load()
  }
  async function signInAway(name: string, password: string): Promise<void> {
    came(await ask<Seated>('/door/away', { method: 'POST', body: { name, password } }))
    await load()
  }
  const byPin = (person: string, pin: string): Promise<KeyedSeat> =>
    ask<KeyedSeat>('/door/seats', { method: 'POST', body: { person, pin } })
  async function sit(person: string, pin: string): Promise<void> {
    const fresh = await byPin(person, pin)
    keepSeat(fresh)
    sitDown(fresh)
    changing.value = false
  }

  /** Somebody who sits here already goes on. @returns false where they do not */
  function goOn(person: string): boolean {
    const theirs = seatsHere().find((one) => one.person === person)
    if (!theirs) return false
    chooseSeat(theirs.id)
    sitDown(theirs)
    changing.value = false
    return true
  }

  /** Ends a seat on the server. Where that is away, or has ended it, the key is gone from here all the same and the seat ends by itself. */
  const endThere = (id: string): Promise<unknown> =>
    ask(`/door/seats/${id}`, { method: 'DELETE' }).catch((error: unknown) => {
      if (!(error instanceof Away || error instanceof Refused)) throw error
    })

  /** Whoever sits here gets up from every bench at once: what was sealed anywhere in one of their seats and is not sent is refused. */
  async function leaveEverywhere(): Promise<void> {
    await ask('/door/seats/end-all', { method: 'POST' })
    if (seat.value) dropSeat(seat.value.id)
    sitDown(undefined)
    changing.value = false
  }

  /** Whoever sits here gets up. What they made is kept, and goes up with their seal. */
  async function leave(): Promise<void> {
    const left = seat.value
    if (!left) return
    const gone = endThere(left.id)
    dropSeat(left.id)
    sitDown(undefined)
    await gone
    if (door.value?.bench?.kind === 'away') await load()
  }

  /**
   * A second person gives their word at this bench, by their PIN; they sit here no longer than that.
   * @returns how an entry gets their seal
   * @throws Refused for a wrong PIN
   */
  async function wordOf(person: string, pin: string): Promise<(entry: Entry) => ReturnType<typeof sealWith>> {
    const theirs = await byPin(person, pin)
    return (entry) => {
      void endThere(theirs.id)
      return sealWith(theirs, entry)
    }
  }

  onUnseated(() => {
    if (seat.value) dropSeat(seat.value.id)
    sitDown(undefined)
    void load()
  })
  const { idle } = useIdle(idleMs)
  watch(idle, (gone) => void (gone && !open.value && leave()))

  const change = (): void => void (changing.value = need.value === null && !open.value)
  const stay = (): void => void (changing.value = false)

  return {
    door,
    seat,
    open,
    need,
    people,
    changing,
    begin,
    load,
    first,
    join,
    signInAway,
    sit,
    goOn,
    leave,
    leaveEverywhere,
    wordOf,
    change,
    stay,
  }
})
