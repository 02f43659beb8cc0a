<script setup lang="ts">
import type { Run } from '@sure-spool/core'
import { computed } from 'vue'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { complaintWords, familyWords, placeWords } from '../words/kinds'

/** The unit on the bench, and what it is measured with: leads, temperature, meter, tips or clips. */
const props = defineProps<{ run: Run }>()
const bench = useBench()
const figures = useFigures()
const variant = computed(() => props.run.card.variants.find(({ id }) => id === props.run.unit.variant)?.label)
const leadsHow = { hardware: 'Ω zeroed', subtract: 'Ω taken off', carried: 'Ω before, not zeroed since' }
const leadsWords = computed(() => {
  const entry = bench.state?.tape.entries.findLast(
    (one) =>
      one.kind === 'lead-check' && one.instrument === bench.meter?.id && !bench.state?.tape.takenBack.has(one.id),
  )
  if (bench.meter?.fourWire) return { value: 'four wires', how: '' }
  return entry?.kind === 'lead-check'
    ? { value: `${entry.text}`, how: leadsHow[entry.how] }
    : { value: 'not zeroed', how: '' }
})
/** where it is, on a card that tells the two places apart */
const where = computed(() =>
  props.run.card.checks.some((one) => one.where !== undefined) ? bench.state?.prepared.place : undefined,
)
const other = computed(() => (where.value === 'machine' ? 'bench' : 'machine'))
const partWords = computed(() => {
  const entry = bench.state?.tape.entries.findLast(
    (one) => one.kind === 'temperature' && !bench.state?.tape.takenBack.has(one.id),
  )
  if (entry?.kind !== 'temperature') return 'not entered'
  return entry.partC === undefined ? `room ${figures.temperature(entry.roomC ?? 20)}` : figures.temperature(entry.partC)
})
</script>

<template>
  <section class="unit" aria-label="The unit">
    <p>
      <RouterLink class="n tag" :to="{ name: 'unit', params: { id: run.unit.id } }" title="its runs">{{
        run.unit.tag
      }}</RouterLink>
      <strong class="name">{{ run.card.name.maker }} {{ run.card.name.model }}</strong>
      <span class="kind">{{
        [familyWords[run.card.family], variant, run.unit.history].filter(Boolean).join(', ')
      }}</span>
      <span class="words muted">{{
        run.unit.words ? `“${run.unit.words}”` : run.unit.complaint.map((one) => complaintWords[one]).join(', ')
      }}</span>
    </p>
    <p class="kit">
      <button v-if="where" class="plain" aria-keyshortcuts="h" @click="bench.add({ kind: 'place', where: other })">
        <strong>{{ placeWords[where] }}</strong>
      </button>
      <button class="plain" aria-keyshortcuts="z" @click="bench.goAside('leads')">
        leads <strong class="n">{{ leadsWords.value }}</strong> {{ leadsWords.how }}
      </button>
      <button class="plain" @click="bench.goTo('temperature')">
        part <strong class="n">{{ partWords }}</strong>
      </button>
      <button class="plain" aria-keyshortcuts="j" @click="bench.nextMeter()">
        <strong>{{ bench.meter?.name.split(',')[0] ?? 'no meter' }}</strong>
      </button>
      <button class="plain" aria-keyshortcuts="k" @click="bench.turnContact()">
        <strong>{{ bench.contact }}</strong>
      </button>
    </p>
  </section>
</template>

<style scoped>
.unit {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 20px;
  padding: 0 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  min-height: 52px;
}
.unit > p {
  display: flex;
  gap: 12px;
  align-items: baseline;
  min-width: 0;
}
.unit > p:first-child {
  flex: 1;
}
.unit p > * {
  white-space: nowrap;
}
.tag,
.name,
.words {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
.tag {
  flex: none;
  max-width: 40%;
}
.name {
  flex: 0 1 auto;
}
.words {
  flex: 1 1 0;
  min-width: 60px;
}
.tag {
  font-size: 18px;
}
.kit {
  gap: 18px;
  flex: none;
}
.kit button {
  min-height: 44px;
}
@media (max-width: 1100px) {
  .kind {
    display: none;
  }
}
@media (max-width: 900px) {
  .unit {
    flex-direction: column;
    align-items: flex-start;
    gap: 0;
    padding-block: 6px;
  }
  .unit > p {
    max-width: 100%;
    flex-wrap: wrap;
  }
  .tag,
  .name,
  .words {
    max-width: 100%;
  }
}
</style>
