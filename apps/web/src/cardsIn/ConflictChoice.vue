<script setup lang="ts">
import type { ImportedCards } from '@sure-spool/contract'
import type { CardDifference } from '@sure-spool/core'
import Column from 'primevue/column'
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import RuledTable from '../tables/RuledTable.vue'

/** A card that is here under the same revision with another body: where the two differ, and what is to happen. */
const props = defineProps<{
  row: ImportedCards['rows'][number]
  differences: CardDifference[]
  modelValue: 'keep' | 'next' | undefined
}>()
defineEmits<{ 'update:modelValue': [word: 'keep' | 'next'] }>()
const shown = 6
const rows = computed(() => props.differences.slice(0, shown).map((one, i) => ({ ...one, key: i })))
const choices = [
  { value: 'keep' as const, label: 'keep yours as it is' },
  { value: 'next' as const, label: 'take theirs as your next draft, to look at and publish' },
]
</script>

<template>
  <section class="conflict" :aria-label="`${row.maker} ${row.model}`">
    <h2>{{ row.maker }} {{ row.model }}, revision {{ row.revision }}, is here already, and different</h2>
    <RuledTable :rows="rows" row-key="key" :label="`Where ${row.maker} ${row.model} differs`">
      <Column field="about" header="differs in" style="width: 30%" />
      <Column header="yours" style="width: 35%">
        <template #body="{ data }: { data: CardDifference }">{{ data.before ?? 'not there' }}</template>
      </Column>
      <Column header="theirs" style="width: 35%">
        <template #body="{ data }: { data: CardDifference }">{{ data.after ?? 'not there' }}</template>
      </Column>
    </RuledTable>
    <p v-if="differences.length > shown" class="muted">{{ differences.length - shown }} more differences.</p>
    <ChoiceField
      :label="`${row.maker} ${row.model}: what is to happen`"
      :model-value="modelValue"
      :options="choices"
      @update:model-value="$emit('update:modelValue', $event)"
    />
  </section>
</template>

<style scoped>
.conflict {
  border-left: 4px solid var(--copper);
  padding-left: 14px;
  display: grid;
  gap: 4px;
}
</style>
