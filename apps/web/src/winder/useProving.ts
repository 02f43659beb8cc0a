import type { QueueUnit } from '@sure-spool/contract'
import { holdingRemark, worksOfRewind, type RewindStep } from '@sure-spool/core'
import { computed, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import { ask } from '../store/api'
import { useBench } from '../store/bench'
import { useRewind } from '../store/rewind'
import { useFigures } from '../words/figures'
import { rewindRemarkWords } from '../words/rewindRemarks'

/** What holds a step at the winder, and the way from there to the run that proves the coil. */
export function useProving(step: () => RewindStep | undefined, problem: Ref<string>) {
  const store = useRewind()
  const bench = useBench()
  const router = useRouter()
  const figures = useFigures()
  const holding = computed(() => {
    const here = step()
    return store.state && here ? holdingRemark(store.state, here) : undefined
  })

  /** @returns whether a stop keeps this step as it is; then it says which */
  function isHeld(): boolean {
    if (!holding.value || !store.state) return false
    const { what, todo } = rewindRemarkWords(holding.value, store.state, figures)
    problem.value = `${what} ${todo} c keeps it as it is, with a reason.`
    return true
  }

  async function prove(): Promise<void> {
    if (isHeld()) return
    try {
      const part = await ask<QueueUnit>(`/units/${store.rewind?.unit ?? ''}`)
      const run = await bench.startFor(part)
      // a run that was begun before says itself what was done
      if (store.state && bench.run?.id === run && bench.run.entries.length === 0)
        for (const body of worksOfRewind(store.state, Date.now())) bench.add(body)
      await router.push({ name: 'bench', params: { run } })
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  return { holding, isHeld, prove }
}
