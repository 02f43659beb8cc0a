<script setup lang="ts" generic="C extends { id: string; label: string }">
import type { QueueUnit } from '@sure-spool/contract'
import Column from 'primevue/column'
import VerdictMark from '../drawings/VerdictMark.vue'
import RuledTable from '../tables/RuledTable.vue'
import { decisionWords, findingMarks, findingWords } from '../words/kinds'

/** One pile of a tray: what each unit read, and what was found; the piles of a tray share their columns. */
defineProps<{ units: QueueUnit[]; columns: C[]; figure: (unit: QueueUnit, column: C) => string; label: string }>()
const foundSaid = ({ standing }: QueueUnit) => {
  if (!standing) return 'not begun'
  const decision = standing.decision as keyof typeof decisionWords | undefined
  return `${findingWords[standing.finding]}${decision ? `, ${decisionWords[decision]}` : ''}`
}
</script>

<template>
  <RuledTable class="pile" :rows="units" row-key="id" :label="label">
    <Column header="tag" style="width: 14%">
      <template #body="{ data }: { data: QueueUnit }"
        ><RouterLink class="n tag" :to="{ name: 'unit', params: { id: data.id } }">{{ data.tag }}</RouterLink></template
      >
    </Column>
    <Column v-for="column in columns" :key="column.id" :header="column.label" class="n">
      <template #body="{ data }: { data: QueueUnit }">{{ figure(data, column) }}</template>
    </Column>
    <Column header="found" style="width: 28%">
      <template #body="{ data }: { data: QueueUnit }"
        ><VerdictMark v-if="data.standing" :mark="findingMarks[data.standing.finding]" :size="15" />
        <span :class="{ muted: !data.standing }">{{ foundSaid(data) }}</span></template
      >
    </Column>
  </RuledTable>
</template>

<style scoped>
.pile :deep(table) {
  table-layout: fixed;
}
.tag {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
</style>
