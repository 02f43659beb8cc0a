import { cardSchema, sentencesOf, type CardView, type PathProblem, type Written } from '@sure-spool/contract'
import {
  freeId,
  cardFromRun,
  cardTemplate,
  plainDefaults,
  runState,
  type Card,
  type Family,
  type RunState,
} from '@sure-spool/core'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { LocationQuery } from 'vue-router'
import { ask, Refused } from '../store/api'
import { keepCard } from '../store/cardCopies'
import { keepCopy, kept, plain, readCopy } from '../store/kept'
import { useShop } from '../store/shop'

/** Where a draft stands: written here only, gone up, or held back by what is wrong with it. */
export type DraftStanding = 'opening' | 'begun' | 'kept' | 'sending' | 'away' | 'not-yet' | 'refused' | 'missing'

interface KeptDraft {
  card: Card
  replaces?: string
  dirty: boolean
}

export interface Draft {
  card: ShallowRef<Card | undefined>
  standing: Ref<DraftStanding>
  told: Ref<string>
  problems: ComputedRef<PathProblem[]>
  canUndo: ComputedRef<boolean>
  canRedo: ComputedRef<boolean>
  open: (query: LocationQuery) => Promise<void>
  change: (edit: (card: Card) => void, field?: string) => void
  undo: () => void
  redo: () => void
  publish: () => Promise<boolean>
  drop: () => Promise<boolean>
}

const pause = 700
const mostSteps = 200

/**
 * A card being written. Every change is kept in this browser at once and goes to the server as soon as the card is whole; each
 * step can be undone, and steps in one field count as one.
 */
export function useDraft(id: string, revision: number): Draft {
  const shop = useShop()
  const card = shallowRef<Card>()
  const standing = ref<DraftStanding>('opening')
  const told = ref('')
  const past = shallowRef<Card[]>([])
  const future = shallowRef<Card[]>([])
  const key = `draft:${id}:${revision}`
  let lastField: string | undefined
  let replaces: string | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> = Promise.resolve()

  const problems = computed<PathProblem[]>(() => {
    if (!card.value) return []
    const result = cardSchema.safeParse(card.value)
    return result.success ? [] : sentencesOf(result.error)
  })

  /** The copy of this browser where it holds more than the server has, the server's draft, or a new beginning. */
  async function open(query: LocationQuery): Promise<void> {
    const copy = await readCopy<KeptDraft>(key)
    const there = await ask<Card>(`/cards/${id}/revisions/${revision}`).catch((error: unknown) =>
      error instanceof Refused ? null : undefined,
    )
    if (there && there.state !== 'draft') {
      standing.value = 'missing'
      told.value = `Revision ${revision} is ${there.state} and never changes.`
      return
    }
    if (copy?.dirty || (copy && there === undefined)) {
      replaces = copy.replaces
      card.value = copy.card
      await send()
      return
    }
    try {
      if (there) {
        const view = await ask<CardView>(`/cards/${id}`)
        replaces = view.revisions.find((one) => one.revision === revision)?.hash
        card.value = there
        standing.value = 'kept'
        learn(query)
        return
      }
      card.value = await beginning(query)
      keepHere(false)
      standing.value = 'begun'
      learn(query)
    } catch (error) {
      standing.value = 'missing'
      told.value = error instanceof Error ? error.message : String(error)
    }
  }

  async function beginning(query: LocationQuery): Promise<Card> {
    const { run, from, family } = query
    if (typeof run === 'string') return cardFromRun(await stateOf(run), id, shop.settings.defaults ?? plainDefaults)
    if (typeof from === 'string') {
      const { card: other } = await ask<CardView>(`/cards/${from}`)
      return { ...other, id, revision, state: 'draft', name: { ...other.name, model: `${other.name.model}, copy` } }
    }
    if (revision > 1) return { ...(await ask<CardView>(`/cards/${id}`)).card, revision, state: 'draft' }
    const template = cardTemplate(id, (family as Family | undefined) ?? 'other', shop.settings.defaults)
    return template
  }

  /** A limit learned from known-good units, brought from the card's own page. */
  function learn({ learn: check, min, max, n }: LocationQuery): void {
    const [low, high, units] = [Number(min), Number(max), Number(n)]
    if (typeof check !== 'string' || !(low < high) || !(units >= 5)) return
    change((one) => {
      const found = one.checks.find(({ id: each }) => each === check)
      if (!found) return
      const title = `${units} known-good units of this shop`
      const source = one.sources.find((each) => each.title === title)?.id ?? freeId('s', one.sources)
      if (!one.sources.some((each) => each.id === source))
        one.sources.push({ id: source, grade: 'measured', title, date: new Date().toISOString().slice(0, 10), units })
      const [from, to] = [low, high].map((value) => Number(value.toPrecision(4)))
      if (from === undefined || to === undefined) return
      found.limits.push({
        id: freeId('l', found.limits),
        for: 'any',
        limit: { kind: 'band', min: from, max: to },
        source,
        ...(found.kind === 'resistance' ? { referenceC: 20 } : {}),
      })
    })
  }

  async function stateOf(run: string): Promise<RunState> {
    const row = await (await kept()).runs.get(run)
    if (row) return runState(row.run)
    throw new Error('This run was never opened on this browser. Open it on the bench first.')
  }

  function change(edit: (card: Card) => void, field?: string): void {
    if (!card.value) return
    const before = card.value
    const next = plain(toRaw(before))
    edit(next)
    if (field === undefined || field !== lastField) past.value = [...past.value, before].slice(-mostSteps)
    lastField = field
    future.value = []
    show(next)
  }

  function show(next: Card): void {
    card.value = next
    told.value = ''
    keepHere(true)
    // what was typed is in this browser; the server has it when its answer is here, and not before
    standing.value = 'sending'
    clearTimeout(timer)
    timer = setTimeout(() => void send(), pause)
  }

  function undo(): void {
    const before = past.value.at(-1)
    if (!before || !card.value) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, card.value]
    lastField = undefined
    show(before)
  }

  function redo(): void {
    const next = future.value.at(-1)
    if (!next || !card.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, card.value]
    lastField = undefined
    show(next)
  }

  const keepHere = (dirty: boolean): void => {
    const one = card.value
    if (one)
      void keepCopy(key, { card: one, dirty, ...(replaces === undefined ? {} : { replaces }) } satisfies KeptDraft)
  }

  /** One writing at a time, each standing on the one before. */
  function send(): Promise<void> {
    sending = sending.then(sendNow)
    return sending
  }

  async function sendNow(): Promise<void> {
    const one = card.value
    const by = shop.person?.id
    if (!one || by === undefined) return
    if (problems.value.length > 0) {
      standing.value = 'not-yet'
      return
    }
    standing.value = 'sending'
    try {
      const answer = await ask<Written>(`/cards/${id}/revisions/${revision}`, {
        method: 'PUT',
        body: { card: one, by, ...(replaces === undefined ? {} : { replaces }) },
      })
      replaces = answer.hash
      if (card.value !== one) return
      standing.value = 'kept'
      keepHere(false)
    } catch (error) {
      standing.value = error instanceof Refused ? 'refused' : 'away'
      told.value =
        error instanceof Refused ? error.message : 'The server is away. What you wrote is kept in this browser.'
    }
  }

  async function publish(): Promise<boolean> {
    clearTimeout(timer)
    await send()
    const by = shop.person?.id
    if (standing.value !== 'kept' || replaces === undefined || by === undefined) {
      if (standing.value === 'not-yet') told.value = 'It is not whole yet: the list says what is wrong.'
      if (standing.value === 'sending') told.value = 'You went on writing while it was sent: publish it again.'
      return false
    }
    try {
      await ask<Written>(`/cards/${id}/revisions/${revision}/publish`, { method: 'POST', body: { by, hash: replaces } })
      if (card.value) await keepCard({ ...card.value, state: 'published' })
      await forget()
      return true
    } catch (error) {
      told.value = error instanceof Error ? error.message : String(error)
      return false
    }
  }

  async function drop(): Promise<boolean> {
    clearTimeout(timer)
    try {
      if (replaces !== undefined)
        await ask(`/cards/${id}/revisions/${revision}?by=${shop.person?.id ?? ''}`, { method: 'DELETE' })
      await forget()
      return true
    } catch (error) {
      told.value = error instanceof Error ? error.message : String(error)
      return false
    }
  }

  const forget = async (): Promise<void> => (await kept()).copies.delete(key)

  onBeforeUnmount(() => {
    if (timer === undefined) return
    clearTimeout(timer)
    if (standing.value !== 'missing' && past.value.length > 0) void send()
  })

  return {
    card,
    standing,
    told,
    problems,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
    open,
    change,
    undo,
    redo,
    publish,
    drop,
  }
}
