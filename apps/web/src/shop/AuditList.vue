<script setup lang="ts">
import type { Audit, AuditLine } from '@sure-spool/contract'
import Column from 'primevue/column'
import { onMounted, ref } from 'vue'
import KeyButton from '../keys/KeyButton.vue'
import { ask } from '../store/api'
import { useShop } from '../store/shop'
import RuledTable from '../tables/RuledTable.vue'
import { auditWords } from '../words/audit'
import { clock, day } from '../words/times'

/** What was changed, by whom, at which bench and when, the newest first, a page at a time. */
const emit = defineEmits<{ refused: [sentence: string] }>()
const shop = useShop()
const lines = ref<AuditLine[]>([])
const next = ref<string>()
const nameOf = (id: string | undefined): string =>
  id === undefined ? 'this machine' : (shop.people.find((one) => one.id === id)?.name ?? 'somebody who has gone')

async function more(): Promise<void> {
  try {
    const after = next.value === undefined ? '' : `&cursor=${encodeURIComponent(next.value)}`
    const page = await ask<Audit>(`/shop/audit?limit=20${after}`)
    lines.value = [...lines.value, ...page.lines]
    next.value = page.next
  } catch (error) {
    emit('refused', error instanceof Error ? error.message : String(error))
  }
}
onMounted(more)
</script>

<template>
  <RuledTable :rows="lines" row-key="id" label="What was changed">
    <Column header="when" style="width: 22%">
      <template #body="{ data }: { data: AuditLine }">{{ day(data.at) }}, {{ clock(data.at) }}</template>
    </Column>
    <Column header="who" style="width: 20%">
      <template #body="{ data }: { data: AuditLine }">{{ nameOf(data.by) }}</template>
    </Column>
    <Column header="at" style="width: 14%">
      <template #body="{ data }: { data: AuditLine }">{{ data.benchName ?? '' }}</template>
    </Column>
    <Column header="what">
      <template #body="{ data }: { data: AuditLine }">{{ auditWords(data) }}</template>
    </Column>
    <template #empty>Nothing was changed yet.</template>
  </RuledTable>
  <p v-if="next !== undefined"><KeyButton label="earlier ones" @press="more" /></p>
</template>
