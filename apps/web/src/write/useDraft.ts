import {
  cardSchema,
  datesAhead,
  sentencesOf,
  type CardView,
  type PathProblem,
  type Written,
} from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { useTimeoutFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, toRaw } from 'vue'
import type { LocationQuery } from 'vue-router'
import { ask, Refused } from '../store/api'
import { forgetCopy, keepCopy, readCopy } from '../store/browserDatabase'
import { keepCard } from '../store/cardCopies'
import { plain } from '../store/plain'
import { useShop } from '../store/shop'
import { askedOfRun, beginningOf, isBeginning, learnedLimit } from './draftBeginning'
import { useSteps } from './useSteps'

/** Where a draft stands: written here only, gone up, or held back by what is wrong with it. */
export type DraftStanding = 'opening' | 'begun' | 'kept' | 'sending' | 'away' | 'not-yet' | 'refused' | 'missing'

interface KeptDraft {
  card: Card
  /** the hash of what the server has of it; none while it has nothing */
  replaces?: string
  dirty: boolean
}
export type Draft = ReturnType<typeof useDraft>

const pause = 700
const sentence = (error: unknown) => (error instanceof Error ? error.message : String(error))

/**
 * A card being written. Every change is kept in this browser at once and goes to the server as soon as the card is whole; each
 * step can be undone, and steps in one field count as one. Once it is published or thrown away nothing more is sent.
 */
export function useDraft(id: string, revision: number) {
  const shop = useShop()
  const card = shallowRef<Card>()
  const standing = ref<DraftStanding>('opening')
  const told = ref('')
  const steps = useSteps(card)
  const address = `/cards/${id}/revisions/${revision}`
  const key = `draft:${id}:${revision}`
  let replaces: string | undefined
  let over = false
  let sending: Promise<void> = Promise.resolve()
  let keeping: Promise<void> = Promise.resolve()
  // before the timer, so that what waits is sent and not forgotten when the screen is left
  onScopeDispose(() => later.isPending.value && void send())
  const later = useTimeoutFn(() => void send(), pause, { immediate: false })

  const problems = computed<PathProblem[]>(() => {
    if (!card.value) return []
    const result = cardSchema.safeParse(card.value)
    return result.success ? datesAhead(card.value, new Date()) : sentencesOf(result.error)
  })

  /** The copy of this browser where it holds more than the server has, the server's draft, or a new beginning. */
  async function open(query: LocationQuery): Promise<void> {
    const copy = await readCopy<KeptDraft>(key)
    try {
      const there = await onServer(copy, query)
      if (there && there.card.state !== 'draft')
        throw new Error(`Revision ${revision} is ${there.card.state} and never changes.`)
      if (copy && (copy.dirty || !there)) {
        replaces = copy.replaces
        steps.begin(copy.card)
        standing.value = 'begun'
        if (copy.dirty) await send()
        return
      }
      replaces = there?.hash
      steps.begin(there?.card ?? (await beginningOf(query, { id, revision, defaults: shop.settings.defaults })))
      standing.value = there ? 'kept' : 'begun'
      if (!there) keepHere(false)
      const learn = learnedLimit(query, new Date().toISOString().slice(0, 10))
      if (learn) change(learn)
      const asked = await askedOfRun(query, shop.settings.defaults)
      if (asked) change(asked)
    } catch (error) {
      standing.value = 'missing'
      told.value = sentence(error)
    }
  }

  /** @returns the server's draft; null where it has none, undefined where it is away. It is not asked for what it cannot have. */
  async function onServer(copy: KeptDraft | undefined, query: LocationQuery) {
    const isOnlyHere = copy ? copy.replaces === undefined : isBeginning(query)
    if (revision === 1 && isOnlyHere) return null
    try {
      const { revisions } = await ask<CardView>(`/cards/${id}`)
      const row = revisions.find((one) => one.revision === revision)
      return row ? { card: await ask<Card>(address), hash: row.hash } : null
    } catch (error) {
      return error instanceof Refused ? null : undefined
    }
  }

  /** @param field joins what is typed into one field to one step of undo */
  function change(edit: (card: Card) => void, field?: string): void {
    if (!card.value) return
    const next = plain(toRaw(card.value))
    edit(next)
    steps.step(next, field)
    changed()
  }

  function changed(): void {
    told.value = ''
    keepHere(true)
    // what was typed is in this browser; the server has it when its answer is here, and not before
    standing.value = 'sending'
    later.start()
  }

  function undo(): void {
    if (!steps.canUndo.value) return
    steps.undo()
    changed()
  }
  function redo(): void {
    if (!steps.canRedo.value) return
    steps.redo()
    changed()
  }

  /** One after the other: what is forgotten at the end is not written once more behind it. */
  function keepHere(dirty: boolean): void {
    const one = card.value
    if (!one || over) return
    const copy = { card: one, dirty, ...(replaces === undefined ? {} : { replaces }) } satisfies KeptDraft
    keeping = keeping.then(() => keepCopy(key, copy))
  }

  /** One writing at a time, each standing on the one before. */
  function send(): Promise<void> {
    later.stop()
    sending = sending.then(sendNow)
    return sending
  }

  async function sendNow(): Promise<void> {
    const one = card.value
    const by = shop.person?.id
    if (!one || by === undefined || over) return
    if (problems.value.length > 0) {
      standing.value = 'not-yet'
      return
    }
    standing.value = 'sending'
    try {
      const body = { card: one, by, ...(replaces === undefined ? {} : { replaces }) }
      const answer = await ask<Written>(address, { method: 'PUT', body })
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
    await send()
    const by = shop.person?.id
    if (standing.value !== 'kept' || replaces === undefined || by === undefined) {
      if (standing.value === 'not-yet') told.value = 'It is not whole yet: the list says what is wrong.'
      if (standing.value === 'sending') told.value = 'You went on writing while it was sent: publish it again.'
      return false
    }
    const hash = replaces
    return end(async () => {
      await ask<Written>(`${address}/publish`, { method: 'POST', body: { by, hash } })
      if (card.value) await keepCard({ ...card.value, state: 'published' })
    })
  }

  const drop = (): Promise<boolean> =>
    end(async () => {
      if (replaces !== undefined) await ask(`${address}?by=${shop.person?.id ?? ''}`, { method: 'DELETE' })
    })

  /** Ends the draft, published or thrown away: what is on its way comes first, and nothing follows. */
  async function end(act: () => Promise<void>): Promise<boolean> {
    later.stop()
    await sending
    over = true
    try {
      await act()
      await keeping
      await forgetCopy(key)
      return true
    } catch (error) {
      over = false
      told.value = sentence(error)
      return false
    }
  }

  const { canUndo, canRedo } = steps
  return { card, standing, told, problems, canUndo, canRedo, open, change, undo, redo, publish, drop }
}
