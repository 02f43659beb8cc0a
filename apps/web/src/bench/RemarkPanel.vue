<script setup lang="ts">
import type { Firing, Remark } from '@sure-spool/core'
import { computed } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { remarkWords } from '../words/remarks'
import type { Answers } from './answers'

/** A remark that holds the step, with its three lettered answers. */
const props = defineProps<{
  remark: Remark & Partial<Firing>
  answers: Answers
  canBeKept: boolean
}>()
const bench = useBench()
const figures = useFigures()
const words = computed(() => (bench.run ? remarkWords(props.remark, bench.run.card, figures) : { what: '', todo: '' }))
</script>

<template>
  <section class="remark" role="alert" aria-label="Remark">
    <p class="words">
      <VerdictMark mark="none" :size="18" /><span
        ><strong>{{ words.what }}</strong> {{ words.todo }}</span
      >
    </p>
    <div v-if="answers.prefix" class="answers prefixes">
      <ScreenKey act="ohms" label="Ω" />
      <ScreenKey act="kilo" label="kΩ" />
      <ScreenKey act="mega" label="MΩ" />
      <ScreenKey act="giga" label="GΩ" />
      <ScreenKey act="keepSo" />
    </div>
    <div v-else class="answers">
      <ScreenKey main act="mend" :label="answers.a.label" />
      <ScreenKey act="other" :label="answers.b.label" />
      <ScreenKey v-if="canBeKept" act="keepSo" />
    </div>
  </section>
</template>

<style scoped>
.remark {
  background: var(--tint);
  border-top: 3px solid var(--copper);
  padding: 14px 28px;
  display: grid;
  gap: 12px;
}
.words {
  font-size: 19px;
  display: flex;
  gap: 14px;
  align-items: baseline;
  line-height: 1.3;
}
.answers {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
}
.prefixes {
  grid-template-columns: repeat(4, minmax(0, 1fr)) minmax(0, 1.6fr);
}
.answers :deep(.key-button) {
  min-height: 50px;
  font-size: 17px;
}
@media (max-width: 900px) {
  .answers {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .answers > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
