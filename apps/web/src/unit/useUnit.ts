import type { CardView, QueueUnit, UnitRun, UnitRuns } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { ref, watch } from 'vue'
import { ask } from '../store/api'
import { keepCopy, readCopy } from '../store/browserDatabase'
import { useOutbox } from '../store/outbox'

/** A unit with its runs and the card they were judged by: this browser's copy at once, then what the server has. */
export function useUnit(id: () => string) {
  const outbox = useOutbox()
  const unit = ref<QueueUnit>()
  const runs = ref<UnitRun[]>([])
  const card = ref<Card>()
  const problem = ref('')

  async function load(): Promise<void> {
    const key = `unit:${id()}`
    const copy = await readCopy<{ unit: QueueUnit; runs: UnitRun[]; card: Card }>(key)
    if (copy) ({ unit: unit.value, runs: runs.value, card: card.value } = copy)
    try {
      const [one, all] = await Promise.all([
        ask<QueueUnit>(`/units/${id()}`),
        ask<UnitRuns>(`/units/${id()}/runs?limit=12`),
      ])
      const revision = all.runs[0]?.revision ?? one.card.revision
      const shown = await ask<Card>(`/cards/${one.card.id}/revisions/${revision}`).catch(
        async () => (await ask<CardView>(`/cards/${one.card.id}`)).card,
      )
      unit.value = one
      runs.value = all.runs
      card.value = shown
      await keepCopy(key, { unit: one, runs: all.runs, card: shown })
    } catch (error) {
      if (!copy) problem.value = error instanceof Error ? error.message : String(error)
    }
  }
  watch(id, load, { immediate: true })
  watch(
    () => outbox.waiting,
    (now, before) => now === 0 && before > 0 && void load(),
  )
  return { unit, runs, card, problem }
}
