<script setup lang="ts">
import { cardGaps, type Card } from '@sure-spool/core'
import { computed, onBeforeUnmount, onMounted, provide, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import CarePart from './CarePart.vue'
import ChecksPart from './ChecksPart.vue'
import { contradictionWords, gapWords } from './gapWords'
import HintsPart from './HintsPart.vue'
import NamePart from './NamePart.vue'
import { writingKey } from './parts'
import PlugsPart from './PlugsPart.vue'
import RelationsPart from './RelationsPart.vue'
import SourcesPart from './SourcesPart.vue'
import TerminalsPart from './TerminalsPart.vue'
import VariantsPart from './VariantsPart.vue'
import { useDraft } from './useDraft'
import WindingsPart from './WindingsPart.vue'
import WritePreview from './WritePreview.vue'

/** Writing a card: its parts down the middle, the bench it will give and what is missing beside them. */
const props = defineProps<{ id: string; revision: string }>()
const route = useRoute()
const router = useRouter()
const draft = useDraft(props.id, Number(props.revision))
const { card, standing, told, problems } = draft
const dropping = ref(false)
provide(writingKey, { card: () => card.value as Card, change: draft.change })
onMounted(() => draft.open(route.query))

const sections = [
  { id: 'name', label: 'Name', part: NamePart },
  { id: 'terminals', label: 'Terminals', part: TerminalsPart },
  { id: 'plugs', label: 'Plugs', part: PlugsPart },
  { id: 'windings', label: 'Windings', part: WindingsPart },
  { id: 'sources', label: 'Sources', part: SourcesPart },
  { id: 'checks', label: 'Checks and limits', part: ChecksPart },
  { id: 'relations', label: 'Between readings', part: RelationsPart },
  { id: 'hints', label: 'Hints', part: HintsPart },
  { id: 'variants', label: 'Variants', part: VariantsPart },
  { id: 'care', label: 'Care', part: CarePart },
]
const standingWords = {
  opening: 'opening …',
  begun: 'nothing written yet',
  kept: 'kept',
  sending: 'keeping …',
  away: 'kept in this browser, the server is away',
  'not-yet': 'kept in this browser; not whole yet',
  refused: 'kept in this browser; not taken',
  missing: 'not here',
}
/** What is wrong is mended first; what is only missing may stay missing. */
const list = computed(() => {
  if (!card.value) return []
  const wrong = problems.value.map(({ path, detail }) => ({
    key: path,
    words: `${pathWords(path)} ${detail}.`,
    part: partOf(path),
    wrong: true,
  }))
  if (wrong.some(({ key }) => /terminals|windings|checks\[\d+\]\.at/.test(key))) return wrong
  const { gaps, remarks } = cardGaps(card.value)
  return [
    ...wrong,
    ...remarks.map((one) => ({
      key: `${one.id}${one.check}`,
      words: contradictionWords(card.value as Card, one),
      part: 'checks',
      wrong: true,
    })),
    ...gaps.map((one) => ({ key: `${one.id}${one.about ?? ''}`, ...gapWords(card.value as Card, one), wrong: false })),
  ]
})
/** `checks[2].label` as a person counts: `check 3, label`. */
const pathWords = (path: string) =>
  path.replace(/s?\[(\d+)\]/g, (_all, at: string) => ` ${Number(at) + 1}`).replace(/\./g, ', ')
const partOf = (path: string) => sections.find(({ id }) => path.startsWith(id))?.id ?? 'name'

function goTo(id: string): void {
  const section = document.getElementById(`part-${id}`)
  section?.scrollIntoView({ block: 'start' })
  section?.querySelector<HTMLElement>('input, select, button')?.focus()
}
async function publish(): Promise<void> {
  if (await draft.publish()) await router.replace({ name: 'card', params: { id: props.id } })
}
async function drop(): Promise<void> {
  if (!dropping.value) dropping.value = true
  else if (await draft.drop()) await router.replace({ name: 'cards' })
}
function leave(): void {
  void router.push(Number(props.revision) > 1 ? { name: 'card', params: { id: props.id } } : { name: 'cards' })
}

/** Undo and redo are the whole card's, wherever the cursor stands; the sections by Ctrl and an arrow. */
function keys(event: KeyboardEvent): void {
  if (!(event.ctrlKey || event.metaKey)) return
  const key = event.key.toLowerCase()
  if (key === 'z') (event.shiftKey ? draft.redo : draft.undo)()
  else if (key === 'y') draft.redo()
  else if (key === 'enter') void publish()
  else if (key === 'arrowdown' || key === 'arrowup') stride(key === 'arrowdown' ? 1 : -1)
  else return
  event.preventDefault()
}
function stride(by: 1 | -1): void {
  const here = sections.findIndex(({ id }) => document.getElementById(`part-${id}`)?.contains(document.activeElement))
  const next = sections[Math.min(sections.length - 1, Math.max(0, here + by))]
  if (next) goTo(next.id)
}
onMounted(() => window.addEventListener('keydown', keys))
onBeforeUnmount(() => window.removeEventListener('keydown', keys))
</script>

<template>
  <main v-if="card" class="write">
    <header>
      <div>
        <h1>{{ [card.name.maker, card.name.model].filter((one) => one !== '').join(' ') || 'A new card' }}</h1>
        <p class="muted">
          draft of revision <span class="n">{{ revision }}</span>,
          <span role="status">{{ standingWords[standing] }}</span>
        </p>
      </div>
      <p class="acts">
        <KeyButton quiet cap="Ctrl Z" label="undo" :disabled="!draft.canUndo.value" @press="draft.undo" />
        <KeyButton quiet cap="Ctrl Y" label="redo" :disabled="!draft.canRedo.value" @press="draft.redo" />
        <KeyButton quiet :label="dropping ? 'throw it away for good' : 'throw away'" @press="drop" />
        <KeyButton label="leave it a draft" @press="leave" />
        <KeyButton main cap="Ctrl Enter" label="publish" :disabled="problems.length > 0" @press="publish" />
      </p>
    </header>
    <p v-if="told" class="told" role="alert">{{ told }}</p>
    <nav aria-label="Parts of the card">
      <button v-for="one in sections" :key="one.id" class="plain" @click="goTo(one.id)">
        {{ one.label }}
        <span
          v-if="list.some((each) => each.part === one.id && each.wrong)"
          class="wrong"
          title="something is wrong here"
          >!</span
        >
      </button>
      <p class="muted">Ctrl and an arrow go from part to part.</p>
    </nav>
    <div class="form" tabindex="-1">
      <section
        v-for="one in sections"
        :id="`part-${one.id}`"
        :key="one.id"
        class="part"
        :aria-labelledby="`head-${one.id}`"
      >
        <h2 :id="`head-${one.id}`">{{ one.label }}</h2>
        <component :is="one.part" />
      </section>
    </div>
    <aside tabindex="0" aria-label="What it will give, and what is missing">
      <h2 class="label">Missing or in contradiction</h2>
      <ul class="list">
        <li v-for="one in list" :key="one.key">
          <button class="plain" :class="{ wrong: one.wrong }" @click="goTo(one.part)">{{ one.words }}</button>
        </li>
        <li v-if="list.length === 0" class="muted">Nothing.</li>
      </ul>
      <h2 class="label">On the bench</h2>
      <WritePreview :card="card" />
    </aside>
  </main>
  <main v-else class="empty">
    <h1>{{ standing === 'missing' ? 'This draft cannot be opened.' : 'Opening the draft …' }}</h1>
    <p>{{ told }} <RouterLink to="/cards">All cards</RouterLink></p>
  </main>
</template>

<style scoped>
.write {
  display: grid;
  grid-template:
    'head head head' auto 'told told told' auto 'nav form side' minmax(0, 1fr) / 150px minmax(0, 1fr)
    320px;
  height: calc(100dvh - 48px);
}
header {
  grid-area: head;
  display: flex;
  gap: 6px 20px;
  align-items: center;
  flex-wrap: wrap;
  padding: 4px 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--ink);
}
h1 {
  font-size: 24px;
}
.acts {
  display: flex;
  gap: 6px;
  margin-left: auto;
  flex-wrap: wrap;
}
.told {
  grid-area: told;
  padding: 8px 20px;
  background: var(--tint);
  font-weight: 600;
}
nav {
  grid-area: nav;
  padding: 12px 8px 12px 20px;
  display: grid;
  align-content: start;
  border-right: 1px solid var(--hairline);
}
nav button {
  min-height: 44px;
}
nav p {
  font-size: 15px;
  margin-top: 8px;
}
.wrong {
  color: var(--outside);
  font-weight: 700;
}
.form {
  grid-area: form;
  overflow: auto;
  padding: 0 20px 40vh;
}
.part {
  padding: 14px 0 18px;
  border-bottom: 1px solid var(--hairline);
  display: grid;
  gap: 8px;
}
.part h2 {
  font-size: 19px;
}
.part :deep(.fields) {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
}
.part :deep(.two) {
  grid-column: span 2;
}
.part :deep(.wide) {
  grid-column: 1 / -1;
}
.part :deep(.rows) {
  display: grid;
  gap: 10px;
}
.part :deep(.row) {
  display: grid;
  gap: 8px 10px;
  align-items: start;
  padding-bottom: 10px;
  border-bottom: 1px dashed var(--hairline);
}
.part :deep(.row > .key-button) {
  margin-top: 24px;
}
.part :deep(.adds) {
  display: flex;
  gap: 6px 16px;
  flex-wrap: wrap;
  align-items: center;
}
.part :deep(.tick) {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.part :deep(input[type='checkbox']) {
  width: 20px;
  height: 20px;
  accent-color: var(--copper);
  flex: none;
}
aside {
  grid-area: side;
  overflow: auto;
  padding: 12px 18px;
  background: var(--panel);
  border-left: 1px solid var(--hairline);
  display: grid;
  gap: 8px;
  align-content: start;
}
.list button {
  min-height: 32px;
  padding: 3px 0;
  line-height: 1.3;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.empty {
  padding: 40px 20px;
}
@media (max-width: 1100px) {
  .write {
    grid-template: 'head head' auto 'told told' auto 'form side' minmax(0, 1fr) / minmax(0, 1fr) 270px;
  }
  nav {
    display: none;
  }
  .part :deep(.fields),
  .part :deep(.row) {
    grid-template-columns: 1fr 1fr;
  }
  .part :deep(.plug),
  .part :deep(.check) {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 900px) {
  .write {
    grid-template: 'head' auto 'told' auto 'form' auto 'side' auto / minmax(0, 1fr);
    height: auto;
  }
  .form {
    padding-bottom: 20px;
  }
}
</style>
