<script setup lang="ts">
import { windingRead, type RunState, type WholeWinding } from '@sure-spool/core'
import { computed } from 'vue'
import ReadingRuler from '../drawings/ReadingRuler.vue'
import { takenParts, useFigures } from '../words/figures'
import { onRuler } from '../words/lines'
import { verdictWords } from '../words/kinds'

/** A winding before its rewind, as it was planned, and as it reads since: over one ruler, the plan's band its limits. */
const props = defineProps<{ winding: string; whole: WholeWinding; before?: RunState; after?: RunState }>()
const figures = useFigures()
const ohms = (value: number) => figures.bound(Number(value.toPrecision(4)))
const rows = computed(() => [
  ...readOf('Before', props.before),
  {
    name: 'Planned',
    said: `${ohms(props.whole.ohms20)}, ${ohms(props.whole.low)} to ${ohms(props.whole.high)}`,
    ruler: {},
  },
  ...readOf('After', props.after),
])
function readOf(name: string, state: RunState | undefined) {
  const one = state && windingRead(state, props.winding)
  if (!one) return []
  const { digits, unit } = takenParts(one, figures)
  const { value, u, bound, verdict } = onRuler(one)
  return [{ name, said: `${digits}\u2009${unit}, ${verdictWords[one.verdict]}`, ruler: { value, u, bound, verdict } }]
}
</script>

<template>
  <table v-if="before || after" class="sides">
    <caption>
      Ohms before, planned and after
    </caption>
    <tbody>
      <tr v-for="one in rows" :key="one.name">
        <th>{{ one.name }}</th>
        <td class="n">{{ one.said }}</td>
        <td><ReadingRuler small v-bind="one.ruler" :min="whole.low" :max="whole.high" quantity="resistance" /></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.sides {
  border-collapse: collapse;
  width: 100%;
  margin-top: 10px;
}
caption {
  text-align: left;
  font-weight: 600;
}
th {
  text-align: left;
  width: 100px;
}
td.n {
  width: 190px;
}
th,
td {
  padding: 3px 10px 3px 0;
  border-bottom: 1px solid #bbb;
}
</style>
