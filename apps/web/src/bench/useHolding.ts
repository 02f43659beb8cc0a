import { beyondOverride, type Firing, type Remark } from '@sure-spool/core'
import { computed } from 'vue'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { answersTo } from './answers'

/** What holds the step: a stop on a reading, or one that is due before this step is touched; with its answers. */
export function useHolding() {
  const bench = useBench()
  const figures = useFigures()
  const holding = computed<(Remark & Partial<Firing>) | undefined>(() => {
    if (bench.doing) return undefined
    const held = bench.state?.holding
    const isHere = bench.cursor === null || held?.holds.includes(bench.current?.entry ?? '')
    return held && isHere ? held : bench.setUp.find((one) => one.severity === 'stop')
  })
  const answers = computed(() =>
    holding.value && bench.state ? answersTo(holding.value, bench, bench.state, figures) : undefined,
  )
  const canBeKept = computed(() => holding.value !== undefined && !beyondOverride.has(holding.value.id))
  return { holding, answers, canBeKept }
}

export type Holding = ReturnType<typeof useHolding>
