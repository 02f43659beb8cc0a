<script setup lang="ts">
import type { Evaluation } from '@sure-spool/core'
import { computed, type Ref } from 'vue'
import type { Line } from '../reading/line'
import { useAfterPaint } from '../screen/useAfterPaint'
import { useBench } from '../store/bench'
import DoingRow from './DoingRow.vue'
import GroundsPanel from './GroundsPanel.vue'
import RemarkPanel from './RemarkPanel.vue'
import type { Holding } from './useHolding'

/**
 * The foot of the step: what holds it and how it is answered, the grounds, or what can be done. The figure and its mark are painted before
 * it: what it shows comes as refs, since a component whose properties change is drawn at once.
 */
const props = defineProps<{
  line: Ref<Line | null>
  grounds: Ref<Evaluation | undefined>
  beeps: Ref<boolean>
  holds: Holding
}>()
const bench = useBench()
const { holding, answers, canBeKept } = props.holds
const shown = computed(() => !props.grounds.value && holding.value && answers.value && !props.line.value)
// both are always asked for: what was not watched when it changed would be drawn at once
useAfterPaint(() => `${props.line.value === null} ${holding.value?.id} ${holding.value?.entry}`)
</script>

<template>
  <div class="foot">
    <GroundsPanel v-if="grounds.value" :evaluation="grounds.value" />
    <RemarkPanel
      v-else-if="shown && holding && answers"
      :remark="holding"
      :answers="answers"
      :can-be-kept="canBeKept"
    />
    <!-- it stays: a row of buttons made anew with every figure costs more than the figure -->
    <DoingRow
      v-show="!grounds.value && !shown"
      :typing="line.value !== null"
      :reading="bench.current?.step.kind === 'reading'"
      :beeps="beeps.value"
      :rest="bench.canRest"
    />
  </div>
</template>
