<script setup lang="ts">
import type { CardRow } from '@sure-spool/contract'
import Column from 'primevue/column'
import { useRouter } from 'vue-router'
import RuledTable from '../tables/RuledTable.vue'
import { familyWords } from '../words/kinds'
import FitLine from './FitLine.vue'

/** Cards that were found: by name, or with how well each explains what was read. */
defineProps<{ cards: CardRow[]; byFigures: boolean }>()
defineEmits<{ end: [] }>()
const router = useRouter()
const kind = ({ family }: CardRow) => familyWords[family as keyof typeof familyWords] ?? family
const open = ({ id }: CardRow) => void router.push({ name: 'card', params: { id } })
</script>

<template>
  <RuledTable
    class="cards-table"
    :rows="cards"
    row-key="id"
    label="Cards found"
    v-bind="byFigures ? {} : { rowHeight: 48 }"
    @end="$emit('end')"
    @open="open"
  >
    <Column header="card" style="width: 30%">
      <template #body="{ data }: { data: CardRow }"
        ><RouterLink class="name" :to="{ name: 'card', params: { id: data.id } }" @click.stop
          ><strong>{{ data.maker }}</strong> {{ data.model }}</RouterLink
        ></template
      >
    </Column>
    <Column header="kind" style="width: 16%">
      <template #body="{ data }: { data: CardRow }"
        ><span class="muted">{{ kind(data) }}</span></template
      >
    </Column>
    <Column v-if="byFigures" header="what it explains">
      <template #body="{ data }: { data: CardRow }"><FitLine v-if="data.fit" :fit="data.fit" /></template>
    </Column>
    <template v-else>
      <Column header="part numbers">
        <template #body="{ data }: { data: CardRow }"
          ><span class="n">{{ data.partNumbers.join(', ') }}</span></template
        >
      </Column>
      <Column header="revision" style="width: 100px">
        <template #body="{ data }: { data: CardRow }"
          ><span class="n">{{ data.revision }}</span></template
        >
      </Column>
    </template>
    <Column header="units" style="width: 90px">
      <template #body="{ data }: { data: CardRow }"
        ><strong class="n">{{ data.units }}</strong></template
      >
    </Column>
  </RuledTable>
</template>

<style scoped>
.cards-table :deep(tbody tr) {
  cursor: pointer;
  font-size: 17px;
}
.name {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 44px;
  text-decoration: none;
}
</style>
