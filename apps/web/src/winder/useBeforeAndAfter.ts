import type { RunView, UnitRuns } from '@sure-spool/contract'
import { runState, type RunState } from '@sure-spool/core'
import { shallowRef, watch } from 'vue'
import { ask } from '../store/api'
import { readRunCopy } from '../store/browserDatabase'
import { useRewind } from '../store/rewind'

/** A run as this browser or the server has it; undefined where neither does. */
export async function stateOfRun(id: string): Promise<RunState | undefined> {
  const run = (await readRunCopy(id)) ?? (await ask<RunView>(`/runs/${id}`).catch(() => undefined))?.run
  return run && runState(run)
}

/** The run that found the coil dead, and the last one that was begun after its rewind: what stands on either side of the plan. */
export function useBeforeAndAfter() {
  const store = useRewind()
  const before = shallowRef<RunState>()
  const after = shallowRef<RunState>()
  watch(
    () => store.rewind?.id,
    async () => {
      before.value = after.value = undefined
      const { rewind } = store
      if (!rewind) return
      if (rewind.before !== undefined) before.value = await stateOfRun(rewind.before)
      const all = await ask<UnitRuns>(`/units/${rewind.unit}/runs?limit=12`).catch(() => ({ runs: [] }))
      const proving = all.runs.find(({ run, startedAt }) => run !== rewind.before && startedAt > rewind.startedAt)
      if (proving && store.rewind?.id === rewind.id) after.value = await stateOfRun(proving.run)
    },
    { immediate: true },
  )
  return { before, after }
}
