<script setup lang="ts">
import Skeleton from 'primevue/skeleton'
import { useRouter } from 'vue-router'
import { usePlugHold } from '../drawings/usePlugHold'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { newId } from '../store/newId'
import { familyWords } from '../words/kinds'
import CardFigures from './CardFigures.vue'
import { cardKeys } from './cardsKeys'
import CardSide from './CardSide.vue'
import { useCardView } from './useCardView'

/** One card: its face, windings, limits side by side with who says so, and the shop's own units as strokes over them. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const { view, record, older, olderProblem, problem, card, draft, hasDraft } = useCardView(() => props.id)
const { hold, flip, turn } = usePlugHold(() => `${props.id}.${card.value?.plugs[0]?.id ?? ''}`)

useScreenKeys(cardKeys, () => 'card', {
  takeIn: () => void router.push({ name: 'queue', query: { take: props.id } }),
  flip,
  turn,
  revise: () => void router.push({ name: 'write', params: { id: props.id, revision: String(draft.value) } }),
  duplicate: () =>
    void router.push({ name: 'write', params: { id: newId(), revision: '1' }, query: { from: props.id } }),
  print: () => window.print(),
  find: () => void router.push({ name: 'cards' }),
})
</script>

<template>
  <main v-if="card && view" class="card">
    <header class="unit">
      <p>
        <strong>{{ card.name.maker }} {{ card.name.model }}</strong> <span>{{ familyWords[card.family] }}</span>
        <span v-if="card.name.partNumbers.length"
          >part <span class="n">{{ card.name.partNumbers.join(', ') }}</span></span
        >
        <span class="muted">revision {{ card.revision }}, {{ card.state }}</span>
      </p>
      <p class="acts">
        <ScreenKey quiet act="find" />
        <ScreenKey quiet act="duplicate" />
        <ScreenKey act="revise" :label="hasDraft ? 'go on with its draft' : 'revise'" />
        <ScreenKey main act="takeIn" />
      </p>
    </header>
    <CardSide class="side-area" :card="card" :hold="hold" />
    <CardFigures
      class="figures-area"
      :card="card"
      :record="record"
      :revisions="view.revisions"
      :draft="draft"
      :older-problem="olderProblem"
      @older="older"
    />
    <footer class="gives">
      <p class="muted">A run keeps the revision it was judged by.</p>
      <p>
        <a class="link" :href="`/api/v1/cards/export?ids=${props.id}`" download>as JSON</a>
        <a class="link" :href="`/api/v1/cards/figures.csv?ids=${props.id}`" download>figures as CSV</a>
      </p>
    </footer>
  </main>
  <main v-else class="empty">
    <h1>{{ problem ? 'This card cannot be shown.' : 'Opening the card …' }}</h1>
    <Skeleton v-if="!problem" height="40vh" />
    <p>{{ problem }} <RouterLink to="/cards">All cards</RouterLink></p>
  </main>
</template>

<style scoped>
.card {
  display: grid;
  grid-template: 'unit unit' auto 'left figures' minmax(0, 1fr) 'gives gives' auto / 320px minmax(0, 1fr);
  height: calc(100dvh - 48px);
}
.unit {
  grid-area: unit;
  display: flex;
  gap: 4px 20px;
  justify-content: space-between;
  align-items: center;
  flex-wrap: wrap;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  padding: 4px 20px;
}
.unit p {
  display: flex;
  gap: 4px 14px;
  align-items: center;
  flex-wrap: wrap;
}
.side-area {
  grid-area: left;
}
.figures-area {
  grid-area: figures;
}
.gives {
  grid-area: gives;
  display: flex;
  justify-content: space-between;
  gap: 28px;
  padding: 2px 20px;
  border-top: 1px solid var(--ink);
  background: var(--panel);
  align-items: center;
}
.gives p {
  display: flex;
  gap: 16px;
}
.link {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
.empty {
  padding: 40px 20px;
  display: grid;
  gap: 12px;
}
@media (max-width: 900px) {
  .card {
    grid-template: 'unit' auto 'left' auto 'figures' auto 'gives' auto / minmax(0, 1fr);
    height: auto;
  }
}
</style>
