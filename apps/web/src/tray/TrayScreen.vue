<script setup lang="ts">
import type { QueueUnit, UnitRuns } from '@sure-spool/contract'
import { quantityOf, type Card } from '@sure-spool/core'
import Message from 'primevue/message'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import AskLine from '../bench/AskLine.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { ask } from '../store/api'
import { useOutbox } from '../store/outbox'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import { familyWords } from '../words/kinds'
import { cardsOn, pileOf, type CardOn, type Pile } from './piles'
import PileTable from './PileTable.vue'
import { trayKeys } from './trayKeys'
import { useTray } from './useTray'
import { useTrayDecision } from './useTrayDecision'

/** A tray: parts worked one after another, alike or of several kinds, and the piles they end on, on one sheet. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const shop = useShop()
const outbox = useOutbox()
const figures = useFigures()
const tray = useTray(() => props.id)
const read = ref<Record<string, UnitRuns['runs'][number]>>({})
const cards = ref<Record<string, Card>>({})
const problem = ref('')
const next = computed(() => tray.nextAfter(undefined))
const kinds = computed(() => cardsOn(tray.units.value))
const decision = useTrayDecision(() => tray.units.value, figures, tray.load)
const { offers, chosen, doubt } = decision

watch(
  () => tray.units.value.map((unit) => `${unit.id}${unit.standing?.lastAt ?? ''}`).join(),
  async () => {
    const done = tray.units.value.filter((unit) => unit.standing)
    const all = await Promise.all(
      done.map((unit) => ask<UnitRuns>(`/units/${unit.id}/runs?limit=1`).catch(() => undefined)),
    )
    read.value = Object.fromEntries(done.flatMap((unit, i) => (all[i]?.runs[0] ? [[unit.id, all[i].runs[0]]] : [])))
    const unknown = kinds.value.filter(({ key }) => !(key in cards.value))
    const found = await Promise.all(
      unknown.map(({ card }) => ask<Card>(`/cards/${card.id}/revisions/${card.revision}`).catch(() => undefined)),
    )
    const more = unknown.flatMap(({ key }, i) => (found[i] ? [[key, found[i]] as const] : []))
    cards.value = { ...cards.value, ...Object.fromEntries(more) }
  },
  { immediate: true },
)
watch(
  () => outbox.waiting,
  (now, before) => now === 0 && before > 0 && void tray.load(),
)

const columnsOf = ({ key, units }: CardOn) =>
  (cards.value[key]?.checks ?? [])
    .filter((check) => units.some(({ id }) => read.value[id]?.comparison.figures.some((one) => one.check === check.id)))
    .slice(0, 6)
    .map((check) => ({ id: check.id, label: check.label, quantity: quantityOf(check) }))
const figure = (unit: QueueUnit, column: { id: string; quantity: ReturnType<typeof quantityOf> }) => {
  const all = read.value[unit.id]?.comparison.figures.filter((one) => one.check === column.id) ?? []
  return all.map(({ value }) => figures.figure(Number(value.toPrecision(4)), column.quantity)).join(', ')
}
const piles: { id: Pile; words: string }[] = [
  { id: 'accepted', words: 'Accepted' },
  { id: 'rejected', words: 'Rejected' },
  { id: 'neither', words: 'Neither' },
  { id: 'found', words: 'Found, not decided' },
  { id: 'to-do', words: 'Still to be read' },
]
const ofPile = (pile: Pile) => tray.units.value.filter((unit) => pileOf(unit) === pile)
/** the words it came in with, where all of it came with the same */
const words = computed(() => {
  const said = new Set(tray.units.value.map((unit) => unit.words))
  return said.size === 1 ? [...said].join() : ''
})

async function begin(unit: QueueUnit | undefined): Promise<void> {
  if (!unit) return
  try {
    await router.push({ name: 'bench', params: { run: await tray.goOn(unit) } })
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
useScreenKeys(trayKeys, () => (chosen.value ? 'deciding' : 'tray'), {
  begin: () => begin(next.value),
  decide: (key) => decision.choose(trayKeys.acts.decide.keys.indexOf(key)),
  print: () => window.print(),
  leave: () => router.push('/'),
})
</script>

<template>
  <main class="tray">
    <header>
      <div>
        <h1>A tray of {{ tray.units.value.length }}</h1>
        <p v-for="kind in kinds" :key="kind.key">
          <strong>{{ kind.maker }} {{ kind.model }}</strong
          >, {{ familyWords[kind.family as keyof typeof familyWords] }}, {{ kind.histories.join(' and ')
          }}<template v-if="kinds.length > 1">: {{ kind.tags.join(', ') }}</template>
        </p>
        <p v-if="words" class="muted">“{{ words }}”</p>
      </div>
      <p class="piles-count">
        <span v-for="pile in piles.filter(({ id }) => ofPile(id).length > 0)" :key="pile.id"
          ><strong class="n">{{ ofPile(pile.id).length }}</strong> {{ pile.words.toLowerCase() }}</span
        >
      </p>
      <p class="acts">
        <ScreenKey quiet act="print" />
        <ScreenKey v-if="next" main act="begin" :label="`take ${next.tag} to the bench`" />
      </p>
    </header>
    <Message v-if="problem" severity="error">{{ problem }}</Message>
    <p v-if="doubt" class="doubt" role="alert">{{ doubt }}</p>
    <AskLine
      v-if="chosen"
      :question="`${chosen.label} (${chosen.units.map(({ tag }) => tag).join(', ')}): why?`"
      @keep="decision.decide"
      @leave="decision.leave"
    />
    <p v-else-if="offers.length > 0" class="acts offers">
      <ScreenKey
        v-for="(offer, i) in offers"
        :key="offer.what"
        act="decide"
        :at="i"
        :main="!next && i === 0"
        :label="offer.label"
        :hint="offer.hint"
      />
    </p>
    <section v-for="pile in piles.filter(({ id }) => ofPile(id).length > 0)" :key="pile.id" :aria-label="pile.words">
      <h2>{{ pile.words }}</h2>
      <template v-for="kind in cardsOn(ofPile(pile.id))" :key="kind.key">
        <h3 v-if="kinds.length > 1">{{ kind.maker }} {{ kind.model }}</h3>
        <PileTable
          :units="kind.units"
          :columns="columnsOf(kinds.find(({ key }) => key === kind.key) ?? kind)"
          :figure="figure"
          :label="kinds.length > 1 ? `${pile.words}: ${kind.model}` : pile.words"
        />
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
h3 {
  font-size: 16px;
  margin-top: 6px;
}
.doubt {
  font-weight: 600;
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
.offers {
  flex-wrap: wrap;
  margin-left: 0;
}
@media print {
  .acts {
    display: none;
  }
}
</style>
