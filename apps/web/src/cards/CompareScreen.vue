<script setup lang="ts">
import type { CardView } from '@sure-spool/contract'
import { compareCards, type Card } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import PickField from '../fields/PickField.vue'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import { ask } from '../store/api'

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
const differences = computed(() => {
  const [before, after] = cards.value
  return before && after ? compareCards(before, after) : []
})
const back = () => void router.push({ name: 'card', params: { id: props.id } })
useKeys((event) => {
  if (isTaken(event) || event.key !== 'Escape') return false
  back()
  return true
})
</script>

<template>
  <main class="compare">
    <header>
      <h1>{{ view ? `${view.card.name.maker} ${view.card.name.model}` : problem || 'Opening the card …' }}</h1>
      <KeyButton cap="Esc" label="the card" @press="back" />
    </header>
    <table v-if="view" class="ruled">
      <caption class="unseen">
        What changed between two revisions
      </caption>
      <thead>
        <tr>
          <th scope="col">what</th>
          <th scope="col">
            <PickField
              label="before"
              :model-value="sides[0]"
              :options="options"
              @update:model-value="sides = [$event, sides[1]]"
            />
          </th>
          <th scope="col">
            <PickField
              label="after"
              :model-value="sides[1]"
              :options="options"
              @update:model-value="sides = [sides[0], $event]"
            />
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in differences" :key="i">
          <th scope="row">
            {{ one.about }} <small>{{ one.part }}</small>
          </th>
          <td :class="{ none: one.before === null }">{{ one.before ?? 'not there' }}</td>
          <td :class="{ none: one.after === null }">{{ one.after ?? 'taken off' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="view && differences.length === 0" class="muted">The two say the same.</p>
  </main>
</template>

<style scoped>
table {
  table-layout: fixed;
  overflow-wrap: anywhere;
}
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
thead th {
  vertical-align: bottom;
}
small {
  display: block;
  font-size: 15px;
  font-weight: 400;
  color: var(--muted);
}
.none {
  color: var(--muted);
}
</style>
