<script setup lang="ts">
import type { RewindState, RewindStep } from '@sure-spool/core'
import { useResizeObserver } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { afterPaint } from '../store/afterPaint'
import { phaseWords, rewindStepWords } from '../words/rewindSteps'

/** The path of a rewind in working order. */
const props = defineProps<{ state: RewindState; here: string | undefined }>()
const emit = defineEmits<{ go: [step: string] }>()
const phases = computed(() => {
  const found = new Map<RewindStep['phase'], RewindStep[]>()
  for (const step of props.state.steps) found.set(step.phase, [...(found.get(step.phase) ?? []), step])
  return [...found.entries()]
})
const path = ref<HTMLElement>()
function showHere(): void {
  const { scrollHeight = 0, clientHeight = 0 } = path.value ?? {}
  if (scrollHeight > clientHeight) path.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest' })
}
// what asks how high it is waits until it has been drawn
watch(
  () => props.here,
  () => afterPaint(showHere),
)
useResizeObserver(path, showHere)
const turnsOf = ({ id, coil }: RewindStep) => {
  const one = props.state.coils.find((each) => each.coil.id === coil)
  if (!one) return ''
  if (id.startsWith('wind')) return one.turns > 0 ? String(one.turns) : ''
  return id.startsWith('turns') && one.original.turns !== undefined ? String(one.original.turns) : ''
}
</script>

<template>
  <nav ref="path" class="path" aria-label="Path">
    <section v-for="[phase, steps] in phases" :key="phase">
      <h2>{{ phaseWords[phase] }}</h2>
      <ul>
        <li v-for="step in steps" :key="step.id">
          <button
            class="plain step"
            :class="{ here: step.id === here, todo: step.status !== 'done' }"
            :aria-current="step.id === here ? 'step' : undefined"
            @click="emit('go', step.id)"
          >
            <span><VerdictMark v-if="step.status === 'done'" mark="done" :size="14" /></span>
            <span>{{ rewindStepWords(state, step).short }}</span>
            <span class="n">{{ turnsOf(step) }}</span>
          </button>
        </li>
      </ul>
    </section>
  </nav>
</template>

<style scoped>
.path {
  border-right: 1px solid var(--hairline);
  overflow: auto;
  padding: 8px 0;
}
h2 {
  padding: 6px 16px 0 20px;
  font-size: 16px;
}
.step {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  min-height: 44px;
  width: 100%;
  padding: 2px 14px 2px 16px;
  border-left: 5px solid transparent;
  line-height: 1.2;
}
.step.here {
  background: var(--tint);
  border-color: var(--copper);
  font-weight: 650;
}
.step.todo:not(.here) {
  color: var(--muted);
}
@media (max-width: 900px) {
  .path {
    border-right: 0;
    border-bottom: 1px solid var(--hairline);
    max-height: 220px;
  }
}
</style>
