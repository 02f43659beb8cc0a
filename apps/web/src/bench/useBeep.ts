import { computed, type ComputedRef } from 'vue'
import { useBench } from '../store/bench'

const byPath: ReadonlySet<string> = new Set(['continuity', 'contacts', 'pair-matrix'])

/** The beeper, on steps on which a path or none is all that is asked. */
export function useBeep(tell: (words: string) => void): {
  beeps: ComputedRef<boolean>
  beep: (heard: boolean) => void
} {
  const bench = useBench()
  const beeps = computed(
    () =>
      bench.check !== undefined &&
      (byPath.has(bench.check.kind) || bench.limit?.expectOpen !== undefined || bench.limit?.kind === 'closed'),
  )
  const beep = (heard: boolean): void =>
    tell(beeps.value ? (bench.keepBeep(heard) ?? '') : 'A beep says nothing here: this step wants its ohms.')
  return { beeps, beep }
}
