<script setup lang="ts">
import { beta, coreVersion, isMetal, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import { gradeWords } from '../words/kinds'
import { day } from '../words/times'
import { meterRows, usePeople } from './useSheet'

/** How a line is redone by hand, with what and by whom it was taken. */
const props = defineProps<{ state: RunState }>()
const person = usePeople()
const run = computed(() => props.state.run)
const by = computed(() => [...new Set(run.value.entries.map((entry) => person(entry.by)))].join(', '))
/** each metal the part is wound of, with its own number in the formula */
const formulas = computed(() => {
  const metals = new Set(run.value.card.windings.map(({ material }) => material))
  return [...metals]
    .filter(isMetal)
    .map((metal) => `${metal} net × (${beta[metal]} + reference)/(${beta[metal]} + part °C)`)
    .join('; ')
})
</script>

<template>
  <footer class="two">
    <section>
      <h2>To redo a line</h2>
      <p>
        Net: as taken less what the leads left in it.
        <template v-if="formulas">At reference: {{ formulas }}. </template>u: meter (percent of reading + steps)/√3,
        digits step/√12, zero, temperature; squared, added, rooted. Within: the whole span ±2u inside the limits
        (guarded rule), unless the line says otherwise. A contact only adds, so a high reading stands only when read
        twice.
      </p>
    </section>
    <section>
      <h2>With what, and by whom</h2>
      <p>
        {{ meterRows(run).join('; ') }}. Card {{ run.card.name.maker }} {{ run.card.name.model }}, revision
        {{ run.card.revision }}.
        <template v-for="(one, i) in run.card.sources" :key="one.id"
          >S{{ i + 1 }} {{ one.title }} ({{ gradeWords[one.grade]
          }}{{ one.date ? `, ${day(one.date)}` : '' }}). </template
        >Taken by {{ by }}. Run <span class="n">{{ run.id }}</span>, core {{ coreVersion }}.
      </p>
    </section>
  </footer>
</template>
