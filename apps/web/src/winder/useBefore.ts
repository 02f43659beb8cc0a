import { ohmsKnown, type RunState } from '@sure-spool/core'
import { computed, shallowRef, watch } from 'vue'
import { stateOfRun } from './useBeforeAndAfter'

/** What the run that a rewind was begun from knows of a winding's ohms, as far as this browser or the server has that run. */
export function useBefore(id: () => string | undefined, winding: () => string | undefined) {
  const before = shallowRef<RunState>()
  watch(
    id,
    async (run) => {
      before.value = undefined
      if (run === undefined) return
      // without it the plan only offers less
      const found = await stateOfRun(run)
      if (id() === run) before.value = found
    },
    { immediate: true },
  )
  return computed(() => {
    const own = winding()
    return before.value && own !== undefined ? ohmsKnown(before.value, own) : []
  })
}
