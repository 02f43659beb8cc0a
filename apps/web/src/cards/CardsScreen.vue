<script setup lang="ts">
import type { CardList, CardRow } from '@sure-spool/contract'
import InputText from 'primevue/inputtext'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import { ask } from '../store/api'
import { newId } from '../store/ids'
import { keepCopy, readCopy } from '../store/kept'
import { useShop } from '../store/shop'
import { familyWords } from '../words/kinds'
import FitLine from './FitLine.vue'

/** The cards: found by words, or by what was measured; digits go straight into the second line. */
const router = useRouter()
const route = useRoute()
const shop = useShop()
const words = ref(String(route.query['find'] ?? ''))
const read = ref(String(route.query['read'] ?? ''))
const list = ref<CardList>({ cards: [] })
const drafts = ref<CardRow[]>([])
const known = ref(false)
const wordsField = ref<{ $el: HTMLInputElement }>()
const readField = ref<{ $el: HTMLInputElement }>()
const byFigures = computed(() => read.value.trim() !== '')
const question = computed(() =>
  byFigures.value
    ? `read=${encodeURIComponent(read.value)}&comma=${shop.settings.decimalComma}`
    : `find=${encodeURIComponent(words.value)}`,
)

async function load(more = false): Promise<void> {
  const asked = question.value
  const cursor = more && list.value.next !== undefined ? `&cursor=${encodeURIComponent(list.value.next)}` : ''
  const answer = await ask<CardList>(`/cards?limit=50&${asked}${cursor}`).catch(() => undefined)
  if (answer && asked === 'find=' && !more) await keepCopy('cards', answer)
  const shown = answer ?? (await readCopy<CardList>('cards')) ?? { cards: [] }
  if (asked !== question.value) return
  list.value = more ? { ...shown, cards: [...list.value.cards, ...shown.cards] } : shown
  known.value = true
}
async function loadDrafts(): Promise<void> {
  drafts.value = (await ask<CardList>('/cards?state=draft&limit=50').catch(() => ({ cards: [] }))).cards
}
watch(question, () => {
  void router.replace({
    query: { ...(words.value ? { find: words.value } : {}), ...(read.value ? { read: read.value } : {}) },
  })
  void load()
})
watch(words, (text) => text !== '' && (read.value = ''))
watch(read, (text) => text !== '' && (words.value = ''))
onMounted(() => {
  void load()
  void loadDrafts()
})
const open = (card: CardRow | undefined) => card && void router.push({ name: 'card', params: { id: card.id } })
const begin = () => void router.push({ name: 'write', params: { id: newId(), revision: '1' }, query: { begin: '1' } })

useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === '/') wordsField.value?.$el.focus()
  else if (/^[\d.,]$/.test(event.key)) {
    read.value += event.key
    readField.value?.$el.focus()
  } else if (event.key === 'n') begin()
  else if (event.key === 'u') void router.push({ name: 'cards-in' })
  else if (event.key === 'Escape') void router.push('/')
  else return false
  return true
})
const foot = computed(() => {
  if (!known.value) return ''
  if (list.value.cards.length > 0 || drafts.value.length > 0) return ''
  return byFigures.value
    ? 'No card reads like that. Measure the part on a sketch first.'
    : 'No card fits. Try fewer words.'
})
</script>

<template>
  <main class="cards">
    <header>
      <h1>Cards</h1>
      <p class="field">
        <label for="find">find: maker, model, part number, wires, ways <kbd>/</kbd></label>
        <InputText
          id="find"
          ref="wordsField"
          v-model="words"
          autocomplete="off"
          placeholder="orange violet/white, 6 way"
          @keydown.enter="open(list.cards[0])"
        />
      </p>
      <p class="field">
        <label for="read">or what you read <kbd>0–9</kbd></label>
        <InputText
          id="read"
          ref="readField"
          v-model="read"
          autocomplete="off"
          placeholder="about 318 and 36, both open to frame"
          @keydown.enter="open(list.cards[0])"
        />
      </p>
      <p class="acts">
        <KeyButton cap="n" label="new card" @press="begin" />
        <KeyButton cap="u" label="take in a file" @press="router.push({ name: 'cards-in' })" />
      </p>
    </header>
    <p v-if="list.unread" class="said">Not read as a figure: {{ list.unread.join('; ') }}.</p>
    <p v-if="list.loosely" class="said">No card holds all of these words; these hold some.</p>
    <section v-if="drafts.length > 0 && !byFigures && words === ''" aria-label="Being written">
      <h2 class="label">Being written</h2>
      <ul>
        <li v-for="card in drafts" :key="card.id">
          <RouterLink class="row" :to="{ name: 'write', params: { id: card.id, revision: card.revision } }"
            ><span
              ><strong>{{ card.maker }}</strong> {{ card.model }}</span
            ><span class="muted">{{ familyWords[card.family as keyof typeof familyWords] }}</span
            ><span class="n">{{ card.partNumbers.join(', ') }}</span
            ><span
              >draft of revision <span class="n">{{ card.revision }}</span></span
            ><span
          /></RouterLink>
        </li>
      </ul>
    </section>
    <ul aria-label="Cards found">
      <li v-for="card in list.cards" :key="card.id">
        <RouterLink class="row" :to="{ name: 'card', params: { id: card.id } }"
          ><span
            ><strong>{{ card.maker }}</strong> {{ card.model }}</span
          ><span class="muted">{{ familyWords[card.family as keyof typeof familyWords] }}</span
          ><FitLine v-if="card.fit" class="fit" :fit="card.fit" /><template v-else
            ><span class="n">{{ card.partNumbers.join(', ') }}</span
            ><span
              >revision <span class="n">{{ card.revision }}</span></span
            ></template
          ><span
            ><strong class="n">{{ card.units }}</strong> {{ card.units === 1 ? 'unit' : 'units' }}</span
          ></RouterLink
        >
      </li>
    </ul>
    <p v-if="foot" class="muted">{{ foot }}</p>
    <p class="out">
      <button v-if="list.next" class="plain more" @click="load(true)">more cards</button>
      <a href="/api/v1/cards/export" download="cards.json">all cards as JSON</a>
      <a href="/api/v1/cards/figures.csv" download="figures.csv">all figures as CSV</a>
    </p>
  </main>
</template>

<style scoped>
.cards {
  padding: 16px 20px;
  display: grid;
  gap: 12px;
  align-content: start;
}
header {
  display: grid;
  grid-template-columns: auto 1fr 1fr auto;
  gap: 24px;
  align-items: end;
}
h1 {
  font-size: 34px;
}
.field label {
  display: block;
  font-size: 15px;
  color: var(--muted);
  margin-bottom: 2px;
}
.field :deep(input) {
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
li {
  border-bottom: 1px solid var(--hairline);
}
.row {
  display: grid;
  grid-template-columns: 1.4fr 0.8fr 1fr 0.7fr 0.5fr;
  gap: 16px;
  align-items: center;
  min-height: 48px;
  text-decoration: none;
  font-size: 17px;
  padding: 4px 8px;
}
.fit {
  grid-column: span 2;
}
.row:hover {
  background: var(--panel);
}
.out {
  display: flex;
  gap: 24px;
}
.out > * {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: underline;
}
@media (max-width: 1100px) {
  header {
    grid-template-columns: auto 1fr auto;
  }
  header .field:nth-of-type(2) {
    grid-column: 2;
    grid-row: 2;
  }
}
@media (max-width: 900px) {
  header {
    grid-template-columns: 1fr;
    gap: 6px;
  }
  header .field:nth-of-type(2) {
    grid-column: auto;
    grid-row: auto;
  }
  .row {
    grid-template-columns: 1fr 1fr;
    padding: 8px;
  }
}
</style>
