import type { RunState } from '@sure-spool/core'
import { useNow } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'

/** For so long a speed that was said stands for the next reading, milliseconds. */
const freshMs = 30 * 60_000

/** The speed that was last said, while it is fresh, rpm: several legs are read at one speed. */
export function saidSpeed(state: () => RunState | undefined): ComputedRef<number | undefined> {
  const now = useNow({ interval: 15_000 })
  return computed(() => {
    const { tape } = state() ?? {}
    const said = tape?.readings.findLast(
      (entry) => entry.reading.conditions?.rpm !== undefined && !tape.gone.has(entry.id),
    )
    return said && now.value.getTime() - Date.parse(said.at) < freshMs ? said.reading.conditions?.rpm : undefined
  })
}
