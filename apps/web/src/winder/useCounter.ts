import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** Turns counted by key: kept in this browser with every press, so that a closed tab loses none. One count for each coil and what is done to it. */
export function useCounter(key: () => string | undefined) {
  const counts = useLocalStorage<Record<string, number>>('spool.turns', {}, { writeDefaults: false })
  const turns = computed(() => counts.value[key() ?? ''] ?? 0)
  function set(to: number): void {
    const at = key()
    if (at !== undefined) counts.value = { ...counts.value, [at]: Math.max(0, to) }
  }
  const add = (by: number) => set(turns.value + by)
  return { turns, set, add }
}
