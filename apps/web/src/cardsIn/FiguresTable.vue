<script setup lang="ts">
import type { FigureRow } from '@sure-spool/contract'
import Column from 'primevue/column'
import { computed } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import RuledTable from '../tables/RuledTable.vue'

/** A file of figures, row by row: what becomes of it, and why a row stays out. The refused come first. */
const props = defineProps<{ rows: FigureRow[] }>()
const words: Record<FigureRow['what'], string> = {
  'new-card': 'begins a new card',
  'new-check': 'a new check',
  'another-limit': 'another limit',
  changed: 'changes its limit',
  same: 'changes nothing',
  refused: 'stays out',
}
const ordered = computed(() =>
  [...props.rows].sort((a, b) => Number(b.what === 'refused') - Number(a.what === 'refused') || a.row - b.row),
)
const mark = (what: FigureRow['what']) => (what === 'refused' ? 'flagged' : what === 'same' ? 'skipped' : 'done')
</script>

<template>
  <RuledTable
    class="figures"
    :rows="ordered"
    row-key="row"
    v-bind="rows.length > 60 ? { rowHeight: 40 } : {}"
    label="What becomes of each row"
    :row-class="({ what }) => what"
  >
    <Column header="row" style="width: 70px">
      <template #body="{ data }: { data: FigureRow }"
        ><span class="n">{{ data.row }}</span></template
      >
    </Column>
    <Column header="card" style="width: 18%">
      <template #body="{ data }: { data: FigureRow }">{{ data.maker }} {{ data.model }}</template>
    </Column>
    <Column field="check" header="check" style="width: 16%" />
    <Column header="limit" style="width: 16%">
      <template #body="{ data }: { data: FigureRow }"
        ><span class="n">{{ data.limit }}</span></template
      >
    </Column>
    <Column header="what happens" style="width: 16%">
      <template #body="{ data }: { data: FigureRow }"
        ><VerdictMark :mark="mark(data.what)" :size="15" /> {{ words[data.what] }}</template
      >
    </Column>
    <Column header="why">
      <template #body="{ data }: { data: FigureRow }"
        ><span :title="data.detail">{{ data.detail }}</span></template
      >
    </Column>
  </RuledTable>
</template>

<style scoped>
.figures :deep(.refused td:nth-child(n + 5)) {
  color: var(--outside);
  font-weight: 600;
}
.figures :deep(.same) {
  color: var(--muted);
}
</style>
