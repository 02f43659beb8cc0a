<script setup lang="ts">
import type { Backups } from '@sure-spool/contract'
import Column from 'primevue/column'
import Message from 'primevue/message'
import { computed, onMounted, ref } from 'vue'
import { ask } from '../store/api'
import RuledTable from '../tables/RuledTable.vue'
import { backupDoubt, sizeWords, trialWords } from '../words/backups'
import { clock, day } from '../words/times'

/** The backups that are kept of this shop, and when each was brought back on trial. */
const emit = defineEmits<{ refused: [sentence: string] }>()
const found = ref<Backups>()
const doubt = computed(() => found.value && backupDoubt(found.value, new Date()))
onMounted(async () => {
  try {
    found.value = await ask<Backups>('/shop/backups')
  } catch (error) {
    emit('refused', error instanceof Error ? error.message : String(error))
  }
})
</script>

<template>
  <template v-if="found?.kept">
    <Message v-if="doubt" severity="warn">{{ doubt }}</Message>
    <RuledTable :rows="found.backups" row-key="at" label="Backups">
      <Column header="made" style="width: 30%">
        <template #body="{ data }: { data: Backups['backups'][number] }"
          >{{ day(data.at) }}, {{ clock(data.at) }}</template
        >
      </Column>
      <Column header="size" style="width: 14%">
        <template #body="{ data }: { data: Backups['backups'][number] }">{{ sizeWords(data.bytes) }}</template>
      </Column>
      <Column header="brought back on trial">
        <template #body="{ data }: { data: Backups['backups'][number] }">{{ trialWords(data) }}</template>
      </Column>
      <template #empty>There is none yet.</template>
    </RuledTable>
    <p class="muted">The last of each of fourteen days and of each of twelve months is kept.</p>
  </template>
  <p v-else-if="found" class="muted">
    Nobody keeps backups here. A shop that is run by npm start makes one a day, and tries it at once.
  </p>
</template>
