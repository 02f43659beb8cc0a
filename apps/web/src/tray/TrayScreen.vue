<script setup lang="ts">
import type { QueueUnit, UnitRuns } from '@sure-spool/contract'
import { quantityOf, type Card } from '@sure-spool/core'
import Message from 'primevue/message'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { ask } from '../store/api'
import { useOutbox } from '../store/outbox'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import { familyWords } from '../words/kinds'
import { pileOf, type Pile } from './piles'
import PileTable from './PileTable.vue'
import { trayKeys } from './trayKeys'
import { useTray } from './useTray'

/** A tray of alike parts: worked one after another, and the two piles they end on, on one sheet. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const shop = useShop()
const outbox = useOutbox()
const figures = useFigures()
const tray = useTray(() => props.id)
const read = ref<Record<string, UnitRuns['runs'][number]>>({})
const card = ref<Card>()
const problem = ref('')
const next = computed(() => tray.nextAfter(undefined))
const first = computed(() => tray.units.value[0])

watch(
  () => tray.units.value.map((unit) => `${unit.id}${unit.standing?.lastAt ?? ''}`).join(),
  async () => {
    const done = tray.units.value.filter((unit) => unit.standing)
    const all = await Promise.all(
      done.map((unit) => ask<UnitRuns>(`/units/${unit.id}/runs?limit=1`).catch(() => undefined)),
    )
    read.value = Object.fromEntries(done.flatMap((unit, i) => (all[i]?.runs[0] ? [[unit.id, all[i].runs[0]]] : [])))
    const [one] = tray.units.value
    if (one && !card.value)
      card.value = await ask<Card>(`/cards/${one.card.id}/revisions/${one.card.revision}`).catch(() => undefined)
  },
  { immediate: true },
)
watch(
  () => outbox.waiting,
  (now, before) => now === 0 && before > 0 && void tray.load(),
)

const columns = computed(() =>
  (card.value?.checks ?? [])
    .filter((check) =>
      Object.values(read.value).some(({ comparison }) => comparison.figures.some((one) => one.check === check.id)),
    )
    .slice(0, 6)
    .map((check) => ({ id: check.id, label: check.label, quantity: quantityOf(check) })),
)
const figure = (unit: QueueUnit, column: { id: string; quantity: ReturnType<typeof quantityOf> }) => {
  const all = read.value[unit.id]?.comparison.figures.filter((one) => one.check === column.id) ?? []
  return all.map(({ value }) => figures.figure(Number(value.toPrecision(4)), column.quantity)).join(', ')
}
const piles: { id: Pile; words: string }[] = [
  { id: 'accepted', words: 'Accepted' },
  { id: 'rejected', words: 'Rejected' },
  { id: 'neither', words: 'Neither' },
  { id: 'to-do', words: 'Not decided' },
]
const ofPile = (pile: Pile) => tray.units.value.filter((unit) => pileOf(unit) === pile)

async function begin(unit: QueueUnit | undefined): Promise<void> {
  if (!unit) return
  try {
    await router.push({ name: 'bench', params: { run: await tray.goOn(unit) } })
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
useScreenKeys(trayKeys, () => 'tray', {
  begin: () => begin(next.value),
  print: () => window.print(),
  leave: () => router.push('/'),
})
</script>

<template>
  <main class="tray">
    <header>
      <div>
        <h1>A tray of {{ tray.units.value.length }}</h1>
        <p v-if="first">
          <strong>{{ first.maker }} {{ first.model }}</strong
          >, {{ familyWords[first.family as keyof typeof familyWords] }}, {{ first.history }}
          <span class="muted">{{ first.words ? `“${first.words}”` : '' }}</span>
        </p>
      </div>
      <p class="piles-count">
        <span v-for="pile in piles" :key="pile.id"
          ><strong class="n">{{ ofPile(pile.id).length }}</strong> {{ pile.words.toLowerCase() }}</span
        >
      </p>
      <p class="acts">
        <ScreenKey quiet act="print" />
        <ScreenKey v-if="next" main act="begin" :label="`take ${next.tag} to the bench`" />
      </p>
    </header>
    <Message v-if="problem" severity="error">{{ problem }}</Message>
    <section v-for="pile in piles" :key="pile.id" :aria-label="pile.words">
      <template v-if="ofPile(pile.id).length > 0">
        <h2>{{ pile.words }}</h2>
        <PileTable :units="ofPile(pile.id)" :columns="columns" :figure="figure" :label="pile.words" />
      </template>
    </section>
    <p class="muted">{{ shop.settings.name }}. Figures net of leads, metal at {{ figures.temperature(20) }}.</p>
  </main>
</template>

<style scoped>
.tray {
  padding: 14px 20px;
  display: grid;
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  gap: 28px;
  align-items: center;
  flex-wrap: wrap;
}
h1 {
  font-size: 30px;
}
h2 {
  font-size: 19px;
}
.piles-count {
  display: flex;
  gap: 20px;
}
.acts {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
@media print {
  .acts {
    display: none;
  }
}
</style>
