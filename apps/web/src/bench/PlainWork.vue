<script setup lang="ts">
import { computed } from 'vue'
import type { Line } from '../reading/line'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { forecastWords } from '../words/forecast'
import { plainInstruction } from '../words/instruction'
import CautionList from './CautionList.vue'
import FigureStep from './FigureStep.vue'
import LookStep from './LookStep.vue'
import PickStep from './PickStep.vue'
import type { PlainStepActs } from './usePlainStep'

/** The steps that are not a reading: looks, isolation, temperature, leads, the frame contact, what was seen. */
defineProps<{ line: Line | null; problem: string; acts: PlainStepActs }>()
defineEmits<{ type: [text: string] }>()
const bench = useBench()
const figures = useFigures()
const step = computed(() => bench.current?.step)
const pickKind = computed(() => {
  const kind = step.value?.kind
  return kind === 'isolate' || kind === 'answer' ? kind : undefined
})
const instruction = computed(() =>
  step.value && bench.run
    ? plainInstruction(step.value, {
        card: bench.run.card,
        meter: bench.meter,
        check: bench.check,
        zeroHow: bench.zeroHow,
        supplyWhile: bench.supplyWhile,
      })
    : '',
)
/** what should be seen, before it is looked for */
const forecast = computed(() =>
  bench.forecast && bench.current?.status !== 'done'
    ? forecastWords(bench.forecast, figures, bench.forecast.resolution)
    : '',
)
</script>

<template>
  <div v-if="step" class="plain-work">
    <p class="instruction">{{ instruction }}</p>
    <p v-if="forecast" class="instruction">{{ forecast }}</p>
    <CautionList :cautions="step.cautions" />
    <LookStep v-if="step.kind === 'look'" :acts="acts" />
    <PickStep v-else-if="pickKind" :kind="pickKind" :acts="acts" />
    <FigureStep
      v-else-if="step.kind !== 'reading' && step.kind !== 'finding'"
      :kind="step.kind"
      :line="line"
      :problem="problem"
      @type="$emit('type', $event)"
    />
  </div>
</template>

<style scoped>
.plain-work {
  display: grid;
  gap: 14px;
  align-content: start;
}
.instruction {
  font-size: 18px;
  max-width: 60ch;
}
</style>
