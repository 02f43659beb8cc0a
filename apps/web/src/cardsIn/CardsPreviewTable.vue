<script setup lang="ts">
import type { ImportedCards } from '@sure-spool/contract'
import Column from 'primevue/column'
import { computed } from 'vue'
import RuledTable from '../tables/RuledTable.vue'

type Row = ImportedCards['rows'][number]

/** What becomes of each card of a file; those that change nothing come last. */
const props = defineProps<{ rows: Row[] }>()
const words: Record<Row['what'], string> = {
  new: 'a new card',
  revision: 'a new revision',
  same: 'here already, the same',
  conflict: 'here already, and different',
  kept: 'yours stays',
  next: 'taken as the next draft',
}
const order: Row['what'][] = ['conflict', 'new', 'revision', 'next', 'kept', 'same']
const ordered = computed(() =>
  props.rows
    .map((row) => ({ ...row, key: `${row.id}@${row.revision}` }))
    .sort((a, b) => order.indexOf(a.what) - order.indexOf(b.what)),
)
</script>

<template>
  <RuledTable
    :rows="ordered"
    row-key="key"
    :row-height="40"
    label="What becomes of each card"
    :row-class="({ what }) => (what === 'same' ? 'muted' : undefined)"
  >
    <Column header="card" style="width: 45%">
      <template #body="{ data }: { data: Row }"
        ><strong>{{ data.maker }}</strong> {{ data.model }}</template
      >
    </Column>
    <Column header="revision" style="width: 20%">
      <template #body="{ data }: { data: Row }"
        ><span class="n">{{ data.revision }}</span
        >, {{ data.state }}</template
      >
    </Column>
    <Column header="what happens">
      <template #body="{ data }: { data: Row }"
        ><span :class="{ strong: data.what === 'conflict' }">{{ words[data.what] }}</span></template
      >
    </Column>
  </RuledTable>
</template>
