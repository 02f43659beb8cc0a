<script setup lang="ts">
import type { RevisionRow } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import Column from 'primevue/column'
import Tag from 'primevue/tag'
import { computed } from 'vue'
import '../look/controls/signs'
import { useShop } from '../store/shop'
import RuledTable from '../tables/RuledTable.vue'
import { day } from '../words/times'

/** A card's revisions, the newest first: who wrote each and when, and which one is shown. */
const props = defineProps<{ card: Card; revisions: RevisionRow[] }>()
const shop = useShop()
const rows = computed(() => [...props.revisions].reverse())
const who = ({ by }: RevisionRow) =>
  shop.people.find(({ id }) => id === by)?.name ?? (by === null ? 'came in a file' : '')
</script>

<template>
  <div class="history">
    <h2>
      History
      <RouterLink v-if="revisions.length > 1" class="link" :to="{ name: 'compare', params: { id: card.id } }"
        >side by side</RouterLink
      >
    </h2>
    <RuledTable
      :rows="rows"
      row-key="revision"
      label="Revisions of this card"
      :row-class="({ revision }) => (revision === card.revision ? 'here' : undefined)"
    >
      <Column header="revision" style="width: 190px">
        <template #body="{ data }: { data: RevisionRow }"
          ><span class="n">{{ data.revision }}</span> <Tag :value="data.state"
        /></template>
      </Column>
      <Column header="written by">
        <template #body="{ data }: { data: RevisionRow }"
          >{{ who(data) }}<span v-if="data.at" class="muted"> {{ day(data.at) }}</span></template
        >
      </Column>
      <Column header="hash" style="width: 120px">
        <template #body="{ data }: { data: RevisionRow }"
          ><span class="n muted">{{ data.hash.slice(0, 8) }}</span></template
        >
      </Column>
    </RuledTable>
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  gap: 16px;
  align-items: center;
}
.link {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  font-weight: 400;
}
.history :deep(.here) {
  font-weight: 650;
}
</style>
