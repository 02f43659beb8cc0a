<script setup lang="ts">
import type { CardView } from '@sure-spool/contract'
import { compareCards, type Card, type CardDifference } from '@sure-spool/core'
import Column from 'primevue/column'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import PickField from '../fields/PickField.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { ask } from '../store/api'
import RuledTable from '../tables/RuledTable.vue'
import { compareKeys } from './cardsKeys'

/** Two revisions of a card side by side: what changed, and nothing else. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const view = ref<CardView>()
const sides = ref<[string, string]>(['', ''])
const cards = ref<[Card | undefined, Card | undefined]>([undefined, undefined])
const problem = ref('')
watch(
  () => props.id,
  async (id) => {
    try {
      view.value = await ask<CardView>(`/cards/${id}`)
      const [before, after] = view.value.revisions.slice(-2)
      sides.value = [String(before?.revision ?? ''), String((after ?? before)?.revision ?? '')]
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  },
  { immediate: true },
)
watch(
  sides,
  async ([before, after]) => {
    if (before === '' || after === '') return
    const read = (revision: string) => ask<Card>(`/cards/${props.id}/revisions/${revision}`).catch(() => undefined)
    cards.value = await Promise.all([read(before), read(after)])
  },
  { deep: true },
)
const options = computed(() =>
  (view.value?.revisions ?? []).map(({ revision, state }) => ({
    value: String(revision),
    label: `revision ${revision}, ${state}`,
  })),
)
const differences = computed<(CardDifference & { key: string })[]>(() => {
  const [before, after] = cards.value
  return before && after ? compareCards(before, after).map((one, i) => ({ ...one, key: `${i} ${one.about}` })) : []
})
useScreenKeys(compareKeys, () => 'compare', {
  leave: () => void router.push({ name: 'card', params: { id: props.id } }),
})
</script>

<template>
  <main class="compare">
    <header>
      <h1>{{ view ? `${view.card.name.maker} ${view.card.name.model}` : problem || 'Opening the card …' }}</h1>
      <ScreenKey act="leave" />
    </header>
    <div v-if="view" class="sides">
      <PickField
        label="before"
        :model-value="sides[0]"
        :options="options"
        @update:model-value="sides = [$event, sides[1]]"
      />
      <PickField
        label="after"
        :model-value="sides[1]"
        :options="options"
        @update:model-value="sides = [sides[0], $event]"
      />
    </div>
    <RuledTable
      v-if="differences.length > 0"
      :rows="differences"
      row-key="key"
      label="What changed between two revisions"
    >
      <Column header="what" style="width: 30%">
        <template #body="{ data }: { data: CardDifference }"
          ><strong>{{ data.about }}</strong> <small class="muted">{{ data.part }}</small></template
        >
      </Column>
      <Column header="before" style="width: 35%">
        <template #body="{ data }: { data: CardDifference }"
          ><span :class="{ muted: data.before === null }">{{ data.before ?? 'not there' }}</span></template
        >
      </Column>
      <Column header="after" style="width: 35%">
        <template #body="{ data }: { data: CardDifference }"
          ><span :class="{ muted: data.after === null }">{{ data.after ?? 'taken off' }}</span></template
        >
      </Column>
    </RuledTable>
    <p v-else-if="view" class="muted">The two say the same.</p>
  </main>
</template>

<style scoped>
.compare {
  padding: 14px 20px;
  display: grid;
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h1 {
  font-size: 28px;
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  max-width: 700px;
}
</style>
