import type { CardView, QueueUnit } from '@sure-spool/contract'
import { planSteps, plugsOf, prepareCard, type Card, type Step } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { ask } from '../store/api'
import { keepCard, readCard } from '../store/cardCopies'

/** The step at which the last run was left, drawn from its card: what to touch when work goes on. */
export function useLastStep(unit: () => QueueUnit | undefined) {
  const card = ref<Card>()
  watch(
    () => unit()?.id,
    async () => {
      card.value = undefined
      const wanted = unit()?.card
      if (!wanted) return
      const copy = await readCard(wanted)
      const view = copy ? undefined : await ask<CardView>(`/cards/${wanted.id}`).catch(() => undefined)
      if (view) await keepCard(view.card)
      const found = copy ?? view?.card
      if (found?.revision === wanted.revision) card.value = found
    },
    { immediate: true },
  )
  const step = computed<Step | undefined>(() => {
    const one = unit()
    if (!card.value || !one) return undefined
    return planSteps(prepareCard(card.value, one)).find(({ id }) => id === one.standing?.step)
  })
  const ring = computed<string[]>(() => (step.value?.kind === 'reading' ? (step.value.point.pair ?? []) : []))
  const plug = computed(() =>
    plugsOf(card.value ?? { plugs: [] }, unit()?.variant).find(({ cavities }) =>
      cavities.some(({ terminal }) => terminal !== null && ring.value.includes(terminal)),
    ),
  )
  return { card, step, ring, plug }
}
