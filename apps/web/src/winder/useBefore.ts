import type { RunView } from '@sure-spool/contract'
import { ohmsKnown, runState, type RunState } from '@sure-spool/core'
import { computed, shallowRef, watch } from 'vue'
import { ask } from '../store/api'
import { readRunCopy } from '../store/browserDatabase'

/** What the run that a rewind was begun from knows of a winding's ohms, as far as this browser or the server has that run. */
export function useBefore(id: () => string | undefined, winding: () => string | undefined) {
  const before = shallowRef<RunState>()
  watch(
    id,
    async (run) => {
      before.value = undefined
      if (run === undefined) return
      const copy = await readRunCopy(run)
      // without it the plan only offers less
      const found = copy ?? (await ask<RunView>(`/runs/${run}`).catch(() => undefined))?.run
      if (found && id() === run) before.value = runState(found)
    },
    { immediate: true },
  )
  return computed(() => {
    const own = winding()
    return before.value && own !== undefined ? ohmsKnown(before.value, own) : []
  })
}
