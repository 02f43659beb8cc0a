<script setup lang="ts">
import { isolations, type Isolation } from '@sure-spool/core'
import { computed } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { isolationWords } from '../words/kinds'
import type { PlainStepActs } from './usePlainStep'

/** One of several by its letter: how the part is isolated, or what it was seen to do. */
const props = defineProps<{ kind: 'isolate' | 'answer'; acts: PlainStepActs }>()
const safe = 2
const asked: Partial<Record<Isolation, string>> = {
  'one-lead-lifted': 'say which: only its windings are read alone',
  'in-circuit': 'say what stands in parallel, or ohms are held',
}
const choices = computed(() =>
  props.kind === 'answer'
    ? props.acts.answers.value.map((label) => ({ label, hint: '' }))
    : isolations.map((state, i) => ({
        label: isolationWords[state],
        hint: i < safe ? 'cautions read' : (asked[state] ?? ''),
      })),
)
</script>

<template>
  <div class="choices">
    <ScreenKey
      v-for="({ label, hint }, i) in choices"
      :key="label"
      :act="kind === 'answer' ? 'say' : 'isolate'"
      :at="i"
      :label="label"
      :hint="hint"
      :main="kind === 'isolate' && i === 0"
    />
  </div>
</template>

<style scoped>
.choices {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px;
}
.choices :deep(.key-button) {
  width: 100%;
}
</style>
