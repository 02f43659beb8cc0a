<script setup lang="ts">
import type { CardRow } from '@sure-spool/contract'
import Column from 'primevue/column'
import Tag from 'primevue/tag'
import '../look/controls/signs'
import RuledTable from '../tables/RuledTable.vue'
import { familyWords } from '../words/kinds'

/** Cards that somebody is still writing. */
defineProps<{ cards: CardRow[] }>()
const kind = ({ family }: CardRow) => familyWords[family as keyof typeof familyWords] ?? family
</script>

<template>
  <section aria-label="Being written">
    <h2 class="label">Being written</h2>
    <RuledTable :rows="cards" row-key="id" label="Cards being written">
      <Column header="card" style="width: 30%">
        <template #body="{ data }: { data: CardRow }"
          ><RouterLink class="name" :to="{ name: 'write', params: { id: data.id, revision: data.revision } }"
            ><strong>{{ data.maker }}</strong> {{ data.model || 'no name yet' }}</RouterLink
          ></template
        >
      </Column>
      <Column header="kind" style="width: 16%">
        <template #body="{ data }: { data: CardRow }"
          ><span class="muted">{{ kind(data) }}</span></template
        >
      </Column>
      <Column header="part numbers">
        <template #body="{ data }: { data: CardRow }"
          ><span class="n">{{ data.partNumbers.join(', ') }}</span></template
        >
      </Column>
      <Column header="revision" style="width: 190px">
        <template #body="{ data }: { data: CardRow }"><Tag :value="`draft of ${data.revision}`" /></template>
      </Column>
    </RuledTable>
  </section>
</template>

<style scoped>
.name {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 44px;
}
</style>
