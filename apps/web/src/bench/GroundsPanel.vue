<script setup lang="ts">
import type { Evaluation } from '@sure-spool/core'
import { computed } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { groundsOf } from '../words/grounds'
import { takenAt } from '../words/points'

/** A verdict's grounds in full: every line can be redone by hand. */
const props = defineProps<{ evaluation: Evaluation }>()
const bench = useBench()
const figures = useFigures()
const lines = computed(() => (bench.run ? groundsOf(props.evaluation, bench.run.card, figures) : []))
const title = computed(() => (bench.run ? takenAt(bench.run.card, props.evaluation, figures) : ''))
</script>

<template>
  <section class="grounds" aria-label="Grounds" tabindex="0">
    <header>
      <h2>Grounds: {{ title }}, {{ evaluation.check.label }}</h2>
      <ScreenKey quiet act="grounds" label="close" />
    </header>
    <table>
      <tbody>
        <tr v-for="(line, i) in lines" :key="i">
          <th scope="row">{{ line.name }}</th>
          <td>{{ line.how }}</td>
          <td class="figure">{{ line.gives }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.grounds {
  background: var(--panel);
  border-top: 3px solid var(--copper);
  padding: 8px 28px 12px;
  overflow: auto;
  max-height: 100%;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
h2 {
  min-width: 0;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  vertical-align: baseline;
  padding: 3px 10px 3px 0;
  border-top: 1px solid var(--hairline);
  font-weight: 400;
  font-size: 15px;
}
th {
  color: var(--muted);
  white-space: nowrap;
}
td.figure {
  text-align: right;
  font-weight: 600;
  white-space: nowrap;
}
</style>
