import type { CardRecord, CardView } from '@sure-spool/contract'
import { computed, ref, watch } from 'vue'
import { ask, Refused } from '../store/api'
import { keepCopy, readCopy } from '../store/browserDatabase'
import { draftOf, keepCard } from '../store/cardCopies'

/** A card with its revisions and what this shop's units of it read: this browser's copy at once, then what the server has. */
export function useCardView(id: () => string) {
  const view = ref<CardView>()
  const record = ref<CardRecord>()
  const problem = ref('')
  const olderProblem = ref('')

  watch(
    id,
    async (wanted) => {
      const copy = await readCopy<CardView>(`view:${wanted}`)
      if (copy) view.value = copy
      try {
        const fresh = await ask<CardView>(`/cards/${wanted}`)
        // kept before it is shown: what has been seen can be worked with when the server is gone a moment later
        await Promise.all([keepCopy(`view:${wanted}`, fresh), keepCard(fresh.card)])
        view.value = fresh
        record.value = await ask<CardRecord>(`/cards/${wanted}/record`)
      } catch (error) {
        if (!view.value) problem.value = error instanceof Error ? error.message : String(error)
      }
    },
    { immediate: true },
  )
  /** Adds the runs before those that are shown, to the record that is shown then. */
  async function older(): Promise<void> {
    const shown = record.value
    if (shown?.next === undefined) return
    olderProblem.value = ''
    try {
      const more = await ask<CardRecord>(`/cards/${id()}/record?limit=200&cursor=${encodeURIComponent(shown.next)}`)
      if (record.value === shown) record.value = { ...more, readings: [...shown.readings, ...more.readings] }
    } catch (error) {
      olderProblem.value =
        error instanceof Refused ? error.message : 'The server does not answer; what is drawn stays. Try again.'
    }
  }
  const card = computed(() => view.value?.card)
  /** the draft after the newest revision, begun or gone on with */
  const draft = computed(() => draftOf(view.value))
  const hasDraft = computed(() => view.value?.revisions.at(-1)?.state === 'draft')
  return { view, record, older, olderProblem, problem, card, draft, hasDraft }
}
