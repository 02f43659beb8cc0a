import type { CardView } from '@sure-spool/contract'
import { judgedBy, type Run, type RunState } from '@sure-spool/core'
import { computed, ref, watch, type ComputedRef } from 'vue'
import { ask } from '../store/api'
import { readCopy } from '../store/browserDatabase'

/** A closed run as today's card would judge it, beside what it was judged as; nothing where the card has not moved on. */
export function useToday(run: () => Run | undefined, closed: () => boolean): ComputedRef<RunState | undefined> {
  const view = ref<CardView>()
  watch(
    () => (closed() ? run()?.card.id : undefined),
    async (id) => {
      view.value = undefined
      if (id === undefined) return
      view.value =
        (await ask<CardView>(`/cards/${id}`).catch(() => undefined)) ?? (await readCopy<CardView>(`view:${id}`))
    },
    { immediate: true },
  )
  return computed(() => {
    const one = run()
    const card = view.value?.card
    if (!one || card?.state !== 'published' || card.id !== one.card.id || card.revision <= one.card.revision)
      return undefined
    return judgedBy(one, card)
  })
}
