<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { newId } from '../store/newId'
import { cardsKeys } from './cardsKeys'
import CardsTable from './CardsTable.vue'
import DraftsTable from './DraftsTable.vue'
import { useCardSearch } from './useCardSearch'

/** The cards: found by words, or by what was measured; digits go straight into the second line. */
const router = useRouter()
const { words, read, list, drafts, byFigures, nothing, first, loadMore } = useCardSearch()
const wordsField = ref<{ $el: HTMLInputElement }>()
const readField = ref<{ $el: HTMLInputElement }>()
async function openFirst(): Promise<void> {
  const card = await first()
  if (card) void router.push({ name: 'card', params: { id: card.id } })
}

useScreenKeys(cardsKeys, () => 'list', {
  find: () => wordsField.value?.$el.focus(),
  figures: (digit) => {
    read.value += digit
    readField.value?.$el.focus()
  },
  begin: () => void router.push({ name: 'write', params: { id: newId(), revision: '1' }, query: { begin: '1' } }),
  takeIn: () => void router.push({ name: 'cards-in' }),
  leave: () => void router.push('/'),
})
</script>

<template>
  <main class="cards">
    <header>
      <h1>Cards</h1>
      <p class="line">
        <label class="field-label" for="find">find: maker, model, part number, wires, ways <kbd>/</kbd></label>
        <InputText
          id="find"
          ref="wordsField"
          v-model="words"
          autocomplete="off"
          placeholder="orange violet/white, 6 way"
          @keydown.enter="openFirst"
        />
      </p>
      <p class="line">
        <label class="field-label" for="read">or what you read <kbd>0–9</kbd></label>
        <InputText
          id="read"
          ref="readField"
          v-model="read"
          autocomplete="off"
          placeholder="about 318 and 36, both open to frame"
          @keydown.enter="openFirst"
        />
      </p>
      <p class="acts"><ScreenKey act="begin" /><ScreenKey act="takeIn" /></p>
    </header>
    <p v-if="list.unread" class="said">Not read as a figure: {{ list.unread.join('; ') }}.</p>
    <p v-if="list.loosely" class="said">No card holds all of these words; these hold some.</p>
    <DraftsTable v-if="drafts.length > 0 && !byFigures && words === ''" :cards="drafts" />
    <CardsTable v-if="list.cards.length > 0" :cards="list.cards" :by-figures="byFigures" @end="loadMore" />
    <p v-if="nothing" class="muted">{{ nothing }}</p>
    <p class="out">
      <a href="/api/v1/cards/export" download="cards.json">all cards as JSON</a>
      <a href="/api/v1/cards/figures.csv" download="figures.csv">all figures as CSV</a>
    </p>
  </main>
</template>

<style scoped>
.cards {
  padding: 16px 20px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  height: calc(100dvh - 48px);
  min-height: 0;
  overflow: auto;
}
header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 24px;
  align-items: end;
}
h1 {
  font-size: 34px;
}
.line :deep(input) {
  width: 100%;
  min-height: 44px;
}
.acts {
  display: flex;
  gap: 8px;
}
.said {
  font-weight: 600;
}
.out {
  display: flex;
  gap: 24px;
}
.out > * {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
@media (max-width: 1100px) {
  header {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }
  header .line:nth-of-type(2) {
    grid-column: 2;
    grid-row: 2;
  }
}
@media (max-width: 900px) {
  header {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
  header .line:nth-of-type(2) {
    grid-column: auto;
    grid-row: auto;
  }
}
</style>
