<script setup lang="ts">
import type { CardList, CardRow } from '@sure-spool/contract'
import InputText from 'primevue/inputtext'
import { onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { isTaken, useKeys } from '../parts/keys'
import { ask } from '../store/api'
import { keepCopy, readCopy } from '../store/kept'
import { familyWords } from '../words/kinds'

/** The cards: models and what they should read. */
const router = useRouter()
const text = ref('')
const cards = ref<CardRow[]>([])
const next = ref<string>()
const known = ref(false)
const field = ref<{ $el: HTMLInputElement }>()

async function load(more = false): Promise<void> {
  const wanted = text.value
  const cursor = more && next.value !== undefined ? `&cursor=${encodeURIComponent(next.value)}` : ''
  const list = await ask<CardList>(`/cards?limit=50&find=${encodeURIComponent(wanted)}${cursor}`).catch(() => undefined)
  if (list && wanted === '' && !more) await keepCopy('cards', list)
  const shown = list ?? (await readCopy<CardList>('cards')) ?? { cards: [] }
  if (wanted !== text.value) return
  cards.value = more ? [...cards.value, ...shown.cards] : shown.cards
  next.value = shown.next
  known.value = true
}
watch(text, () => void load())
onMounted(() => load())
useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === '/') field.value?.$el.focus()
  else if (event.key === 'Escape') void router.push('/')
  else return false
  return true
})
</script>

<template>
  <main class="cards">
    <header>
      <h1>Cards</h1>
      <label for="find">find by maker, model or kind <kbd>/</kbd></label>
      <InputText
        id="find"
        ref="field"
        v-model="text"
        autocomplete="off"
        @keydown.enter="cards[0] && router.push({ name: 'card', params: { id: cards[0].id } })"
      />
    </header>
    <ul>
      <li v-for="card in cards" :key="card.id">
        <RouterLink :to="{ name: 'card', params: { id: card.id } }"
          ><span
            ><strong>{{ card.maker }}</strong> {{ card.model }}</span
          ><span class="muted">{{ familyWords[card.family as keyof typeof familyWords] }}</span
          ><span class="n">{{ card.partNumbers.join(', ') }}</span
          ><span
            >revision <span class="n">{{ card.revision }}</span></span
          ><span
            ><strong class="n">{{ card.units }}</strong> units</span
          ></RouterLink
        >
      </li>
    </ul>
    <p v-if="known && cards.length === 0" class="muted">No card fits. Try fewer words.</p>
    <button v-if="next" class="plain more" @click="load(true)">more cards</button>
  </main>
</template>

<style scoped>
.cards {
  padding: 20px;
  display: grid;
  gap: 14px;
}
header {
  display: grid;
  grid-template-columns: auto auto 1fr;
  gap: 24px;
  align-items: center;
}
h1 {
  font-size: 34px;
}
header :deep(input) {
  max-width: 420px;
  min-height: 44px;
}
li {
  border-bottom: 1px solid var(--hairline);
}
li a {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr 0.7fr 0.6fr;
  gap: 16px;
  align-items: center;
  min-height: 52px;
  text-decoration: none;
  font-size: 17px;
  padding: 0 8px;
}
li a:hover {
  background: var(--panel);
}
.more {
  min-height: 44px;
  text-decoration: underline;
}
@media (max-width: 900px) {
  header {
    grid-template-columns: 1fr;
    gap: 6px;
  }
  li a {
    grid-template-columns: 1fr 1fr;
    padding: 8px;
  }
}
</style>
